<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Measure;

/** One thing to add, in an amount the cook can measure. */
final readonly class Addition
{
    public function __construct(
        public Ingredient $ingredient,
        public float $grams,
        public Measure $measure,
        public float $firstDoseGrams,
        public string $firstDose,
    ) {}
}
