<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetShift;

/** What a cook asks of a correction. */
final readonly class Wish
{
    /**
     * @param Complaint|null $complaint a taster's word, answered by itself
     * @param list<string>|null $with keys of what alone may be added; what a cook would reach for when null
     * @param int $most how many additions a correction may combine
     * @param float|null $capacityMillilitres the finished volume that there is room for
     * @param Target|null $target of the cook's own, instead of what the sauce is held against
     * @param TargetShift|null $shift words that move the target, such as "a little sharper"
     * @param bool $isFamilyGuessed what it is held against is only what it looks like: one answer moves it a little
     */
    public function __construct(
        public ?Complaint $complaint = null,
        public ?array $with = null,
        public int $most = 3,
        public ?float $capacityMillilitres = null,
        public ?Target $target = null,
        public ?TargetShift $shift = null,
        public bool $isFamilyGuessed = false,
    ) {}
}
