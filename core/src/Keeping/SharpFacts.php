<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

/** Where an estimate of the acid is enough for weeks, and what vinegar and brine do to raw plants (keeping.ini). */
final readonly class SharpFacts
{
    public const FILE = 'keeping';
    public const SECTION = 'sharp-and-wet';
    /** What the rule itself says: Keep reads it. */
    public const BESIDES = [
        'ph_at_most', 'sharp_beyond_doubt', 'unless_stable', 'days', 'asks', 'reason', 'tradition', 'date',
    ];

    /** @param list<string> $kinds low-acid plants, and what is rich in protein */
    public function __construct(
        public float $surePhAtMost,
        public float $phUnder,
        public array $kinds,
        public float $shareUnder,
        public float $aceticOfWaterFrom,
        public float $saltOfWaterFrom,
    ) {}
}
