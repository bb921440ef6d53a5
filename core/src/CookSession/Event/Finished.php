<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\CookSession\CookEvent;

/** The sauce is in its jars. */
final readonly class Finished extends CookEvent
{
    public const KIND = 'finished';
    public const NEEDS = [];

    public function __construct(int $id, float $at, ?string $words = null, ?string $key = null)
    {
        parent::__construct($id, $at, $words, $key);
    }

    public static function read(int $id, float $at, array $figures, array $grams, ?string $words, ?string $key): static
    {
        return new self($id, $at, $words, $key);
    }

    public function figures(): array
    {
        return [];
    }

    public function says(array $lines): string
    {
        return 'into the jars';
    }
}
