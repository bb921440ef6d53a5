<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;

/** The words of a line that name nothing, by what they do there: core/data/reading.ini. */
final class Vocabulary
{
    private const FILE = 'reading';

    /** @var array<string, array<string, array<string, true>>> by section and field */
    private static array $sets = [];

    /** @var array<string, array<string, array<string, list<list<string>>>>> by section and field, then by their first word */
    private static array $phrases = [];

    public static function row(string $section): Row
    {
        return FactsFile::named(self::FILE)[$section];
    }

    /** Whether a word, in small letters, is one of a section's. */
    public static function has(string $section, string $word, string $field = 'words'): bool
    {
        self::$sets[$section][$field] ??= array_fill_keys(self::row($section)->list($field), true);

        return isset(self::$sets[$section][$field][$word]);
    }

    /** What a word stands for: of numbers, portions or powers. */
    public static function valueOf(string $section, string $word): ?float
    {
        return self::row($section)->amounts('words')[$word] ?? null;
    }

    /** The field of a section that holds a word: of "jumbo" that is "large". */
    public static function fieldOf(string $section, string $word): ?string
    {
        foreach (self::row($section)->fields() as $field) {
            if (self::has($section, $word, $field)) {
                return $field;
            }
        }

        return null;
    }

    /**
     * How many tokens from here on are the longest phrase of a section; 0 where none is.
     *
     * @param list<Token> $tokens
     */
    public static function phraseAt(string $section, array $tokens, int $at, string $field = 'words'): int
    {
        $first = $tokens[$at] ?? null;
        if ($first?->kind !== TokenKind::Word) {
            return 0;
        }
        self::$phrases[$section][$field] ??= self::indexed(self::row($section)->list($field));
        foreach (self::$phrases[$section][$field][$first->lower] ?? [] as $words) {
            foreach ($words as $next => $word) {
                if (($tokens[$at + $next] ?? null)?->isWord() !== true || $tokens[$at + $next]->lower !== $word) {
                    continue 2;
                }
            }

            return count($words);
        }

        return 0;
    }

    /** @return array<string, string> how "half as much", "twice that of" stand in running text: a pattern by what they count */
    public static function timesAsMuch(): array
    {
        /** @var array<string, string>|null $patterns */
        static $patterns = null;

        if ($patterns === null) {
            $patterns = [];
            foreach (self::row('times-as-much')->fields() as $field) {
                $quoted = array_map(
                    static fn(string $one): string => preg_quote($one, '/'),
                    self::row('times-as-much')->list($field),
                );
                $patterns[$field] = '(?:' . implode('|', $quoted) . ')';
            }
        }

        return $patterns;
    }

    /** @return list<array{int, int, string}> where a short form stands in a line, and what it stands for */
    public static function shortForms(string $line): array
    {
        $found = [];
        foreach (self::row('short-forms')->list('words') as $pair) {
            [$short, $long] = explode(' > ', $pair, 2);
            if (
                stripos($line, $short) !== false
                && preg_match('/(?<![\pL\d])' . preg_quote($short, '/') . '(?![\pL\d])/iu', $line, $where, PREG_OFFSET_CAPTURE) === 1
            ) {
                $found[$where[0][1]] = [$where[0][1], $where[0][1] + strlen($where[0][0]), $long];
            }
        }
        ksort($found);

        return array_slice(array_values($found), 0, 1);
    }

    /**
     * @param list<string> $phrases
     *
     * @return array<string, list<list<string>>>
     */
    private static function indexed(array $phrases): array
    {
        $indexed = [];
        foreach ($phrases as $phrase) {
            $words = explode(' ', $phrase);
            $indexed[$words[0]][] = $words;
        }
        foreach ($indexed as &$same) {
            usort($same, static fn(array $one, array $other): int => count($other) <=> count($one));
        }

        return $indexed;
    }
}
