<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\CookSession\CookEvent;

/** An event of which only the moment counts, and its words. */
abstract readonly class PlainEvent extends CookEvent
{
    public const NEEDS = [];

    final public function __construct(int $id, float $at, ?string $words = null, ?string $key = null)
    {
        parent::__construct($id, $at, $words, $key);
    }

    public static function read(int $id, float $at, array $figures, array $grams, ?string $words, ?string $key): static
    {
        return new static($id, $at, $words, $key);
    }

    public function figures(): array
    {
        return [];
    }
}
