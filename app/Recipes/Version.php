<?php

declare(strict_types=1);

namespace App\Recipes;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A state of a sauce that is kept for good.
 *
 * @property int          $sauce_id
 * @property int          $number   from 1, by sauce
 * @property int          $revision the revision it was
 * @property string|null  $says     what changed since the version before it, in words
 * @property array<string, mixed>|null $standing what the shelf would show of it
 * @property CarbonImmutable|null $created_at
 * @property list<string> $lines
 */
final class Version extends Model
{
    use HoldsRecipe;

    public const UPDATED_AT = null;

    protected $fillable = [
        'number',
        'revision',
        'lines',
        'says',
        'standing',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'lines' => 'array',
            'standing' => 'array',
            'created_at' => 'immutable_datetime',
        ];
    }

    /** @return list<string> the lines as written */
    public function texts(): array
    {
        return $this->lines;
    }

    protected function sauceNumber(): int
    {
        return $this->sauce_id;
    }
}
