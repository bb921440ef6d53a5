<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Cooking\MethodStep;

/** How long a step stands at which heat, and under what. */
final readonly class StepHeatReport extends Report
{
    /**
     * @param array{float, float}|null $minutes from and to
     * @param bool|null $covered null where nobody said
     * @param float|null $left the share that is left
     */
    private function __construct(
        public ?array $minutes,
        public ?string $heat,
        public ?bool $covered,
        public ?float $left,
    ) {}

    public static function of(MethodStep $step): self
    {
        return new self(
            minutes: $step->minutes,
            heat: $step->heat?->key,
            covered: $step->lid->isOn(),
            left: $step->left,
        );
    }
}
