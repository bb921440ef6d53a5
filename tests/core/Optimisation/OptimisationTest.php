<?php

declare(strict_types=1);

namespace Tests\core\Optimisation;

use PHPUnit\Framework\TestCase;
use Vinculum\Optimisation\Bisection;
use Vinculum\Optimisation\Elimination;
use Vinculum\Optimisation\LeastSquares;
use Vinculum\Optimisation\TasteCurve;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TasteLoad;

/** The numerical methods that every search shares, each held to what mathematics says of it. */
final class OptimisationTest extends TestCase
{
    /** Above the threshold the curve is the handbook's scale; everywhere its slopes are its differences. */
    public function test_the_curve_is_the_scale_of_steps_and_its_slopes_are_its_own(): void
    {
        mt_srand(11);
        $curve = new TasteCurve(Axis::cases());
        [$tasted, $below] = [0, 0];
        for ($trial = 0; $trial < 200; ++$trial) {
            $load = self::load($trial % 4 === 0 ? 0.01 : 1.0);
            [$sums, $row] = [TasteCurve::row($load), TasteCurve::row(self::load(0.02))];
            $steps = $curve->steps($sums, $load->grams);
            foreach (Axis::cases() as $axis) {
                $stands = $load->taste()->stepsOn($axis);
                if ($stands > 0.0) {
                    self::assertEqualsWithDelta($stands, $steps[$axis->value], 1e-9);
                    ++$tasted;
                } else {
                    self::assertLessThanOrEqual(0.0, $steps[$axis->value]);
                    ++$below;
                }
                foreach ([false, true] as $isHeld) {
                    $at = static fn(float $grams): float => $curve->steps(
                        TasteCurve::mixed($sums, [$row], [$grams]),
                        $load->grams + ($isHeld ? 0.0 : $grams * $row[TasteCurve::GRAMS]),
                    )[$axis->value];
                    if (($at(1e-4) > 0.0) === ($at(-1e-4) > 0.0)) {
                        self::assertEqualsWithDelta(
                            ($at(1e-4) - $at(-1e-4)) / 2e-4,
                            $curve->slopes($axis->value, $sums, $load->grams, [$row], $isHeld)[0],
                            1e-3 * (1.0 + abs($at(1.0) - $at(0.0))),
                        );
                    }
                }
            }
        }
        self::assertGreaterThan(100, $tasted);
        self::assertGreaterThan(50, $below);
    }

    public function test_the_grams_to_an_edge_lead_there(): void
    {
        mt_srand(12);
        $curve = new TasteCurve([Axis::Salt]);
        $tasted = 0;
        for ($trial = 0; $trial < 50; ++$trial) {
            [$sums, $row] = [TasteCurve::row(self::load(1.0)), [0.0, 0.0, 1.0, 0.0, 0.0, 0.0, 1.0]];
            $now = max(0.0, $curve->steps($sums, $sums[TasteCurve::GRAMS])['salt']);
            $wanted = $now + 2.0;
            $grams = $curve->gramsTo('salt', $wanted, $sums, $row);
            self::assertNotNull($grams);
            $after = TasteCurve::mixed($sums, [$row], [$grams]);
            self::assertEqualsWithDelta($wanted, $curve->steps($after, $after[TasteCurve::GRAMS])['salt'], 1e-9);
            if ($now > 1.0) {
                self::assertNull($curve->gramsTo('salt', $now - 1.0, $sums, $row), 'salt takes no salt away');
                ++$tasted;
            }
        }
        self::assertGreaterThan(20, $tasted);
    }

    /** Rosenbrock's valley (1960), least at (1, 1); with bounds and room as by hand. */
    public function test_least_squares_finds_known_minima(): void
    {
        $valley = static fn(array $x): array => [
            [10.0 * ($x[1] - $x[0] ** 2), [-20.0 * $x[0], 10.0]],
            [1.0 - $x[0], [-1.0, 0.0]],
        ];
        self::assertEqualsWithDelta(
            [1.0, 1.0],
            (new LeastSquares(500, least: [-10.0, -10.0]))->fit($valley, [-1.2, 1.0])[0],
            1e-2,
        );

        $plane = static fn(array $x): array => [[$x[0] - 3.0, [1.0, 0.0]], [$x[1] + 2.0, [0.0, 1.0]]];
        self::assertEqualsWithDelta(
            [3.0, 0.0],
            (new LeastSquares(100))->fit($plane, [1.0, 1.0])[0],
            1e-2,
            'nothing below nothing',
        );
        self::assertEqualsWithDelta(
            [3.0, -1.0],
            (new LeastSquares(100, least: [0.0, -1.0]))->fit($plane, [1.0, 1.0])[0],
            1e-2,
            'as little as is allowed',
        );
        $both = static fn(array $x): array => [[$x[0] - 3.0, [1.0, 0.0]], [$x[1] - 2.0, [0.0, 1.0]]];
        self::assertEqualsWithDelta(
            [2.5, 1.5],
            (new LeastSquares(100, most: 4.0))->fit($both, [0.5, 0.5])[0],
            1e-2,
            'the foot of the perpendicular on x + y = 4',
        );
    }

    public function test_a_price_keeps_amounts_small(): void
    {
        $flat = static fn(array $x): array => [[$x[0] - 1.0, [1.0]]];
        self::assertEqualsWithDelta(
            1.0,
            (new LeastSquares(100, price: 0.5))->fit($flat, [0.2])[0][0],
            1e-2,
            'cheaper than it gains',
        );
        self::assertEqualsWithDelta(
            0.0,
            (new LeastSquares(100, price: 2.0))->fit($flat, [0.2])[0][0],
            1e-2,
            'dearer than it gains',
        );
    }

    public function test_bisection_finds_where_a_yes_begins_from_either_side(): void
    {
        self::assertEqualsWithDelta(
            M_SQRT2,
            Bisection::edge(static fn(float $x): bool => $x * $x >= 2.0, 0.0, 2.0),
            1e-8,
        );
        self::assertEqualsWithDelta(
            M_SQRT2,
            Bisection::edge(static fn(float $x): bool => $x * $x <= 2.0, 2.0, 0.0),
            1e-8,
        );
        self::assertGreaterThanOrEqual(
            0.7,
            Bisection::edge(static fn(float $x): bool => $x >= 0.7, 0.0, 1.0),
            'and it holds there',
        );
    }

    /** Random positive definite systems: the solution put back in gives the right-hand sides again. */
    public function test_elimination_solves_what_it_is_given(): void
    {
        mt_srand(7);
        for ($trial = 0; $trial < 50; ++$trial) {
            $size = 1 + $trial % 3;
            $root = array_map(
                static fn(): array => array_map(static fn(): float => mt_rand(-100, 100) / 50.0, range(1, $size)),
                range(1, $size),
            );
            $matrix = [];
            for ($i = 0; $i < $size; ++$i) {
                for ($j = 0; $j < $size; ++$j) {
                    $matrix[$i][$j] = array_sum(
                        array_map(static fn(array $row): float => $row[$i] * $row[$j], $root),
                    ) + ($i === $j ? 0.5 : 0.0);
                }
            }
            $right = array_map(
                static fn(): array => [mt_rand(-50, 50) / 10.0, mt_rand(-50, 50) / 10.0],
                range(1, $size),
            );
            $solved = Elimination::solve(
                array_map(static fn(array $row, array $sides): array => [...$row, ...$sides], $matrix, $right),
            );
            foreach ($matrix as $i => $row) {
                foreach ([0, 1] as $side) {
                    self::assertEqualsWithDelta(
                        $right[$i][$side],
                        array_sum(
                            array_map(static fn(float $factor, float $x): float => $factor * $x, $row, $solved[$side]),
                        ),
                        1e-8,
                    );
                }
            }
        }
    }

    private static function load(float $scale): TasteLoad
    {
        $draw = static fn(float $most): float => $scale * $most * mt_rand(1, 1000) / 1000.0;

        return TasteLoad::ofSums(
            $draw(60.0),
            $draw(8.0),
            $draw(15.0),
            $draw(4.0),
            $draw(0.5),
            $draw(5e5),
            max(1.0, $scale) * mt_rand(300, 900),
        );
    }
}
