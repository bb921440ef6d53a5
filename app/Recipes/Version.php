<?php

declare(strict_types=1);

namespace App\Recipes;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Vinculum\Recipe\Recipe;

/**
 * A state of a sauce that is kept for good.
 *
 * @property int $id
 * @property int $sauce_id
 * @property int $number from 1, by sauce
 * @property int $revision the revision it was
 * @property string|null $says what changed since the version before it, in words
 * @property array<string, mixed>|null $standing what the shelf would show of it
 * @property CarbonImmutable|null $created_at
 * @property Recipe $recipe as it was written
 */
final class Version extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = [
        'number',
        'revision',
        'recipe',
        'says',
        'standing',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'recipe' => WrittenRecipe::class,
            'standing' => 'array',
            'created_at' => 'immutable_datetime',
        ];
    }
}
