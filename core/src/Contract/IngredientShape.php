<?php

declare(strict_types=1);

namespace Vinculum\Contract;

use Vinculum\Chemistry\Component;
use Vinculum\Correction\Candidate;
use Vinculum\Correction\StepCost;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Grade;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Taste;
use Vinculum\Sensory\TasteLoad;

/** An ingredient, in full for the catalogue and at a glance for the pantry. The shapes of the public JSON contract, for the command line and for HTTP alike: grams, millilitres, mass percent. */
final class IngredientShape
{
    /** Grams in 100 g that are part of what is listed beside them. */
    private const CARRIED = ['phosphoric', 'solubles'];

    /** @return array<string, mixed> */
    public static function of(Ingredient $ingredient): array
    {
        $components = [];
        foreach ($ingredient->mixture->amounts() as $component => $grams) {
            if ((Component::from($component)->isMass() || in_array($component, self::CARRIED, true)) && $grams > 0.0) {
                $components[$component] = Figure::round($grams);
            }
        }
        $load = TasteLoad::of($ingredient->mixture);

        return [
            'key' => $ingredient->key,
            'name' => $ingredient->name,
            'aliases' => $ingredient->aliases,
            'roles' => $ingredient->roles,
            'components' => $components,
            'sweet_per_100g' => Figure::round($load->sweet),
            'shu' => Figure::round($load->heat / 100.0),
            'nose_heat_per_100g' => Figure::round($ingredient->mixture->get(Component::NoseHeat)),
            'sid_meq_per_100g' => Figure::round($ingredient->mixture->get(Component::StrongIonDifference)),
            'ph' => $ingredient->ph,
            'density' => $ingredient->density === null ? null : Figure::round($ingredient->density),
            'forms' => (object) $ingredient->forms,
            'units' => (object) array_map(static fn(Amount $unit): array => ['grams' => $unit->value, 'sd' => Figure::round($unit->deviation)], $ingredient->units),
            'allergens' => $ingredient->allergens,
            'diets' => $ingredient->diets(),
            'grades' => array_map(static fn(Grade $grade): string => $grade->value, $ingredient->grades),
            'sources' => self::sources($ingredient),
        ];
    }

    /**
     * An ingredient as the pantry shows it: what it does, what it is made of at a glance, and what a step of it costs in a litre.
     *
     * @return array<string, mixed>
     */
    public static function pantry(Ingredient $ingredient, Measures $measures): array
    {
        $mixture = $ingredient->mixture;
        $sum = static fn(string ...$components): float => Figure::round(array_sum(array_map(static fn(string $one): float => $mixture->get(Component::from($one)), $components)));
        $cost = StepCost::in(StepCost::referenceLitre(), Candidate::of($ingredient));
        $spoons = Spoons::of($measures);

        return [
            'key' => $ingredient->key,
            'name' => $ingredient->name,
            'roles' => $ingredient->roles,
            'own' => $ingredient->isOwn(),
            'parts' => [
                'water' => $sum('water'),
                'sugars' => $sum('sweetener', ...Component::sugars()),
                'acids' => $sum(...Component::acids()),
                'salts' => $sum('salt', 'other_salts'),
                'fat' => $sum('fat'),
                'protein' => $sum('protein', 'glutamate', 'aspartate', 'imp', 'gmp', 'amp'),
                'starch' => $sum('starch', 'fibre'),
                'alcohol' => $sum('ethanol'),
                'other' => $sum('other'),
            ],
            'tastes' => array_map(Figure::round(...), Taste::ofMixture($mixture)->byAxis()),
            'nose_heat' => Figure::round($mixture->get(Component::NoseHeat)),
            'ph' => $ingredient->ph,
            'lever' => $cost === null ? null : ['axis' => $cost->axis->value, 'grams' => Figure::round($cost->grams), 'measure' => $ingredient->measure($cost->grams, $spoons)],
            'allergens' => $ingredient->allergens,
            'diets' => $ingredient->diets(),
            'grades' => (object) array_map(static fn(Grade $grade): string => $grade->value, $ingredient->grades),
            'sources' => self::sources($ingredient),
        ];
    }

    /** @return list<string> where the figures come from, in words */
    private static function sources(Ingredient $ingredient): array
    {
        return array_map(static function (string $key): string {
            $source = FactsFile::named('sources')[$key];

            return $source->text('title') . ($source->text('kind') === 'memory' ? ' (from memory)' : '');
        }, $ingredient->sources);
    }
}
