<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** What the grammar asks of whoever knows names: it knows how lines are written, not what is in things. */
interface Names
{
    /**
     * How many tokens from here on are the longest name of an ingredient, to the word; 0 where none is.
     *
     * @param list<Token> $tokens
     */
    public function longestAt(array $tokens, int $at): int;

    /** Whether an item's name is understood. */
    public function knows(Item $item): bool;

    /** The ingredient that a text names to the word; null where it names none. */
    public function keyOf(string $text): ?string;

    /** What it is called in full: of "Dijon" "Dijon mustard"; null where a text names nothing. */
    public function inFull(string $text): ?string;
}
