<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Quantity\Amount;

/** The grams of a line, how they were come by, and whether something had to be assumed. */
final readonly class FoundGrams
{
    public function __construct(
        public Amount $grams,
        public ?float $millilitres,
        public bool $isAssumed,
        public ?string $note,
        public bool $isPack,
        public ?int $rank = null,
    ) {}

    /** The same, with something more to say about it. */
    public function noting(string $note): self
    {
        return new self(
            $this->grams,
            $this->millilitres,
            true,
            $this->note === null ? $note : "{$note}; {$this->note}",
            $this->isPack,
        );
    }

    public function relativeDoubt(): float
    {
        return $this->grams->value > 0.0 ? $this->grams->deviation / $this->grams->value : 0.0;
    }
}
