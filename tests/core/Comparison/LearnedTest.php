<?php

declare(strict_types=1);

namespace Tests\core\Comparison;

use PHPUnit\Framework\TestCase;
use Vinculum\Comparison\BatchLesson;

final class LearnedTest extends TestCase
{
    public function test_a_gap_that_repeats_is_learned_and_one_that_does_not_is_not(): void
    {
        $gaps = static fn(string $ingredient, float ...$found): array => array_map(static fn(float $gap): array => ['ingredient' => $ingredient, 'figure' => 'solids', 'gap' => $gap], array_values($found));
        $learned = BatchLesson::from([...$gaps('damson', -2.0, -2.4, -1.8), ...$gaps('plum', 2.0, -1.9, 0.2), ...$gaps('apple', 3.0, 3.1)]);

        self::assertCount(1, $learned);
        self::assertSame(['damson', 3], [$learned[0]->ingredient, $learned[0]->batches]);
        self::assertEqualsWithDelta(-6.2 / 3.0, $learned[0]->gap, 1e-9);
        self::assertEqualsWithDelta(sqrt((0.0667 ** 2 + 0.3333 ** 2 + 0.2667 ** 2) / 2.0), $learned[0]->deviation, 1e-3);
    }
}
