<?php

declare(strict_types=1);

namespace Tests\core\Palate;

use PHPUnit\Framework\TestCase;
use Vinculum\Facts\FactsFile;
use Vinculum\Family\FamilyBook;
use Vinculum\Palate\Palate;
use Vinculum\Palate\Tasting;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetWindow;

final class PalateTest extends TestCase
{
    public function test_without_tastings_it_is_the_family(): void
    {
        $family = FamilyBook::get('ketchup')->target;
        $palate = Palate::learned($family, []);

        self::assertNull($palate->words());
        self::assertEquals($family, $palate->target($family));
    }

    /**
     * The posterior by brute force: prior times likelihood on a fine grid (definition of Bayes' rule, no closed form).
     */
    public function test_agrees_with_the_posterior_worked_out_on_a_grid(): void
    {
        $family = self::family(10.0, 14.0);
        $tastings = [
            self::tasting(12.0, -1.0),
            self::tasting(13.5, 0.0),
            self::tasting(15.0, 0.5),
            self::tasting(11.0, -2.0),
        ];
        $facts = FactsFile::named('palate')['learning'];
        [$mass, $first, $second] = [0.0, 0.0, 0.0];
        for ($ideal = 0.0; $ideal <= 40.0; $ideal += 0.002) {
            $log = -0.5 * (($ideal - 12.0) / 2.0) ** 2;
            foreach ($tastings as $tasting) {
                $wanted = $tasting->steps['sour'] - $facts->number('point') * $tasting->scores['sour'];
                $log -= 0.5 * (($ideal - $wanted) / $facts->number('noise')) ** 2;
            }
            $mass += exp($log);
            $first += $ideal * exp($log);
            $second += $ideal ** 2 * exp($log);
        }
        $ideal = Palate::learned($family, $tastings)->ideals['sour'];

        self::assertEqualsWithDelta($first / $mass, $ideal->mean, 1e-6);
        self::assertEqualsWithDelta(sqrt($second / $mass - ($first / $mass) ** 2), $ideal->deviation, 1e-6);
    }

    public function test_a_cook_who_always_wants_it_sharper_moves_the_window_up_and_more_tastings_move_it_more(): void
    {
        $family = self::family(10.0, 14.0);
        $shifts = [];
        foreach ([1, 3, 10, 100] as $count) {
            $palate = Palate::learned($family, array_fill(0, $count, self::tasting(13.0, -1.0)));
            $shifts[] = $palate->ideals['sour']->shift();
            $window = $palate->target($family)->window(Axis::Sour);
            self::assertEqualsWithDelta(
                4.0,
                Axis::Sour->steps($window->high ?? 0.0) - Axis::Sour->steps($window->low ?? 0.0),
                1e-6,
            );
        }
        $sorted = $shifts;
        sort($sorted);

        self::assertSame($sorted, $shifts);
        self::assertGreaterThan(0.0, $shifts[0]);
        self::assertEqualsWithDelta(
            3.5,
            $shifts[3],
            0.1,
            '13 steps scored too little by a point is an ideal of 15.5, 3.5 above the middle',
        );
    }

    public function test_says_it_in_words(): void
    {
        $words = Palate::learned(self::family(10.0, 14.0), array_fill(0, 6, self::tasting(13.0, -0.5)))->words();

        self::assertSame('you like it 1.8 steps sharper, from 6 tastings', $words);
    }

    public function test_an_axis_that_was_not_judged_or_has_no_window_stays(): void
    {
        $palate = Palate::learned(
            self::family(10.0, 14.0),
            [new Tasting(['sour' => 12.0, 'salt' => 9.0], ['salt' => 2.0])],
        );

        self::assertSame(['sour'], array_keys($palate->ideals));
        self::assertSame(0.0, $palate->ideals['sour']->shift());
        self::assertNull($palate->words());
    }

    public function test_what_is_below_its_threshold_is_not_judged_just_right_but_may_be_missed(): void
    {
        $family = Target::of(['heat' => TargetWindow::between(0.0, Axis::Heat->valueAt(10.0))]);
        $shift = static fn(float $score): float => Palate::learned(
            $family,
            [new Tasting(['heat' => 0.0], ['heat' => $score])],
        )->ideals['heat']->shift();

        self::assertSame(0.0, $shift(0.0));
        self::assertLessThan(
            0.0,
            $shift(-1.0),
            'a point too little at nothing is an ideal of 2.5 steps, below the middle of 5',
        );
    }

    public function test_one_tasting_alone_never_moves_it_by_more_than_half_of_what_it_says(): void
    {
        foreach ([[0.0, 30.0], [10.0, 11.0], [10.0, 16.0]] as [$low, $high]) {
            $middle = ($low + $high) / 2.0;
            $shift = Palate::learned(
                self::family($low, $high),
                [self::tasting($middle + 4.0, 0.0)],
            )->ideals['sour']->shift();
            self::assertGreaterThan(0.3, $shift);
            self::assertLessThan(2.0, $shift);
        }
    }

    public function test_a_score_beyond_the_scale_is_refused(): void
    {
        $this->expectExceptionMessage('from −2 to +2');
        new Tasting(['sour' => 1.0], ['sour' => 3.0]);
    }

    private static function family(float $low, float $high): Target
    {
        return Target::of(['sour' => TargetWindow::between(Axis::Sour->valueAt($low), Axis::Sour->valueAt($high))]);
    }

    private static function tasting(float $steps, float $score): Tasting
    {
        return new Tasting(['sour' => $steps], ['sour' => $score]);
    }
}
