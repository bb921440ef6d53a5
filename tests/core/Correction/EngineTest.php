<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\TestCase;
use Tests\core\Weighed;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Correction\Advice;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Candidate;
use Vinculum\Correction\Designer;
use Vinculum\Correction\StepCost;
use Vinculum\Correction\Wish;
use Vinculum\Family\Dose;
use Vinculum\Family\FamilyBook;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetShift;
use Vinculum\Sensory\Taste;
use Vinculum\Sensory\TasteLoad;

/** Levers, designs, targets of one's own, and the ways out that are no additions. */
final class EngineTest extends TestCase
{
    public function test_a_lever_is_what_one_step_costs(): void
    {
        $batch = Balance::of(
            self::formula(['500 g water', '60 g sugar', '30 g cider vinegar', '8 g salt', '1 g msg', '1 g cayenne']),
        )->load();
        foreach ([
            'salt' => Axis::Salt,
            'white-sugar' => Axis::Sweet,
            'white-vinegar' => Axis::Sour,
            'msg' => Axis::Umami,
            'habanero' => Axis::Heat,
        ] as $key => $axis) {
            $candidate = Candidate::of(Catalogue::shipped()->get($key));
            $cost = StepCost::in($batch, $candidate);
            self::assertSame($axis, $cost?->axis, $key);
            $after = $batch->plus($candidate->perGram, $cost->grams)->taste();
            self::assertEqualsWithDelta(1.0, $batch->taste()->stepsTo($after)[$axis->value], 1e-3, $key);
            self::assertArrayNotHasKey($axis->value, $cost->also);
        }
        self::assertNull(StepCost::in($batch, Candidate::of(Catalogue::shipped()->get('water'))));
    }

    public function test_a_design_keeps_to_doses_that_cooks_use(): void
    {
        foreach (['fish-sauce-dip', 'ketchup', 'vinaigrette', 'hot-sauce'] as $key) {
            $style = FamilyBook::get($key);
            $design = (new Designer(Weighed::formula(self::formula([]), $style->key, Measures::Metric)))->draft(1000.0, $style->base);
            $doses = Dose::ofIngredients($key);
            foreach ($design->lines as $line) {
                if ($line->ingredient->key !== $style->base && isset($doses[$line->ingredient->key])) {
                    self::assertLessThan(
                        15.0 * $doses[$line->ingredient->key]->largest * 1.05 + 2.0,
                        $line->grams,
                        "{$key}: {$line->ingredient->key}",
                    );
                }
            }
        }
    }

    public function test_locked_lines_stay_and_the_free_ones_are_found(): void
    {
        $style = FamilyBook::get('fish-sauce-dip');
        $design = (new Designer(Weighed::formula(self::formula([
            '60 g fish sauce [lock]',
            '1 g sugar',
            '1 g lime juice',
            "1 bird's eye chilli",
            '1 clove garlic [lock]',
        ]), $style->key, Measures::Metric)))->draft(260.0, 'water');

        self::assertSame(
            [],
            array_diff(
                array_map(static fn($line): string => $line->ingredient->key, $design->lines),
                ['water', 'white-sugar', 'lime-juice', 'birds-eye-chilli'],
            ),
        );
        self::assertLessThan(0.5, $design->distance);
        self::assertEqualsWithDelta(
            260.0 - 64.0,
            array_sum(array_map(static fn($line): float => $line->grams, $design->lines)),
            8.0,
        );
    }

    public function test_an_impossible_wish_gets_the_nearest_and_is_told_what_stands_in_the_way(): void
    {
        $design = (new Designer(Weighed::formula(self::formula(['40 g salt [lock]', '10 g sugar']), 'ketchup', Measures::Metric)))->draft(300.0, 'water');
        $said = implode(' ', $design->hindrances);

        self::assertStringContainsString('Salt ends', $said);
        self::assertStringContainsString('locked lines bring too much', $said);
        self::assertStringContainsString('nothing that may be used brings any', $said);
        $this->expectException(\InvalidArgumentException::class);
        (new Designer(Weighed::formula(self::formula(['400 g ketchup [lock]']), 'ketchup', Measures::Metric)))->draft(300.0);
    }

    public function test_a_liked_batch_becomes_a_target_that_words_move(): void
    {
        $liked = Taste::of(20.0, 1.0, 2.0, 0.3, 60.0);
        $target = Target::around($liked);
        self::assertSame(0.0, $target->distance($liked));
        foreach ([
            'a little sharper' => [Axis::Sour, 1.0],
            'sweeter' => [Axis::Sweet, 1.5],
            'much less salty' => [Axis::Salt, -3.0],
            'A touch hotter' => [Axis::Heat, 0.5],
            'less sweet' => [Axis::Sweet, -1.5],
        ] as $words => [$axis, $steps]) {
            $move = TargetShift::fromWords($words);
            self::assertSame([$axis, $steps], [$move?->axis, $move?->steps], $words);
            $window = $move->apply($target)->window($axis);
            self::assertEqualsWithDelta(
                $liked->stepsOn($axis) + $steps,
                ($axis->steps((float) $window?->low) + $axis->steps((float) $window?->high)) / 2.0,
                1e-6,
                $words,
            );
        }
        self::assertNull(TargetShift::fromWords('bluer'));
        self::assertNull($target->without(Axis::Heat)->window(Axis::Heat));
    }

    public function test_a_batch_far_too_salty_is_blended_with_one_made_without_the_salt(): void
    {
        $advice = self::counsel(
            ['500 g tomatoes', '60 g sugar', '50 g cider vinegar', '24 g salt'],
            'ketchup',
            ['white-sugar', 'cider-vinegar'],
        );

        self::assertSame('blend', $advice->otherWays[0]->kind ?? null);
        self::assertStringContainsString('without the salt', $advice->otherWays[0]->says);
        $batch = TasteLoad::of(
            self::formula(['500 g tomatoes', '60 g sugar', '50 g cider vinegar', '24 g salt'])->mixed(),
        );
        $plain = TasteLoad::of(self::formula(['500 g tomatoes', '60 g sugar', '50 g cider vinegar'])->mixed());
        $blended = $batch->plus($plain, (float) $advice->otherWays[0]->grams / $plain->grams)->taste();
        self::assertEqualsWithDelta(
            $advice->otherWays[0]->distanceAfter,
            FamilyBook::get('ketchup')->target->distance($blended),
            1e-9,
            'the mass balance is as said',
        );
        self::assertLessThan(
            $advice->corrections[0]->distanceAfter ?? $advice->distanceBefore,
            $advice->otherWays[0]->distanceAfter,
        );
    }

    public function test_masking_is_offered_only_when_nothing_else_helps_and_is_called_masking(): void
    {
        $hopeless = self::counsel(['30 g salt'], 'ketchup', ['salt']);
        $mendable = self::counsel(['200 g ketchup', '2 g salt'], 'ketchup', null);

        self::assertSame(['mask'], array_map(static fn($way): string => $way->kind, $hopeless->otherWays));
        self::assertStringContainsString('masking', $hopeless->otherWays[0]->says);
        self::assertNotContains('mask', array_map(static fn($way): string => $way->kind, $mendable->otherWays));
    }

    public function test_a_batch_grows_when_locked_lines_leave_no_room_and_only_then(): void
    {
        $style = FamilyBook::get('vinaigrette');
        $tight = self::formula(['90 ml olive oil [lock]', '1 tsp cider vinegar', '1 tsp dijon mustard', '¼ tsp salt']);
        $grams = array_sum(array_map(static fn($line): float => $line->grams->value ?? 0.0, $tight->lines));
        $kept = (new Designer(Weighed::formula($tight, $style->key, Measures::Metric)))->draft($grams);
        $grown = (new Designer(Weighed::formula($tight, $style->key, Measures::Metric)))->withRoom($grams);

        self::assertGreaterThan(0.75, $kept->distance);
        self::assertLessThan(0.5, $grown->distance);
        $roomy = self::formula(['60 g fish sauce', '60 g sugar', '60 g lime juice', '120 g water']);
        self::assertEquals(
            (new Designer(Weighed::formula($roomy, 'fish-sauce-dip', Measures::Metric)))->draft(300.0),
            (new Designer(Weighed::formula($roomy, 'fish-sauce-dip', Measures::Metric)))->withRoom(300.0),
        );
    }

    private static function formula(array $lines): Formula
    {
        return Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric);
    }

    /**
     * @param list<string> $lines
     * @param list<string>|null $with
     */
    private static function counsel(array $lines, string $style, ?array $with): Advice
    {
        return (new Adviser(Weighed::formula(self::formula($lines), $style, Measures::Metric)))->answer(new Wish(with: $with));
    }
}
