<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\CookSession\CookEvent;
use Vinculum\Quantity\KitchenNumber;

/** A timer was set; its words are its name. */
final readonly class TimerStarted extends CookEvent
{
    public const KIND = 'timer-started';
    public const NEEDS = ['minutes'];

    public function __construct(int $id, float $at, public float $minutes, ?string $words = null, ?string $key = null)
    {
        parent::__construct($id, $at, $words, $key);
    }

    public static function read(int $id, float $at, array $figures, array $grams, ?string $words, ?string $key): static
    {
        return new self($id, $at, $figures['minutes'], $words, $key);
    }

    public function figures(): array
    {
        return ['minutes' => $this->minutes];
    }

    public function says(array $lines): string
    {
        return sprintf('a timer of %s min began', KitchenNumber::plain($this->minutes, 1));
    }
}
