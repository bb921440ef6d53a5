<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\NameWords;

/** Words beside a name that change nothing of what it is, by what they stand before: qualities.ini. */
final class Qualities
{
    private const ANY = 'any';

    /** @var array<string, array<string, true>>|null as names are compared by their words, by what they stand before */
    private static ?array $before = null;

    /** @var array<string, true>|null */
    private static ?array $all = null;

    /**
     * The words of a name that say something of this.
     *
     * @param list<string> $words
     * @param list<string> $kept those of its own name
     *
     * @return list<string>
     */
    public static function without(array $words, Ingredient $ingredient, array $kept = []): array
    {
        $before = self::before();
        $kinds = [self::ANY, $ingredient->kind(), ...$ingredient->kinds, ...$ingredient->roles];

        return self::left($words, static function (string $said) use ($before, $kinds, $kept): bool {
            foreach ($kinds as $kind) {
                if (isset($before[$kind][$said]) && !in_array($said, $kept, true)) {
                    return true;
                }
            }

            return false;
        });
    }

    /**
     * The words of a name that say something of everything.
     *
     * @param list<string> $words
     *
     * @return list<string>
     */
    public static function withoutAny(array $words): array
    {
        self::$all ??= array_merge([], ...array_values(self::before()));
        $all = self::$all;

        return self::left($words, static fn(string $said): bool => isset($all[$said]));
    }

    /**
     * @param list<string> $words
     * @param \Closure(string): bool $isOne whether one word, or two as one writes them with a dash, are to go
     *
     * @return list<string>
     */
    private static function left(array $words, \Closure $isOne): array
    {
        $left = [];
        for ($at = 0; $at < count($words); ++$at) {
            foreach ([3, 2, 1] as $length) {
                if ($at + $length <= count($words) && $isOne(implode(' ', array_slice($words, $at, $length)))) {
                    $at += $length - 1;
                    continue 2;
                }
            }
            $left[] = $words[$at];
        }

        return $left;
    }

    /** @return array<string, array<string, true>> */
    private static function before(): array
    {
        if (self::$before === null) {
            self::$before = [];
            foreach (FactsFile::named('qualities') as $row) {
                $said = static fn(string $word): string => implode(' ', NameWords::of($word));
                $words = array_fill_keys(array_map($said, $row->list('words')), true);
                foreach ($row->list('before') as $kind) {
                    self::$before[$kind] = (self::$before[$kind] ?? []) + $words;
                }
            }
        }

        return self::$before;
    }
}
