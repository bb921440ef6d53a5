<?php

declare(strict_types=1);

namespace App\Pantry;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Vinculum\Ingredient\LabelFault;
use Vinculum\Ingredient\ProductLabel;

/**
 * A product of the cook's own, from its label.
 *
 * @property int $id
 * @property string $name
 * @property string $like key of the nearest generic ingredient
 * @property array<string, mixed> $label what was read off the pack, as typed
 * @property bool $stands_in a line that names the generic means this
 * @property bool $in_stock
 * @property float|null $price of a pack
 * @property float|null $pack_grams
 */
final class Product extends Model
{
    use SoftDeletes;

    /** Every figure that a label may state. */
    public const FIGURES = [...self::OF_A_HUNDRED_GRAMS, 'shu', 'serving_grams'];

    private const OF_A_HUNDRED_GRAMS = ['fat', 'carbohydrate', 'sugars', 'protein', 'salt', 'sodium', 'acidity'];

    protected $fillable = ['name', 'like', 'label', 'stands_in', 'in_stock', 'price', 'pack_grams'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'label' => 'array',
            'stands_in' => 'boolean',
            'in_stock' => 'boolean',
            'price' => 'float',
            'pack_grams' => 'float',
        ];
    }

    public function key(): string
    {
        return "own-{$this->id}";
    }

    /** @throws LabelFault */
    public function toLabel(): ProductLabel
    {
        $figure = fn(string $field): ?float => is_numeric($this->label[$field] ?? null)
            ? (float) $this->label[$field]
            : null;
        $figures = array_combine(
            self::OF_A_HUNDRED_GRAMS,
            array_map($figure, self::OF_A_HUNDRED_GRAMS),
        );
        $ingredients = $this->label['ingredients'] ?? null;

        return ProductLabel::of(
            $this->name,
            $this->like,
            $figures,
            ($this->label['per_serving'] ?? false) === true,
            $figure('serving_grams'),
            $figure('shu'),
            is_string($ingredients) ? $ingredients : null,
            $this->stands_in,
        );
    }
}
