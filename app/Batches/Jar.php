<?php

declare(strict_types=1);

namespace App\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A jar that was filled, with where it went.
 *
 * @property int $id
 * @property int $batch_id
 * @property string $code
 * @property float $ml
 * @property string|null $went_to
 * @property CarbonImmutable|null $finished_at
 * @property CarbonImmutable|null $created_at
 */
final class Jar extends Model
{
    protected $fillable = ['batch_id', 'code', 'ml', 'went_to', 'finished_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['ml' => 'float', 'finished_at' => 'immutable_datetime', 'created_at' => 'immutable_datetime'];
    }
}
