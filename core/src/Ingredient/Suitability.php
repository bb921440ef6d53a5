<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;

/** Whom an ingredient suits: its allergens, and the diets it does not fit. */
final readonly class Suitability
{
    private const BROKEN_BY = ['alcohol' => 'alcohol-free', 'meat' => 'vegetarian', 'sugar' => 'no-added-sugar'];
    private const OF_ANIMALS = ['vegan', 'vegetarian'];
    /** Ethanol that is left out of account when a thing is called free of alcohol, g/100 g. */
    private const TRACE_OF_ALCOHOL = 0.5;

    /**
     * @param list<string> $allergens those that packs of its kind often hold among them
     * @param list<string> $breaks diets it does not fit
     * @param list<string> $often what of that depends on the pack, in words
     */
    private function __construct(public array $allergens, public array $breaks, public array $often) {}

    /**
     * @param list<string> $stated diets that are said not to fit
     * @param list<string> $allergens
     * @param Mixture $mixture of 100 g
     * @param list<string> $often what packs of its kind often hold besides: allergens, alcohol, meat, sugar. No diet is
     *     claimed that one of them would break
     */
    public static function of(array $stated, array $allergens, Mixture $mixture, array $often = []): self
    {
        $stated = [...$stated, ...array_values(array_intersect_key(self::BROKEN_BY, array_flip($often)))];
        $allergens = [...$allergens, ...array_values(array_diff($often, $allergens, array_keys(self::BROKEN_BY)))];

        return new self($allergens, self::brokenDiets($stated, $allergens, $mixture), $often);
    }

    /**
     * The same from a pack that is free of some allergens; null where it is never without.
     *
     * @param list<string> $allergens
     */
    public function freeOf(array $allergens): ?self
    {
        $held = array_intersect($allergens, $this->allergens);
        if (array_diff($held, $this->often) !== []) {
            return null;
        }

        return new self(
            array_values(array_diff($this->allergens, $held)),
            // of animals a pack says more than that
            array_values(array_diff($this->breaks, in_array('gluten', $held, true) ? ['gluten-free'] : [])),
            array_values(array_diff($this->often, $held)),
        );
    }

    /** @return list<string> the diets it fits */
    public function diets(): array
    {
        return array_values(array_diff(self::allDiets(), $this->breaks));
    }

    /**
     * Allergens that it brings into what lacks them.
     *
     * @param list<string> $allergens of what it goes into
     *
     * @return list<string>
     */
    public function newAllergens(array $allergens): array
    {
        return array_values(array_diff($this->allergens, $allergens));
    }

    /**
     * Whether it brings something of an animal into what has nothing of the kind.
     *
     * @param list<string> $breaks diets that what it goes into does not fit
     */
    public function bringsAnimals(array $breaks): bool
    {
        return array_diff(array_intersect($this->breaks, self::OF_ANIMALS), $breaks) !== [];
    }

    /** Whether it holds an allergen, or something of an animal. */
    public function isAvoided(): bool
    {
        return $this->allergens !== [] || $this->bringsAnimals([]);
    }

    /** @return list<string> */
    public static function allDiets(): array
    {
        return ['vegan', 'vegetarian', 'gluten-free', 'alcohol-free', 'no-added-sugar'];
    }

    /**
     * @param list<string> $stated
     * @param list<string> $allergens
     *
     * @return list<string>
     */
    private static function brokenDiets(array $stated, array $allergens, Mixture $mixture): array
    {
        $meat = array_intersect($allergens, ['fish', 'crustaceans', 'molluscs']) !== [];
        $animal = $meat || array_intersect($allergens, ['egg', 'milk']) !== [];
        $broken = [
            ...$stated,
            ...($animal || in_array('vegetarian', $stated, true) ? ['vegan'] : []),
            ...($meat ? ['vegetarian'] : []),
            ...(in_array('gluten', $allergens, true) ? ['gluten-free'] : []),
            ...($mixture->get(Component::Ethanol) > self::TRACE_OF_ALCOHOL ? ['alcohol-free'] : []),
        ];

        return array_values(array_intersect(self::allDiets(), $broken));
    }
}
