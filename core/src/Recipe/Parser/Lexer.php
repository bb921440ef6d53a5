<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** Cuts an ingredient line into numbers, words, marks, and what is only around them. */
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
    private const LAYOUT = '(?:^\s*(?:(?:\(\d{1,2}\)|\d{1,2}[.)]|o)(?=\s+[\d½⅓⅔¼¾⅛])|[(]?[a-h]\)(?=\s)|\*(?=\s))'
        . '|</?[a-z][a-z0-9]{0,8}(?:\s[^<>]{0,80})?/?>|\*\*|__|\[[ xX]?\](?=\s)|\[(?=[^\[\]]{1,200}\]\()'
        . '|[▪◦‣➤➢✗●○■□►▶→☐☑]|(?![°•·™®©])\p{So}|[\x{FE0F}\x{20E3}\x{1F3FB}-\x{1F3FF}])';
    private const LINK = '(?:\]\([^\s()]{0,200}\)|https?://[^\s()<>\]]{1,200}|www\.[^\s()<>\]]{1,200})';
    private const PRICE = '(?:[£€$]\s?\d{1,5}(?:[.,]\d{1,2})?\*{0,2}|(?<!\d)\d{1,4}[.,]\d\d\s?[£€]|(?<!\d)\d{1,3}p\b)';
    private const PATTERN = '~(?<layout>' . self::LAYOUT . ')'
        . '|(?<link>' . self::LINK . ')'
        . '|(?<price>' . self::PRICE . ')'
        . '|(?<vulgar>[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅐⅛⅜⅝⅞⅑⅒])'
        . '|(?<fraction>(?<!\d)\d{1,2}\s?[/⁄]\s?(?:1[026]|[02-9])(?![\d.,])|\d{1,9}\s?[/⁄]\s?\d{1,9}(?![\d.,]*\s?(?:g|kg|ml|oz|l)\b))'
        . "|(?<number>\\d{1,3}(?:[,']\\d{3})+(?:\\.\\d+)?(?!\\d)|\\d{1,3}(?:\\.\\d{3}){2,}(?:,\\d+)?(?!\\d)|\\d{1,3}\\.\\d{3},\\d+|\\d+(?:[.,]\\d+)?|\\.\\d+)"
        . "|(?<word>\\pL[\\pL\\pM'.]*(?:-\\pL[\\pL\\pM']*)*)"
        . '|(?<leader>\.{3,}|…+|(?:\s\.){2,})'
        . '|(?<mark>[^\s\pL\d])~iu';

    /**
     * @return list<Token>
     */
    public static function tokens(string $line, DecimalMark $mark = DecimalMark::NotShown): array
    {
        $tokens = [];
        $from = 0;
        foreach (Vocabulary::shortForms($line) as [$offset, $end, $long]) {
            array_push($tokens, ...self::cut(substr($line, 0, $offset), $from, $mark));
            foreach (self::cut($long, 0, $mark) as $token) {
                $tokens[] = $token->standingAt($offset, $end);
            }
            $from = $end;
        }

        return [...$tokens, ...self::cut($line, $from, $mark)];
    }

    /** @return list<Token> */
    private static function cut(string $line, int $from, DecimalMark $mark): array
    {
        $found = preg_match_all(
            self::PATTERN,
            $line,
            $matches,
            PREG_SET_ORDER | PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL,
            $from,
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
            $match['layout'][0] !== null => Token::of(TokenKind::Layout, $text, $glued, $offset),
            $match['link'][0] !== null => Token::of(TokenKind::Link, $text, $glued, $offset),
            $match['price'][0] !== null => Token::of(TokenKind::Price, $text, $glued, $offset),
            $match['vulgar'][0] !== null => Token::number($text, self::VULGAR[$text], true, $glued, $offset),
            $match['fraction'][0] !== null => Token::number($text, self::fraction($text), true, $glued, $offset),
            $match['number'][0] !== null => Token::number(
                $text,
                $mark->valueOf(str_replace("'", '', $text), substr($line, $offset + strlen($text), self::UNIT_WITHIN)),
                false,
                $glued,
                $offset,
            ),
            $match['word'][0] !== null => Token::of(TokenKind::Word, $text, $glued, $offset),
            default => Token::of(TokenKind::Mark, $text, $glued, $offset),
        };
    }

    /** A written fraction; not a number at all (NAN) over zero. */
    private static function fraction(string $text): float
    {
        [$top, $bottom] = array_map(floatval(...), explode('/', str_replace(['⁄', ' '], ['/', ''], $text)));

        return $bottom === 0.0 ? NAN : $top / $bottom;
    }
}
