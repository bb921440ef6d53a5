<?php

declare(strict_types=1);

namespace Vinculum\Quantity;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;

/** The units a kitchen writes, by any of their spellings. */
final class Units
{
    /** @var array<string, string>|null unit name by spelling */
    private static ?array $spellings = null;

    /**
     * The unit of this spelling in a system of measures, or null when it is none. Case counts only for a lone T or t.
     */
    public static function named(string $spelling, Measures $measures): ?Unit
    {
        $name = self::spellings()[self::normalise($spelling)] ?? null;

        return $name === null ? null : self::fromRow(FactsFile::named('units')[$name], $measures);
    }

    /**
     * The spelling of a unit that a misspelt word of six letters or more comes nearest to; null where none is near.
     */
    public static function nearest(string $spelling): ?string
    {
        $spelling = self::normalise($spelling);
        [$nearest, $least] = [null, strlen($spelling) < 8 ? 2 : 3];
        if (strlen($spelling) < 6 || strlen($spelling) > 20) {
            return null;
        }
        foreach (array_keys(self::spellings()) as $known) {
            if (strlen($known) >= 5 && $known[0] === $spelling[0] && abs(strlen($known) - strlen($spelling)) < $least) {
                $distance = levenshtein($spelling, $known);
                if ($distance < $least) {
                    [$nearest, $least] = [$known, $distance];
                }
            }
        }

        return $nearest;
    }

    /** @throws \OutOfBoundsException when there is no such unit */
    public static function get(string $spelling, Measures $measures): Unit
    {
        return self::named($spelling, $measures) ?? throw new \OutOfBoundsException(
            "There is no unit \"{$spelling}\".",
        );
    }

    private static function normalise(string $spelling): string
    {
        $spelling = rtrim($spelling, '.');

        return match ($spelling) {
            'T', 'Tb', 'TB' => 'tablespoon',
            't' => 'teaspoon',
            default => str_replace('.', '', mb_strtolower($spelling)),
        };
    }

    /** @return array<string, string> */
    private static function spellings(): array
    {
        if (self::$spellings === null) {
            self::$spellings = [];
            foreach (FactsFile::named('units') as $name => $row) {
                foreach ([$name, ...$row->list('also')] as $spelling) {
                    self::$spellings[$spelling] = $name;
                }
            }
        }

        return self::$spellings;
    }

    private static function fromRow(Row $row, Measures $measures): Unit
    {
        $spread = $row->numberOrNull('spread') ?? 0.0;
        $grams = $row->numberOrNull('grams');
        if ($grams !== null) {
            return Unit::ofWeight($row->key, $grams, $spread);
        }

        return Unit::ofVolume($row->key, $row->numberOrNull('millilitres') ?? $row->number($measures->spoons()->value), $spread);
    }
}
