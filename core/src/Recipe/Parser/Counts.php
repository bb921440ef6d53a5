<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Ingredient\NameWords;

/** The nouns that things are counted by: clove, bunch, tin, part. */
final class Counts
{
    /** The key of a counting noun, or null when the word is none. */
    public static function named(string $word): ?string
    {
        $word = mb_strtolower(rtrim($word, '.'));

        return self::spellings()[$word] ?? self::spellings()[NameWords::of($word)[0] ?? ''] ?? null;
    }

    public static function row(string $counted): Row
    {
        return FactsFile::named('counts')[$counted];
    }

    public static function isPack(string $counted): bool
    {
        return self::row($counted)->has('pack');
    }

    /** Whether nobody cuts one in two: a leaf, a star of anise. */
    public static function isEntire(string $counted): bool
    {
        return isset(FactsFile::named('counts')[$counted]) && self::row($counted)->has('entire');
    }

    /** A noun as it is said of so many: "½ star", "4 bunches", "2 cm". */
    public static function plural(string $word, float $count): string
    {
        return match (true) {
            $count <= 1.0, $word === 'cm' => $word,
            self::hasPlural($word) => self::row($word)->text('plural'),
            preg_match('/(?:ch|sh|s|x)$/', $word) === 1 => "{$word}es",
            str_ends_with($word, 'y') => substr($word, 0, -1) . 'ies',
            default => "{$word}s",
        };
    }

    private static function hasPlural(string $word): bool
    {
        return isset(FactsFile::named('counts')[$word]) && self::row($word)->has('plural');
    }

    /** @return array<string, string> */
    private static function spellings(): array
    {
        /** @var array<string, string>|null $spellings */
        static $spellings = null;
        if ($spellings === null) {
            $spellings = [];
            foreach (FactsFile::named('counts') as $key => $row) {
                foreach ([$key, ...$row->list('also')] as $spelling) {
                    $spellings[$spelling] = $key;
                }
            }
        }

        return $spellings;
    }
}
