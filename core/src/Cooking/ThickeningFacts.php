<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** How starch is slaked, and below which pH long boiling thins it again. */
final readonly class ThickeningFacts
{
    public function __construct(public float $slurryWater, public float $sharpBelowPh) {}
}
