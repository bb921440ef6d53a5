<?php

declare(strict_types=1);

namespace Tests\core\Balance;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\FinishedBatch;
use Vinculum\Balance\Formula;
use Vinculum\Balance\MeasuredYield;
use Vinculum\Chemistry\Component;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Axis;

final class FinishedTest extends TestCase
{
    private const LINES = ['1 kg tinned tomatoes', '100 g sugar', '100 ml cider vinegar', '10 g salt'];

    public function test_jars_of_which_it_is_not_said_whether_each_or_all_hold_so_much_are_no_yield(): void
    {
        foreach (['Makes about 3 jars (700 ml)', '2 small jars (250 ml)', 'fills 12 bottles (1.5 l)'] as $text) {
            self::assertNull(MeasuredYield::parse($text, Measures::Metric), $text);
        }
        foreach (['4 jars (about 300 ml each)' => 1200.0, '3 x 250 ml' => 750.0, '1 jar (400 ml)' => 400.0] as $text => $ml) {
            self::assertEqualsWithDelta(
                $ml,
                MeasuredYield::parse($text, Measures::Metric)?->millilitres?->value,
                1.0,
                $text,
            );
        }
    }

    public function test_a_yield_takes_water_and_nothing_else(): void
    {
        $mixed = self::formula()->mixed();
        $finished = FinishedBatch::of(self::formula('700 g'))->mixture;

        self::assertEqualsWithDelta(700.0, $finished->grams(), 1e-6);
        foreach ($mixed->amounts() as $component => $amount) {
            if ($component !== Component::Water->value) {
                self::assertSame($amount, $finished->amounts()[$component], $component);
            }
        }
    }

    public function test_a_batch_of_another_size_tastes_the_same(): void
    {
        foreach ([null, '700 g', '650 ml'] as $yield) {
            $one = Balance::of(self::formula($yield));
            $many = Balance::of(self::formula($yield)->times(3.7));
            self::assertEqualsWithDelta(3.7 * $one->mixture->grams(), $many->mixture->grams(), 1e-6);
            foreach (Axis::cases() as $axis) {
                self::assertEqualsWithDelta($one->taste->on($axis), $many->taste->on($axis), 1e-9);
                self::assertEqualsWithDelta(
                    $one->axes[$axis->value]->high,
                    $many->axes[$axis->value]->high,
                    1e-6,
                    'with the same doubt',
                );
            }
        }
    }

    public function test_a_dose_after_the_yield_is_not_boiled_down(): void
    {
        $salt = ResolvedLine::ofGrams(Catalogue::shipped()->get('salt'), Amount::within(7.0, 0.01));
        $dosed = Balance::of(self::formula('700 g')->dosedWith($salt));
        $before = Balance::of(self::formula('700 g'));

        self::assertTrue($dosed->isFinished);
        self::assertEqualsWithDelta(707.0, $dosed->mixture->grams(), 1e-6);
        self::assertEqualsWithDelta(
            ($before->taste->on(Axis::Salt) * 7.0 + 7.0 * $salt->hundredGrams->percent(Component::Salt) / 100.0) / 7.07,
            $dosed->taste->on(Axis::Salt),
            1e-6,
        );
        self::assertSame($before->allergens(), $dosed->allergens());
    }

    public function test_a_dose_brings_its_allergens_and_ends_its_diets(): void
    {
        $fish = ResolvedLine::ofGrams(Catalogue::shipped()->get('fish-sauce'), Amount::within(10.0, 0.05));
        $balance = Balance::of(self::formula()->dosedWith($fish));

        self::assertContains('fish', $balance->allergens());
        self::assertNotContains('vegan', $balance->diets());
    }

    public function test_an_estimated_yield_carries_its_doubt(): void
    {
        $sure = Balance::of(self::formula()->cookedTo(MeasuredYield::estimated(700.0, 1.0)));
        $unsure = Balance::of(self::formula()->cookedTo(MeasuredYield::estimated(700.0, 80.0)));
        $width = static fn(Balance $balance): float => $balance->axes['salt']->high - $balance->axes['salt']->low;

        self::assertSame($sure->taste->on(Axis::Salt), $unsure->taste->on(Axis::Salt));
        self::assertGreaterThan(1.5 * $width($sure), $width($unsure));
    }

    public function test_headings_and_empty_lines_are_in_no_sum(): void
    {
        $with = Formula::fromTexts(
            ['For the pot:', ...self::LINES, '', 'Off the heat:'],
            Catalogue::shipped(),
            Measures::Metric,
        );

        self::assertEquals(self::formula()->mixed(), $with->mixed());
        self::assertCount(4, $with->ingredientLines());
        self::assertSame(LineStatus::Heading, $with->lines[0]->status);
        self::assertSame(Balance::of(self::formula())->diets(), Balance::of($with)->diets());
        foreach (['100 g sugar: white', 'sugar: 100 g', ':', 'a:b:'] as $text) {
            self::assertFalse(ResolvedLine::isHeading($text), $text);
        }
    }

    private static function formula(?string $yield = null): Formula
    {
        return Formula::fromTexts(self::LINES, Catalogue::shipped(), Measures::Metric, $yield);
    }
}
