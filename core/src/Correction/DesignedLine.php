<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Measure;

/** One line of a design, with the reason it is there. */
final readonly class DesignedLine
{
    public function __construct(
        public Ingredient $ingredient,
        public float $grams,
        public Measure $measure,
        public string $reason,
    ) {}
}
