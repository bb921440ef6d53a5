<?php

declare(strict_types=1);

namespace Tests\core\Balance;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Balance\SauceAsIngredient;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Sensory\Axis;

final class SauceAsIngredientTest extends TestCase
{
    private const BASE = [
        '200 ml fish sauce',
        '150 g sugar',
        '100 ml lime juice',
        '1 tbsp cornflour',
        '2 red chillies',
        '1 tbsp english mustard',
        '2 g stevia powder',
        '50 ml sake',
    ];

    public function test_all_of_it_tastes_as_the_sauce_it_is(): void
    {
        $base = self::balance(self::BASE, '400 ml');
        $alone = self::balance(['300 g Galley base'], null, $base);

        foreach (Axis::cases() as $axis) {
            self::assertEqualsWithDelta(
                $base->taste->on($axis),
                $alone->taste->on($axis),
                1e-3 * max(0.1, $base->taste->on($axis)),
                $axis->value,
            );
        }
        self::assertEqualsWithDelta($base->ph?->value, $alone->ph?->value, 0.01);
        self::assertEqualsWithDelta($base->waterActivity?->value, $alone->waterActivity?->value, 1e-3);
        self::assertEqualsWithDelta($base->body->starchPercentOfWater, $alone->body->starchPercentOfWater, 0.01);
        self::assertEqualsWithDelta($base->figures->noseHeat->value, $alone->figures->noseHeat->value, 0.01);
    }

    public function test_allergens_and_diets_are_carried_through(): void
    {
        $base = self::balance(self::BASE);
        $with = self::balance(['300 g Galley base', '20 g celery'], null, $base);

        self::assertSame(['celery', 'gluten', 'fish', 'mustard'], $with->allergens());
        self::assertSame($base->diets(), $with->diets());
        self::assertNotContains('vegan', $with->diets());
    }

    public function test_half_of_it_and_half_water_is_half_as_strong(): void
    {
        $base = self::balance(self::BASE);
        $half = self::balance(['100 g galley base', '100 g water'], null, $base);

        self::assertEqualsWithDelta($base->taste->on(Axis::Salt) / 2.0, $half->taste->on(Axis::Salt), 1e-3);
    }

    public function test_a_sauce_with_nothing_counted_is_no_ingredient(): void
    {
        self::assertNull(SauceAsIngredient::of('sauce-1', 'Nothing yet', self::balance(['salt to taste'])));
    }

    /** @param list<string> $lines */
    private static function balance(array $lines, ?string $yield = null, ?Balance $base = null): Balance
    {
        $made = $base === null ? null : SauceAsIngredient::of('sauce-1', 'Galley base', $base);

        return Balance::of(
            Formula::fromTexts(
                $lines,
                Catalogue::shipped()->with($made === null ? [] : ['sauce-1' => $made]),
                Measures::Us,
                $yield,
            ),
        );
    }
}
