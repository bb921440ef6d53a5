<?php

declare(strict_types=1);

namespace Tests\core\Cooking;

use PHPUnit\Framework\TestCase;
use Vinculum\Cooking\CookFault;
use Vinculum\Cooking\Heat;
use Vinculum\Cooking\Hob;
use Vinculum\Cooking\Pan;
use Vinculum\Cooking\WeighedCook;

/** "Each weighed cook recalibrates that pan and hob by least squares" (handbook, "Cooking"). */
final class HobTest extends TestCase
{
    private const SURFACE = M_PI / 4.0 * 0.24 ** 2;

    public function test_a_hob_nobody_has_measured_is_as_published(): void
    {
        $heat = Hob::unknown()->heat(Heat::named('simmering'), Pan::parse('24 cm'));

        self::assertSame([7.0, 0.4, 0], [$heat->kilogramsPerSquareMetreHour, $heat->uncertain, $heat->cooks]);
    }

    /** The slope through the origin by the textbook: k = Σxy/Σx². */
    public function test_least_squares_over_the_weighed_cooks(): void
    {
        $minutes = [20.0, 40.0, 60.0];
        $grams = [130.0, 300.0, 400.0];
        $hob = Hob::from(
            ...array_map(
                static fn(float $time, float $lost): WeighedCook => new WeighedCook(
                    self::SURFACE,
                    'simmering',
                    $time,
                    $lost,
                ),
                $minutes,
                $grams,
            ),
        );
        $x = array_map(static fn(float $time): float => self::SURFACE * $time / 60.0, $minutes);
        $k = array_sum(
            array_map(static fn(float $a, float $lost): float => $a * $lost / 1000.0, $x, $grams),
        ) / array_sum(array_map(static fn(float $a): float => $a * $a, $x));
        $heat = $hob->heat(Heat::named('simmering'), Pan::parse('24 cm'));

        self::assertEqualsWithDelta($k, $heat->kilogramsPerSquareMetreHour, 1e-9);
        self::assertSame(3, $heat->cooks);
        self::assertLessThan(0.4, $heat->uncertain);
        self::assertGreaterThanOrEqual(0.08, $heat->uncertain);
    }

    public function test_one_cook_already_narrows_the_minutes(): void
    {
        $hob = Hob::from(new WeighedCook(self::SURFACE, 'simmering', 30.0, 220.0));
        [$known, $unknown] = [
            $hob->heat(Heat::named('simmering'), Pan::parse('24 cm'))->minutes(200.0, self::SURFACE),
            Heat::named('simmering')->minutes(200.0, self::SURFACE),
        ];

        self::assertEqualsWithDelta(30.0 * 200.0 / 220.0, $known['value'], 1e-9);
        self::assertLessThan($unknown['high'] - $unknown['low'], $known['high'] - $known['low']);
    }

    public function test_another_pan_or_heat_teaches_nothing(): void
    {
        $hob = Hob::from(new WeighedCook(self::SURFACE, 'simmering', 30.0, 220.0));

        self::assertSame(0, $hob->heat(Heat::named('boiling'), Pan::parse('24 cm'))->cooks);
        self::assertSame(0, $hob->heat(Heat::named('simmering'), Pan::parse('28 cm'))->cooks);
        self::assertSame(0, $hob->heat(Heat::named('simmering'), Pan::parse('5 l'))->cooks);
        self::assertSame(1, $hob->heat(Heat::named('simmering'), Pan::parse('24.5 cm'))->cooks);
    }

    public function test_what_cannot_be_weighed_is_refused(): void
    {
        foreach ([
            [0.0, 30.0, 100.0],
            [0.05, 0.0, 100.0],
            [0.05, 30.0, -1.0],
            [0.05, NAN, 100.0],
        ] as [$surface, $minutes, $lost]) {
            try {
                new WeighedCook($surface, 'simmering', $minutes, $lost);
                self::fail('that is no cook');
            } catch (CookFault $fault) {
                self::assertNotSame('', $fault->getMessage());
            }
        }
    }
}
