<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Words;

/** The words of methods (times.ini, heats.ini), as patterns that are made once. */
final class MethodWords
{
    /** @var array<string, string> patterns of words in any form, by row */
    private static array $forms = [];

    /** Whether a text holds words of a row. */
    public static function areIn(string $text, string $row): bool
    {
        return FactsFile::named('times')[$row]->isSaidIn($text, 'words');
    }

    /** A text without the words of a row. */
    public static function takenFrom(string $text, string $row): string
    {
        return (string) preg_replace('/' . self::pattern($row) . '/iu', ' ', $text);
    }

    /** A pattern of the words of a row, for use with the modifiers i and u. */
    public static function pattern(string $row): string
    {
        return FactsFile::named('times')[$row]->pattern('words');
    }

    /** Where in a text a row of words begins, in any of their forms ("simmers", "simmering"); null where it does not. */
    public static function place(string $text, string $row): ?int
    {
        $forms = self::$forms[$row] ??= '/\b(?:' . implode('|', array_map(
            // leaves are on herbs
            static fn(string $word): string => preg_quote($word, '/')
                . ($word === 'leave' ? '(?:d)?' : '(?:s|es|ed|d|ing)?'),
            $row === 'heats' ? self::ofHeat() : FactsFile::named('times')[$row]->list('words'),
        )) . ')\b/iu';

        return preg_match($forms, $text, $found, PREG_OFFSET_CAPTURE) === 1 ? $found[0][1] : null;
    }

    /** Where one of a row's words stands as what is to be done, in no other form: "roast", not "roasted". */
    public static function verbPlace(string $text, string $row): ?int
    {
        return preg_match('/' . self::pattern($row) . '/iu', $text, $found, PREG_OFFSET_CAPTURE) === 1 ? $found[0][1] : null;
    }

    /** @return list<string> */
    private static function ofHeat(): array
    {
        $words = [];
        foreach (FactsFile::named('heats') as $row) {
            array_push($words, ...$row->list('words'));
        }

        return $words;
    }
}
