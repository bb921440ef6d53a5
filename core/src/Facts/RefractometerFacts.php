<?php

declare(strict_types=1);

namespace Vinculum\Facts;

/** Per cent a degree away from where it is set, °C, one standard deviation. */
final readonly class RefractometerFacts
{
    public function __construct(public float $perDegree, public float $setAt, public float $deviation) {}
}
