<?php

declare(strict_types=1);

namespace Vinculum\Chemistry;

/** How far a listed pH spreads, by its grade, and the least half band that is told. */
final readonly class PhFacts
{
    public function __construct(
        public float $gradeA,
        public float $gradeB,
        public float $gradeC,
        public float $gradeD,
        public float $leastHalfBand,
    ) {}

    /**
     * One standard deviation of a listed pH.
     *
     * @param string $grade A to D
     */
    public function deviation(string $grade): float
    {
        return match ($grade) {
            'A' => $this->gradeA,
            'B' => $this->gradeB,
            'C' => $this->gradeC,
            default => $this->gradeD,
        };
    }
}
