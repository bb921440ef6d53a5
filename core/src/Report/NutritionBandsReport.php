<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;

/** How sure what 100 g hold is: each figure with its 90 % band, from the doubts about amounts and compositions. */
final readonly class NutritionBandsReport extends Report
{
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
        // saturates are as sure as the fat they are part of
        $ofFat = $figures->fat > 0.0 ? $figures->saturates / $figures->fat : 0.0;

        return new self(...array_map(
            BandReport::of(...),
            $balance->estimate(static fn(Mixture $mixture): array => NutritionReport::figures(
                $mixture,
                $ofFat * $mixture->get(Component::Fat),
            )),
        ));
    }
}
