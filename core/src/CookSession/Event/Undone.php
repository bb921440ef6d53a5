<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\CookSession\CookEvent;

/** An earlier event was taken back. */
final readonly class Undone extends CookEvent
{
    public const KIND = 'undone';
    public const NEEDS = ['event'];

    /** @param int $event its number */
    public function __construct(int $id, float $at, public int $event, ?string $words = null, ?string $key = null)
    {
        parent::__construct($id, $at, $words, $key);
    }

    public static function read(int $id, float $at, array $figures, array $grams, ?string $words, ?string $key): static
    {
        return new self($id, $at, (int) $figures['event'], $words, $key);
    }

    public function figures(): array
    {
        return ['event' => (float) $this->event];
    }

    public function says(array $lines): string
    {
        return 'an entry was taken back';
    }
}
