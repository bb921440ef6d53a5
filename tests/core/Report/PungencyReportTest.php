<?php

declare(strict_types=1);

namespace Tests\core\Report;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Report\PungencyReport;

/** Whether a bite is there: common practice throughout. */
final class PungencyReportTest extends TestCase
{
    /** @param list<string> $lines */
    #[DataProvider('sauces')]
    public function test_a_bite_is_called_what_a_cook_would_call_it(array $lines, string $says): void
    {
        self::assertSame($says, self::bite($lines)->says);
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function sauces(): iterable
    {
        yield 'ketchup has none' => [['200 g ketchup'], 'none to notice'];
        yield 'ballpark mustard bites a little' => [['100 g yellow mustard'], 'a little'];
        yield 'Dijon mustard is sharp' => [['100 g Dijon mustard'], 'sharp'];
        yield 'English mustard is fierce' => [['100 g English mustard'], 'fierce'];
        yield 'grated horseradish is fierce' => [['50 g fresh horseradish'], 'fierce'];
        yield 'a spoon of it in cream is clear' => [['20 g fresh horseradish', '150 g sour cream'], 'clear'];
        yield 'a dressing with a spoon of Dijon' => [['90 ml olive oil', '30 ml vinegar', '1 tsp Dijon mustard'], 'a little'];
        yield 'a rub of dry mustard has none yet' => [['20 g mustard powder', '30 g salt', '50 g sugar'], 'none to notice'];
        yield 'nor has it in oil alone' => [['20 g mustard powder', '100 ml neutral oil'], 'none to notice'];
        yield 'mixed with water it is fierce' => [['20 g mustard powder', '60 ml water'], 'fierce'];
        yield 'seeds popped in oil have lost it' => [['1 tbsp mustard seeds, popped', '200 g yoghurt'], 'none to notice'];
        yield 'toasted ones too' => [['1 tbsp mustard seeds, toasted', '200 g yoghurt'], 'none to notice'];
        yield 'wasabi from powder' => [['10 g wasabi powder', '10 ml water'], 'fierce'];
    }

    public function test_its_bar_is_empty_where_none_is_noticed_and_never_more_than_full(): void
    {
        self::assertSame(0.0, self::bite(['200 g ketchup'])->share);
        self::assertEqualsWithDelta(
            log(100 / 0.5) / log(400 / 0.5),
            self::bite(['100 g Dijon mustard'])->share,
            1e-6,
        );
        self::assertSame(1.0, self::bite(['100 g wasabi powder', '20 ml water'])->share);
    }

    public function test_its_doubt_is_wide_as_its_grade_is_low(): void
    {
        $bite = self::bite(['100 g Dijon mustard']);

        self::assertLessThan(0.75 * $bite->value, $bite->low);
        self::assertGreaterThan(1.25 * $bite->value, $bite->high);
    }

    /** @param list<string> $lines */
    private static function bite(array $lines): PungencyReport
    {
        return PungencyReport::of(
            Balance::of(Formula::fromTexts($lines, Catalogue::shipped(), Measures::Us)),
        );
    }
}
