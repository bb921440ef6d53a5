<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Measure;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TasteLoad;
use Vinculum\Sensory\Verdict;

/** What a teaspoon of something does to a batch as it stands; of what no spoon takes up one piece, or five grams. */
final readonly class Spoonful
{
    private const GRAMS = 5.0;

    private const AROMATIC = ['aromatic', 'herb'];

    /**
     * @param array<value-of<Axis>, float> $moves steps by axis
     * @param bool $hasAroma it is there for its smell, which no axis counts
     */
    private function __construct(public Measure $measure, public array $moves, private bool $hasAroma) {}

    public static function of(Ingredient $ingredient, TasteLoad $batch, Spoons $spoons): self
    {
        $density = $ingredient->portions->spoonDensity();
        $each = $ingredient->portions->eachGrams();
        $grams = match (true) {
            $each !== null => $each,
            $density !== null => $density * $spoons->teaspoon(),
            default => self::GRAMS,
        };

        return new self(
            $each === null && $density === null
                ? Measure::weighed($grams)
                : $ingredient->portions->measure($grams, $spoons),
            $batch->taste()->stepsTo($batch->plus(TasteLoad::of($ingredient->grams(1.0)), $grams)->taste()),
            array_intersect($ingredient->roles, self::AROMATIC) !== [],
        );
    }

    public function isNoticed(): bool
    {
        return $this->hasAroma || $this->said() !== [];
    }

    /** "clearly saltier, a touch sweeter", the largest first; "its aroma alone"; "moves none of the five". */
    public function says(): string
    {
        return implode(', ', $this->said()) ?: ($this->hasAroma ? 'its aroma alone' : 'moves none of the five');
    }

    /** @return list<string> */
    private function said(): array
    {
        $moves = $this->moves;
        uasort($moves, static fn(float $one, float $other): int => abs($other) <=> abs($one));
        $said = [];
        foreach ($moves as $axis => $steps) {
            $said[] = Verdict::ofMove(Axis::from($axis), $steps);
        }

        return array_values(array_filter($said));
    }
}
