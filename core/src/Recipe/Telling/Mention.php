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
        return $this->with(
            span: [$this->span[0], max($this->span[1], $to)],
            choices: [...$this->choices, $name],
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
        return $this->with(use: MentionUse::PutIn);
    }

    /** "juice of a lemon, no wait, two lemons": of the same part of it as was said before. */
    public function partOf(self $before): self
    {
        $part = substr($before->key, strlen($this->key) + 1);

        return $this->with(key: $before->key, line: "{$part} of {$this->amount} {$this->name}", amount: "{$part} of {$this->amount}");
    }

    /** "soy sauce and sake, a hundred millilitres each": as much as of another, which goes in. */
    public function asMuchAs(self $other): self
    {
        return $this->soMuch(trim((string) preg_replace('/\s*\beach\b/iu', '', $other->amount)));
    }

    /** The same, so much of which goes in. */
    public function soMuch(string $amount): self
    {
        return $this->with(line: "{$amount} {$this->name}", amount: $amount, use: MentionUse::PutIn);
    }

    /** Only its juice, or its zest. */
    public function onlyThe(string $part, int $to): self
    {
        $amount = trim((string) preg_replace('/\s+of$/iu', '', $this->amount));

        return $this->with(
            key: "{$this->key} {$part}",
            line: "{$part} of {$amount} {$this->name}",
            span: [$this->span[0], max($this->span[1], $to)],
        );
    }

    /** The zest of the fruit that this is the juice of. */
    public function zest(): self
    {
        return $this->with(
            key: (string) preg_replace('/ juice$/u', ' zest', $this->key),
            line: (string) preg_replace('/^(?:the )?juice of /iu', 'zest of ', $this->line),
            amount: $this->amount === '' ? 'one' : $this->amount,
        );
    }

    /** The same, its amount being that of each in a list. */
    public function ofEach(): self
    {
        return $this->with(line: "{$this->amount} each {$this->name}");
    }

    /** The same, of the kind that was said of it. */
    public function called(string $key, string $name, int $to): self
    {
        return $this->with(
            key: $key,
            name: $name,
            line: trim("{$this->amount} {$name}"),
            span: [$this->span[0], max($this->span[1], $to)],
        );
    }

    /** The same thing under a more exact name. */
    public function named(self $exact): self
    {
        return $this->with(
            key: $exact->key,
            name: $exact->name,
            line: trim("{$this->amount} {$exact->name}"),
            isOptional: $this->isOptional || $exact->isOptional,
            choices: [...$this->choices, ...$exact->choices],
        );
    }

    /**
     * @param array{int, int}|null $span
     * @param list<string>|null $choices
     */
    private function with(
        ?string $key = null,
        ?string $name = null,
        ?string $line = null,
        ?string $amount = null,
        ?array $span = null,
        ?MentionUse $use = null,
        ?bool $isOptional = null,
        ?array $choices = null,
    ): self {
        return new self(
            $key ?? $this->key,
            $name ?? $this->name,
            $line ?? $this->line,
            $amount ?? $this->amount,
            $span ?? $this->span,
            $use ?? $this->use,
            $this->clause,
            $this->isMore,
            $isOptional ?? $this->isOptional,
            $choices ?? $this->choices,
            $this->isCorrection,
        );
    }
}
