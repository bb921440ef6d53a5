<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Chemistry\Solids;
use Vinculum\Chemistry\Volume;
use Vinculum\Cooking\Reduction;

/** What is left of a sauce that was boiled down. */
final readonly class ReducedReport extends Report
{
    /** Grams of water that are worth lighting the hob for. */
    private const WORTH_BOILING = 1.0;

    private function __construct(
        public float $evaporateGrams,
        public float $panReadsGrams,
        public float $millilitres,
        public float $dissolvedSolidsPercent,
        public bool $boils,
    ) {}

    public static function of(Reduction $plan): self
    {
        return new self(
            evaporateGrams: $plan->waterToLose,
            panReadsGrams: $plan->after->grams(),
            millilitres: Volume::millilitres($plan->after),
            dissolvedSolidsPercent: Solids::dissolvedPercent($plan->after),
            boils: $plan->waterToLose >= self::WORTH_BOILING,
        );
    }
}
