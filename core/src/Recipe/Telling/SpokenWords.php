<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\Token;

/** What was said, word by word, and in which of the things said each word stands. */
final readonly class SpokenWords
{
    /** @var list<Token> */
    public array $tokens;

    /** @param list<array{int, string}> $clauses where each begins, in bytes, and its text */
    public function __construct(public string $text, public array $clauses)
    {
        $this->tokens = Lexer::tokens($text);
    }

    public function mayBegin(int $at): bool
    {
        return $this->tokens[$at]->isNumber()
            // "twenty-five"
            || in_array(explode('-', $this->tokens[$at]->lower)[0], TellingWords::list('starts'), true)
            // "Thumb of ginger, sprig of thyme"
            || $this->isWord($at + 1, 'of') && TellingWords::have($this->tokens[$at]->lower, 'one-of-a-thing');
    }

    /** The first token of the clause that a token stands in. */
    public function firstOf(int $at): int
    {
        $begins = $this->clauses[$this->clauseOf($this->tokens[$at]->offset)][0] ?? 0;
        while ($at > 0 && $this->tokens[$at - 1]->offset >= $begins) {
            --$at;
        }

        return $at;
    }

    public function clauseOf(int $offset): int
    {
        [$low, $high] = [0, count($this->clauses) - 1];
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            [$low, $high] = $this->clauses[$middle][0] <= $offset ? [$middle, $high] : [$low, $middle - 1];
        }

        return max(0, $low);
    }

    public function between(int $from, int $to): string
    {
        return rtrim($this->spanning($from, $to), '.,');
    }

    /** With the marks behind the last word. */
    public function spanning(int $from, int $to): string
    {
        $to = min($to, count($this->tokens));
        $begins = $this->tokens[$from]->offset;

        return substr($this->text, $begins, $this->tokens[$to - 1]->end - $begins);
    }

    /** "salt them, a good tablespoon": how much of it is told. */
    public function isMeasuredBehind(int $at): bool
    {
        return $this->isWord($at + 1, 'it', 'them')
            && ($this->tokens[$at + 2] ?? null)?->isMark(',') === true
            && isset($this->tokens[$at + 3]) && $this->mayBegin($at + 3);
    }

    /** Whether a word stands at a place, one of these where some are named. */
    public function isWord(int $at, string ...$words): bool
    {
        return ($this->tokens[$at] ?? null)?->isWord(...$words) === true;
    }
}
