<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

/** A thing that a telling names, and what is said of it there. */
final readonly class Mention
{
    /**
     * @param string $key of the ingredient; its own words where none is known
     * @param string $line how a cook would have written it: "2 tbsp honey"
     * @param string $amount as it was said; empty where none was
     * @param array{int, int} $span in the spoken text, in bytes
     * @param MentionUse $use
     * @param list<string> $choices other ways that are named
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $line,
        public string $amount,
        public array $span,
        public MentionUse $use,
        public int $clause,
        public bool $isMore = false,
        public bool $isOptional = false,
        public array $choices = [],
        public bool $isCorrection = false,
    ) {}

    /** The same with another way, that was said up to there. */
    public function choosing(string $name, int $to): self
    {
        return new self(
            $this->key,
            $this->name,
            $this->line,
            $this->amount,
            [$this->span[0], max($this->span[1], $to)],
            $this->use,
            $this->clause,
            $this->isMore,
            $this->isOptional,
            [...$this->choices, $name],
        );
    }

    /** Whether another names the same more exactly: "the vinegar … cider vinegar". */
    public function isOneOf(self $exact): bool
    {
        return $this->key !== $exact->key
            && str_ends_with(' ' . mb_strtolower($exact->name), ' ' . mb_strtolower($this->name))
            && abs($this->clause - $exact->clause) <= 2;
    }

    public function putIn(): self
    {
        return new self(
            $this->key,
            $this->name,
            $this->line,
            $this->amount,
            $this->span,
            MentionUse::PutIn,
            $this->clause,
            $this->isMore,
            $this->isOptional,
            $this->choices,
        );
    }

    /** The same thing under a more exact name. */
    public function named(self $exact): self
    {
        return new self(
            $exact->key,
            $exact->name,
            trim("{$this->amount} {$exact->name}"),
            $this->amount,
            $this->span,
            $this->use,
            $this->clause,
            $this->isMore,
            $this->isOptional || $exact->isOptional,
            [...$this->choices, ...$exact->choices],
        );
    }
}
