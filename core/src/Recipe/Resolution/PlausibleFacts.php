<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

/** How much of one thing is likelier a slip than a recipe (reading.ini). */
final readonly class PlausibleFacts
{
    public const FILE = 'reading';
    public const SECTION = 'plausible';

    /**
     * @param float $mostGrams of one line
     * @param float $timesTheOthers all others together, water apart
     * @param float $doubtfulFrom grams from which a line of so many times is not believed
     * @param list<string> $bases roles of what may be nearly all of a sauce
     */
    public function __construct(
        public float $mostGrams,
        public float $timesTheOthers,
        public float $doubtfulFrom,
        public array $bases,
    ) {}
}
