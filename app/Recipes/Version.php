<?php

declare(strict_types=1);

namespace App\Recipes;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;

/**
 * A state of a sauce that is kept for good.
 *
 * @property int          $sauce_id
 * @property int          $number   from 1, by sauce
 * @property int          $revision the revision it was
 * @property string       $title
 * @property string|null  $style
 * @property Measures     $measures
 * @property string|null  $yield
 * @property float|null   $part_ml
 * @property list<string>|null $method    one step a line
 * @property string|null  $pan       as a cook names it
 * @property string|null  $says     what changed since the version before it, in words
 * @property array<string, mixed>|null $standing what the shelf would show of it
 * @property CarbonImmutable|null $created_at
 * @property list<string> $lines
 */
final class Version extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = [
        'number',
        'revision',
        'title',
        'style',
        'measures',
        'yield',
        'part_ml',
        'method',
        'pan',
        'lines',
        'says',
        'standing',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'measures' => Measures::class,
            'method' => 'array',
            'lines' => 'array',
            'standing' => 'array',
            'part_ml' => 'float',
            'created_at' => 'immutable_datetime',
        ];
    }

    /** As it was written. */
    public function recipe(): Recipe
    {
        return new Recipe(
            $this->title,
            $this->style,
            $this->lines,
            $this->method ?? [],
            $this->measures,
            $this->yield,
            $this->part_ml,
            $this->pan,
            $this->sauce_id,
        );
    }
}
