<?php

declare(strict_types=1);

namespace App\Imports;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * Something that was taken in, as one move that can be undone.
 *
 * @property int $id
 * @property string $says
 * @property string|null $key under which it was asked for
 * @property array<string, list<int|string>> $made keys by table
 * @property CarbonImmutable|null $undone_at
 */
final class Import extends Model
{
    protected $fillable = ['says', 'made', 'key', 'undone_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['made' => 'array', 'undone_at' => 'immutable_datetime'];
    }
}
