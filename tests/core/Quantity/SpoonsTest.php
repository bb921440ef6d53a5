<?php

declare(strict_types=1);

namespace Tests\core\Quantity;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Quantity\Units;

/** What a kitchen can measure, and how it says so. */
final class SpoonsTest extends TestCase
{
    public function test_neighbours_hold_the_asked_amount_between_them_a_notch_apart(): void
    {
        foreach ([Measures::Us, Measures::Metric, Measures::Australian] as $measures) {
            $spoons = Spoons::of($measures);
            foreach ([null, 0.5, 1.0, 1.4] as $density) {
                foreach ([0.2, 1.0, 3.7, 12.0, 41.0, 99.0, 180.0, 720.0] as $grams) {
                    [$below, $above] = $spoons->neighbours($grams, $density);
                    self::assertLessThanOrEqual($grams + 1e-6, $below);
                    self::assertGreaterThan($grams, $above + 1e-6);
                    self::assertLessThanOrEqual($spoons->notch($grams, $density) + 1e-9, $above - $below);
                    self::assertGreaterThan(0.0, $above - $below);
                    self::assertContains($spoons->nearest($grams, $density), [$below, $above]);
                    self::assertGreaterThan(0.0, $spoons->nearest($grams, $density));
                }
            }
        }
    }

    public function test_what_was_measured_is_its_own_neighbour(): void
    {
        $spoons = Spoons::of(Measures::Us);
        foreach ([0.3, 2.5, 14.0, 60.0, 150.0] as $grams) {
            [$below] = $spoons->neighbours($grams, 1.1);
            if ($below > 0.0) {
                self::assertEqualsWithDelta($below, $spoons->neighbours($below, 1.1)[0], 1e-9);
            }
        }
    }

    public function test_the_scale_measures_what_spoons_are_too_coarse_for(): void
    {
        $spoons = Spoons::of(Measures::Us);

        self::assertSame([46.0, 47.0], $spoons->onScale(46.4));
        self::assertSame([0.0, 1.0], $spoons->onScale(0.4));
        self::assertSame('46 g', $spoons->measure(46.0, 1.12)->words(), 'what no spoon holds is said in grams');
        self::assertSame(
            [46.4, 46.5],
            array_map(
                static fn(float $grams): float => round($grams, 6),
                Spoons::of(Measures::Us, 0.1)->onScale(46.44),
            ),
        );
    }

    /** @return iterable<string, array{float, string}> millilitres of water and the words */
    public static function spoonfuls(): iterable
    {
        foreach ([
            '⅛ tsp' => 0.625,
            '¼ tsp' => 1.25,
            '½ tsp' => 2.5,
            '¾ tsp' => 3.75,
            '1 tsp' => 5.0,
            '1¼ tsp' => 6.25,
            '½ tbsp' => 7.5,
            '2 tsp' => 10.0,
            '1 tbsp' => 15.0,
            '1½ tbsp' => 22.5,
            '4 tbsp' => 60.0,
        ] as $words => $millilitres) {
            yield $words => [$millilitres, $words];
        }
    }

    #[DataProvider('spoonfuls')]
    public function test_says_spoonfuls_as_a_cook_would(float $millilitres, string $words): void
    {
        self::assertSame($words, Spoons::of(Measures::Metric)->measure($millilitres, 1.0)->words());
    }

    public function test_numbers_of_every_size_are_short(): void
    {
        self::assertSame(
            ['0.05 g', '0.5 g', '9.9 g', '10 g', '999 g', '1 kg', '2.35 kg'],
            array_map(KitchenNumber::grams(...), [0.05, 0.5, 9.9, 10.2, 999.4, 1000.0, 2345.0]),
        );
        self::assertSame(
            ['0.3 ml', '7.5 ml', '20 ml', '250 ml', '1.5 l'],
            array_map(KitchenNumber::millilitres(...), [0.308, 7.5, 20.2, 250.0, 1500.0]),
        );
        self::assertSame(
            ['0', '⅛', '⅔', '1¾', '2.4', '12'],
            array_map(KitchenNumber::mixed(...), [0.0, 0.125, 0.667, 1.75, 2.4, 12.0]),
        );
    }

    public function test_every_unit_is_there_in_every_system_and_converts_there_and_back(): void
    {
        $volumes = [
            'cup',
            'tablespoon',
            'teaspoon',
            'dessertspoon',
            'fluid ounce',
            'pint',
            'quart',
            'gallon',
            'gill',
            'millilitre',
            'centilitre',
            'decilitre',
            'litre',
            'pinch',
            'dash',
            'smidgen',
            'mug',
            'glug',
        ];
        foreach (Measures::cases() as $measures) {
            foreach ($volumes as $one) {
                foreach ($volumes as $other) {
                    $there = (float) Units::get($one, $measures)->millilitres
                        / (float) Units::get($other, $measures)->millilitres;
                    $back = (float) Units::get($other, $measures)->millilitres
                        / (float) Units::get($one, $measures)->millilitres;
                    self::assertEqualsWithDelta(1.0, $there * $back, 1e-12);
                }
            }
            self::assertEqualsWithDelta(
                16.0,
                (float) Units::get('pound', $measures)->grams / (float) Units::get('ounce', $measures)->grams,
                1e-12,
            );
            self::assertNotSame('', $measures->title());
        }
    }

    public function test_a_unit_nobody_knows_is_refused(): void
    {
        $this->expectException(\OutOfBoundsException::class);
        Units::get('firkin', Measures::Us);
    }

    public function test_a_few_are_counted_and_many_are_weighed(): void
    {
        $spoons = Spoons::of(Measures::Metric);

        self::assertSame('3½ whole', $spoons->measure($spoons->nearest(17.0, 0.6, 5.0), 0.6, 5.0)->words());
        self::assertSame('65 g', $spoons->measure($spoons->nearest(65.0, 0.6, 5.0), 0.6, 5.0)->words());
        self::assertSame('320 g', $spoons->measure($spoons->nearest(319.0, null, 4.0), null, 4.0)->words());
    }

    /** Who has no scale is told cups, spoons or pieces of whatever can be poured or heaped. */
    public function test_without_a_scale_nothing_that_can_be_poured_is_weighed(): void
    {
        foreach ([Measures::Us, Measures::Metric, Measures::Australian] as $measures) {
            $spoons = Spoons::of($measures, hasScale: false);
            for ($grams = 0.5; $grams < 1500.0; $grams *= 1.17) {
                foreach ([0.55, 0.92, 1.0, 1.42] as $density) {
                    $words = $spoons->measure($spoons->nearest($grams, $density), $density)->words();
                    self::assertMatchesRegularExpression('/(?:cups?|tbsp|tsp)$/', $words, "{$grams} g at {$density}");
                }
            }
        }
        self::assertSame('1 cup', Spoons::of(Measures::Us, hasScale: false)->measure(237.0, 1.0)->words());
        self::assertSame('237 g', Spoons::of(Measures::Us)->measure(237.0, 1.0)->words());
    }
}
