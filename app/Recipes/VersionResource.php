<?php

declare(strict_types=1);

namespace App\Recipes;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A state of a sauce that is kept for good.
 *
 * @property Version $resource
 */
final class VersionResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            ...$this->resource->written(),
            'number' => $this->resource->number,
            'kept_at' => $this->resource->created_at?->toIso8601String(),
            'says' => $this->resource->says,
        ];
    }
}
