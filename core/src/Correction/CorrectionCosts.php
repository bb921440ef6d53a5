<?php

declare(strict_types=1);

namespace Vinculum\Correction;

/** What a correction is judged by besides what it leaves off, in steps (correcting.ini). */
final readonly class CorrectionCosts
{
    public const FILE = 'correcting';
    public const SECTION = 'costs';

    public function __construct(
        public float $move,
        public float $mass,
        public float $each,
        public float $basic,
        public float $unusual,
        public float $doubtful,
        public float $margin,
        public float $mostMargin,
    ) {}
}
