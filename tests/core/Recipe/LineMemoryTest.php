<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** What was read is read as it was; and what hangs on something else is read anew. */
final class LineMemoryTest extends TestCase
{
    public function test_a_line_in_its_row_is_the_same_object_and_elsewhere_it_is_another(): void
    {
        $one = self::lines(['1 cup honey', '2 tbsp mustard']);
        self::assertSame($one[1], self::lines(['3 cups honey', '2 tbsp mustard'])[1]);
        self::assertSame(0, self::lines(['2 tbsp mustard', '1 cup honey'])[0]->source?->id - 1);
    }

    public function test_it_hangs_on_measures_vessels_and_the_cooks_own_products(): void
    {
        $grams = static fn(ResolvedLine $line): ?float => $line->grams?->value;
        $us = self::lines(['1 cup honey'])[0];
        self::assertNotSame($grams($us), $grams(self::lines(['1 cup honey'], Measures::Metric)[0]));
        self::assertNotSame(
            $grams(self::lines(['1 part = 50 ml', '2 parts honey'])[1]),
            $grams(self::lines(['1 part = 30 ml', '2 parts honey'])[1]),
        );
        $own = Catalogue::shipped()->with(['honey' => Catalogue::shipped()->get('honey')]);
        self::assertNotSame($us, Formula::fromTexts(['1 cup honey'], $own, Measures::Us)->lines[0]);
    }

    public function test_the_same_amount_is_that_of_the_line_before_it_now(): void
    {
        foreach ([2 => 30.0, 4 => 60.0] as $spoons => $millilitres) {
            $lines = self::lines(["{$spoons} tbsp soy sauce", 'the same amount of mirin'], Measures::Metric);
            self::assertEqualsWithDelta($millilitres, $lines[1]->millilitres, 0.5, "{$spoons} tbsp");
        }
    }

    /**
     * @param list<string> $texts
     *
     * @return list<ResolvedLine>
     */
    private static function lines(array $texts, Measures $measures = Measures::Us): array
    {
        return Formula::fromTexts($texts, Catalogue::shipped(), $measures)->lines;
    }
}
