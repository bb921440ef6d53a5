<?php

declare(strict_types=1);

namespace Tests\core\Report;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Report\NutritionBandsReport;
use Vinculum\Report\NutritionReport;

final class NutritionBandsTest extends TestCase
{
    public function test_each_figure_lies_in_its_band_and_what_was_weighed_is_surer(): void
    {
        $poured = self::of(['4 tbsp honey', '1 onion', '3 tbsp olive oil', '1 pinch salt']);
        $weighed = self::of(['84 g honey', '150 g onion', '41 g olive oil', '0.4 g salt']);
        foreach (['energyKcal', 'fat', 'sugars', 'salt', 'fibre'] as $figure) {
            self::assertGreaterThanOrEqual($poured->{$figure}->low, $poured->{$figure}->value, $figure);
            self::assertLessThanOrEqual($poured->{$figure}->high, $poured->{$figure}->value, $figure);
            self::assertLessThan(self::width($poured->{$figure}), self::width($weighed->{$figure}), $figure);
        }
    }

    /** By hand: 100 g of sugar and water half and half, weighed to 1 % each, of grade A or better. */
    public function test_a_syrup_is_as_sure_as_its_weighing(): void
    {
        $syrup = self::of(['50 g white sugar', '50 g water']);

        self::assertEqualsWithDelta(50.0, $syrup->sugars->value, 0.2);
        // a share of two equal weights varies by 1 % / sqrt 2; the grade of pure sugar adds its own
        self::assertGreaterThan(0.5 * 1.645 * 0.007 * 50.0, $syrup->sugars->high - $syrup->sugars->value);
        self::assertLessThan(0.06 * 50.0, $syrup->sugars->high - $syrup->sugars->value);
    }

    /** @param list<string> $lines */
    private static function of(array $lines): NutritionBandsReport
    {
        $balance = Balance::of(Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric));
        $bands = NutritionBandsReport::of($balance, NutritionReport::of($balance));
        self::assertNotNull($bands);

        return $bands;
    }

    private static function width(object $band): float
    {
        return ($band->high - $band->low) / max(1e-9, $band->value);
    }
}
