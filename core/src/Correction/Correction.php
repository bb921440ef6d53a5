<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Chemistry\Mixture;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;

/** A way to mend a batch: what to add, and where that leaves it. */
final readonly class Correction
{
    /**
     * @param list<Addition> $additions
     * @param Mixture $mixture the batch with everything added
     * @param list<string> $sideEffects what else moves, in words
     * @param list<string> $allergensAdded
     * @param float $cost what it is judged by, in steps
     * @param string $why in half a sentence
     * @param Remedy|null $does what is done instead of, or beside, adding
     */
    public function __construct(
        public array $additions,
        public Mixture $mixture,
        public Taste $after,
        public float $distanceAfter,
        public float $addedGrams,
        public array $sideEffects,
        public array $allergensAdded,
        public float $cost,
        public string $why,
        public ?Remedy $does = null,
    ) {}

    public function toldAgainst(Target $target): self
    {
        return new self(
            $this->additions,
            $this->mixture,
            $this->after,
            $target->distance($this->after),
            $this->addedGrams,
            $this->sideEffects,
            $this->allergensAdded,
            $this->cost,
            $this->why,
            $this->does,
        );
    }
}
