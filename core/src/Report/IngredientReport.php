<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Ingredient\Ingredient;

/** An ingredient in full, as the catalogue has it: grams in 100 g, g/ml, mEq. */
final readonly class IngredientReport extends Report
{
    public const INLINE = ['composition', 'portions'];

    /**
     * @param list<string> $aliases
     * @param list<string> $roles
     * @param list<string> $allergens
     * @param list<string> $oftenHolds what of its allergens and the like depends on the pack
     * @param list<string> $diets that it fits
     * @param list<string> $sources in words
     */
    private function __construct(
        public string $key,
        public string $name,
        public array $aliases,
        public array $roles,
        public CompositionReport $composition,
        public PortionsReport $portions,
        public array $allergens,
        public array $oftenHolds,
        public array $diets,
        public array $sources,
    ) {}

    public static function of(Ingredient $ingredient): self
    {
        return new self(
            key: $ingredient->key,
            name: $ingredient->name,
            aliases: $ingredient->aliases,
            roles: $ingredient->roles,
            composition: CompositionReport::of($ingredient),
            portions: PortionsReport::of($ingredient),
            allergens: $ingredient->suitability->allergens,
            oftenHolds: $ingredient->suitability->often,
            diets: $ingredient->suitability->diets(),
            sources: $ingredient->sourcesInWords(),
        );
    }
}
