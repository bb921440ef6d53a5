<?php

declare(strict_types=1);

namespace App\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * What was added to a batch to taste, at one time.
 *
 * @property int $id
 * @property int $batch_id
 * @property list<array{ingredient: string, name: string, like: string, grams: float, measure: string}> $additions
 * @property string $why what the tongue had said
 * @property CarbonImmutable|null $created_at
 */
final class Dose extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['additions', 'why'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['additions' => 'array', 'created_at' => 'immutable_datetime'];
    }
}
