<?php

declare(strict_types=1);

namespace Tests\core\Report;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Saturates;
use Vinculum\Quantity\Measures;
use Vinculum\Report\NutritionReport;

final class NutritionReportTest extends TestCase
{
    /** Each part by hand from the rows: sugar 100 g, oil 50 g, salt 5 g and water to 400 g. */
    public function test_is_the_sum_of_what_goes_in(): void
    {
        $nutrition = self::nutrition(['100 g white sugar', '50 g sunflower oil', '5 g salt', '245 g water']);

        self::assertEqualsWithDelta((100.0 * 17.0 + 50.0 * 37.0) / 4.0, $nutrition?->energyKj, 8.0);
        self::assertEqualsWithDelta((100.0 * 4.0 + 50.0 * 9.0) / 4.0, $nutrition?->energyKcal, 2.0);
        self::assertEqualsWithDelta(12.5, $nutrition?->fat, 0.1);
        self::assertEqualsWithDelta(1.25, $nutrition?->saturates, 0.1);
        self::assertEqualsWithDelta(25.0, $nutrition?->sugars, 0.1);
        self::assertEqualsWithDelta(25.0, $nutrition?->carbohydrate, 0.1);
        self::assertEqualsWithDelta(1.25, $nutrition?->salt, 0.02);
    }

    /** Bought sauces by what their labels usually declare in 100 g: kcal, fat, sugars, salt (common practice). */
    public function test_agrees_with_usual_declarations(): void
    {
        foreach ([
            'ketchup' => [102, 0.1, 22.0, 1.9],
            'mayonnaise' => [700, 76.0, 1.4, 1.4],
            'soy sauce' => [60, 0.1, 1.5, 14.5],
            'barbecue sauce' => [165, 0.4, 33.0, 2.0],
            'tahini' => [620, 56.0, 0.6, 0.1],
        ] as $name => [$kcal, $fat, $sugars, $salt]) {
            $found = self::nutrition(["100 g {$name}"]);
            self::assertEqualsWithDelta($kcal, $found?->energyKcal, 0.2 * $kcal, $name);
            self::assertEqualsWithDelta($fat, $found?->fat, 0.2 * $fat + 0.5, $name);
            self::assertEqualsWithDelta($sugars, $found?->sugars, 0.2 * $sugars + 1.0, $name);
            self::assertEqualsWithDelta($salt, $found?->salt, 0.35 * $salt + 0.1, $name);
        }
    }

    /** USDA, from memory: saturated fat in 100 g. */
    public function test_saturated_fat_agrees_with_the_tables(): void
    {
        foreach ([
            'butter' => 51.4,
            'coconut-oil' => 82.5,
            'olive-oil' => 13.8,
            'lard' => 39.2,
            'cheddar' => 18.9,
            'double-cream' => 26.0,
            'coconut-milk' => 18.9,
            'peanut-butter' => 8.1,
            'tahini' => 7.5,
            'walnut' => 6.1,
            'sesame-oil' => 14.2,
            'egg-yolk' => 9.6,
        ] as $key => $published) {
            $found = Saturates::in(Catalogue::shipped()->get($key));
            self::assertEqualsWithDelta($published, $found, 0.2 * $published + 0.5, $key);
        }
        foreach (FactsFile::named('fats') as $row) {
            foreach ($row->list('of') as $key) {
                self::assertTrue(Catalogue::shipped()->has($key), $key);
            }
        }
    }

    public function test_what_is_not_understood_leaves_it_unknown(): void
    {
        self::assertNull(self::nutrition(['100 g ketchup', '50 g zorp']));
        self::assertNull(self::nutrition([]));
        self::assertNotNull(self::nutrition(['100 g ketchup', 'salt to taste']));
    }

    /** @param list<string> $lines */
    private static function nutrition(array $lines): ?NutritionReport
    {
        return NutritionReport::of(Balance::of(Formula::fromTexts($lines, Catalogue::shipped(), Measures::Us)));
    }
}
