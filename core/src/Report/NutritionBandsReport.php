<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Estimate;
use Vinculum\Balance\LineDoubts;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\MixtureChange;
use Vinculum\Ingredient\Saturates;

/** How sure what 100 g hold is: each figure with its 90 % band, from the doubts about amounts and compositions. */
final readonly class NutritionBandsReport extends Report
{
    private const NINETY_PERCENT = 1.645;

    private function __construct(
        public BandReport $energyKj,
        public BandReport $energyKcal,
        public BandReport $fat,
        public BandReport $saturates,
        public BandReport $carbohydrate,
        public BandReport $sugars,
        public BandReport $fibre,
        public BandReport $protein,
        public BandReport $salt,
    ) {}

    /** Null where there are no figures. */
    public static function of(Balance $balance, ?NutritionReport $figures): ?self
    {
        if ($figures === null) {
            return null;
        }
        $saturates = $figures->saturates / 100.0 * $balance->mixture->grams();
        $values = NutritionReport::figures($balance->mixture, $saturates);
        $variances = array_fill(0, count($values), 0.0);
        foreach ($balance->formula->lines as $line) {
            $share = $line->ingredient === null ? 0.0 : Saturates::share($line->ingredient);
            foreach (LineDoubts::of($line) as $direction) {
                $off = NutritionReport::figures(
                    $balance->mixture->movedBy(new MixtureChange($direction)),
                    $saturates + $share * ($direction[Component::Fat->value] ?? 0.0),
                );
                foreach ($off as $at => $figure) {
                    $variances[$at] += ($figure - $values[$at]) ** 2;
                }
            }
        }

        return new self(...array_map(
            static fn(float $value, float $variance): BandReport => BandReport::of(new Estimate(
                $value,
                max(0.0, $value - self::NINETY_PERCENT * sqrt($variance)),
                $value + self::NINETY_PERCENT * sqrt($variance),
            )),
            $values,
            $variances,
        ));
    }
}
