<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** How fast water may leave: J/g, W, shares. */
final readonly class EvaporationFacts
{
    public function __construct(
        public float $latentHeat,
        public float $burner,
        public float $mostOfTheWater,
        public float $underALid,
        public float $fullWhenBoiling,
    ) {}
}
