<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Chemistry\Component;
use Vinculum\Ingredient\Composition;
use Vinculum\Ingredient\Grade;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\Suitability;
use Vinculum\Quantity\Amount;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** A finished sauce as something that goes into another: its composition, allergens and diets carried through. */
final class SauceAsIngredient
{
    /** What it is a kind of: nothing in the shipped catalogue. */
    private const KIND = 'a sauce of the kitchen';
    /** The composition group whose doubt an axis tells. */
    private const TOLD_BY = [
        'sugars' => 'sweet',
        'sweetener' => 'sweet',
        'acids' => 'sour',
        'salt' => 'salt',
        'umami' => 'umami',
        'heat' => 'heat',
    ];

    /** A hundred grams of it; null while nothing in it is counted. */
    public static function of(string $key, string $title, Balance $balance): ?Ingredient
    {
        $grams = $balance->mixture->grams();
        if ($grams <= 0.0) {
            return null;
        }
        $hundred = $balance->mixture->times(100.0 / $grams);
        $composition = Composition::made(
            $key,
            $hundred,
            $balance->ph !== null || $hundred->get(Component::Protein) <= 0.0,
            self::grades($balance),
        );
        $broken = array_values(array_diff(Suitability::allDiets(), $balance->diets()));

        return Ingredient::made(
            $key,
            $title,
            self::KIND,
            $composition,
            self::kinds($balance),
            Suitability::of($broken, $balance->allergens(), $composition->mixture),
        );
    }

    /**
     * What it is for keeping: what its parts are.
     *
     * @return list<string>
     */
    private static function kinds(Balance $balance): array
    {
        $kinds = array_map(
            static fn(ResolvedLine $line): array => $line->ingredient->kinds ?? [],
            $balance->formula->ingredientLines(),
        );

        return array_values(array_unique(array_merge([], ...$kinds)));
    }

    /** @return array<string, Grade> the doubt of each group as the grade that comes nearest to it */
    private static function grades(Balance $balance): array
    {
        $grades = [];
        foreach (self::TOLD_BY as $group => $axis) {
            $reading = $balance->axes[$axis];
            $relative = $reading->value > 0.0
                ? ($reading->high - $reading->low) / 2.0 / Amount::NINETY_PERCENT / $reading->value
                : 0.0;
            $grade = Grade::D;
            foreach ([Grade::A, Grade::B, Grade::C] as $better) {
                if ($relative <= 1.3 * $better->deviation()) {
                    $grade = $better;
                    break;
                }
            }
            $grades[$group] = $grade;
        }

        return $grades;
    }
}
