<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\TestCase;
use Tests\core\Weighed;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Correction\Advice;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Complaint;
use Vinculum\Correction\Wish;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;

final class ComplaintTest extends TestCase
{
    /** Handbook, "Correcting a batch": "too salty, clearly" moves salt 2 steps, a little 1, far 3. */
    public function test_a_word_moves_its_axis_two_steps_and_holds_the_others_within_one(): void
    {
        $now = Taste::of(12.0, 1.0, 2.0, 0.3, 400.0);
        $target = Complaint::named('too-salty')->target($now);

        self::assertEqualsWithDelta([-2.5, -1.5], self::span($target, Axis::Salt, $now), 1e-6);
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

        self::assertEqualsWithDelta([1.0, 2.5], self::span($target, Axis::Sour, $now), 1e-6);
        self::assertEqualsWithDelta(
            [0.75, 2.25],
            self::span($target, Axis::Salt, $now),
            1e-6,
            'flat asks for up to one step of salt, a little unsalted for a step more',
        );
        self::assertEqualsWithDelta([-5.0, -3.0], self::span($target, Axis::Heat, $now), 1e-6);
    }

    public function test_a_word_is_answered_whatever_a_style_would_want(): void
    {
        $balance = Balance::of(Formula::fromTexts(
            ['300 g ketchup', '40 g salt', '20 g water'],
            Catalogue::shipped(),
            Measures::Us,
        ));
        $ask = static fn(?string $style): Advice => (new Adviser(Weighed::balance($balance, $style)))->answer(new Wish(
            Complaint::named('not-sweet'),
            ['white-sugar', 'water', 'cider-vinegar'],
        ));
        $styled = $ask('ketchup');

        self::assertEquals($ask(null)->corrections, $styled->corrections);
        self::assertNull($ask(null)->besides);
        self::assertNotSame([], $styled->besides?->corrections, 'the salt is another matter');
        self::assertNotNull($styled->aim->asked?->window(Axis::Sweet));
        self::assertNull($styled->besides?->aim->asked, 'held against the style again');
        self::assertSame('white-sugar', $styled->corrections[0]->additions[0]->ingredient->key);
        self::assertLessThan($balance->taste->salt, $styled->besides?->corrections[0]->after->salt);
    }

    public function test_words_are_points_on_the_just_about_right_scale(): void
    {
        $score = static fn(string $word, float $strength): array => Complaint::scores([
            [Complaint::named($word), $strength],
        ]);

        self::assertEqualsWithDelta(['salt' => 1.0], $score('too-salty', 1.0), 1e-9);
        self::assertEqualsWithDelta(['sour' => -0.5], $score('not-sour', 0.5), 1e-9);
        self::assertEqualsWithDelta(['heat' => 2.0], $score('too-hot', 2.0), 1e-9);
        self::assertEqualsWithDelta(['sour' => -0.875, 'salt' => -0.25], $score('flat', 1.0), 1e-9);
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
