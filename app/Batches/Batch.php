<?php

declare(strict_types=1);

namespace App\Batches;

use App\CookSessions\StoredCookEvent;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;

/**
 * What is in the pan: a sauce as it was when it was made, how much of it there is, and what was added to taste.
 *
 * @property int                     $id
 * @property int                     $sauce_id
 * @property int                     $version   of the sauce that it was made from
 * @property string                  $title
 * @property string|null             $style
 * @property Measures                $measures
 * @property string|null             $yield
 * @property float|null              $part_ml
 * @property list<string>|null $method    one step a line
 * @property string|null  $pan       as a cook names it
 * @property list<string>            $lines
 * @property array<string, mixed>|null $wish     the size asked for, where it is cooked from a sheet
 * @property float|null              $pan_grams as weighed before the first dose; the formula's own weight when null
 * @property CarbonImmutable|null    $closed_at
 * @property CarbonImmutable|null    $created_at
 * @property Collection<int, Dose>   $doses
 * @property Collection<int, Tasting> $tastings
 * @property Collection<int, StoredCookEvent> $happenings
 */
final class Batch extends Model
{
    protected $fillable = [
        'sauce_id',
        'version',
        'title',
        'style',
        'measures',
        'yield',
        'part_ml',
        'method',
        'pan',
        'lines',
        'pan_grams',
        'closed_at',
        'wish',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'measures' => Measures::class,
            'method' => 'array',
            'lines' => 'array',
            'wish' => 'array',
            'pan_grams' => 'float',
            'part_ml' => 'float',
            'closed_at' => 'immutable_datetime',
            'created_at' => 'immutable_datetime',
        ];
    }

    /** @return HasMany<Dose, $this> */
    public function doses(): HasMany
    {
        $doses = $this->hasMany(Dose::class);
        $doses->orderBy('id');

        return $doses;
    }

    /** @return HasMany<StoredCookEvent, $this> */
    public function happenings(): HasMany
    {
        $happenings = $this->hasMany(StoredCookEvent::class);
        $happenings->orderBy('id');

        return $happenings;
    }

    /** @return HasMany<Tasting, $this> */
    public function tastings(): HasMany
    {
        $tastings = $this->hasMany(Tasting::class);
        $tastings->orderBy('id');

        return $tastings;
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
