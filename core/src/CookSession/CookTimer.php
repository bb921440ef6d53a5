<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

/** A timer at the stove. It knows when it began, so that it needs nobody to keep it running. */
final readonly class CookTimer
{
    /**
     * @param float $started seconds since the epoch
     * @param string|null $key what the page called it before it was stored
     */
    public function __construct(
        public int $id,
        public string $name,
        public float $minutes,
        public float $started,
        public ?float $stopped,
        public ?string $key = null,
    ) {}

    public function stoppedAt(float $at): self
    {
        return new self($this->id, $this->name, $this->minutes, $this->started, $this->stopped ?? $at, $this->key);
    }

    public function ends(): float
    {
        return $this->started + 60.0 * $this->minutes;
    }
}
