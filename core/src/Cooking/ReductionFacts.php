<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** How far a sauce is boiled down on purpose: a share of its water, g dissolved in 100 g of the water phase. */
final readonly class ReductionFacts
{
    public function __construct(public float $mostOfTheWater, public float $scorchesFrom) {}
}
