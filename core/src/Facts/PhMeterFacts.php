<?php

declare(strict_types=1);

namespace Vinculum\Facts;

/** Slopes as shares of Nernst's, mV, pH, pH an hour, hours. */
final readonly class PhMeterFacts
{
    /** @param list<float> $buffers */
    public function __construct(
        public float $leastSlope,
        public float $mostSlope,
        public float $mostOffset,
        public float $deviation,
        public float $drift,
        public float $calibrateAfter,
        public array $buffers,
    ) {}
}
