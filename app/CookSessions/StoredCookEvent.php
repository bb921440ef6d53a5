<?php

declare(strict_types=1);

namespace App\CookSessions;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Vinculum\CookSession\CookEvent;

/**
 * One event of a cook, never changed and never taken away.
 *
 * @property int                  $id
 * @property int                  $batch_id
 * @property string               $kind
 * @property array<string, float> $figures
 * @property array<int, float>    $grams
 * @property string|null          $words
 * @property float                $at      seconds since the epoch
 * @property string|null          $key     of the page that sent it, so that sending it twice stores it once
 */
final class StoredCookEvent extends Model
{
    public $timestamps = false;

    protected $table = 'cook_events';

    protected $fillable = ['batch_id', 'kind', 'figures', 'grams', 'words', 'at', 'key'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['figures' => 'array', 'grams' => 'array', 'at' => 'float'];
    }

    /** Now, in seconds since the epoch, as events are dated. */
    public static function now(): float
    {
        return Carbon::now()->getPreciseTimestamp(3) / 1000.0;
    }

    public function event(): CookEvent
    {
        return CookEvent::of(
            $this->kind,
            $this->id,
            $this->at,
            array_map(floatval(...), $this->figures),
            array_map(floatval(...), $this->grams),
            $this->words,
            $this->key,
        );
    }
}
