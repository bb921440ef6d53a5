<?php

declare(strict_types=1);

namespace Tests\core\Planning;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Planning\Shopping;
use Vinculum\Quantity\Measures;

final class ShoppingTest extends TestCase
{
    private const SHELF = [
        'white-sugar' => ['name' => 'Beet sugar', 'pack_grams' => 1000.0, 'price' => 1.2, 'stock_grams' => 300.0],
        'salt' => ['name' => 'Salt', 'pack_grams' => 500.0, 'price' => 0.5, 'stock_grams' => 500.0],
    ];

    public function test_needs_are_summed_less_the_stock_in_whole_packs(): void
    {
        $list = array_column(
            Shopping::for(
                [
                    self::formula(['400 g sugar', '10 g salt', '200 ml water']),
                    self::formula(['1 kg sugar', '500 g plums']),
                ],
                self::SHELF,
            ),
            null,
            'ingredient',
        );

        self::assertSame(['white-sugar', 'plum', 'salt'], array_keys($list));
        self::assertEqualsWithDelta(
            [1400.0, 1100.0, 2, 2.4, 900.0],
            [
                $list['white-sugar']['need_grams'],
                $list['white-sugar']['buy_grams'],
                $list['white-sugar']['packs'],
                $list['white-sugar']['cost'],
                $list['white-sugar']['left_grams'],
            ],
            1e-9,
        );
        self::assertSame([0, 0.0], [$list['salt']['packs'], $list['salt']['buy_grams']], 'there is enough salt');
        self::assertNull($list['plum']['packs'], 'nobody said how plums are sold');
    }

    public function test_what_a_batch_costs_as_far_as_prices_are_known(): void
    {
        $cost = Shopping::cost(self::formula(['500 g sugar', '100 g salt', '500 g plums', '1 l water']), self::SHELF);

        self::assertEqualsWithDelta(0.6 + 0.1, $cost['cost'], 1e-9);
        self::assertSame(['Plum'], $cost['unpriced']);
    }

    /** @param list<string> $lines */
    private static function formula(array $lines): Formula
    {
        return Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric);
    }
}
