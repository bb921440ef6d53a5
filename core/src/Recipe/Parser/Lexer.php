<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** Cuts an ingredient line into numbers, words and marks. */
final class Lexer
{
    private const VULGAR = [
        '½' => 1 / 2,
        '⅓' => 1 / 3,
        '⅔' => 2 / 3,
        '¼' => 1 / 4,
        '¾' => 3 / 4,
        '⅕' => 1 / 5,
        '⅖' => 2 / 5,
        '⅗' => 3 / 5,
        '⅘' => 4 / 5,
        '⅙' => 1 / 6,
        '⅚' => 5 / 6,
        '⅐' => 1 / 7,
        '⅛' => 1 / 8,
        '⅜' => 3 / 8,
        '⅝' => 5 / 8,
        '⅞' => 7 / 8,
        '⅑' => 1 / 9,
        '⅒' => 1 / 10,
    ];

    /** Letters behind a number in which its unit stands. */
    private const UNIT_WITHIN = 16;
    private const PATTERN = '~(?<vulgar>[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅐⅛⅜⅝⅞⅑⅒])'
        . '|(?<fraction>(?<!\d)\d{1,2}\s?[/⁄]\s?(?:1[026]|[02-9])(?![\d.,])|\d{1,9}\s?[/⁄]\s?\d{1,9}(?![\d.,]*\s?(?:g|kg|ml|oz|l)\b))'
        . '|(?<number>\d{1,3}(?:,\d{3})+(?:\.\d+)?(?!\d)|\d{1,3}(?:\.\d{3}){2,}(?:,\d+)?(?!\d)|\d{1,3}\.\d{3},\d+|\d+(?:[.,]\d+)?|\.\d+)'
        . "|(?<word>\\pL[\\pL\\pM'’.]*(?:-\\pL[\\pL\\pM'’]*)*)"
        . '|(?<mark>[^\s\pL\d])~u';

    /**
     * @return list<Token>
     */
    public static function tokens(string $line, DecimalMark $mark = DecimalMark::NotShown): array
    {
        $found = preg_match_all(
            self::PATTERN,
            $line,
            $matches,
            PREG_SET_ORDER | PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL,
        );
        if ($found === false) {
            return [];
        }
        $tokens = [];
        $end = -1;
        foreach ($matches as $match) {
            [$text, $offset] = [(string) $match[0][0], $match[0][1]];
            $tokens[] = self::token($text, $match, $offset === $end, $offset, $line, $mark);
            $end = $offset + strlen($text);
        }

        return $tokens;
    }

    /** @param array<int|string, array{string|null, int}> $match */
    private static function token(
        string $text,
        array $match,
        bool $glued,
        int $offset,
        string $line,
        DecimalMark $mark,
    ): Token {
        return match (true) {
            $match['vulgar'][0] !== null => Token::number($text, self::VULGAR[$text], true, $glued, $offset),
            $match['fraction'][0] !== null => Token::number($text, self::fraction($text), true, $glued, $offset),
            $match['number'][0] !== null => Token::number(
                $text,
                $mark->valueOf($text, substr($line, $offset + strlen($text), self::UNIT_WITHIN)),
                false,
                $glued,
                $offset,
            ),
            $match['word'][0] !== null => Token::word($text, $glued, $offset),
            default => Token::mark($text, $glued, $offset),
        };
    }

    /** A written fraction; not a number at all (NAN) over zero. */
    private static function fraction(string $text): float
    {
        [$top, $bottom] = array_map(floatval(...), explode('/', str_replace(['⁄', ' '], ['/', ''], $text)));

        return $bottom === 0.0 ? NAN : $top / $bottom;
    }
}
