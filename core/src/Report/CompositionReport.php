<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Chemistry\Component;
use Vinculum\Ingredient\Grade;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\Saturates;
use Vinculum\Sensory\TasteLoad;

/** What 100 g of an ingredient are made of, and how well each figure is known. */
final readonly class CompositionReport extends Report
{
    /** Grams in 100 g that are part of what is listed beside them. */
    private const CARRIED = ['phosphoric', 'solubles'];

    /**
     * @param array<string, float> $components grams in 100 g
     * @param float $shu Scoville heat units
     * @param array<string, string> $grades by figure
     */
    private function __construct(
        public array $components,
        public float $sweetPer100g,
        public float $shu,
        public float $noseHeatPer100g,
        public float $sidMeqPer100g,
        public ?float $ph,
        public array $grades,
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
            components: [
                ...array_filter($told->amounts(), $isPart, ARRAY_FILTER_USE_BOTH),
                ...array_filter(['saturates' => Saturates::in($ingredient)]),
            ],
            sweetPer100g: $load->sweet,
            shu: $load->heat / 100.0,
            noseHeatPer100g: $mixture->get(Component::Pungency),
            sidMeqPer100g: $mixture->get(Component::StrongIonDifference),
            ph: $ingredient->composition->ph,
            grades: array_map(static fn(Grade $grade): string => $grade->value, $ingredient->composition->grades),
        );
    }
}
