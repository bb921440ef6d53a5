<?php

declare(strict_types=1);

namespace App\Recipes;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Vinculum\Recipe\Recipe;

/**
 * A sauce on the shelf, as it stands now.
 *
 * @property int $id
 * @property int|null $forked_from the sauce it began as a variant of
 * @property int $revision rises with every stored edit
 * @property array<string, mixed> $standing what the shelf shows of its balance
 * @property CarbonImmutable|null $updated_at
 * @property Recipe $recipe as it was written
 * @property string|null $told what somebody told, where it was written down from that
 */
final class Sauce extends Model
{
    use SoftDeletes;

    protected $fillable = [
        'recipe',
        'forked_from',
        'revision',
        'standing',
        'told',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'recipe' => WrittenRecipe::class,
            'standing' => 'array',
            'forked_from' => 'integer',
            'revision' => 'integer',
            'updated_at' => 'immutable_datetime',
        ];
    }

    /** @return HasMany<Version, $this> */
    public function versions(): HasMany
    {
        $versions = $this->hasMany(Version::class);
        $versions->orderBy('number');

        return $versions;
    }
}
