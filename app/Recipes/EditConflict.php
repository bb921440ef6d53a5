<?php

declare(strict_types=1);

namespace App\Recipes;

use Illuminate\Contracts\Debug\ShouldntReport;
use Illuminate\Http\JsonResponse;

/**
 * An edit was based on a revision that is no longer the newest.
 *
 * @phpstan-import-type SauceSent from SauceResource
 * @phpstan-type Conflict array{message: string, current: SauceSent|null, epoch?: int}
 */
final class EditConflict extends \RuntimeException implements ShouldntReport
{
    private function __construct(public readonly Sauce $current)
    {
        parent::__construct('The sauce has a newer revision.');
    }

    public function render(): JsonResponse
    {
        return new JsonResponse([
            'message' => 'Someone changed this sauce in another window since you opened it. Nothing was overwritten: keep yours as a copy, or take theirs.',
            'current' => (new SauceResource($this->current))->resolve(),
        ], 409);
    }

    public static function with(Sauce $current): self
    {
        return new self($current);
    }
}
