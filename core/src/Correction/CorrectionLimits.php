<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Quantity\Measures;

/** What the cook allows a correction to do. */
final readonly class CorrectionLimits
{
    /** Without a capacity, at most this share of the batch may be added. */
    public const USUAL_SHARE = 0.4;

    /**
     * @param list<Candidate> $candidates
     * @param int             $most                how many additions a correction may combine
     * @param float|null      $capacityMillilitres the finished volume that there is room for
     */
    public function __construct(
        public array $candidates,
        public int $most = 3,
        public ?float $capacityMillilitres = null,
        public Measures $measures = Measures::Us,
    ) {}
}
