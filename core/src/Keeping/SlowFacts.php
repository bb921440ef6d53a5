<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

/** Where so little water is free that what grows in the cold does not (keeping.ini). */
final readonly class SlowFacts
{
    public const FILE = 'keeping';
    public const SECTION = 'salty-or-sweet';
    /** What the rule itself says: Keep reads it. */
    public const BESIDES = ['slow', 'unless_stable', 'days', 'reason', 'tradition', 'date'];

    public function __construct(
        public float $waterActivityAtMost,
        public float $saltOfWaterFrom,
        public float $sugarOfWaterFrom,
        public float $ethanolOfWaterFrom,
    ) {}
}
