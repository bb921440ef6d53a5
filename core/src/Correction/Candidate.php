<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Ingredient\Ingredient;
use Vinculum\Sensory\TasteLoad;

/** Something the cook allows to be added. */
final readonly class Candidate
{
    private function __construct(public Ingredient $ingredient, public TasteLoad $perGram) {}

    public static function of(Ingredient $ingredient): self
    {
        return new self($ingredient, TasteLoad::of($ingredient->grams(1.0)));
    }
}
