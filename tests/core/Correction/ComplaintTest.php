<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\TestCase;
use Vinculum\Correction\Complaint;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;
use Vinculum\Style\StyleBook;

final class ComplaintTest extends TestCase
{
    public function test_a_word_moves_its_axis_two_to_three_steps_and_holds_the_others_within_one(): void
    {
        $now = Taste::of(12.0, 1.0, 2.0, 0.3, 400.0);
        $target = Complaint::named('too-salty')->target($now);

        self::assertEqualsWithDelta([-3.0, -2.0], self::span($target, Axis::Salt, $now), 1e-6);
        foreach ([Axis::Sweet, Axis::Sour, Axis::Umami, Axis::Heat] as $axis) {
            self::assertEqualsWithDelta([-1.0, 1.0], self::span($target, $axis, $now), 1e-6, $axis->value);
        }
    }

    public function test_words_add_up_each_with_its_strength(): void
    {
        $now = Taste::of(12.0, 1.0, 2.0, 0.3, 400.0);
        $target = Complaint::together(
            [[Complaint::named('flat'), 1.0], [Complaint::named('not-salty'), 0.5], [Complaint::named('too-hot'), 2.0]],
            $now,
        );

        self::assertEqualsWithDelta([2.0, 3.0], self::span($target, Axis::Sour, $now), 1e-6);
        self::assertEqualsWithDelta(
            [1.0, 3.0],
            self::span($target, Axis::Salt, $now),
            1e-6,
            'flat asks for up to 1.5 steps of salt, a little unsalted for 1 to 1.5 more',
        );
        self::assertEqualsWithDelta([-6.0, -4.0], self::span($target, Axis::Heat, $now), 1e-6);
    }

    public function test_on_top_of_a_style_the_rest_is_the_styles(): void
    {
        $now = Taste::of(12.0, 1.0, 2.0, 0.3, 400.0);
        $style = StyleBook::get('ketchup')->target;
        $target = Complaint::together([[Complaint::named('not-sweet'), 1.0]], $now, $style);

        self::assertEquals($style->window(Axis::Sour), $target->window(Axis::Sour));
        self::assertNotEquals($style->window(Axis::Sweet), $target->window(Axis::Sweet));
    }

    public function test_words_are_points_on_the_just_about_right_scale(): void
    {
        $score = static fn(string $word, float $strength): array => Complaint::scores([
            [Complaint::named($word), $strength],
        ]);

        self::assertEqualsWithDelta(['salt' => 1.0], $score('too-salty', 1.0), 1e-9);
        self::assertEqualsWithDelta(['sour' => -0.5], $score('not-sour', 0.5), 1e-9);
        self::assertEqualsWithDelta(['heat' => 2.0], $score('too-hot', 2.0), 1e-9);
        self::assertEqualsWithDelta(['sour' => -1.0, 'salt' => -0.3], $score('flat', 1.0), 1e-9);
        self::assertEqualsWithDelta(
            ['sweet' => 2.0],
            Complaint::scores([[Complaint::named('too-sweet'), 2.0], [Complaint::named('too-sweet'), 2.0]]),
            1e-9,
            'the scale ends at two',
        );
        self::assertSame([], Complaint::scores([]));
    }

    public function test_half_way_between_two_tastes(): void
    {
        [$one, $other] = [Taste::of(10.0, 1.0, 1.0, 0.1, 100.0), Taste::of(20.0, 1.0, 1.0, 0.1, 100.0)];
        $window = Target::between($one, $other, 0.5)->window(Axis::Sweet);

        self::assertEqualsWithDelta(
            sqrt(10.0 * 20.0),
            sqrt(($window->low ?? 0.0) * ($window->high ?? 0.0)),
            1e-6,
            'steps are logarithmic, so half-way is the geometric mean',
        );
    }

    /** @return array{float, float} the window in steps from where it stands */
    private static function span(Target $target, Axis $axis, Taste $now): array
    {
        $window = $target->window($axis);

        return [
            $axis->steps($window->low ?? 0.0) - $now->stepsOn($axis),
            $axis->steps($window->high ?? 0.0) - $now->stepsOn($axis),
        ];
    }
}
