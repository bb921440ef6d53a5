<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Substitution\Swap;

/** For whom a sauce is fit after a swap that was not before, and the other way round. */
final readonly class SuitabilityChangeReport extends Report
{
    /**
     * @param list<string> $allergensAdded
     * @param list<string> $allergensRemoved
     * @param list<string> $dietsGained
     * @param list<string> $dietsLost
     */
    private function __construct(
        public array $allergensAdded,
        public array $allergensRemoved,
        public array $dietsGained,
        public array $dietsLost,
    ) {}

    public static function of(Swap $swap): self
    {
        return new self(
            allergensAdded: $swap->suitability->allergensAdded,
            allergensRemoved: $swap->suitability->allergensRemoved,
            dietsGained: $swap->suitability->dietsGained,
            dietsLost: $swap->suitability->dietsLost,
        );
    }
}
