<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Kitchen\Sauce;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Verdict;
use Vinculum\Substitution\Swap;

/** What a swap does to the taste of a sauce. */
final readonly class TasteChangeReport extends Report
{
    /**
     * @param array<value-of<Axis>, float> $changeSteps by axis
     * @param string|null $mainAxis that it moves most
     * @param array<value-of<Axis>, AxisReport> $after by axis
     * @param string $says what becomes of the taste; nothing where no amount is known
     */
    private function __construct(
        public array $changeSteps,
        public float $residualSteps,
        public ?string $mainAxis,
        public array $after,
        public string $says,
    ) {}

    public static function of(Swap $swap, Sauce $sauce): self
    {
        return new self(
            changeSteps: $swap->taste->steps,
            residualSteps: $swap->taste->residual,
            mainAxis: $swap->taste->main?->value,
            after: AxisReport::all(Balance::axesOf($swap->applied($sauce->formula)), $sauce->aim),
            says: $swap->grams === 0.0 ? '' : Verdict::ofChange($swap->taste->steps, $swap->taste->residual),
        );
    }
}
