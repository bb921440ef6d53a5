<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Keeping\Cautions;

/** What somebody who eats or keeps a sauce has to know. */
final readonly class SafetyReport extends Report
{
    /**
     * @param list<string> $allergens
     * @param list<string> $diets that it certainly fits
     * @param list<CautionReport> $cautions
     * @param NutritionReport|null $nutrition null where a line is not understood
     * @param NutritionBandsReport|null $nutritionBands how sure that is
     */
    private function __construct(
        public ?EstimateReport $ph,
        public ?EstimateReport $waterActivity,
        public array $allergens,
        public array $diets,
        public array $cautions,
        public ?NutritionReport $nutrition,
        public ?NutritionBandsReport $nutritionBands,
    ) {}

    public static function of(Balance $balance): self
    {
        $nutrition = NutritionReport::of($balance);

        return new self(
            ph: EstimateReport::of($balance->ph),
            waterActivity: EstimateReport::of($balance->waterActivity),
            allergens: $balance->allergens(),
            diets: $balance->diets(),
            cautions: CautionReport::all(Cautions::for($balance)),
            nutrition: $nutrition,
            nutritionBands: NutritionBandsReport::of($balance, $nutrition),
        );
    }
}
