<?php

declare(strict_types=1);

namespace Vinculum\CookSheet;

/** A timer at the stove. It knows when it began, so that it needs nobody to keep it running. */
final readonly class CookTimer
{
    /** @param float $started seconds since the epoch */
    public function __construct(public int $id, public string $name, public float $minutes, public float $started, public ?float $stopped) {}

    public function stoppedAt(float $at): self
    {
        return new self($this->id, $this->name, $this->minutes, $this->started, $this->stopped ?? $at);
    }

    public function ends(): float
    {
        return $this->started + 60.0 * $this->minutes;
    }
}
