<?php

declare(strict_types=1);

namespace Tests\core\Comparison;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Formula;
use Vinculum\Comparison\BrandEffect;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\ProductLabel;
use Vinculum\Quantity\Measures;

final class BrandEffectTest extends TestCase
{
    public function test_another_product_of_the_same_kind_says_what_it_did(): void
    {
        $strong = ProductLabel::of(
            'Pickling vinegar',
            'white-vinegar',
            [
                'fat' => null,
                'carbohydrate' => null,
                'sugars' => null,
                'protein' => null,
                'salt' => null,
                'sodium' => null,
                'acidity' => 10.0,
            ],
            false,
            null,
            null,
            null,
            true,
        );
        $before = Formula::fromTexts(
            ['100 g white vinegar', '100 g sugar', '300 g water'],
            Catalogue::shipped(),
            Measures::Metric,
        );
        $after = Formula::fromTexts(
            ['100 g white vinegar', '100 g sugar', '300 g water'],
            Catalogue::shipped()->withOwn(['own-1' => $strong]),
            Measures::Metric,
        );
        $effects = BrandEffect::between($before, $after);

        self::assertCount(1, $effects);
        // twice the acid is ln 2/ln 1.22 steps
        self::assertEqualsWithDelta(log(2.0) / log(1.22), $effects[0]->steps['sour'], 0.15);
        self::assertMatchesRegularExpression(
            '/^with Pickling vinegar instead of White vinegar: 3\.\d steps more sour/',
            $effects[0]->words(),
        );
        self::assertSame([], BrandEffect::between($before, $before));
    }
}
