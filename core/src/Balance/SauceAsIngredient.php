<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Chemistry\AcidityFacts;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Volume;
use Vinculum\Facts\Facts;
use Vinculum\Facts\Row;
use Vinculum\Ingredient\Grade;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\Texture;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** A finished sauce as something that goes into another: its composition, allergens and diets carried through. */
final class SauceAsIngredient
{
    /** What the row says it is a kind of: nothing in the shipped catalogue. */
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

    /** A catalogue row of 100 g of it; null while nothing in it is counted. */
    public static function row(string $key, string $title, Balance $balance): ?Row
    {
        $grams = $balance->mixture->grams();
        if ($grams <= 0.0) {
            return null;
        }
        $hundred = $balance->mixture->times(100.0 / $grams);
        $fields = [
            'name' => $title,
            'roles' => 'base',
            'own' => self::KIND,
            'of' => self::masses($hundred),
            'shu' => self::number($hundred->get(Component::CapsaicinoidHeat) / 100.0),
            'other_shu' => self::number($hundred->get(Component::OtherHeat) / 100.0),
            'nose' => self::number($hundred->get(Component::Pungency)),
            'thickening' => self::number($hundred->get(Component::Thickening) / 100.0),
            'sid' => $balance->ph === null && $hundred->get(Component::Protein) > 0.0
                ? ''
                : self::number($hundred->get(Component::StrongIonDifference)),
            'phosphorus' => self::number(
                1000.0 * $hundred->get(Component::Phosphoric) / Facts::of(AcidityFacts::class)->phosphorus->phosphoric,
            ),
            'solubles' => self::number($hundred->get(Component::Solubles)),
            'kind' => implode(', ', self::kinds($balance)),
            'sweetener_grams' => self::number($hundred->get(Component::Sweetener)),
            'sweetener_worth' => self::number($hundred->get(Component::SweetenerSweetness)),
            'density' => self::number(Volume::density($hundred) ?? 1.0),
            'texture' => Texture::Liquid->value,
            'allergens' => implode(', ', $balance->allergens()),
            'breaks' => implode(', ', array_diff(Ingredient::allDiets(), $balance->diets())),
            'grades' => self::grades($balance),
            'sources' => 'own-sauce',
        ];

        return new Row($key, array_filter($fields, static fn(string $field): bool => $field !== ''));
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

    private static function masses(Mixture $hundred): string
    {
        $parts = [];
        foreach ($hundred->amounts() as $component => $grams) {
            if ($grams > 0.0 && Component::from($component)->isMass() && $component !== Component::Sweetener->value) {
                $parts[] = "{$component} " . self::number($grams);
            }
        }

        return implode(', ', $parts);
    }

    /** The doubt of each group as the grade that comes nearest to it. */
    private static function grades(Balance $balance): string
    {
        $grades = ['C'];
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
            $grades[] = "{$group} {$grade->value}";
        }

        return implode(', ', $grades);
    }

    private static function number(float $value): string
    {
        return KitchenNumber::plain($value, 8);
    }
}
