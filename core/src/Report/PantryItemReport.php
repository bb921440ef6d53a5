<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Correction\Candidate;
use Vinculum\Correction\StepCost;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Axis;

/**
 * An ingredient as the pantry shows it: what it does, what it is made of at a glance, and what a step of it costs in a
 * litre.
 */
final readonly class PantryItemReport extends Report
{
    public const INLINE = ['made'];

    /**
     * @param list<string> $roles
     * @param array{axis: value-of<Axis>, grams: float, measure: string}|null $lever
     * @param list<string> $allergens
     * @param list<string> $diets that it fits
     * @param list<string> $sources in words
     */
    private function __construct(
        public string $key,
        public string $name,
        public array $roles,
        public bool $own,
        public PartsOfItReport $made,
        public ?array $lever,
        public array $allergens,
        public array $diets,
        public array $sources,
    ) {}

    public static function of(Ingredient $ingredient, Spoons $spoons): self
    {
        $cost = StepCost::in(StepCost::referenceLitre(), Candidate::of($ingredient));

        return new self(
            key: $ingredient->key,
            name: $ingredient->name,
            roles: $ingredient->roles,
            own: $ingredient->isOwn(),
            made: PartsOfItReport::of($ingredient),
            lever: $cost === null
                ? null
                : [
                    'axis' => $cost->axis->value,
                    'grams' => $cost->grams,
                    'measure' => $ingredient->portions->measure($cost->grams, $spoons)->words(),
                ],
            allergens: $ingredient->suitability->allergens,
            diets: $ingredient->suitability->diets(),
            sources: $ingredient->sourcesInWords(),
        );
    }
}
