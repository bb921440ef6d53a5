<?php

declare(strict_types=1);

namespace App\Recipes;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;

/**
 * A sauce on the shelf, as it stands now.
 *
 * @property int                   $id
 * @property string                $title
 * @property string|null           $style
 * @property Measures              $measures
 * @property string|null           $yield
 * @property float|null            $part_ml  the vessel that a "part" is
 * @property list<string>|null $method    one step a line
 * @property string|null  $pan       as a cook names it
 * @property int|null              $forked_from the sauce it began as a variant of
 * @property array<string, string>|null $ingredient what it is as part of another sauce, as the fields of a catalogue
 *     row
 * @property int                   $revision rises with every stored edit
 * @property array<string, mixed>  $standing what the shelf shows of its balance
 * @property CarbonImmutable|null  $updated_at
 * @property Collection<int, Line> $lines
 */
final class Sauce extends Model
{
    use SoftDeletes;

    protected $fillable = [
        'title',
        'style',
        'measures',
        'yield',
        'part_ml',
        'method',
        'pan',
        'forked_from',
        'revision',
        'standing',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'measures' => Measures::class,
            'method' => 'array',
            'standing' => 'array',
            'ingredient' => 'array',
            'part_ml' => 'float',
            'forked_from' => 'integer',
            'revision' => 'integer',
            'updated_at' => 'immutable_datetime',
        ];
    }

    /** @return HasMany<Line, $this> */
    public function lines(): HasMany
    {
        $lines = $this->hasMany(Line::class);
        $lines->orderBy('position');

        return $lines;
    }

    /** @return HasMany<Version, $this> */
    public function versions(): HasMany
    {
        $versions = $this->hasMany(Version::class);
        $versions->orderBy('number');

        return $versions;
    }

    /** @return list<string> the lines as written */
    public function texts(): array
    {
        return array_values($this->lines->map(static fn(Line $line): string => $line->text)->all());
    }

    /** As it was written. */
    public function recipe(): Recipe
    {
        return new Recipe(
            $this->title,
            $this->style,
            $this->texts(),
            $this->method ?? [],
            $this->measures,
            $this->yield,
            $this->part_ml,
            $this->pan,
            $this->id,
        );
    }
}
