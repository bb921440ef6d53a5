<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\core\Family\Classics;
use Tests\core\Weighed;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\AxisMends;
use Vinculum\Correction\Correction;
use Vinculum\Correction\CorrectionLimits;
use Vinculum\Correction\UsualAdditions;
use Vinculum\Correction\Wish;
use Vinculum\Family\FamilyBook;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Aim;
use Vinculum\Sensory\Axis;

final class AxisMendsTest extends TestCase
{
    /** Held against common practice: a vinaigrette of oil, vinegar and honey wants a pinch to half a spoon of salt. */
    public function test_a_dressing_without_salt_is_told_salt_by_the_spoon_and_nothing_else(): void
    {
        $mends = self::mends(['90 ml olive oil', '30 ml white wine vinegar', '1 tbsp honey'], 'vinaigrette');

        self::assertSame(['salt'], array_keys($mends));
        self::assertCount(1, $mends['salt']->additions);
        self::assertSame('salt', $mends['salt']->additions[0]->ingredient->key);
        self::assertEqualsWithDelta(1.8, $mends['salt']->additions[0]->grams, 1.2);
    }

    public function test_each_axis_that_is_off_has_a_way_of_its_own_that_leaves_what_is_right(): void
    {
        $lines = ['500 g passata', '100 g sugar', '1 tbsp salt'];
        $balance = self::balance($lines);
        $target = FamilyBook::get('tomato-chutney')->target;

        $mends = self::mends($lines, 'tomato-chutney');

        self::assertSame(['sweet', 'sour', 'salt'], array_keys($mends));
        foreach ($mends as $key => $mend) {
            self::assertCount(1, $mend->additions, $key);
            foreach (Axis::cases() as $axis) {
                $window = $target->window($axis);
                self::assertNotNull($window);
                $before = $window->off($axis, $balance->taste->on($axis));
                $after = $window->off($axis, $mend->after->on($axis));
                if ($axis->value === $key) {
                    self::assertLessThanOrEqual(0.4 * abs($before), abs($after), "{$key} is brought in");
                } elseif ($before === 0.0) {
                    self::assertEqualsWithDelta(0.0, $after, 0.7, "{$axis->value} stays right when {$key} is mended");
                }
            }
        }
    }

    #[DataProvider('families')]
    public function test_what_is_right_already_needs_nothing(string $family): void
    {
        $checked = 0;
        foreach (Classics::all() as [$of, $title, $balance]) {
            if ($of !== $family) {
                continue;
            }
            $target = FamilyBook::get($family)->target;
            $offered = (new Adviser(Weighed::balance($balance, $family)))->answer(new Wish())->mends;
            foreach (Axis::cases() as $axis) {
                if (abs($target->window($axis)?->off($axis, $balance->taste->on($axis)) ?? 0.0) < 0.25) {
                    self::assertArrayNotHasKey($axis->value, $offered, "{$title}: {$axis->value}");
                    ++$checked;
                }
            }
        }
        self::assertGreaterThan(0, $checked);
    }

    /** Whoever tells only coarse steps apart is told "about right" there, and offered no spoon. */
    public function test_what_this_tongue_calls_right_is_offered_nothing(): void
    {
        [$coarse, $fine] = [0, 0];
        foreach (Classics::all() as $number => [$of, , $balance]) {
            if ($number % 4 !== 0) {
                continue;
            }
            $target = FamilyBook::get($of)->target;
            $salt = ResolvedLine::ofGrams(Catalogue::shipped()->get('salt'), Amount::of(0.003 * $balance->mixture->grams(), 0.0));
            $balance = Balance::of($balance->formula->withLines(...[...$balance->formula->lines, $salt]));
            $limits = new CorrectionLimits(UsualAdditions::to(Weighed::balance($balance, $of)));
            $blunt = Aim::of($target, null, Axis::each(static fn(): float => 3.0));
            foreach (array_keys(AxisMends::of($blunt, $balance, $limits)) as $axis) {
                ++$coarse;
                self::assertTrue($blunt->isOff(Axis::from($axis), $balance->taste->on(Axis::from($axis))));
            }
            $fine += count(AxisMends::of(Aim::of($target), $balance, $limits));
        }

        self::assertGreaterThan($coarse, $fine);
    }

    /** @return iterable<string, array{string}> */
    public static function families(): iterable
    {
        foreach (['vinaigrette', 'ketchup', 'hot-sauce', 'chutney', 'mustard'] as $family) {
            yield $family => [$family];
        }
    }

    /**
     * @param list<string> $lines
     *
     * @return array<string, Correction>
     */
    private static function mends(array $lines, string $family): array
    {
        $balance = self::balance($lines);
        $style = FamilyBook::get($family);

        return AxisMends::of(
            Aim::of($style->target),
            $balance,
            new CorrectionLimits(UsualAdditions::to(Weighed::balance($balance, $family))),
        );
    }

    /** @param list<string> $lines */
    private static function balance(array $lines): Balance
    {
        return Balance::of(
            Formula::fromTexts($lines, Catalogue::shipped(), Measures::Us),
        );
    }
}
