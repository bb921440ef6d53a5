<?php

declare(strict_types=1);

namespace App\Batches;

use App\Palate\Tasting;
use App\Recipes\WrittenRecipe;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Vinculum\Recipe\Recipe;

/**
 * What is in the pan: a sauce as it was when it was made, how much of it there is, and what was added to taste.
 *
 * @property int $id
 * @property int $sauce_id
 * @property int $version of the sauce that it was made from
 * @property Recipe $recipe as it was written, its lines taken apart
 * @property array<string, mixed>|null $wish the size asked for, where it is cooked from a sheet
 * @property float|null $pan_grams as weighed before the first dose; the formula's own weight when null
 * @property CarbonImmutable|null $closed_at
 * @property CarbonImmutable|null $created_at
 * @property-read int|null           $doses_count    where they were counted
 * @property-read int|null           $tastings_count where they were counted
 * @property Collection<int, Dose> $doses
 * @property Collection<int, Tasting> $tastings
 * @property Collection<int, StoredCookEvent> $happenings
 */
final class Batch extends Model
{
    protected $fillable = [
        'sauce_id',
        'version',
        'recipe',
        'pan_grams',
        'closed_at',
        'wish',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'recipe' => WrittenRecipe::class,
            'wish' => 'array',
            'pan_grams' => 'float',
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
}
