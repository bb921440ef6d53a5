<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Estimate;
use Vinculum\Sensory\Aim;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Verdict;

/** Where a sauce stands on one axis, in its unit and in JND steps, and what that comes to against a target. */
final readonly class AxisReport extends Report
{
    public const INLINE = ['figure'];

    /**
     * @param array{float, float}|null $window of the style, in the unit of the axis
     * @param float|null $offBySteps outside that window; negative below it
     * @param array{float, float}|null $windowSteps its edges in steps
     * @param array{float, float}|null $ownSteps where this cook likes it to stand, in steps
     * @param string $verdict "a little too sharp", "about right"; nothing without a target
     * @param bool $isOff whether that is anything but right
     * @param bool $isLikedOtherwise whether this cook likes it elsewhere by as much as could be noticed
     */
    private function __construct(
        public AxisFigureReport $figure,
        public ?array $window,
        public ?float $offBySteps,
        public ?array $windowSteps,
        public ?array $ownSteps,
        public ?float $ownOffBySteps,
        public string $verdict,
        public bool $isOff,
        public bool $isLikedOtherwise,
    ) {}

    /**
     * @param array<string, Estimate> $estimates by axis
     *
     * @return array<value-of<Axis>, self>
     */
    public static function all(array $estimates, Aim $aim): array
    {
        return Axis::each(static fn(Axis $axis): self => self::of($axis, $estimates[$axis->value], $aim));
    }

    private static function of(Axis $axis, Estimate $estimate, Aim $aim): self
    {
        [$window, $own] = [$aim->shown()?->window($axis), $aim->liked()?->window($axis)];

        return new self(
            figure: AxisFigureReport::of($axis, $estimate),
            window: $window === null ? null : [$window->low, $window->high],
            offBySteps: $window?->off($axis, $estimate->value),
            windowSteps: $window?->inSteps($axis),
            ownSteps: $own?->inSteps($axis),
            ownOffBySteps: $own?->off($axis, $estimate->value),
            verdict: $aim->verdict($axis, $estimate->value),
            isOff: $aim->isOff($axis, $estimate->value),
            isLikedOtherwise: $window !== null && $own !== null
                && abs($own->inSteps($axis)[1] - $window->inSteps($axis)[1]) >= Verdict::NOTICED,
        );
    }
}
