<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Ingredient\Ingredient;

/** One line of a design, with the reason it is there. */
final readonly class DesignedLine
{
    public function __construct(
        public Ingredient $ingredient,
        public float $grams,
        public string $measure,
        public string $reason,
    ) {}
}
