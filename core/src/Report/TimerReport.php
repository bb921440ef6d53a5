<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\CookSession\CookTimer;

/** A timer of a cook: minutes, and seconds since the epoch. */
final readonly class TimerReport extends Report
{
    /**
     * @param Exact<float> $minutes
     * @param Exact<float> $started
     * @param Exact<float> $ends
     * @param Exact<float|null> $stopped
     * @param string|null $key that the page gave it
     */
    private function __construct(
        public int $id,
        public string $name,
        public Exact $minutes,
        public Exact $started,
        public Exact $ends,
        public Exact $stopped,
        public ?string $key,
    ) {}

    public static function of(CookTimer $timer): self
    {
        return new self(
            $timer->id,
            $timer->name,
            new Exact($timer->minutes),
            new Exact($timer->started),
            new Exact($timer->ends()),
            new Exact($timer->stopped),
            $timer->key,
        );
    }
}
