<?php

declare(strict_types=1);

namespace Tests\core\Sensory;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Estimate;
use Vinculum\Report\AxisReport;
use Vinculum\Sensory\Aim;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetWindow;
use Vinculum\Sensory\Taste;

final class AimTest extends TestCase
{
    /** Thousands of aims and tastes: a whole is called balanced where every bar says so, and nowhere else. */
    public function test_the_whole_and_its_bars_never_disagree(): void
    {
        mt_srand(31);
        $seen = ['balanced' => 0, 'off' => 0, 'both' => 0];
        for ($made = 0; $made < 4000; ++$made) {
            $taste = Taste::of(...array_map(static fn(): float => self::some(30.0), range(1, 4)), ...[self::some(900.0)]);
            $family = $made % 5 === 0 ? null : self::target($taste);
            $own = $made % 3 === 0 ? self::target($taste) : null;
            $aim = Aim::of(
                $family,
                $own,
                $made % 4 === 0 ? ['sour' => 1.5, 'salt' => 0.8] : [],
                $made % 7 === 0 ? ['heat', 'umami'] : [],
            );
            $bars = AxisReport::all(
                Axis::each(static fn(Axis $axis): Estimate => new Estimate($taste->on($axis), 0.0, INF)),
                $aim,
            );
            $off = array_filter($bars, static fn(AxisReport $bar): bool => $bar->isOff);
            $whole = $aim->onTheWhole($taste);
            if ($aim->target() === null) {
                self::assertSame('', $whole);
                continue;
            }
            if ($family !== null && $own !== null) {
                ++$seen['both'];
                // the bars are the cook's: where the family's differ, the sentence says both
                self::assertSame($off === [], str_contains($whole, 'as you like it'), $whole);
                self::assertStringContainsString('its family', $whole);
            } else {
                self::assertSame($off === [], str_starts_with($whole, 'balanced'), $whole);
                self::assertSame($off === [], $aim->afterwards($taste) === 'then it is in balance');
            }
            $short = $aim->inShort($taste);
            self::assertSame($off === [], str_starts_with($short, 'balanced'), $short);
            self::assertSame(str_contains($whole, 'off its family') && $off === [], $short !== 'balanced' && $off === []);
            foreach ($bars as $axis => $bar) {
                self::assertSame($bar->isOff, !in_array($bar->verdict, ['', 'about right'], true), $axis);
            }
            ++$seen[$off === [] ? 'balanced' : 'off'];
        }
        self::assertGreaterThan(300, min($seen), json_encode($seen, JSON_THROW_ON_ERROR));
    }

    public function test_what_does_not_count_has_no_window_and_no_word(): void
    {
        $far = Target::of(['salt' => TargetWindow::between(5.0, 6.0), 'sour' => TargetWindow::between(0.0, 9.0)]);
        $aim = Aim::of($far, $far, [], ['salt']);

        self::assertSame(['', 'about right'], [$aim->verdict(Axis::Salt, 0.1), $aim->verdict(Axis::Sour, 1.0)]);
        self::assertSame([0.0, null], [$aim->fromFamily(Taste::ofNothing()), $aim->shown()?->window(Axis::Salt)]);
    }

    public function test_a_word_at_the_pan_moves_what_is_gone_for_and_not_what_it_is_held_against(): void
    {
        $taste = Taste::of(10.0, 1.0, 2.0, 0.5, 0.0);
        $style = Target::around($taste);
        $asked = $style->moved(Axis::Salt, -4.0);
        $aim = Aim::of($style)->asking($asked);

        self::assertSame($asked, $aim->target());
        self::assertSame('about right', $aim->verdict(Axis::Salt, 2.0));
        self::assertStringEndsWith('from what you asked for', $aim->afterwards($taste));
        self::assertSame('balanced for its family', $aim->onTheWhole($taste));
        self::assertSame($style, $aim->asking(null)->target());
    }

    public function test_of_nothing_nothing_is_said(): void
    {
        self::assertSame('', Aim::none()->inShort(Taste::ofNothing()));
        self::assertSame('', Aim::none()->afterwards(Taste::ofNothing()));
        self::assertSame('balanced as you like it', Aim::at(Target::of([]))->onTheWhole(Taste::ofNothing()));
    }

    private static function some(float $most): float
    {
        return $most * mt_rand(0, 1000) / 1000.0;
    }

    private static function target(Taste $taste): Target
    {
        $windows = [];
        $isNear = mt_rand(0, 1) === 1;
        foreach (Axis::cases() as $axis) {
            if (mt_rand(0, 5) > 0) {
                $steps = $taste->stepsOn($axis) + ($isNear ? self::some(1.1) - 0.55 : self::some(8.0) - 4.0);
                $windows[$axis->value] = TargetWindow::around($axis, $steps, 0.5);
            }
        }

        return Target::of($windows);
    }
}
