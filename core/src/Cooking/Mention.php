<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** One thing, or several, that a sentence of a method names, and what it does with them. */
final readonly class Mention
{
    /** They go in, or are worked at in the pot. */
    public const PUTS = 'puts';
    /** They are made ready. */
    public const READIES = 'readies';
    /** They come out again. */
    public const TAKES_OUT = 'takes-out';
    /** They are only spoken of. */
    public const SPEAKS = 'speaks';

    /**
     * @param int $step from 0
     * @param list<int> $lines of the formula
     * @param 'puts'|'readies'|'takes-out'|'speaks' $does
     * @param float|null $share of each line, where it says so
     * @param float|null $grams of it, where it says so
     * @param bool $isRest what is left of it
     * @param bool $isMore more than the lines say
     * @param bool $isByName it is called by its name, and by no word for many
     * @param bool $isInto something goes into it: "stir into the cooled fruit"
     */
    public function __construct(
        public int $step,
        public array $lines,
        public string $does,
        public ?float $share = null,
        public ?float $grams = null,
        public bool $isRest = false,
        public bool $isMore = false,
        public bool $isByName = false,
        public bool $isInto = false,
    ) {}

    /** @param list<int> $lines */
    public function of(array $lines): self
    {
        return $this->with($lines, $this->does);
    }

    /**
     * The same, where something else is done with it.
     *
     * @param 'puts'|'readies'|'takes-out'|'speaks' $does
     */
    public function doing(string $does): self
    {
        return $this->with($this->lines, $does);
    }

    /**
     * @param list<int> $lines
     * @param 'puts'|'readies'|'takes-out'|'speaks' $does
     */
    private function with(array $lines, string $does): self
    {
        return new self(
            $this->step,
            $lines,
            $does,
            $this->share,
            $this->grams,
            $this->isRest,
            $this->isMore,
            $this->isByName,
            $this->isInto,
        );
    }

    public function isOfAll(): bool
    {
        return $this->share === null && $this->grams === null && !$this->isRest;
    }
}
