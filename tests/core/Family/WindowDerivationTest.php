<?php

declare(strict_types=1);

namespace Tests\core\Family;

use PHPUnit\Framework\TestCase;
use Vinculum\Family\FamilyBook;
use Vinculum\Family\Quantile;
use Vinculum\Family\ReferenceFormula;
use Vinculum\Family\WindowDerivation;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TargetWindow;
use Vinculum\Sensory\Taste;

final class WindowDerivationTest extends TestCase
{
    /** References whose windows are trusted the more. */
    private const MANY = 8;

    public function test_the_windows_that_ship_are_derived_from_the_references_that_ship(): void
    {
        foreach (FamilyBook::all() as $style) {
            foreach (WindowDerivation::windows(self::tastes($style->key)) as $axis => $window) {
                self::assertEquals(
                    $window,
                    $style->target->window(Axis::from($axis)),
                    "{$style->key} {$axis}: run bin/derive-families",
                );
            }
        }
    }

    /** Hyndman and Fan 1996, type 7; the same figures as NumPy's and R's default. */
    public function test_quantiles(): void
    {
        self::assertSame(2.5, Quantile::median([4.0, 1.0, 3.0, 2.0]));
        self::assertEqualsWithDelta(1.75, Quantile::of([1.0, 2.0, 3.0, 4.0], 0.25), 1e-12);
        self::assertEqualsWithDelta(1.5, Quantile::interquartileRange([1.0, 2.0, 3.0, 4.0]), 1e-12);
        self::assertSame([1.0, 4.0], Quantile::fenced([1.0, 2.0, 3.0, 4.0]));
        // quartiles 2.25 and 4.75, so the upper fence stands at 8.5
        self::assertSame([1.0, 8.5], Quantile::fenced([1.0, 2.0, 3.0, 4.0, 5.0, 40.0]));
        self::assertSame(7.0, Quantile::median([7.0]));
    }

    public function test_one_odd_formula_makes_no_edge(): void
    {
        $usual = array_map(self::salted(...), [1.8, 1.9, 2.0, 2.0, 2.1, 2.2, 2.3]);
        $without = WindowDerivation::windows($usual)['salt'];
        foreach ([6.0, 12.0, 25.0] as $odd) {
            $with = WindowDerivation::windows([...$usual, self::salted($odd)])['salt'];
            self::assertLessThan(2.0, $without->off(Axis::Salt, $with->high), (string) $odd);
        }
    }

    public function test_an_axis_that_one_reference_does_not_reach_starts_at_nothing(): void
    {
        $salted = array_map(self::salted(...), [1.8, 1.9, 2.0, 2.1]);

        self::assertGreaterThan(1.0, WindowDerivation::windows($salted)['salt']->low);
        self::assertSame(0.0, WindowDerivation::windows([...$salted, self::salted(0.0)])['salt']->low);
    }

    public function test_what_is_slight_is_never_too_much(): void
    {
        $windows = WindowDerivation::windows([Taste::of(0.0, 0.0, 0.0, 0.0, 0.0)]);
        foreach (Axis::cases() as $axis) {
            self::assertSame(0.0, $windows[$axis->value]->low);
            self::assertEqualsWithDelta($axis->slight(), $windows[$axis->value]->high, 0.01 * $axis->slight());
        }
    }

    /** Each reference against the windows that the others make: 85 in 100 within a step on every axis, 95 within two; of families of five, fewer. */
    public function test_a_reference_left_out_stands_by_the_windows_of_the_others(): void
    {
        $worst = ['many' => [], 'few' => []];
        foreach (FamilyBook::all() as $style) {
            $tastes = self::tastes($style->key);
            foreach ($tastes as $number => $taste) {
                $others = array_values(array_diff_key($tastes, [$number => true]));
                $worst[count($tastes) >= self::MANY ? 'many' : 'few'][] = $others === []
                    ? INF
                    : self::furthest(WindowDerivation::windows($others), $taste);
            }
        }
        foreach (['many' => [700, 0.85, 0.95], 'few' => [280, 0.75, 0.83]] as $of => [$count, $one, $two]) {
            self::assertGreaterThan($count, count($worst[$of]));
            $within = static fn(float $steps): float
                => count(array_filter($worst[$of], static fn(float $off): bool => $off <= $steps)) / count($worst[$of]);
            self::assertGreaterThanOrEqual($one, $within(1.0), $of);
            self::assertGreaterThanOrEqual($two, $within(2.0), $of);
        }
    }

    public function test_classics_that_made_no_window_are_told_that_they_are_good(): void
    {
        $worst = [];
        foreach (Classics::all() as [$family, $title, $balance]) {
            $windows = array_filter(Axis::each(FamilyBook::get($family)->target->window(...)));
            $worst[$title] = self::furthest($windows, $balance->taste);
        }
        self::assertGreaterThanOrEqual(120, count($worst));
        $within = static fn(float $steps): float
            => count(array_filter($worst, static fn(float $off): bool => $off <= $steps)) / count($worst);
        self::assertGreaterThanOrEqual(0.85, $within(1.0));
        self::assertGreaterThanOrEqual(0.95, $within(2.0));
        self::assertGreaterThanOrEqual(0.99, $within(4.0));
    }

    /** An overdose is told: no edge is more than three steps (and what rounding takes) beyond the strongest of its family. */
    public function test_no_far_edge_is_out_of_reach(): void
    {
        $edges = 0;
        foreach (FamilyBook::all() as $style) {
            $tastes = self::tastes($style->key);
            foreach (Axis::cases() as $axis) {
                $window = $style->target->window($axis);
                $strongest = max(array_map(static fn(Taste $taste): float => $axis->steps($taste->on($axis)), $tastes));
                $reach = max($strongest + 3.1, $axis->steps($axis->slight()) + 0.1);
                self::assertLessThanOrEqual($reach, $axis->steps($window->high ?? 0.0), "{$style->key} {$axis->value}");
                ++$edges;
            }
        }
        self::assertGreaterThan(600, $edges);
    }

    private static function salted(float $salt): Taste
    {
        return Taste::of(5.0, 1.0, $salt, 0.1, 50.0);
    }

    /** @return non-empty-list<Taste> */
    private static function tastes(string $style): array
    {
        return array_map(
            static fn(ReferenceFormula $one): Taste => $one->balance->taste,
            References::all()[$style],
        );
    }

    /** @param array<string, TargetWindow> $windows */
    private static function furthest(array $windows, Taste $taste): float
    {
        $off = 0.0;
        foreach ($windows as $axis => $window) {
            $off = max($off, abs($window->off(Axis::from($axis), $taste->on(Axis::from($axis)))));
        }

        return $off;
    }
}
