<?php

declare(strict_types=1);

namespace Tests\core\Keeping;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Keeping\BatchSplit;
use Vinculum\Quantity\Measures;

final class SplitTest extends TestCase
{
    public function test_the_table_comes_first_and_every_part_has_its_rule(): void
    {
        $split = BatchSplit::of(
            self::sauce(['800 g ketchup', '200 g sugar']),
            ['marinade', 'basting', 'table'],
            2.0,
            8.0,
        );

        self::assertSame(['table', 'marinade', 'basting'], array_column($split['parts'], 'use'));
        self::assertEqualsWithDelta([240.0, 240.0, 120.0], array_column($split['parts'], 'grams'), 1e-6);
        self::assertEqualsWithDelta(400.0, $split['left_grams'], 1e-6);
        foreach ($split['parts'] as $part) {
            self::assertNotSame('', $part['rule']);
        }
    }

    public function test_where_there_is_too_little_the_table_is_kept_and_the_rest_shrinks_alike(): void
    {
        $split = BatchSplit::of(self::sauce(['300 g ketchup']), ['marinade', 'mop', 'table'], 3.0, 4.0);
        $parts = array_column($split['parts'], 'grams', 'use');

        self::assertEqualsWithDelta(120.0, $parts['table'], 1e-6);
        self::assertEqualsWithDelta(300.0, array_sum($parts) + $split['left_grams'], 1e-6);
        self::assertEqualsWithDelta(120.0 / 150.0, $parts['marinade'] / $parts['mop'], 1e-6);
    }

    /** "Baste (late, sugar burns; a sauce with no sugar can go on early)" (handbook, part A). */
    public function test_sugar_goes_on_late_and_a_sauce_without_it_early(): void
    {
        $timing = static fn(string ...$lines): string => BatchSplit::of(
            self::sauce(array_values($lines)),
            ['basting'],
            1.0,
            1.0,
        )['parts'][0]['timing'];

        self::assertStringContainsString('last ten', $timing('100 g ketchup', '50 g honey'));
        self::assertStringContainsString(
            'from the start',
            $timing('100 g olive oil', '50 g white vinegar', '5 g salt'),
        );
        self::assertStringContainsString('last half', $timing('200 g passata'));
    }

    /** @param list<string> $lines */
    private static function sauce(array $lines): Balance
    {
        return Balance::of(Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric));
    }
}
