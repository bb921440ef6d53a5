<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

/** What percentages can be a strength (reading.ini). */
final readonly class PotencyFacts
{
    public const FILE = 'reading';
    public const SECTION = 'strengths';

    /**
     * @param float $mostAcid per cent of acid in a vinegar
     * @param float $mostBrewed per cent of alcohol in what is brewed
     * @param float $mostSpirit per cent of alcohol in what is distilled
     * @param float $brewedUnder grams of alcohol in 100 g under which a thing is brewed
     * @param float $mostFat per cent of fat in what is dairy
     * @param float $leastFat per cent of fat that any of them may have
     * @param float $timesItsFat how many times its usual fat it may have
     */
    public function __construct(
        public float $mostAcid,
        public float $mostBrewed,
        public float $mostSpirit,
        public float $brewedUnder,
        public float $mostFat,
        public float $leastFat,
        public float $timesItsFat,
    ) {}
}
