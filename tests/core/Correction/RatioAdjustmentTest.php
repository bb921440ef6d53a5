<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Correction\RatioAdjustment;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Report\RatiosReport;

final class RatioAdjustmentTest extends TestCase
{
    private const DIP = ['60 ml fish sauce', '60 ml lime juice', '45 g white sugar', '120 ml water', '2 cloves garlic'];

    #[DataProvider('ratios')]
    public function test_the_sauce_then_stands_at_the_ratio_within_what_spoons_can_measure(float $ratio): void
    {
        $edits = RatioAdjustment::to(self::formula(self::DIP), $ratio, Measures::Metric);

        self::assertSame([1, 2], array_keys($edits), 'lime and sugar move, and nothing else');
        self::assertEqualsWithDelta($ratio, self::ratio(array_replace(self::DIP, $edits)), 0.09 * $ratio);
    }

    /** @return iterable<string, array{float}> */
    public static function ratios(): iterable
    {
        foreach ([4.0, 8.0, 12.0, 20.0, 30.0] as $ratio) {
            yield "{$ratio} to one" => [$ratio];
        }
    }

    public function test_sweeter_takes_more_sugar_and_less_lime(): void
    {
        $before = self::formula(self::DIP);
        $edits = RatioAdjustment::to($before, 2.0 * self::ratio(self::DIP), Measures::Metric);
        $after = self::formula(array_replace(self::DIP, $edits));

        $grams = static fn(Formula $formula, int $line): float => $formula->lines[$line]->grams->value ?? 0.0;
        // twice the ratio is √2 more of one and √2 less of the other
        self::assertEqualsWithDelta(2 ** 0.5, $grams($after, 2) / $grams($before, 2), 0.1);
        self::assertEqualsWithDelta(2 ** -0.5, $grams($after, 1) / $grams($before, 1), 0.1);
    }

    public function test_a_locked_line_stays_and_the_other_goes_further(): void
    {
        $lines = array_replace(self::DIP, [1 => '60 ml lime juice [lock]']);
        $edits = RatioAdjustment::to(self::formula($lines), 2.0 * self::ratio($lines), Measures::Metric);

        self::assertSame([2], array_keys($edits));
        self::assertEqualsWithDelta(2.0 * self::ratio($lines), self::ratio(array_replace($lines, $edits)), 2.0);
    }

    public function test_a_fruit_that_is_both_stays_as_it_is(): void
    {
        $lines = ['500 g damsons', '120 g sugar', '80 ml cider vinegar'];

        $edits = RatioAdjustment::to(self::formula($lines), 1.3 * self::ratio($lines), Measures::Metric);

        self::assertArrayNotHasKey(0, $edits);
        self::assertNotSame([], $edits);
    }

    /** @param list<string> $lines */
    #[DataProvider('impossible')]
    public function test_what_cannot_be_is_said(array $lines, float $ratio, string $says): void
    {
        $this->expectException(\InvalidArgumentException::class);
        $this->expectExceptionMessage($says);

        RatioAdjustment::to(self::formula($lines), $ratio, Measures::Metric);
    }

    /** @return iterable<string, array{list<string>, float, string}> */
    public static function impossible(): iterable
    {
        yield 'nothing sour' => [['100 g sugar', '50 g water'], 10.0, 'not both sweet and sour'];
        yield 'nothing at all' => [[''], 10.0, 'not both sweet and sour'];
        yield 'all locked' => [['100 g sugar [lock]', '50 ml vinegar [lock]'], 10.0, 'unlock'];
        yield 'out of reach' => [['100 g sugar', '50 ml vinegar'], 100000.0, 'unlock'];
    }

    /** @param array<int, string> $lines */
    private static function formula(array $lines): Formula
    {
        return Formula::fromTexts(array_values($lines), Catalogue::shipped(), Measures::Metric);
    }

    /** @param array<int, string> $lines */
    private static function ratio(array $lines): float
    {
        return RatiosReport::of(Balance::of(self::formula($lines)))->sweetToSour ?? 0.0;
    }
}
