<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** A place in a list of tokens that can move on and go back. */
final class Cursor
{
    /** @param list<Token> $tokens */
    public function __construct(private readonly array $tokens, private int $at = 0) {}

    public function peek(int $ahead = 0): ?Token
    {
        return $this->tokens[$this->at + $ahead] ?? null;
    }

    public function move(int $by = 1): void
    {
        $this->at += $by;
    }

    public function position(): int
    {
        return $this->at;
    }

    public function backTo(int $position): void
    {
        $this->at = $position;
    }

    public function isAtEnd(): bool
    {
        return $this->at >= count($this->tokens);
    }

    public function skipWord(string ...$words): bool
    {
        if ($this->peek()?->isWord(...$words) === true) {
            ++$this->at;

            return true;
        }

        return false;
    }

    public function skipMark(string ...$marks): bool
    {
        if ($this->peek()?->isMark(...$marks) === true) {
            ++$this->at;

            return true;
        }

        return false;
    }

    /** How many tokens from here on are the longest phrase of a section of reading.ini. */
    public function phraseOf(string $section): int
    {
        return Vocabulary::phraseAt($section, $this->tokens, $this->at);
    }
}
