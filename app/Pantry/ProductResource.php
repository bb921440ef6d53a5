<?php

declare(strict_types=1);

namespace App\Pantry;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A product of the cook's own as it was entered.
 *
 * @property Product $resource
 *
 * @phpstan-type LabelFigures array{
 *     fat?: float|null,
 *     carbohydrate?: float|null,
 *     sugars?: float|null,
 *     protein?: float|null,
 *     salt?: float|null,
 *     sodium?: float|null,
 *     acidity?: float|null,
 *     shu?: float|null,
 *     serving_grams?: float|null,
 *     per_serving?: bool,
 *     ingredients?: string|null,
 * }
 * @phpstan-type ProductSent array{
 *     id: int,
 *     key: string,
 *     name: string,
 *     like: string,
 *     label: LabelFigures,
 *     stands_in: bool,
 *     in_stock: bool,
 *     price: float|null,
 *     pack_grams: float|null,
 * }
 */
final class ProductResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->resource->id,
            'key' => $this->resource->key(),
            'name' => $this->resource->name,
            'like' => $this->resource->like,
            'label' => (object) $this->resource->label,
            'stands_in' => $this->resource->stands_in,
            'in_stock' => $this->resource->in_stock,
            'price' => $this->resource->price,
            'pack_grams' => $this->resource->pack_grams,
        ];
    }
}
