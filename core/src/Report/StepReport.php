<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Cooking\MethodStep;

/** A step of the method as it was understood: minutes, °C. */
final readonly class StepReport extends Report
{
    /**
     * @param 'do'|'heat'|'reduce'|'rest'|'cool'|'strain'|'blend' $kind
     * @param array{float, float}|null                            $minutes from and to
     * @param bool|null                                           $covered null where nobody said
     */
    private function __construct(
        public string $text,
        public int $line,
        public string $kind,
        public ?array $minutes,
        public ?string $heat,
        public ?bool $covered,
        public ?float $left,
        public ?float $celsius,
        public ?string $until,
        public bool $sieved,
    ) {}

    public static function of(MethodStep $step): self
    {
        return new self(
            $step->text,
            $step->line,
            $step->kind,
            $step->minutes,
            $step->heat?->key,
            $step->lid->isOn(),
            $step->left,
            $step->celsius,
            $step->until,
            $step->isSieved,
        );
    }
}
