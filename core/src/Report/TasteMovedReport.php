<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Kitchen\Sauce;
use Vinculum\Sensory\Axis;

/** Where a sauce stood on each axis, and where it stands then. */
final readonly class TasteMovedReport extends Report
{
    /**
     * @param array<value-of<Axis>, AxisReport> $axesBefore by axis
     * @param array<value-of<Axis>, AxisReport> $axesAfter by axis
     * @param array<value-of<Axis>, float> $changeSteps by axis
     */
    private function __construct(
        public array $axesBefore,
        public array $axesAfter,
        public array $changeSteps,
    ) {}

    public static function of(Balance $before, Balance $after, Sauce $sauce): self
    {
        return new self(
            axesBefore: AxisReport::all($before->axes, $sauce->aim),
            axesAfter: AxisReport::all($after->axes, $sauce->aim),
            changeSteps: $before->taste->stepsTo($after->taste),
        );
    }
}
