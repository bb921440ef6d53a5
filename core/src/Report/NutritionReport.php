<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Nutrition;

/** What 100 g of the finished sauce hold: grams, kJ and kcal. */
final readonly class NutritionReport extends Report
{
    private function __construct(
        public float $energyKj,
        public float $energyKcal,
        public float $fat,
        public float $saturates,
        public float $carbohydrate,
        public float $sugars,
        public float $fibre,
        public float $protein,
        public float $salt,
    ) {}

    public static function of(Balance $balance): ?self
    {
        $nutrition = Nutrition::of($balance);

        return $nutrition === null ? null : new self(
            $nutrition->energyKj,
            $nutrition->energyKcal,
            $nutrition->fat,
            $nutrition->saturates,
            $nutrition->carbohydrate,
            $nutrition->sugars,
            $nutrition->fibre,
            $nutrition->protein,
            $nutrition->salt,
        );
    }
}
