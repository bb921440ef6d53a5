<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;

/** Whom an ingredient suits: its allergens, and the diets it does not fit. */
final readonly class Suitability
{
    /** Ethanol that is left out of account when a thing is called free of alcohol, g/100 g. */
    private const TRACE_OF_ALCOHOL = 0.5;

    /**
     * @param list<string> $allergens
     * @param list<string> $breaks    diets it does not fit
     */
    private function __construct(public array $allergens, public array $breaks) {}

    /**
     * @param list<string> $stated    diets that are said not to fit
     * @param list<string> $allergens
     * @param Mixture      $mixture   of 100 g
     */
    public static function of(array $stated, array $allergens, Mixture $mixture): self
    {
        return new self($allergens, self::brokenDiets($stated, $allergens, $mixture));
    }

    /** @return list<string> the diets it fits */
    public function diets(): array
    {
        return array_values(array_diff(self::allDiets(), $this->breaks));
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
