<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Estimate;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Verdict;

/** Where a sauce stands on one axis, in its unit and in JND steps, and what that comes to against a target. */
final readonly class AxisReport extends Report
{
    /**
     * @param array{float, float}|null $window      of the style, in the unit of the axis
     * @param float|null               $offBySteps  outside that window; negative below it
     * @param array{float, float}|null $windowSteps its edges in steps
     * @param array{float, float}|null $ownSteps    where this cook likes it to stand, in steps
     * @param string                   $verdict     "a little too sharp", "about right"; nothing without a target
     * @param bool                     $isOff       whether that is anything but right
     */
    private function __construct(
        public float $value,
        public float $low,
        public float $high,
        public string $unit,
        public float $steps,
        public ?array $window,
        public ?float $offBySteps,
        public float $lowSteps,
        public float $highSteps,
        public ?array $windowSteps,
        public ?array $ownSteps,
        public ?float $ownOffBySteps,
        public string $verdict,
        public bool $isOff,
    ) {}

    /**
     * @param array<string, Estimate> $estimates  by axis
     * @param Target|null             $target     of the style
     * @param Target|null             $own        where this cook likes the family to stand, as far as tastings tell
     * @param array<string, float>    $tellsApart steps that this cook can tell apart, by axis, as far as that is known
     *
     * @return array<value-of<Axis>, self>
     */
    public static function all(array $estimates, ?Target $target, ?Target $own = null, array $tellsApart = []): array
    {
        return Axis::each(
            static fn(Axis $axis): self => self::of(
                $axis,
                $estimates[$axis->value],
                $target,
                $own,
                $tellsApart[$axis->value] ?? 0.0,
            ),
        );
    }

    private static function of(Axis $axis, Estimate $estimate, ?Target $target, ?Target $own, float $tellsApart): self
    {
        [$window, $ownWindow] = [$target?->window($axis), $own?->window($axis)];
        [$off, $ownOff] = [$window?->off($axis, $estimate->value), $ownWindow?->off($axis, $estimate->value)];

        return new self(
            $estimate->value,
            $estimate->low,
            $estimate->high,
            $axis->unit(),
            $axis->steps($estimate->value),
            $window === null ? null : [$window->low, $window->high],
            $off,
            $axis->steps($estimate->low),
            $axis->steps($estimate->high),
            $window?->inSteps($axis),
            $ownWindow?->inSteps($axis),
            $ownOff,
            Verdict::on($axis, $ownOff ?? $off, $tellsApart),
            Verdict::isOff($ownOff ?? $off, $tellsApart),
        );
    }
}
