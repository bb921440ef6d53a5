<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Database\Stored;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Vinculum\Report\StandingReport;

/**
 * A sauce as it stands on the shelf.
 *
 * @property Sauce $resource
 *
 * @phpstan-type ShelfSauce array{
 *     id: int,
 *     title: string,
 *     style: string|null,
 *     line_count: int,
 *     updated_at: string|null,
 *     standing: Stored<StandingReport>,
 * }
 */
final class ShelfResource extends JsonResource
{
    /** @return ShelfSauce */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->resource->id,
            'title' => $this->resource->recipe->title,
            'style' => $this->resource->recipe->style,
            'line_count' => count($this->resource->recipe->lines),
            'updated_at' => $this->resource->updated_at?->toIso8601String(),
            'standing' => app(HomeKitchen::class)->standing($this->resource),
        ];
    }
}
