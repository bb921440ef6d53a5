<?php

declare(strict_types=1);

namespace Tests\core\Cooking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Cooking\Cooling;

/** FDA Food Code 2022, 3-501.14 (from memory): to 21 °C within two hours, to 5 °C within four hours more. */
final class CoolingTest extends TestCase
{
    /** @return iterable<string, array{list<array{float, float}>, float, string}> readings (minutes, °C), now, stage */
    public static function watches(): iterable
    {
        yield 'just off the heat' => [[], 0.0, 'first'];
        yield 'warm after an hour and a half' => [[[0.0, 90.0], [90.0, 35.0]], 90.0, 'first'];
        yield 'a minute before the first limit' => [[[0.0, 90.0], [119.0, 22.0]], 119.0, 'first'];
        yield 'a minute after it' => [[[0.0, 90.0], [121.0, 22.0]], 121.0, 'too-slow'];
        yield 'reached it too late' => [[[0.0, 90.0], [125.0, 20.0]], 130.0, 'too-slow'];
        yield 'nobody looked for three hours' => [[[0.0, 90.0]], 180.0, 'too-slow'];
        yield 'in the cold store' => [[[0.0, 90.0], [100.0, 20.5]], 200.0, 'second'];
        yield 'four hours later it is not cold' => [[[0.0, 90.0], [100.0, 20.5], [341.0, 7.0]], 341.0, 'too-slow'];
        yield 'cold in time' => [[[0.0, 90.0], [100.0, 20.5], [300.0, 4.9]], 400.0, 'done'];
    }

    /** @param list<array{float, float}> $readings */
    #[DataProvider('watches')]
    public function test_the_two_stages(array $readings, float $now, string $stage): void
    {
        $cooling = Cooling::at($readings, $now);

        self::assertSame($stage, $cooling->stage);
        self::assertNotSame('', $cooling->says);
    }

    /** Newton's law of cooling, solved by hand: T = Ta + (T₀ − Ta)·e^(−kt). */
    public function test_says_in_time_whether_it_will_make_it(): void
    {
        $at = static fn(float $minutes, float $rate): float => 19.0 + 71.0 * exp(-$rate * $minutes);
        $fast = Cooling::at([[0.0, 90.0], [10.0, $at(10.0, 0.06)]], 10.0);
        $slow = Cooling::at([[0.0, 90.0], [30.0, $at(30.0, 0.01)]], 30.0);

        self::assertEqualsWithDelta(log(71.0 / 2.0) / 0.06 - 10.0, $fast->expected, 1e-6);
        self::assertStringContainsString('will make it', $fast->says);
        self::assertStringContainsString('iced water', $slow->says);
        self::assertEqualsWithDelta(90.0, $slow->minutesLeft, 1e-9);
    }

    public function test_the_limits_are_told_beforehand_with_their_source(): void
    {
        self::assertMatchesRegularExpression(
            '/2 h 00 min to come below 21 °C, and 4 h 00 min more to come below 5 °C.*FDA Food Code/',
            Cooling::rule(),
        );
    }

    public function test_a_reading_that_is_no_number_counts_for_nothing(): void
    {
        self::assertSame('first', Cooling::at([[1.0, NAN], [2.0, INF]], 3.0)->stage);
    }
}
