<?php

declare(strict_types=1);

namespace Vinculum\Facts;

/** Whole words and phrases in a text, whatever their case, and several of them in a sentence. */
final class Words
{
    /**
     * Whether a text holds one of them.
     *
     * @param list<string> $words
     */
    public static function areIn(string $text, array $words): bool
    {
        return $words !== [] && preg_match('/' . self::pattern($words) . '/iu', mb_scrub($text)) === 1;
    }

    /**
     * A pattern that matches any of them, the longest first, for use with the modifiers i and u.
     *
     * @param list<string> $words
     */
    public static function pattern(array $words): string
    {
        usort($words, static fn(string $one, string $other): int => strlen($other) <=> strlen($one));

        return '\b(?:' . implode(
            '|',
            array_map(static fn(string $word): string => preg_quote($word, '/'), $words),
        ) . ')\b';
    }

    /**
     * Several as one says them: "salt, acid and heat".
     *
     * @param array<string> $words
     */
    public static function listed(array $words): string
    {
        $last = (string) array_pop($words);

        return $words === [] ? $last : implode(', ', $words) . " and {$last}";
    }
}
