<?php

declare(strict_types=1);

namespace App\Recipes;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A sauce on the shelf, as it stands now.
 *
 * @property int                   $id
 * @property int|null              $forked_from the sauce it began as a variant of
 * @property int                   $revision rises with every stored edit
 * @property-read int|null          $lines_count where it was counted
 * @property array<string, mixed>  $standing what the shelf shows of its balance
 * @property CarbonImmutable|null  $updated_at
 * @property Collection<int, Line> $lines
 */
final class Sauce extends Model
{
    use HoldsRecipe;
    use SoftDeletes;

    protected $fillable = [
        'forked_from',
        'revision',
        'standing',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'standing' => 'array',
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

    protected function sauceNumber(): int
    {
        return $this->id;
    }
}
