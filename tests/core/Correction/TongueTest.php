<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\TestCase;
use Vinculum\Correction\Tongue;
use Vinculum\Facts\FactsFault;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

final class TongueTest extends TestCase
{
    public function test_a_word_moves_its_axis_as_far_as_it_is_meant_and_holds_the_others(): void
    {
        $now = Taste::of(10.0, 1.0, 2.0, 0.2, 50.0);
        $off = static fn(string $strength): float => (float) Tongue::saying([
            ['complaint' => 'too-salty', 'strength' => $strength],
        ])->target($now)?->window(Axis::Salt)?->off(Axis::Salt, $now->salt);

        self::assertSame(['little', 'clear', 'far'], Tongue::strengths());
        self::assertEqualsWithDelta([0.5, 1.5], [$off('little') / $off('clear'), $off('far') / $off('clear')], 1e-6);
        self::assertGreaterThan(0.0, $off('little'));
        self::assertSame(
            0.0,
            Tongue::saying([
                ['complaint' => 'too-salty', 'strength' => 'far'],
            ])->target($now)?->window(Axis::Sweet)?->off(Axis::Sweet, $now->sweet),
        );
    }

    public function test_silence_is_no_target_and_an_unknown_word_is_refused(): void
    {
        self::assertNull(Tongue::saying([])->target(Taste::ofNothing()));
        self::assertSame([], Tongue::saying([])->scores());
        $this->expectException(FactsFault::class);
        Tongue::saying([['complaint' => 'too-purple', 'strength' => 'far']]);
    }

    public function test_the_way_back_is_half_way(): void
    {
        [$before, $after] = [Taste::of(10.0, 1.0, 1.0, 0.2, 0.0), Taste::of(10.0, 1.0, 2.0, 0.2, 0.0)];
        $window = Tongue::wayBack($before, $after)->window(Axis::Salt);

        self::assertNotNull($window);
        self::assertEqualsWithDelta(
            ($before->stepsOn(Axis::Salt) + $after->stepsOn(Axis::Salt)) / 2.0,
            array_sum($window->inSteps(Axis::Salt)) / 2.0,
            1e-6,
        );
    }
}
