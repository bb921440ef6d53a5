<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\MeasuredYield;
use Vinculum\Cooking\Heat;
use Vinculum\Cooking\Pan;
use Vinculum\Cooking\Reduction;
use Vinculum\Kitchen\Sauce;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;

/** Boiling down: how much water, how long, and how the axes move on the way. */
final readonly class ReductionReport extends Report
{
    public const INLINE = ['reduced'];

    /** The scale is read to the hundredth. */
    private const SCALE_DEVIATION = 0.01;

    /**
     * @param array{value: float, low: float, high: float}|null $minutes null where the pan is not known
     * @param array{key: string, cooks: int, uncertain_percent: float} $heat
     * @param array<value-of<Axis>, float> $changeSteps by axis
     * @param array<value-of<Axis>, float|null> $offBySteps outside the cook's own target, else the style's
     * @param list<array{grams: float, millilitres: float, steps: array<value-of<Axis>, float>}> $curve
     * @param list<string> $warnings
     * @param array<value-of<Axis>, AxisReport> $after by axis
     */
    private function __construct(
        public ReducedReport $reduced,
        public ?array $minutes,
        public array $heat,
        public array $changeSteps,
        public array $offBySteps,
        public array $curve,
        public array $warnings,
        public array $after,
    ) {}

    public static function of(
        Reduction $plan,
        Sauce $sauce,
        ?Pan $pan,
        Heat $heat,
    ): self {
        $taste = Taste::ofMixture($plan->after);
        $grams = $plan->after->grams();
        $target = $sauce->aim->target();
        $after = $sauce
            ->having($sauce->formula->cookedTo(MeasuredYield::estimated($grams, self::SCALE_DEVIATION * $grams)))
            ->balance();

        return new self(
            reduced: ReducedReport::of($plan),
            minutes: $pan?->squareMetres === null
                ? null
                : $heat->minutes($plan->waterToLose, $pan->squareMetres),
            heat: ['key' => $heat->key, 'cooks' => $heat->cooks, 'uncertain_percent' => 100.0 * $heat->uncertain],
            changeSteps: Taste::ofMixture($plan->before)->stepsTo($taste),
            offBySteps: Axis::each(
                static fn(Axis $axis): ?float => $target?->window($axis)?->off($axis, $taste->on($axis)),
            ),
            curve: $plan->curve(),
            warnings: $plan->warnings,
            after: AxisReport::all($after->axes, $sauce->aim),
        );
    }
}
