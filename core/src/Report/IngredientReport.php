<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Chemistry\Component;
use Vinculum\Ingredient\Grade;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\Saturates;
use Vinculum\Quantity\Amount;
use Vinculum\Sensory\TasteLoad;

/** An ingredient in full, as the catalogue has it: grams in 100 g, g/ml, mEq. */
final readonly class IngredientReport extends Report
{
    /** Grams in 100 g that are part of what is listed beside them. */
    private const CARRIED = ['phosphoric', 'solubles'];

    /**
     * @param list<string> $aliases
     * @param list<string> $roles
     * @param array<string, float> $components grams in 100 g
     * @param float $shu Scoville heat units
     * @param Named<float> $forms
     * @param Named<array{grams: float, sd: float}> $units grams of one, by its word
     * @param list<string> $allergens
     * @param list<string> $oftenHolds what of its allergens and the like depends on the pack
     * @param list<string> $diets that it fits
     * @param array<string, string> $grades by figure
     * @param list<string> $sources in words
     */
    private function __construct(
        public string $key,
        public string $name,
        public array $aliases,
        public array $roles,
        public array $components,
        public float $sweetPer100g,
        public float $shu,
        public float $noseHeatPer100g,
        public float $sidMeqPer100g,
        public ?float $ph,
        public ?float $density,
        public Named $forms,
        public Named $units,
        public array $allergens,
        public array $oftenHolds,
        public array $diets,
        public array $grades,
        public array $sources,
    ) {}

    public static function of(Ingredient $ingredient): self
    {
        $mixture = $ingredient->composition->mixture;
        // to who reads a table, short chains of glucose are starch
        $told = $mixture->with(Component::Dextrin, 0.0)
            ->with(Component::Starch, $mixture->get(Component::Starch) + $mixture->get(Component::Dextrin));
        $load = TasteLoad::of($mixture);
        $isPart = static fn(float $grams, string $component): bool => $grams > 0.0
            && (Component::from($component)->isMass() || in_array($component, self::CARRIED, true));

        return new self(
            $ingredient->key,
            $ingredient->name,
            $ingredient->aliases,
            $ingredient->roles,
            [
                ...array_filter($told->amounts(), $isPart, ARRAY_FILTER_USE_BOTH),
                ...array_filter(['saturates' => Saturates::in($ingredient)]),
            ],
            $load->sweet,
            $load->heat / 100.0,
            $ingredient->composition->mixture->get(Component::Pungency),
            $ingredient->composition->mixture->get(Component::StrongIonDifference),
            $ingredient->composition->ph,
            $ingredient->portions->density,
            new Named($ingredient->portions->forms),
            new Named(
                array_map(
                    static fn(Amount $unit): array => ['grams' => $unit->value, 'sd' => $unit->deviation],
                    $ingredient->portions->units,
                ),
            ),
            $ingredient->suitability->allergens,
            $ingredient->suitability->often,
            $ingredient->suitability->diets(),
            array_map(static fn(Grade $grade): string => $grade->value, $ingredient->composition->grades),
            $ingredient->sourcesInWords(),
        );
    }
}
