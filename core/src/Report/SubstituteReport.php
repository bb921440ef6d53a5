<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Substitution\Swap;

/** What goes in instead, how much of it, and how near it is to what it replaces. */
final readonly class SubstituteReport extends Report
{
    /**
     * @param int $class 1 the same thing, 2 what cooks usually take, 3 the same work, 4 by numbers only
     * @param float $kinship of aroma, 0 to 1
     */
    private function __construct(
        public string $ingredient,
        public string $name,
        public float $grams,
        public string $measure,
        public int $class,
        public float $kinship,
    ) {}

    public static function of(Swap $swap): self
    {
        return new self(
            ingredient: $swap->ingredient->key,
            name: $swap->ingredient->name,
            grams: $swap->grams,
            measure: $swap->measure->words(),
            class: $swap->class,
            kinship: $swap->aromaSimilarity,
        );
    }
}
