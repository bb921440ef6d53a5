<?php

declare(strict_types=1);

namespace Vinculum\Correction;

/** A litre about the middle of the styles, on which the pantry says what things are worth (reference-batch.ini). */
final readonly class ReferenceLitre
{
    public const FILE = 'reference-batch';
    public const SECTION = 'litre';

    public function __construct(
        public float $grams,
        public float $sweet,
        public float $sour,
        public float $salt,
        public float $umami,
        public float $heat,
    ) {}
}
