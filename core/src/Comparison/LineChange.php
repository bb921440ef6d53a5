<?php

declare(strict_types=1);

namespace Vinculum\Comparison;

use Vinculum\Ingredient\Ingredient;

/** One ingredient in two formulas. */
final readonly class LineChange
{
    /**
     * @param Ingredient|null $ingredient null for what was not understood
     * @param string|null $before the line as it was written; null where it was not there
     * @param string|null $after
     * @param float $gramsBefore 0 where it was not there, or had no amount
     * @param string|null $says what changed, in words; null where nothing did
     */
    public function __construct(
        public ?Ingredient $ingredient,
        public ?string $before,
        public ?string $after,
        public float $gramsBefore,
        public float $gramsAfter,
        public ?string $says,
    ) {}
}
