<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

use Vinculum\Facts\FactsFile;

/** The words by which a telling is understood (core/data/telling.ini), by what they do there. */
final class TellingWords
{
    /** A pattern that matches any of them as whole words, for use with the modifiers i and u. */
    public static function pattern(string $row): string
    {
        return FactsFile::named('telling')[$row]->pattern('words');
    }

    /** @return list<string> */
    public static function list(string $row): array
    {
        return FactsFile::named('telling')[$row]->list('words');
    }

    public static function areIn(string $text, string $row): bool
    {
        return FactsFile::named('telling')[$row]->isSaidIn($text, 'words');
    }

    /** Whether a single word is one of them. */
    public static function have(string $word, string $row): bool
    {
        return in_array(mb_strtolower($word), self::list($row), true);
    }
}
