<?php

declare(strict_types=1);

namespace Tests\core\Sensory;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Verdict;

final class VerdictTest extends TestCase
{
    #[DataProvider('distances')]
    public function test_a_distance_is_told_in_a_cooks_words(?float $off, string $says): void
    {
        self::assertSame($says, Verdict::on(Axis::Salt, $off));
        self::assertSame(!in_array($says, ['', 'about right'], true), Verdict::isOff($off));
    }

    /** @return iterable<string, array{float|null, string}> */
    public static function distances(): iterable
    {
        yield 'no target' => [null, ''];
        yield 'inside' => [0.0, 'about right'];
        yield 'nobody tells' => [0.04, 'about right'];
        yield 'over' => [0.5, 'a touch too salty'];
        yield 'well over' => [3.0, 'clearly too salty'];
        yield 'under' => [-0.5, 'needs a touch more salt'];
        yield 'well under' => [-9.0, 'needs far more salt'];
    }

    public function test_what_a_cook_cannot_tell_apart_is_right(): void
    {
        self::assertSame('about right', Verdict::on(Axis::Sour, 1.2, 1.5));
        self::assertFalse(Verdict::isOff(1.2, 1.5));
    }

    public function test_points_and_likings_are_told_in_the_same_words(): void
    {
        self::assertSame('a little too sweet', Verdict::ofScore(Axis::Sweet, 1.0));
        self::assertSame('wants a touch more heat', Verdict::ofScore(Axis::Heat, -0.5));
        self::assertSame('wants clearly more sharpness', Verdict::ofScore(Axis::Sour, -2.0));
        self::assertSame('', Verdict::ofScore(Axis::Sour, 0.0));
        self::assertSame('as usual', Verdict::ofLiking(Axis::Sour, 0.1));
        self::assertSame('clearly less heat', Verdict::ofLiking(Axis::Heat, -2.9));
    }

    public function test_a_change_is_told_with_what_moves(): void
    {
        $none = Axis::each(static fn(): float => 0.0);
        self::assertSame('tastes the same', Verdict::ofChange($none, 0.05));
        self::assertSame(
            '1.3 steps different: salt +1.2, heat −0.4',
            Verdict::ofChange([...$none, 'salt' => 1.2, 'heat' => -0.4, 'sweet' => 0.09], 1.26),
        );
        self::assertSame('1.0 step different', Verdict::ofChange($none, 1.0));
    }
}
