<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Estimate;
use Vinculum\Sensory\Axis;

/** What a sauce has of one axis, in its unit and in JND steps, with the doubt. */
final readonly class AxisFigureReport extends Report
{
    private function __construct(
        public float $value,
        public float $low,
        public float $high,
        public string $unit,
        public float $steps,
        public float $lowSteps,
        public float $highSteps,
    ) {}

    public static function of(Axis $axis, Estimate $estimate): self
    {
        return new self(
            value: $estimate->value,
            low: $estimate->low,
            high: $estimate->high,
            unit: $axis->unit(),
            steps: $axis->steps($estimate->value),
            lowSteps: $axis->steps($estimate->low),
            highSteps: $axis->steps($estimate->high),
        );
    }
}
