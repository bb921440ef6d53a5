<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Balance\SauceColour;
use Vinculum\Cooking\MethodReader;
use Vinculum\Recipe\Recipe;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;

/** What is seen of a sauce before it is opened: where it stands, how much of it there is, its hand and its colour. */
final readonly class StandingReport extends Report
{
    /**
     * @param array<value-of<Axis>, AxisReport> $axes       by axis
     * @param float|null                        $distance   from its style, in steps; null without one
     * @param string|null                       $colour     about, as "#b3261a"; null where nothing in it has one
     * @param float|null                        $sweetToSour null where nothing is sour
     */
    private function __construct(
        public array $axes,
        public ?float $distance,
        public ?string $colour,
        public ?float $sweetToSour,
        public float $grams,
        public float $millilitres,
        public PungencyReport $pungency,
    ) {}

    public static function of(Balance $balance, ?Target $target, Recipe $recipe): self
    {
        return new self(
            AxisReport::all($balance->axes, $target),
            $target === null ? null : round($target->distance($balance->taste), 3),
            self::colour($balance, $recipe),
            RatiosReport::of($balance)->sweetToSour,
            $balance->figures['grams']->value,
            $balance->figures['millilitres']->value,
            PungencyReport::of($balance),
        );
    }

    /** About the colour it has once it is cooked by its method; null where nothing in it has one. */
    public static function colour(Balance $balance, ?Recipe $recipe): ?string
    {
        return SauceColour::of($balance->formula, MethodReader::minutesAtTheHob($recipe->method ?? []))?->hex();
    }
}
