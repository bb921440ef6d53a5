<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Estimate;
use Vinculum\Balance\SauceColour;
use Vinculum\Cooking\MethodReader;
use Vinculum\Keeping\Cautions;
use Vinculum\Kitchen\Sauce;
use Vinculum\Sensory\Aim;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/** What is seen of a sauce before it is opened: where it stands, how much of it there is, its hand and its colour. */
final readonly class StandingReport extends Report
{
    /**
     * @param array<value-of<Axis>, AxisReport> $axes by axis
     * @param float|null $distance from its style, in steps; null without one
     * @param string|null $colour about, as "#b3261a"; null where nothing in it has one
     * @param float|null $sweetToSour null where nothing is sour
     * @param list<CautionReport> $stops what can hurt somebody, shown before anything else is worked out
     * @param string $verdict what is off, or how it stands on the whole; nothing without a family
     */
    private function __construct(
        public array $axes,
        public ?float $distance,
        public ?string $colour,
        public ?float $sweetToSour,
        public float $grams,
        public float $millilitres,
        public PungencyReport $pungency,
        public string $verdict,
        public array $stops,
    ) {}

    public static function of(Sauce $sauce): self
    {
        $balance = $sauce->balance();
        $distance = $sauce->aim->fromFamily($balance->taste);

        return new self(
            AxisReport::all($balance->axes, $sauce->aim),
            $distance === null ? null : round($distance, 3),
            self::colour($sauce),
            RatiosReport::of($balance)->sweetToSour,
            $balance->figures->grams->value,
            $balance->figures->millilitres->value,
            PungencyReport::of($balance),
            $sauce->aim->inShort($balance->taste),
            array_values(array_filter(
                CautionReport::all(Cautions::for($balance)),
                static fn(CautionReport $one): bool => $one->severity === 'stop',
            )),
        );
    }

    /**
     * What was weighed on an earlier day, held against what is wanted today: tastings move that, and so do facts.
     *
     * @param array<string, mixed> $stored as it was answered then; nothing of what was not weighed
     *
     * @return array<string, mixed>
     */
    public static function heldAgainst(array $stored, Aim $aim): array
    {
        $estimates = [];
        foreach (Axis::cases() as $axis) {
            $axes = $stored['axes'] ?? null;
            $then = is_array($axes) ? $axes[$axis->value] ?? null : null;
            if (!is_array($then)) {
                return $stored;
            }
            $figures = array_map(
                static fn(string $name): ?float => is_numeric($then[$name] ?? null) ? (float) $then[$name] : null,
                ['value', 'low', 'high'],
            );
            if (in_array(null, $figures, true)) {
                return $stored;
            }
            $estimates[$axis->value] = new Estimate(...$figures);
        }
        $taste = Taste::ofAxes(array_map(static fn(Estimate $one): float => $one->value, $estimates));
        $distance = $aim->fromFamily($taste);

        return [
            ...$stored,
            'axes' => AxisReport::all($estimates, $aim),
            'distance' => $distance === null ? null : round($distance, 3),
            'verdict' => $aim->inShort($taste),
        ];
    }

    /** About the colour it has once it is cooked by its method; null where nothing in it has one. */
    public static function colour(Sauce $sauce): ?string
    {
        return SauceColour::of($sauce->formula, MethodReader::minutesAtTheHob($sauce->recipe->method))?->hex();
    }
}
