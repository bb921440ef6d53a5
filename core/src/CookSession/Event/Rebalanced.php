<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\CookSession\CookEvent;

/** What is still to go in was given other amounts; its words name the way that was chosen. */
final readonly class Rebalanced extends CookEvent
{
    public const KIND = 'rebalanced';
    public const NEEDS = [];

    /** @param array<int, float> $grams by line, from 0 */
    public function __construct(int $id, float $at, public array $grams, ?string $words = null, ?string $key = null)
    {
        parent::__construct($id, $at, $words, $key);
        foreach ($grams as $line => $weight) {
            self::check('line', (float) $line);
            self::check('grams', $weight);
        }
    }

    public static function read(int $id, float $at, array $figures, array $grams, ?string $words, ?string $key): static
    {
        return new self($id, $at, $grams, $words, $key);
    }

    public function figures(): array
    {
        return [];
    }

    public function says(array $lines): string
    {
        return 'the rest was rebalanced';
    }
}
