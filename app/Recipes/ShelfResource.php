<?php

declare(strict_types=1);

namespace App\Recipes;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Vinculum\Sensory\Verdict;

/**
 * A sauce as it stands on the shelf.
 *
 * @property Sauce $resource
 */
final class ShelfResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $distance = $this->resource->standing['distance'] ?? null;

        return [
            'id' => $this->resource->id,
            'title' => $this->resource->title,
            'style' => $this->resource->style,
            'line_count' => $this->resource->getAttribute('lines_count'),
            'updated_at' => $this->resource->updated_at?->toIso8601String(),
            'standing' => $this->resource->standing,
            'verdict' => Verdict::onTheWhole(is_numeric($distance) ? (float) $distance : null),
        ];
    }
}
