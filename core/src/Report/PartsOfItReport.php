<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Chemistry\Component;
use Vinculum\Ingredient\Grade;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/** An ingredient at a glance: what it is made of by kind, and how it tastes. */
final readonly class PartsOfItReport extends Report
{
    /**
     * @param array<'water'|'sugars'|'acids'|'salts'|'fat'|'protein'|'starch'|'alcohol'|'other', float> $parts grams in 100 g
     * @param array<value-of<Axis>, float> $tastes by axis, in its unit
     * @param Named<string> $grades by figure
     */
    private function __construct(
        public array $parts,
        public array $tastes,
        public float $noseHeat,
        public ?float $ph,
        public Named $grades,
    ) {}

    public static function of(Ingredient $ingredient): self
    {
        $mixture = $ingredient->composition->mixture;
        $sum = static fn(string ...$components): float => array_sum(
            array_map(static fn(string $one): float => $mixture->get(Component::from($one)), $components),
        );

        return new self(
            parts: [
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
            tastes: Taste::ofMixture($mixture)->byAxis(),
            noseHeat: $mixture->get(Component::Pungency),
            ph: $ingredient->composition->ph,
            grades: new Named(array_map(
                static fn(Grade $grade): string => $grade->value,
                $ingredient->composition->grades,
            )),
        );
    }
}
