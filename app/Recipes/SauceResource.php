<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Database\Stored;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Report\StandingReport;

/**
 * A sauce with its lines.
 *
 * @property Sauce $resource
 *
 * @phpstan-import-type NumberedLine from RecipeLine
 *
 * @phpstan-type SauceSent array{
 *     id: int,
 *     revision: int,
 *     forked_from: int|null,
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
 *     standing: Stored<StandingReport>,
 *     is_told: bool,
 * }
 */
final class SauceResource extends JsonResource
{
    /** @return SauceSent */
    public function toArray(Request $request): array
    {
        return [
            ...WrittenRecipe::of($this->resource->recipe),
            'id' => $this->resource->id,
            'revision' => $this->resource->revision,
            'forked_from' => $this->resource->forked_from,
            'standing' => app(HomeKitchen::class)->standing($this->resource),
            'is_told' => $this->resource->told !== null,
        ];
    }
}
