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
     * @param list<string> $stated diets that it does not fit whatever the pack
     */
    private function __construct(
        public array $allergens,
        public array $breaks,
        public array $often,
        private array $stated,
    ) {}

    /**
     * @param list<string> $stated diets that are said not to fit
     * @param list<string> $allergens
     * @param Mixture $mixture of 100 g
     * @param list<string> $often what packs of its kind often hold besides: allergens, alcohol, meat, sugar. No diet is
     *     claimed that one of them would break
     */
    public static function of(array $stated, array $allergens, Mixture $mixture, array $often = []): self
    {
        $byPack = array_values(array_intersect_key(self::BROKEN_BY, array_flip($often)));
        $allergens = [...$allergens, ...array_values(array_diff($often, $allergens, array_keys(self::BROKEN_BY)))];
        // what little a brew leaves in a sauce, some makers take out again
        $isOfEveryPack = $mixture->get(Component::Ethanol) > self::TRACE_OF_ALCOHOL
            && !in_array('alcohol', $often, true);
        $whatever = $isOfEveryPack ? [...$stated, 'alcohol-free'] : $stated;

        return new self($allergens, self::brokenDiets([...$whatever, ...$byPack], $allergens), $often, $whatever);
    }

    /**
     * The same from a pack that is free of some allergens and fits some diets; null where none does.
     *
     * @param list<string> $allergens
     * @param list<string> $diets
     */
    public function fitting(array $allergens, array $diets): ?self
    {
        $held = array_intersect([...$allergens, ...self::inTheWayOf($diets)], $this->allergens);
        if (array_diff($held, $this->often) !== []) {
            return null;
        }
        $left = array_values(array_diff($this->allergens, $held));
        $meat = array_intersect(self::OF_ANIMALS, $diets) !== [] ? ['meat'] : [];
        $free = array_keys(array_intersect(self::BROKEN_BY, $diets));
        $often = array_values(array_diff($this->often, $held, $meat, $free));
        $byPack = array_values(array_intersect_key(self::BROKEN_BY, array_flip($often)));
        $broken = self::brokenDiets([...$this->stated, ...$byPack], $left);
        // a pack without one thing of an animal says nothing of the others
        $kept = $diets === [] ? array_intersect(self::OF_ANIMALS, $this->breaks) : [];
        $breaks = array_values(array_intersect(self::allDiets(), [...$broken, ...$kept]));

        return array_intersect($diets, $breaks) === [] ? new self($left, $breaks, $often, $this->stated) : null;
    }

    /**
     * @param list<string> $diets
     *
     * @return list<string> allergens that they leave out
     */
    public static function inTheWayOf(array $diets): array
    {
        return [
            ...(in_array('vegan', $diets, true) ? ['milk', 'egg'] : []),
            ...(array_intersect(self::OF_ANIMALS, $diets) !== [] ? ['fish', 'crustaceans', 'molluscs'] : []),
            ...(in_array('gluten-free', $diets, true) ? ['gluten'] : []),
        ];
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
    private static function brokenDiets(array $stated, array $allergens): array
    {
        $meat = array_intersect($allergens, ['fish', 'crustaceans', 'molluscs']) !== [];
        $animal = $meat || array_intersect($allergens, ['egg', 'milk']) !== [];
        $broken = [
            ...$stated,
            ...($animal || in_array('vegetarian', $stated, true) ? ['vegan'] : []),
            ...($meat ? ['vegetarian'] : []),
            ...(in_array('gluten', $allergens, true) ? ['gluten-free'] : []),
        ];

        return array_values(array_intersect(self::allDiets(), $broken));
    }
}
