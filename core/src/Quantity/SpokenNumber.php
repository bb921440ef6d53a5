<?php

declare(strict_types=1);

namespace Vinculum\Quantity;

use Vinculum\Facts\FactsFile;

/** Whole numbers as people say and write them: "3", "three", "a dozen" (reading.ini). */
final class SpokenNumber
{
    private const LARGEST = 20.0;
    private const ARTICLES = ['a', 'an', 'another'];

    /** A pattern that matches any of them, from one or from two on, for use with the modifiers i and u. */
    public static function pattern(int $from = 1): string
    {
        $words = array_keys(array_filter(
            self::words(),
            static fn(int $value, string $word): bool => $value >= $from && !in_array($word, self::ARTICLES, true),
            ARRAY_FILTER_USE_BOTH,
        ));
        usort($words, static fn(string $one, string $other): int => strlen($other) <=> strlen($one));

        return '\d{1,5}|' . implode('|', $words) . ($from === 1 ? '|an|a' : '');
    }

    /** "Forty five minutes" with the number in one word, as it is written: "forty-five". */
    public static function joined(string $text): string
    {
        return (string) preg_replace(
            '/\b((?:twen|thir|for|fif|six|seven|eigh|nine)ty) (one|two|three|four|five|six|seven|eight|nine)\b/iu',
            '$1-$2',
            $text,
        );
    }

    /** What one of them stands for; null where it is none. */
    public static function value(string $said): ?int
    {
        $said = mb_strtolower(trim($said));

        return preg_match('/^\d{1,5}$/', $said) === 1 ? (int) $said : self::words()[$said] ?? null;
    }

    /** @return array<string, int> */
    private static function words(): array
    {
        /** @var array<string, int>|null $words */
        static $words = null;
        if ($words === null) {
            $words = ['a dozen' => 12];
            foreach (FactsFile::named('reading')['numbers']->amounts('words') as $word => $value) {
                if ($value >= 1.0 && $value <= self::LARGEST && floor($value) === $value) {
                    $words[$word] = (int) $value;
                }
            }
        }

        return $words;
    }
}
