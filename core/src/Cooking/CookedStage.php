<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Chemistry\Mixture;

/** A stage as it was cooked: what was in the pot when its lines were in, and after its steps. */
final readonly class CookedStage
{
    /** @param list<StepLosses> $steps one for each step of the stage */
    public function __construct(
        public Stage $stage,
        public Mixture $with,
        public Mixture $after,
        public array $steps,
    ) {}

    /** Grams of water that left. */
    public function water(): float
    {
        return array_sum(array_map(static fn(StepLosses $step): float => $step->water, $this->steps));
    }

    /** Whether its times would have taken more water than a sauce can give. */
    public function isCutShort(): bool
    {
        foreach ($this->steps as $step) {
            if ($step->isCutShort) {
                return true;
            }
        }

        return false;
    }
}
