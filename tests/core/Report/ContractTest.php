<?php

declare(strict_types=1);

namespace Tests\core\Report;

use PHPUnit\Framework\TestCase;
use Tests\core\Weighed;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Complaint;
use Vinculum\Correction\Wish;
use Vinculum\Family\FamilyBook;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Report\AdviceReport;
use Vinculum\Report\BalanceReport;
use Vinculum\Report\IngredientReport;

/** The public shapes: every promised key is there, and nothing in them is NaN, infinite or made up. */
final class ContractTest extends TestCase
{
    private const COMPONENTS = [
        'water',
        'sucrose',
        'glucose',
        'fructose',
        'maltose',
        'lactose',
        'sweetener',
        'acetic',
        'citric',
        'malic',
        'tartaric',
        'lactic',
        'oxalic',
        'quinic',
        'succinic',
        'phosphoric',
        'solubles',
        'salt',
        'glutamate',
        'aspartate',
        'imp',
        'gmp',
        'amp',
        'ethanol',
        'fat',
        'saturates',
        'protein',
        'starch',
        'fibre',
    ];
    private const ALSO = ['galactose', 'gluconic', 'other_salts', 'other'];

    public function test_every_ingredient_has_the_promised_shape(): void
    {
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $json = IngredientReport::of($ingredient)->toArray();
            self::assertSame(
                [],
                array_diff(array_keys($json['components']), self::COMPONENTS, self::ALSO),
                $ingredient->key,
            );
            self::assertIsFloat($json['sweet_per_100g']);
            self::assertGreaterThanOrEqual(0.0, $json['shu']);
            self::assertNotSame([], $json['grades'], $ingredient->key);
            self::assertNotSame([], $json['sources'], $ingredient->key);
            self::assertIsString(json_encode($json, JSON_THROW_ON_ERROR));
        }
    }

    public function test_a_balance_of_anything_can_be_written_as_json(): void
    {
        $odd = [
            [],
            [''],
            ['zorp'],
            ['0 g salt'],
            ['1/0 cup sugar'],
            ['1 g salt'],
            ['100 g oil'],
            ['100 g bicarbonate of soda'],
            ['1000 kg water'],
            ['0.000001 g cayenne'],
            ['100 g MSG', '100 g vinegar'],
            ['1 drop water'],
        ];
        foreach ($odd as $lines) {
            foreach ([null, '1 ml', '10 kg', 'zorp'] as $yield) {
                $balance = Balance::of(Formula::fromTexts($lines, Catalogue::shipped(), Measures::Us, $yield));
                $text = json_encode(
                    BalanceReport::of(Weighed::balance($balance, 'ketchup')),
                    JSON_THROW_ON_ERROR,
                );
                self::assertStringNotContainsString('null,null', $text);
                foreach (array_slice(FamilyBook::all(), 0, 3) as $style) {
                    $sauce = Weighed::balance($balance, $style->key);
                    $advice = (new Adviser($sauce))->answer(new Wish(most: 2));
                    self::assertIsString(json_encode(AdviceReport::of($advice, $sauce), JSON_THROW_ON_ERROR));
                }
            }
        }
    }

    public function test_every_complaint_is_answered_on_a_middling_sauce(): void
    {
        $balance = Balance::of(
            Formula::fromTexts(
                ['300 g tomatoes', '40 g sugar', '30 g cider vinegar', '6 g salt', '1 g cayenne'],
                Catalogue::shipped(),
                Measures::Us,
            ),
        );
        foreach (Complaint::keys() as $key) {
            $advice = (new Adviser(Weighed::balance($balance)))->answer(new Wish(Complaint::named($key)));
            $json = AdviceReport::of($advice, Weighed::balance($balance))->toArray();
            self::assertNotSame([], $json['corrections'], $key);
            foreach ($json['corrections'] as $correction) {
                // what is no taste is mended by what is done, and said to be
                in_array($key, Complaint::ofTaste(), true)
                    ? self::assertLessThan($json['distance_before'], $correction['distance_after'], $key)
                    : self::assertNotEmpty($correction['does']['text'], $key);
                foreach ([
                    'additions',
                    'after',
                    'distance_after',
                    'added_grams',
                    'batch_grams',
                    'batch_millilitres',
                    'side_effects',
                    'allergens_added',
                ] as $promised) {
                    self::assertArrayHasKey($promised, $correction);
                }
                foreach ($correction['additions'] as $addition) {
                    foreach (['ingredient', 'grams', 'measure', 'first_dose_grams'] as $promised) {
                        self::assertArrayHasKey($promised, $addition);
                    }
                }
            }
        }
    }

    public function test_flat_is_answered_with_acid_first(): void
    {
        $balance = Balance::of(
            Formula::fromTexts(
                ['300 g tomatoes', '40 g sugar', '10 g cider vinegar', '6 g salt'],
                Catalogue::shipped(),
                Measures::Us,
            ),
        );
        $advice = (new Adviser(Weighed::balance($balance)))->answer(new Wish(Complaint::named('flat')));
        $keys = array_map(static fn($one): string => $one->ingredient->key, $advice->corrections[0]->additions);

        self::assertNotSame([], array_intersect(['cider-vinegar', 'lemon-juice'], $keys));
    }
}
