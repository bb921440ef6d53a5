<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Kitchen\Tongue;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Vinculum\Contract\PalateShape;
use Vinculum\Style\StyleBook;
use Vinculum\Style\StyleFamily;

/** What the kitchen has learned of the cook's taste: seen, reset, switched off. */
final readonly class PalateController
{
    public function __construct(private Tongue $tongue) {}

    public function show(): JsonResponse
    {
        $families = array_map(fn(StyleFamily $style): array => PalateShape::of($style, $this->tongue->palate($style)), $this->tongue->families());

        return new JsonResponse(['on' => $this->tongue->isOn(), 'families' => $families]);
    }

    public function switch(Request $request): JsonResponse
    {
        $request->validate(['on' => ['required', 'boolean']], ['on' => 'Say whether it is on or off.']);
        $this->tongue->switch($request->boolean('on'));

        return $this->show();
    }

    public function reset(string $style): JsonResponse
    {
        $this->tongue->reset(StyleBook::has($style) ? StyleBook::get($style) : throw new NotFoundHttpException());

        return $this->show();
    }
}
