<?php

declare(strict_types=1);

namespace App\Palate;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Vinculum\Kitchen\AnsweredTaste;

/**
 * One tasting, with the computed balance of that moment.
 *
 * @property int $id
 * @property int $sauce_id
 * @property int|null $batch_id
 * @property string|null $style the family it was judged as
 * @property CarbonImmutable $tasted_at
 * @property string|null $temperature warm or cold
 * @property string|null $food what it was tasted with
 * @property string|null $words
 * @property list<array{complaint: string, strength: string}> $said
 * @property array<string, float> $scores −2 far too little to 2 far too much, by axis
 * @property array<string, float> $steps where it stood, by axis
 * @property array<string, mixed> $balance the axes as the contract shapes them
 * @property array{offered: list<list<string>>, taken: list<string>|null}|null $answer which ways were offered, the first answer first, and
 *     which was taken: keys of ingredients
 */
final class Tasting extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = [
        'sauce_id',
        'batch_id',
        'style',
        'tasted_at',
        'temperature',
        'food',
        'words',
        'said',
        'scores',
        'steps',
        'balance',
        'answer',
    ];

    /** What was made of its answer; null where none was offered. */
    public function answered(): ?AnsweredTaste
    {
        return $this->answer === null ? null : AnsweredTaste::of(
            array_column($this->said, 'complaint'),
            $this->answer['offered'],
            $this->answer['taken'],
        );
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'tasted_at' => 'immutable_datetime',
            'said' => 'array',
            'scores' => 'array',
            'steps' => 'array',
            'balance' => 'array',
            'answer' => 'array',
        ];
    }
}
