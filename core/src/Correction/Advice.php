<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Sensory\Aim;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;

/** The answer to "what do I add": ranked corrections towards a target, best first. */
final readonly class Advice
{
    /**
     * @param list<Correction> $corrections
     * @param list<string> $notes
     * @param list<Alternative> $otherWays
     * @param list<Candidate> $candidates what was allowed
     * @param self|null $besides what the style would want besides what was asked
     * @param array<string, Correction> $mends the smallest way in of each axis that is off, by axis
     */
    public function __construct(
        public Taste $before,
        public Aim $aim,
        public float $distanceBefore,
        public array $corrections,
        public array $notes,
        public array $otherWays = [],
        public array $candidates = [],
        public ?self $besides = null,
        public array $mends = [],
    ) {}

    /**
     * Of nothing that could be aimed at.
     *
     * @param list<string> $notes
     */
    public static function without(Taste $taste, array $notes): self
    {
        return new self($taste, Aim::none(), 0.0, [], $notes);
    }

    /** The same, told against more than the target that was searched for. */
    public function heldAgainst(Aim $aim): self
    {
        return $this->with(['aim' => $aim]);
    }

    /** Told how far it and every correction is from the whole of what was gone for only in part. */
    public function toldAgainst(Target $target): self
    {
        return $this->with([
            'distanceBefore' => $target->distance($this->before),
            'corrections' => array_map(
                static fn(Correction $one): Correction => $one->toldAgainst($target),
                $this->corrections,
            ),
        ]);
    }

    /** With other corrections, no two of which add the same. */
    public function answering(Correction ...$corrections): self
    {
        return $this->with(['corrections' => array_values($corrections)]);
    }

    /** With this for the only note. */
    public function saying(string $note): self
    {
        return $this->with(['notes' => [$note]]);
    }

    public function noting(string $note): self
    {
        return $this->with(['notes' => [...$this->notes, $note]]);
    }

    public function withBesides(self $besides): self
    {
        return $this->with(['besides' => $besides]);
    }

    /** @param array<string, Correction> $mends by axis */
    public function withMends(array $mends): self
    {
        return $this->with(['mends' => $mends]);
    }

    /** @param array<string, mixed> $other */
    private function with(array $other): self
    {
        /** @phpstan-ignore argument.type */
        return new self(...[...get_object_vars($this), ...$other]);
    }
}
