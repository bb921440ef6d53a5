<?php

declare(strict_types=1);

namespace App\Recipes;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A sauce with its lines.
 *
 * @property Sauce $resource
 */
final class SauceResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            ...$this->resource->written(),
            'id' => $this->resource->id,
            'revision' => $this->resource->revision,
            'forked_from' => $this->resource->forked_from,
        ];
    }
}
