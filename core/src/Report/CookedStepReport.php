<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Chemistry\Component;
use Vinculum\Cooking\MethodStep;
use Vinculum\Cooking\StepLosses;

/** A step as it was understood, with the water it takes, in grams, and what stays of alcohol, acetic acid and nose heat. */
final readonly class CookedStepReport extends Report
{
    public const INLINE = ['step'];

    /**
     * @param array{value: float, low: float, high: float} $water
     * @param array{float, float}|null $alcoholLeftPercent from and to; null where there was none
     */
    private function __construct(
        public StepReport $step,
        public array $water,
        public ?array $alcoholLeftPercent,
        public ?float $aceticLeftPercent,
        public ?float $noseHeatLeftPercent,
    ) {}

    public static function of(MethodStep $step, StepLosses $gone): self
    {
        return new self(
            StepReport::of($step),
            ['value' => $gone->water, 'low' => $gone->band['low'], 'high' => $gone->band['high']],
            $gone->had(Component::Ethanol) ? [100.0 * min($gone->alcohol), 100.0 * max($gone->alcohol)] : null,
            $gone->had(Component::Acetic) ? 100.0 * $gone->acetic : null,
            $gone->had(Component::Pungency) ? 100.0 * $gone->nose : null,
        );
    }
}
