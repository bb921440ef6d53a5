<?php

declare(strict_types=1);

namespace Vinculum\Sensory;

/** What the product of the two sums counts. */
final readonly class SynergyFacts
{
    public function __construct(public float $factor) {}
}
