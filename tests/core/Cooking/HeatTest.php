<?php

declare(strict_types=1);

namespace Tests\core\Cooking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Cooking\Heat;
use Vinculum\Cooking\Lid;
use Vinculum\Cooking\MethodStep;
use Vinculum\Cooking\Pan;

/** How fast water leaves a pan: flux times surface times minutes, never more than the ring can pay for. */
final class HeatTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function words(): iterable
    {
        yield 'simmer' => ['Simmer for 20 minutes', 'simmering'];
        yield 'the longer words win' => ['Let it simmer very gently, never boil', 'barely simmering'];
        yield 'boil hard' => ['Boil hard until thick', 'boiling'];
        yield 'not inside another word' => ['Add the boiled egg and parboiled rice', 'simmering'];
        yield 'nothing said' => ['Stir', 'simmering'];
    }

    #[DataProvider('words')]
    public function test_a_method_says_how_hard_it_cooks(string $method, string $key): void
    {
        self::assertSame($key, Heat::inWords($method)->key);
    }

    /** 7 kg/(m²·h) from 24 cm of sauce (handbook): π/4 · 0.24² m² · 7000 g / 60 min = 5.28 g a minute. */
    public function test_a_simmering_pan_loses_what_its_surface_says(): void
    {
        $surface = (float) Pan::parse('24 cm')?->squareMetres;

        self::assertEqualsWithDelta(0.045239, $surface, 1e-6);
        self::assertEqualsWithDelta(105.56, Heat::named('simmering')->grams(20.0, $surface), 0.01);
        ['value' => $minutes, 'low' => $least, 'high' => $most] = Heat::named('simmering')->minutes(105.56, $surface);
        self::assertEqualsWithDelta(20.0, $minutes, 0.001);
        self::assertEqualsWithDelta(20.0 / 1.4, $least, 0.001);
        self::assertEqualsWithDelta(20.0 / 0.6, $most, 0.001);
    }

    /**
     * 3500 W over 2257 J/g is 93 g a minute (latent heat of water: CRC Handbook, from memory), however wide the pan.
     */
    public function test_no_pan_gives_off_more_than_the_ring_can_boil(): void
    {
        self::assertEqualsWithDelta(93.04, Heat::mostGramsPerMinute(), 0.01);
        self::assertEqualsWithDelta(930.4, Heat::named('boiling')->grams(10.0, 2.0), 0.1);
        self::assertGreaterThanOrEqual(10.0, Heat::named('boiling')->minutes(930.4, 2.0)['low'] + 1e-3);
    }

    public function test_a_lid_keeps_nine_tenths_of_it(): void
    {
        $surface = (float) Pan::parse('24 cm')?->squareMetres;
        $step = static fn(Lid $lid): MethodStep => new MethodStep(
            'Simmer 20 minutes',
            'reduce',
            [20.0, 20.0],
            Heat::named('simmering'),
            $lid,
            null,
        );
        [$open, $covered] = [$step(Lid::NotSaid)->evaporates($surface), $step(Lid::On)->evaporates($surface)];

        self::assertEqualsWithDelta(0.1 * $open['value'], $covered['value'], 1e-9);
        self::assertEqualsWithDelta(0.6 * $open['value'], $open['low'], 1e-9);
        self::assertEqualsWithDelta(1.4 * $open['value'], $open['high'], 1e-9);
    }

    public function test_a_range_of_minutes_is_a_range_of_water(): void
    {
        $step = new MethodStep('Simmer 20 to 40 minutes', 'heat', [20.0, 40.0], Heat::named('simmering'), Lid::NotSaid, null);
        $lost = $step->evaporates(0.045239) ?? self::fail('water leaves');

        self::assertEqualsWithDelta(158.3, $lost['value'], 0.1, 'half an hour of it');
        self::assertEqualsWithDelta(63.3, $lost['low'], 0.1);
        self::assertEqualsWithDelta(295.6, $lost['high'], 0.1);
        self::assertNull(
            (new MethodStep('Stir', 'do', null, null, Lid::NotSaid, null))->evaporates(0.045239),
            'off the hob nothing leaves',
        );
    }

    /** A hob that was weighed is known better than the table, and its word takes the table's place. */
    public function test_a_weighed_hob_is_believed(): void
    {
        $step = new MethodStep('Simmer 30 minutes', 'heat', [30.0, 30.0], Heat::named('simmering'), Lid::NotSaid, null);
        $here = Heat::named('simmering')->calibrated(9.0, 0.1, 4);
        $lost = $step->evaporates(0.045239, $here) ?? self::fail('water leaves');

        self::assertEqualsWithDelta(203.6, $lost['value'], 0.1);
        self::assertEqualsWithDelta(0.9 * 203.6, $lost['low'], 0.1);
        self::assertSame(4, $here->cooks);
    }

    /** Two thirds full boils over the rim no more (handbook); 24 × 12 cm holds 5.4 l. */
    public function test_a_pan_has_room_to_rise(): void
    {
        self::assertEqualsWithDelta(5428.7, (float) Pan::parse('24 × 12 cm')?->millilitres, 0.1);
        self::assertEqualsWithDelta(3619.1, (float) Pan::parse('24 × 12 cm')?->boilingMillilitres(), 0.2);
        self::assertNull(Pan::parse('24 cm')?->boilingMillilitres());
        self::assertNull(Pan::parse('a big one'));
    }
}
