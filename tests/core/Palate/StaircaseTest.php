<?php

declare(strict_types=1);

namespace Tests\core\Palate;

use PHPUnit\Framework\TestCase;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Palate\DilutionSeries;
use Vinculum\Palate\Staircase;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

final class StaircaseTest extends TestCase
{
    public function test_two_right_make_it_harder_and_one_wrong_easier(): void
    {
        self::assertSame(4.0, Staircase::after([])->next);
        self::assertSame(4.0, Staircase::after([[4.0, true]])->next);
        self::assertSame(2.0, Staircase::after([[4.0, true], [4.0, true]])->next);
        self::assertSame(4.0, Staircase::after([[4.0, true], [4.0, true], [2.0, false]])->next);
        self::assertSame(
            0.5,
            Staircase::after([
                [4.0, true],
                [4.0, true],
                [2.0, true],
                [2.0, true],
                [1.0, true],
                [1.0, true],
                [0.5, true],
                [0.5, true],
            ])->next,
        );
    }

    public function test_says_nothing_before_it_has_turned_often_enough(): void
    {
        self::assertNull(Staircase::after([[4.0, true], [4.0, true], [2.0, false]])->ownStep());
    }

    /**
     * Simulated tongues that are right with the probability of a cumulative normal around their own step: the estimate
     * tells a fine one from a coarse one (Levitt 1971, from memory, for where a two-down one-up staircase settles).
     */
    public function test_tells_a_fine_tongue_from_a_coarse_one(): void
    {
        mt_srand(7);
        $estimate = static function (float $own): float {
            $answers = [];
            for ($trial = 0; $trial < 60; ++$trial) {
                $level = Staircase::after($answers)->next;
                $answers[] = [$level, mt_rand() / mt_getrandmax() < 0.5 + 0.5 * (1.0 - exp(-(($level / $own) ** 2)))];
            }

            return (float) Staircase::after($answers)->ownStep();
        };
        $mean = static fn(float $own): float => array_sum(
            array_map(static fn(): float => $estimate($own), range(1, 30)),
        ) / 30.0;

        self::assertLessThan(1.0, $mean(0.5));
        self::assertGreaterThan(1.6, $mean(3.0));
    }

    public function test_a_tongue_is_judged_only_when_it_is_known(): void
    {
        $turning = static fn(float $level): array => array_merge(
            ...array_fill(0, 4, [[$level, true], [$level, true], [$level, false]]),
        );

        self::assertNull(Staircase::after([[4.0, true]])->verdict());
        self::assertSame('a fine tongue', Staircase::after($turning(0.5))->verdict());
        self::assertSame('about what most can', Staircase::after($turning(1.0))->verdict());
        self::assertSame('less than most, and training helps', Staircase::after($turning(4.0))->verdict());
    }

    public function test_a_series_is_as_many_steps_apart_as_it_says(): void
    {
        foreach (Axis::cases() as $axis) {
            $series = DilutionSeries::on($axis, Catalogue::shipped());
            $glasses = $series->glasses;
            $at = static fn(array $glass): float => Taste::ofMixture(
                $series->solute->grams($glass['solute_grams'])->plus(
                    Catalogue::shipped()->get('water')->grams(200.0 - $glass['solute_grams']),
                ),
            )->stepsOn($axis);
            self::assertSame([0.0, 0.5, 1.0, 2.0, 4.0], array_column($glasses, 'steps'));
            foreach ($glasses as $glass) {
                self::assertEqualsWithDelta(200.0, $glass['stock_grams'] + $glass['water_grams'], 1e-9);
                self::assertEqualsWithDelta(
                    $glass['solute_grams'],
                    $glass['stock_grams'] * $series->stockPercent / 100.0,
                    1e-9,
                );
                self::assertGreaterThanOrEqual(0.0, $glass['water_grams']);
                self::assertEqualsWithDelta(
                    $at($glasses[0]) + $glass['steps'],
                    $at($glass),
                    0.02,
                    "{$axis->value} {$glass['steps']}",
                );
            }
            self::assertGreaterThan(
                1.0,
                $glasses[1]['stock_grams'] - $glasses[0]['stock_grams'],
                'a one-gram scale tells them apart',
            );
        }
    }
}
