<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/** What a swap does to the taste of the whole sauce. */
final readonly class TasteChange
{
    /**
     * @param array<value-of<Axis>, float> $steps by axis
     * @param float $residual √Σ (change in steps)²
     * @param Axis|null $main the axis that the line was there for; null where it has none
     */
    public function __construct(
        public Taste $after,
        public array $steps,
        public float $residual,
        public ?Axis $main,
    ) {}
}
