<?php

declare(strict_types=1);

namespace App\Batches;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Vinculum\CookSession\CookEvent;
use Vinculum\CookSession\Event\NoteWritten;

/**
 * One event of a cook, never changed and never taken away.
 *
 * @property int $id
 * @property int $batch_id
 * @property string $kind
 * @property array<string, float> $figures
 * @property array<int, float> $grams
 * @property string|null $words
 * @property float $at seconds since the epoch
 * @property string|null $key of the page that sent it, so that sending it twice stores it once
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

    /** What happened; a row that no door of today would take is a note that says so, and counts for nothing. */
    public function event(): CookEvent
    {
        $figures = array_map(self::number(...), $this->figures);
        $grams = array_map(self::number(...), $this->grams);
        try {
            return CookEvent::of($this->kind, $this->id, $this->at, $figures, $grams, $this->words, $this->key);
        } catch (\LogicException) {
            $said = implode(', ', array_map(
                static fn(string $name, float $value): string => sprintf('%s %g', $name, $value),
                array_keys($figures),
                $figures,
            ));

            return new NoteWritten(
                $this->id,
                $this->at,
                sprintf('Not counted, as its figures cannot be: %s %s', $this->kind, $said),
                $this->key,
            );
        }
    }

    private static function number(mixed $value): float
    {
        return is_numeric($value) ? (float) $value : NAN;
    }
}
