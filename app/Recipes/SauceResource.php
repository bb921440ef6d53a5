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
            'id' => $this->resource->id,
            'revision' => $this->resource->revision,
            'title' => $this->resource->title,
            'style' => $this->resource->style,
            'measures' => $this->resource->measures->value,
            'yield' => $this->resource->yield,
            'part_ml' => $this->resource->part_ml,
            'method' => $this->resource->method ?? [],
            'pan' => $this->resource->pan,
            'forked_from' => $this->resource->forked_from,
            'lines' => $this->resource->texts(),
        ];
    }
}
