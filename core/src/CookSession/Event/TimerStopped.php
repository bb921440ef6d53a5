<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\CookSession\CookEvent;

/** A timer was stopped. */
final readonly class TimerStopped extends CookEvent
{
    public const KIND = 'timer-stopped';
    public const NEEDS = ['timer'];

    /** @param int $timer the event that set it */
    public function __construct(int $id, float $at, public int $timer, ?string $words = null, ?string $key = null)
    {
        parent::__construct($id, $at, $words, $key);
    }

    public static function read(int $id, float $at, array $figures, array $grams, ?string $words, ?string $key): static
    {
        return new self($id, $at, (int) $figures['timer'], $words, $key);
    }

    public function figures(): array
    {
        return ['timer' => (float) $this->timer];
    }

    public function says(array $lines): string
    {
        return 'a timer was stopped';
    }
}
