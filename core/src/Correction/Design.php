<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;

/** A formula found for a wish: grams of each free ingredient, where it stands, and what stands in the way if it falls short. */
final readonly class Design
{
    /**
     * @param list<DesignedLine> $lines       the free lines, the largest first
     * @param list<string>       $hindrances  which lock or window stands in the way, in words
     */
    public function __construct(public array $lines, public Taste $taste, public Target $target, public float $distance, public array $hindrances) {}
}
