<?php

declare(strict_types=1);

namespace App\Recipes;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\RecipeLine;

/**
 * A state of a sauce that is kept for good.
 *
 * @property Version $resource
 *
 * @phpstan-import-type NumberedLine from RecipeLine
 *
 * @phpstan-type VersionSent array{
 *     number: int,
 *     kept_at: string|null,
 *     says: string|null,
 *     title: string,
 *     style: string|null,
 *     measures: value-of<Measures>,
 *     yield: string|null,
 *     part_ml: float|null,
 *     method: list<string>,
 *     pan: string|null,
 *     servings: int|null,
 *     set_aside: list<array{text: string, why: string, sure?: bool}>,
 *     let_go: list<string>,
 *     aim: list<array{axis: string, steps: float}>,
 *     lines: list<NumberedLine>,
 * }
 */
final class VersionResource extends JsonResource
{
    /** @return VersionSent */
    public function toArray(Request $request): array
    {
        return [
            ...WrittenRecipe::of($this->resource->recipe),
            'number' => $this->resource->number,
            'kept_at' => $this->resource->created_at?->toIso8601String(),
            'says' => $this->resource->says,
        ];
    }
}
