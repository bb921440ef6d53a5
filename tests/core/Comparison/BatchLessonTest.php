<?php

declare(strict_types=1);

namespace Tests\core\Comparison;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Comparison\BatchLesson;
use Vinculum\Comparison\MeasuredGap;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;

final class BatchLessonTest extends TestCase
{
    public function test_a_gap_that_repeats_is_learned_and_one_that_does_not_is_not(): void
    {
        $gaps = static fn(string $ingredient, float ...$found): array => array_map(
            static fn(float $gap): MeasuredGap => new MeasuredGap($ingredient, 'solids', $gap),
            array_values($found),
        );
        $learned = BatchLesson::from([
            ...$gaps('damson', -2.0, -2.4, -1.8),
            ...$gaps('plum', 2.0, -1.9, 0.2),
            ...$gaps('apple', 3.0, 3.1),
        ]);

        self::assertCount(1, $learned);
        self::assertSame(['damson', 3], [$learned[0]->ingredient, $learned[0]->batches]);
        self::assertEqualsWithDelta(-6.2 / 3.0, $learned[0]->gap, 1e-9);
        self::assertEqualsWithDelta(
            sqrt((0.0667 ** 2 + 0.3333 ** 2 + 0.2667 ** 2) / 2.0),
            $learned[0]->deviation,
            1e-3,
        );
    }

    public function test_a_gap_is_laid_at_the_door_of_the_line_that_makes_the_doubt(): void
    {
        $balance = Balance::of(
            Formula::fromTexts(['2 damsons', '100 g water'], Catalogue::shipped(), Measures::Metric),
        );
        $solids = $balance->figures->dissolvedSolids->value;
        $gaps = MeasuredGap::between($balance, null, $solids + 3.0);

        self::assertCount(1, $gaps);
        self::assertSame(['damson', 'solids'], [$gaps[0]->ingredient, $gaps[0]->figure]);
        self::assertEqualsWithDelta(3.0, $gaps[0]->gap, 1e-9);
        self::assertSame([], MeasuredGap::between($balance, null, null), 'nothing was measured');
        self::assertSame(
            [],
            MeasuredGap::between(
                Balance::of(Formula::fromTexts([], Catalogue::shipped(), Measures::Metric)),
                3.4,
                12.0,
            ),
            'nobody answers for nothing',
        );
    }
}
