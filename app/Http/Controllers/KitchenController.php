<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Vinculum\Contract\StyleShape;
use Vinculum\Correction\Complaint;
use Vinculum\Quantity\Measures;
use Vinculum\Style\StyleBook;

/** What a page needs to know once: the styles and the systems of measures. */
final readonly class KitchenController
{
    public function __invoke(): JsonResponse
    {
        return new JsonResponse([
            'styles' => array_map(StyleShape::of(...), StyleBook::all()),
            'complaints' => array_map(static fn(string $key): array => ['key' => $key, 'says' => str_replace('-', ' ', $key)], Complaint::keys()),
            'measures' => array_map(static fn(Measures $measures): array => ['key' => $measures->value, 'name' => $measures->title()], Measures::cases()),
        ]);
    }
}
