<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

/** One answer of the name search: which ingredient, by which of its names, and how well that fits (0 to 1). */
final readonly class NameMatch
{
    /**
     * @param list<string> $missed telling words of the name that this does not cover: then it is another thing
     * @param bool $isExact the same words, in any order and spelling
     * @param list<string> $beyond telling words that only this says
     * @param bool $isUsual the name more often means this than anything else
     */
    public function __construct(
        public string $key,
        public string $alias,
        public float $score,
        public array $missed = [],
        public bool $isExact = false,
        public bool $isUsual = true,
        public array $beyond = [],
    ) {}

    /**
     * The same match, of a name that says these words too.
     *
     * @param list<string> $words
     */
    public function missing(array $words): self
    {
        return $words === []
            ? $this
            : new self(
                $this->key,
                $this->alias,
                $this->score,
                [...$this->missed, ...$words],
                false,
                $this->isUsual,
                $this->beyond,
            );
    }

    /** The same match, taken for something near that the line means instead. */
    public function takenFor(string $key, bool $isUsual): self
    {
        return new self(
            $key,
            $this->alias,
            $this->score,
            $this->missed,
            $this->isExact,
            $isUsual && $this->isUsual,
            $this->beyond,
        );
    }
}
