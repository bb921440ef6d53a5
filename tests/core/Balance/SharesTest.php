<?php

declare(strict_types=1);

namespace Tests\core\Balance;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Formula;
use Vinculum\Balance\Parts;
use Vinculum\Balance\Shares;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;

final class SharesTest extends TestCase
{
    public function test_shares_of_every_axis_add_up_to_the_whole(): void
    {
        $shares = Shares::of(
            self::formula([
                '1 cup ketchup',
                '2 tbsp soy sauce',
                '20 g dried mushroom',
                '3 tbsp cider vinegar',
                '2 tbsp honey',
                '½ tsp cayenne',
                '1 tsp salt',
                '200 ml water',
            ]),
        );
        foreach (['sweet', 'sour', 'salt', 'umami', 'heat'] as $axis) {
            self::assertEqualsWithDelta(1.0, array_sum($shares->byAxis[$axis]), 0.03, $axis);
        }
    }

    /** By hand: 10 g salt beside 100 g of a sauce with 17 g salt in 100 g is 10 of 27. */
    public function test_the_share_of_salt_is_the_lines_part_of_the_sum(): void
    {
        $catalogue = Catalogue::shipped();
        $shares = Shares::of(self::formula(['10 g salt', '100 g fish sauce']))->byAxis['salt'];
        $fish = $catalogue->get('fish-sauce')->composition->mixture->amounts()['salt'];
        $salt = $catalogue->get('salt')->composition->mixture->amounts()['salt'] / 10.0;

        self::assertEqualsWithDelta($salt / ($salt + $fish), $shares[0], 1e-9);
        self::assertSame([1, 0], array_keys($shares));
    }

    /** By hand, Yamaguchi's product: glutamate and nucleotide each make half of what they make together. */
    public function test_synergy_is_shared_by_those_who_make_it(): void
    {
        $shares = Shares::of(self::formula(['1 g msg', '10 g bonito flakes', '500 g water']))->byAxis['umami'];

        self::assertGreaterThan(0.35, $shares[1]);
        self::assertGreaterThan(0.35, $shares[0]);
    }

    public function test_what_brings_nothing_is_not_named(): void
    {
        self::assertSame([], Shares::of(self::formula(['200 ml water']))->byAxis['salt']);
        self::assertArrayNotHasKey(1, Shares::of(self::formula(['1 tsp salt', '200 ml water']))->byAxis['salt']);
        self::assertSame([], Shares::of(self::formula([]))->byAxis['heat']);
    }

    /** Common practice: these are said as ratios, whatever the vessel. @return iterable<string, array{list<string>, string}> */
    public static function ratios(): iterable
    {
        foreach (['tbsp', 'cups', 'mugs', 'ladles'] as $vessel) {
            yield "herb sauce in {$vessel}" => [
                ["4 {$vessel} olive oil", "4 {$vessel} red wine vinegar", '1 tsp dried oregano'],
                '1 : 1',
            ];
            yield "soy, sweet wine, rice wine in {$vessel}" => [
                ["3 {$vessel} soy sauce", "1 {$vessel} mirin", "1 {$vessel} sake"],
                '3 : 1 : 1',
            ];
            yield "mustard, honey, mayonnaise in {$vessel}" => [
                ["2 {$vessel} mustard", "2 {$vessel} honey", "6 {$vessel} mayonnaise"],
                '1 : 1 : 3',
            ];
            yield "mayonnaise to vinegar in {$vessel}" => [["4 {$vessel} mayonnaise", "3 {$vessel} vinegar"], '4 : 3'];
        }
    }

    /** @param list<string> $lines */
    #[DataProvider('ratios')]
    public function test_a_ratio_is_recognised_at_any_vessel_size(array $lines, string $words): void
    {
        $parts = Parts::of(self::formula($lines));

        self::assertSame($words, $parts?->words());
        self::assertTrue($parts->areWhole);
    }

    public function test_what_is_no_ratio_is_told_in_decimals_and_one_line_is_none(): void
    {
        $odd = Parts::of(self::formula(['100 ml water', '113 ml cider vinegar']));

        self::assertSame('1 : 1.1', $odd?->words());
        self::assertFalse($odd->areWhole);
        self::assertNull(Parts::of(self::formula(['1 cup ketchup', '1 tsp salt'])));
    }

    public function test_a_part_is_the_vessel_that_the_cook_takes(): void
    {
        $formula = Formula::fromTexts(
            ['3 parts soy sauce', '1 part mirin'],
            Catalogue::shipped(),
            Measures::Us,
            null,
            50.0,
        );

        self::assertEqualsWithDelta(150.0, $formula->lines[0]->millilitres, 1e-9);
        self::assertSame('3 : 1', Parts::of($formula)?->words());
    }

    /** @param list<string> $lines */
    private static function formula(array $lines): Formula
    {
        return Formula::fromTexts($lines, Catalogue::shipped(), Measures::Us);
    }
}
