<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Correction\Spoonful;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TasteLoad;

/** What a spoonful of one ingredient does to a sauce. */
final readonly class SpoonfulReport extends Report
{
    /**
     * @param string $ingredient its key
     * @param string $measure how much that is
     * @param array<value-of<Axis>, float> $moves steps by axis
     * @param bool $noticed whether anyone would notice it
     * @param string $says in a cook's words
     */
    private function __construct(
        public string $ingredient,
        public string $measure,
        public array $moves,
        public bool $noticed,
        public string $says,
    ) {}

    public static function of(Ingredient $ingredient, TasteLoad $batch, Spoons $spoons): self
    {
        $spoonful = Spoonful::of($ingredient, $batch, $spoons);

        return new self(
            $ingredient->key,
            $spoonful->measure->words(),
            $spoonful->moves,
            $spoonful->isNoticed(),
            $spoonful->says(),
        );
    }
}
