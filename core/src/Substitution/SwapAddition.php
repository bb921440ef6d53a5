<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Measure;

/**
 * Something put in, or with negative grams taken out of an existing line, to make up for what a substitute brings or
 * lacks.
 */
final readonly class SwapAddition
{
    /** @param int|null $line from 0, the line it is taken out of; null for what is put in */
    public function __construct(
        public Ingredient $ingredient,
        public float $grams,
        public Measure $measure,
        public ?int $line = null,
    ) {}
}
