<?php

declare(strict_types=1);

namespace Vinculum\Chemistry;

/** What is taken where no pH is known, and from which share on that hides the whole. */
final readonly class UnknownPhFacts
{
    public function __construct(
        public float $assumedPh,
        public float $deviation,
        public float $proteinOver,
        public float $bufferingOver,
        public float $saltsOver,
    ) {}
}
