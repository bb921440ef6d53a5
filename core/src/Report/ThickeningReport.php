<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Cooking\Thickening;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Axis;

/** One way to thicken a sauce. */
final readonly class ThickeningReport extends Report
{
    /** ml of water from which a slurry is stirred. */
    private const WORTH_STIRRING = 0.5;

    /**
     * @param string|null $mind what a sharp sauce does to it
     * @param array<value-of<Axis>, float> $changeSteps by axis
     * @param list<string> $allergens
     */
    private function __construct(
        public string $ingredient,
        public string $name,
        public float $grams,
        public string $measure,
        public float $slurryWaterGrams,
        public string $how,
        public ?string $mind,
        public array $changeSteps,
        public array $allergens,
    ) {}

    /**
     * @param list<Thickening> $ways
     *
     * @return list<self>
     */
    public static function all(array $ways, Spoons $spoons): array
    {
        return array_map(static function (Thickening $way) use ($spoons): self {
            $density = $way->ingredient->portions->density;

            return new self(
                $way->ingredient->key,
                $way->ingredient->name,
                $way->grams,
                $spoons->measure($spoons->nearest($way->grams, $density), $density)->words(),
                $way->slurryWater < self::WORTH_STIRRING ? 0.0 : $way->slurryWater,
                $way->how,
                $way->mind,
                $way->changeSteps,
                $way->ingredient->suitability->allergens,
            );
        }, $ways);
    }
}
