<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Chemistry\Component;
use Vinculum\Correction\Candidate;
use Vinculum\Correction\StepCost;
use Vinculum\Ingredient\Grade;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/**
 * An ingredient as the pantry shows it: what it does, what it is made of at a glance, and what a step of it costs in a
 * litre.
 */
final readonly class PantryItemReport extends Report
{
    /**
     * @param list<string> $roles
     * @param array<'water'|'sugars'|'acids'|'salts'|'fat'|'protein'|'starch'|'alcohol'|'other', float> $parts grams in 100 g
     * @param array<value-of<Axis>, float> $tastes by axis, in its unit
     * @param array{axis: value-of<Axis>, grams: float, measure: string}|null $lever
     * @param list<string> $allergens
     * @param list<string> $diets that it fits
     * @param Named<string> $grades by figure
     * @param list<string> $sources in words
     */
    private function __construct(
        public string $key,
        public string $name,
        public array $roles,
        public bool $own,
        public array $parts,
        public array $tastes,
        public float $noseHeat,
        public ?float $ph,
        public ?array $lever,
        public array $allergens,
        public array $diets,
        public Named $grades,
        public array $sources,
    ) {}

    public static function of(Ingredient $ingredient, Spoons $spoons): self
    {
        $mixture = $ingredient->composition->mixture;
        $sum = static fn(string ...$components): float => array_sum(
            array_map(static fn(string $one): float => $mixture->get(Component::from($one)), $components),
        );
        $cost = StepCost::in(StepCost::referenceLitre(), Candidate::of($ingredient));

        return new self(
            $ingredient->key,
            $ingredient->name,
            $ingredient->roles,
            $ingredient->isOwn(),
            [
                'water' => $sum('water'),
                'sugars' => $sum('sweetener', ...Component::sugars()),
                'acids' => $sum(...Component::acids()),
                'salts' => $sum('salt', 'other_salts'),
                'fat' => $sum('fat'),
                'protein' => $sum('protein', 'glutamate', 'aspartate', 'imp', 'gmp', 'amp'),
                'starch' => $sum('starch', 'dextrin', 'fibre'),
                'alcohol' => $sum('ethanol'),
                'other' => $sum('other'),
            ],
            Taste::ofMixture($mixture)->byAxis(),
            $mixture->get(Component::Pungency),
            $ingredient->composition->ph,
            $cost === null
                ? null
                : [
                    'axis' => $cost->axis->value,
                    'grams' => $cost->grams,
                    'measure' => $ingredient->portions->measure($cost->grams, $spoons)->words(),
                ],
            $ingredient->suitability->allergens,
            $ingredient->suitability->diets(),
            new Named(array_map(static fn(Grade $grade): string => $grade->value, $ingredient->composition->grades)),
            $ingredient->sourcesInWords(),
        );
    }
}
