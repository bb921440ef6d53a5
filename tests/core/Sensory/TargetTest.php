<?php

declare(strict_types=1);

namespace Tests\core\Sensory;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Chemistry\Mixture;
use Vinculum\Family\Family;
use Vinculum\Family\FamilyBook;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetShift;
use Vinculum\Sensory\TargetWindow;
use Vinculum\Sensory\Taste;

/** Windows and targets in steps: what is moved, narrowed or met half-way stays on the scale of the tongue. */
final class TargetTest extends TestCase
{
    /** @return iterable<string, array{Axis}> */
    public static function axes(): iterable
    {
        foreach (Axis::cases() as $axis) {
            yield $axis->value => [$axis];
        }
    }

    #[DataProvider('axes')]
    public function test_a_value_taken_to_steps_and_back_is_the_same(Axis $axis): void
    {
        foreach ([1.0, 1.7, 6.0, 40.0, 900.0] as $times) {
            $value = $times * $axis->threshold();
            self::assertEqualsWithDelta($value, $axis->valueAt($axis->steps($value)), 1e-9 * $value);
        }
        self::assertSame(0.0, $axis->steps(0.0), 'what cannot be tasted is no step');
        self::assertSame(0.0, $axis->steps($axis->threshold() / 2.0));
    }

    public function test_it_is_asked_of_what_a_family_has_and_a_sauce_holds_nothing_of(): void
    {
        $target = FamilyBook::get('vinaigrette')->target;
        $holds = static fn(array $grams): array => $target->missingFrom(
            Taste::ofMixture(Mixture::of(['water' => 60.0, ...$grams])),
        );

        self::assertContains(Axis::Salt, $holds(['acetic' => 2.0]));
        self::assertContains(Axis::Sour, $holds(['salt' => 1.0]));
        self::assertSame([], $holds(['acetic' => 2.0, 'salt' => 1.0, 'sucrose' => 5.0]));
        self::assertNotContains(Axis::Salt, $target->without(Axis::Salt)->missingFrom(
            Taste::ofMixture(Mixture::of(['water' => 60.0, 'acetic' => 2.0])),
        ));
    }

    /** ln(1 + w) for each axis: Weber fractions of Schutz and Pilgrim 1957 as the facts have them. */
    #[DataProvider('axes')]
    public function test_a_window_of_steps_is_as_wide_as_it_says(Axis $axis): void
    {
        $window = TargetWindow::ofSteps($axis, 3.0, 7.5);
        self::assertEqualsWithDelta(4.5, $axis->steps($window->high) - $axis->steps($window->low), 1e-9);
        self::assertEqualsWithDelta(-1.0, $window->off($axis, $axis->valueAt(2.0)), 1e-9);
        self::assertEqualsWithDelta(2.5, $window->off($axis, $axis->valueAt(10.0)), 1e-9);
        self::assertSame(0.0, $window->off($axis, $axis->valueAt(5.0)));

        $low = TargetWindow::ofSteps($axis, -2.0, 1.0);
        self::assertSame(0.0, $low->low, 'below the threshold a window begins at nothing');
        self::assertSame(0.0, $low->off($axis, 0.0));
        self::assertSame(0.0, TargetWindow::ofSteps($axis, -5.0, -1.0)->low);
        self::assertEquals(TargetWindow::ofSteps($axis, 4.0, 6.0), TargetWindow::around($axis, 5.0, 1.0));
    }

    public function test_something_for_each_axis_in_the_one_order(): void
    {
        self::assertSame(
            ['sweet' => 'SWEET', 'sour' => 'SOUR', 'salt' => 'SALT', 'umami' => 'UMAMI', 'heat' => 'HEAT'],
            Axis::each(static fn(Axis $axis): string => strtoupper($axis->value)),
        );
    }

    public function test_how_far_two_tastes_are_apart(): void
    {
        $one = Taste::of(10.0, 1.0, 1.0, 0.1, 100.0);
        self::assertSame(0.0, $one->stepsApart($one));
        $sweeter = Taste::of(
            Axis::Sweet->valueAt(Axis::Sweet->steps(10.0) + 3.0),
            1.0,
            1.0,
            0.1,
            Axis::Heat->valueAt(Axis::Heat->steps(100.0) - 4.0),
        );
        self::assertEqualsWithDelta(5.0, $one->stepsApart($sweeter), 1e-9, '3 and 4 steps on two axes');
        self::assertEqualsWithDelta(5.0, $sweeter->stepsApart($one), 1e-9, 'both ways alike');
    }

    public function test_a_moved_target_keeps_its_width_until_it_meets_the_threshold(): void
    {
        $style = FamilyBook::get('ketchup')->target;
        $window = $style->window(Axis::Sour);
        $moved = $style->moved(Axis::Sour, 2.0)->window(Axis::Sour);
        self::assertNotNull($window);
        self::assertNotNull($moved);
        self::assertEqualsWithDelta(Axis::Sour->steps($window->high) + 2.0, Axis::Sour->steps($moved->high), 1e-9);
        self::assertEqualsWithDelta(Axis::Sour->steps($window->low) + 2.0, Axis::Sour->steps($moved->low), 1e-9);
        self::assertEquals(
            $style->window(Axis::Salt),
            $style->moved(Axis::Sour, 2.0)->window(Axis::Salt),
            'the others stay',
        );
        self::assertSame(0.0, $style->moved(Axis::Sour, -90.0)->window(Axis::Sour)?->low);
        self::assertNull(
            $style->without(Axis::Heat)->moved(Axis::Heat, 3.0)->window(Axis::Heat),
            'what was let go of stays so',
        );
    }

    public function test_half_way_between_two_tastes(): void
    {
        $before = Taste::of(5.0, 0.5, 1.0, 0.1, 50.0);
        $after = Taste::of(20.0, 0.5, 1.0, 0.1, 50.0);
        $target = Target::between($before, $after, 0.5);
        self::assertGreaterThan(0.0, $target->distance($before));
        self::assertEqualsWithDelta($target->distance($before), $target->distance($after), 1e-9);
        self::assertEqualsWithDelta(
            0.0,
            $target->distance(Taste::of(10.0, 0.5, 1.0, 0.1, 50.0)),
            1e-9,
            'the geometric middle of 5 and 20 is 10',
        );
    }

    public function test_words_move_their_own_axis_and_nothing_else(): void
    {
        $target = Target::around(Taste::of(8.0, 0.8, 1.2, 0.2, 200.0));
        foreach ([
            'a little sharper' => [Axis::Sour, 1],
            'much less salty' => [Axis::Salt, -1],
            'sweeter' => [Axis::Sweet, 1],
            'hotter' => [Axis::Heat, 1],
        ] as $words => [$axis, $sign]) {
            $move = TargetShift::fromWords($words);
            self::assertNotNull($move, $words);
            self::assertSame($axis, $move->axis, $words);
            self::assertGreaterThan(0.0, $sign * $move->steps, $words);
            $moved = $move->apply($target);
            foreach (Axis::cases() as $other) {
                self::assertSame(
                    $other === $axis,
                    $moved->window($other) != $target->window($other),
                    "{$words}: {$other->value}",
                );
            }
        }
        self::assertNull(TargetShift::fromWords('rounder'));
        self::assertNull(TargetShift::fromWords(''));
        self::assertGreaterThan(
            TargetShift::fromWords('a little sweeter')->steps ?? INF,
            TargetShift::fromWords('much sweeter')->steps ?? 0.0,
        );
    }

    /** @return iterable<string, array{Family}> */
    public static function styles(): iterable
    {
        foreach (FamilyBook::all() as $style) {
            yield $style->key => [$style];
        }
    }

    /** The middle of every window stands inside its style, and a step beyond an edge stands one step off. */
    #[DataProvider('styles')]
    public function test_every_style_is_met_at_its_middle_and_left_by_its_edges(Family $style): void
    {
        $at = static function (Axis $axis, float $share) use ($style): float {
            $window = $style->target->window($axis);
            self::assertNotNull($window, "{$style->key} {$axis->value}");

            return $axis->valueAt(
                $axis->steps($window->low) + $share * ($axis->steps($window->high) - $axis->steps($window->low)),
            );
        };
        $middle = Axis::each(static fn(Axis $axis): float => $at($axis, 0.5));
        self::assertEqualsWithDelta(0.0, $style->target->distance(Taste::of(...array_values($middle))), 1e-9);
        foreach (Axis::cases() as $axis) {
            $beyond = [...$middle, $axis->value => $axis->valueAt($axis->steps($at($axis, 1.0)) + 1.0)];
            self::assertEqualsWithDelta(
                1.0,
                $style->target->distance(Taste::of(...array_values($beyond))),
                1e-6,
                $axis->value,
            );
        }
    }
}
