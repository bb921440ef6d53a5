<?php

declare(strict_types=1);

namespace Vinculum\Contract;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Balance\MeasuredYield;
use Vinculum\Chemistry\Solids;
use Vinculum\Chemistry\Volume;
use Vinculum\Cooking\Heat;
use Vinculum\Cooking\Pan;
use Vinculum\Cooking\Reduction;
use Vinculum\Cooking\Thickening;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;

/** Boiling down and thickening, for HTTP: grams, millilitres, minutes, steps. */
final class ThicknessShape
{
    /**
     * @param Formula $formula the sauce that is boiled down
     *
     * @return array<string, mixed>
     */
    public static function reduction(Reduction $plan, Formula $formula, ?Pan $pan, Heat $heat, ?Target $style, ?Target $own): array
    {
        $taste = Taste::ofMixture($plan->after);
        $target = $own ?? $style;
        // weighed at the end, as the plan says
        $after = Balance::of($formula->cookedTo(MeasuredYield::estimated($plan->after->grams(), 0.01 * $plan->after->grams())));

        return [
            'evaporate_grams' => Figure::round($plan->waterToLose),
            'pan_reads_grams' => Figure::round($plan->after->grams()),
            'millilitres' => Figure::round(Volume::millilitres($plan->after)),
            'dissolved_solids_percent' => Figure::round(Solids::dissolvedPercent($plan->after)),
            'minutes' => $pan?->squareMetres === null ? null : array_map(Figure::round(...), $heat->minutes($plan->waterToLose, $pan->squareMetres)),
            'heat' => ['key' => $heat->key, 'cooks' => $heat->cooks, 'uncertain_percent' => Figure::round(100.0 * $heat->uncertain)],
            'change_steps' => array_map(Figure::round(...), Taste::ofMixture($plan->before)->stepsTo($taste)),
            'off_by_steps' => Axis::each(static fn(Axis $axis): ?float => Figure::roundOrNull($target?->window($axis)?->off($axis, $taste->on($axis)))),
            'curve' => array_map(static fn(array $point): array => ['grams' => Figure::round($point['grams']), 'millilitres' => Figure::round($point['millilitres']), 'steps' => array_map(Figure::round(...), $point['steps'])], $plan->curve()),
            'warnings' => $plan->warnings,
            'after' => BalanceShape::axes($after->axes, $style, $own),
        ];
    }

    /** @return array<string, mixed> */
    public static function thickening(Thickening $way, Measures $measures): array
    {
        $spoons = Spoons::of($measures);
        $density = $way->ingredient->density;

        return [
            'ingredient' => $way->ingredient->key,
            'name' => $way->ingredient->name,
            'grams' => Figure::round($way->grams),
            'measure' => $spoons->words($spoons->nearest($way->grams, $density), $density),
            'slurry_water_grams' => Figure::round($way->slurryWater),
            'how' => $way->how,
            'mind' => $way->mind,
            'change_steps' => array_map(Figure::round(...), $way->changeSteps),
            'allergens' => $way->ingredient->allergens,
        ];
    }
}
