<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Ingredient\Ingredient;
use Vinculum\Sensory\TasteLoad;

/** Something that may be added, up to what a cook would. */
final readonly class Candidate
{
    /**
     * @param float $most grams that may be added
     * @param float $strange what adding it costs for not being in the recipe, or not being known, in steps
     */
    private function __construct(
        public Ingredient $ingredient,
        public TasteLoad $perGram,
        public float $most,
        public float $strange,
    ) {}

    public static function of(Ingredient $ingredient, float $most = INF, float $strange = 0.0): self
    {
        return new self($ingredient, TasteLoad::of($ingredient->grams(1.0)), $most, $strange);
    }
}
