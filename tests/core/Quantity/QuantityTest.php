<?php

declare(strict_types=1);

namespace Tests\core\Quantity;

use PHPUnit\Framework\TestCase;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Quantity\Units;

final class QuantityTest extends TestCase
{
    public function test_us_units_are_exact_by_nist_handbook_44(): void
    {
        $exact = [
            'gallon' => 3785.411784,
            'cup' => 236.5882365,
            'tablespoon' => 14.78676478125,
            'teaspoon' => 4.92892159375,
            'fluid ounce' => 29.5735295625,
        ];
        foreach ($exact as $unit => $millilitres) {
            self::assertSame($millilitres, Units::get($unit, Measures::Us)->millilitres, $unit);
        }
        self::assertSame(28.349523125, Units::get('ounce', Measures::Us)->grams);
        self::assertSame(453.59237, Units::get('pound', Measures::Us)->grams);
    }

    public function test_us_units_divide_into_each_other(): void
    {
        $of = static fn(string $unit): float => (float) Units::get($unit, Measures::Us)->millilitres;

        self::assertEqualsWithDelta(16.0, $of('cup') / $of('tablespoon'), 1e-12);
        self::assertEqualsWithDelta(3.0, $of('tablespoon') / $of('teaspoon'), 1e-12);
        self::assertEqualsWithDelta(2.0, $of('pint') / $of('cup'), 1e-12);
        self::assertEqualsWithDelta(4.0, $of('gallon') / $of('quart'), 1e-12);
    }

    public function test_cups_and_spoons_differ_by_country(): void
    {
        self::assertSame(250.0, Units::get('cup', Measures::Metric)->millilitres);
        self::assertSame(20.0, Units::get('tbsp', Measures::Australian)->millilitres);
        self::assertSame(200.0, Units::get('cup', Measures::Japanese)->millilitres);
        self::assertEqualsWithDelta(568.26, Units::get('pint', Measures::Imperial)->millilitres, 0.005);
        self::assertEqualsWithDelta(28.413, Units::get('fl oz', Measures::Imperial)->millilitres, 0.001);
    }

    public function test_a_lone_capital_t_is_a_tablespoon_and_a_small_one_a_teaspoon(): void
    {
        self::assertSame('tablespoon', Units::named('T', Measures::Us)?->name);
        self::assertSame('teaspoon', Units::named('t', Measures::Us)?->name);
        self::assertSame('tablespoon', Units::named('Tbsp.', Measures::Us)?->name);
        self::assertNull(Units::named('onion', Measures::Us));
    }

    public function test_vague_measures_bring_forty_five_per_cent_of_doubt(): void
    {
        foreach ([
            'mug' => 300.0,
            'glass' => 200.0,
            'ladle' => 120.0,
            'glug' => 15.0,
            'splash' => 5.0,
            'squeeze' => 5.0,
            'drop' => 0.05,
        ] as $unit => $millilitres) {
            self::assertSame($millilitres, Units::get($unit, Measures::Us)->millilitres, $unit);
            self::assertSame(0.45, Units::get($unit, Measures::Us)->spread, $unit);
        }
        $teaspoon = (float) Units::get('teaspoon', Measures::Us)->millilitres;
        foreach (['dash' => 8, 'pinch' => 16, 'smidgen' => 32] as $unit => $part) {
            self::assertEqualsWithDelta($teaspoon / $part, Units::get($unit, Measures::Us)->millilitres, 1e-9, $unit);
        }
        self::assertSame(0.05, Units::get('turn', Measures::Us)->grams);
    }

    public function test_an_amount_has_a_ninety_per_cent_interval_that_never_goes_below_nothing(): void
    {
        $amount = Amount::within(100.0, 0.1);

        self::assertEqualsWithDelta(83.55, $amount->low(), 1e-9);
        self::assertEqualsWithDelta(116.45, $amount->high(), 1e-9);
        self::assertSame(0.0, Amount::within(10.0, 2.0)->low());
        self::assertEqualsWithDelta(50.0, Amount::within(100.0, 0.3)->doubtedBy(0.4)->deviation, 1e-9);
    }

    public function test_an_amount_cannot_be_negative_or_endless(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        Amount::of(-1.0, 0.1);
    }

    public function test_numbers_are_written_as_a_kitchen_writes_them(): void
    {
        self::assertSame('12 g', KitchenNumber::grams(12.3456));
        self::assertSame('1.5 g', KitchenNumber::grams(1.4999));
        self::assertSame('0.4 g', KitchenNumber::grams(0.4));
        self::assertSame('1.25 kg', KitchenNumber::grams(1250.0));
        self::assertSame('1½', KitchenNumber::mixed(1.5));
        self::assertSame('⅓', KitchenNumber::mixed(1 / 3));
        self::assertSame('2', KitchenNumber::mixed(1.999));
    }

    public function test_small_amounts_snap_to_spoons_and_large_ones_to_the_scale(): void
    {
        $spoons = Spoons::of(Measures::Metric);

        self::assertEqualsWithDelta([1.25, 1.875], $spoons->neighbours(1.5, 1.0), 1e-9);
        self::assertEqualsWithDelta([15.0, 22.5], $spoons->neighbours(15.4, 1.0), 1e-9);
        self::assertEqualsWithDelta([20.0, 22.5], $spoons->neighbours(20.0, 1.0), 1e-9, 'in two spoons');
        self::assertSame('1 tbsp + 1 tsp', $spoons->measure(20.0, 1.0)->words());
        self::assertSame([80.0, 81.0], $spoons->neighbours(80.4, 1.0));
        self::assertSame([0.0, 1.0], $spoons->neighbours(0.4, null));
        self::assertSame([3.0, 3.75], $spoons->neighbours(3.2, 1.0, 3.0));
        self::assertSame([7.5, 9.0], $spoons->neighbours(8.0, 1.0, 3.0));
        self::assertSame('¼ tsp', $spoons->measure(1.25, 1.0)->words());
        self::assertSame('1½ tbsp', $spoons->measure(22.5, 1.0)->words());
        self::assertSame('120 g', $spoons->measure(120.0, 1.0)->words());
        self::assertSame('2½ whole', $spoons->measure(7.5, 1.0, 3.0)->words());
        self::assertSame('2½ limes', $spoons->measure(7.5, 1.0, 3.0)->of('Limes'));
        self::assertSame('¼ tsp salt', $spoons->measure(1.25, 1.0)->of('Salt'));
    }

    /** The same figures stand in web/ui/words.test.ts: weights and volumes are written one way, in pages and in answers. */
    public function test_weights_and_volumes_are_written_as_the_pages_write_them(): void
    {
        $rows = json_decode((string) file_get_contents(__DIR__ . '/../../data/figures.json'), true);
        self::assertGreaterThan(150, count($rows));
        foreach ($rows as [$value, $grams, $millilitres]) {
            self::assertSame(
                [$grams, $millilitres],
                [KitchenNumber::grams((float) $value), KitchenNumber::millilitres((float) $value)],
            );
        }
    }
}
