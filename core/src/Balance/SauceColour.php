<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Ingredient\Energy;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Sensory\Colour;

/**
 * About what colour a sauce has: each thing's colour by its weight and how strongly it tints, and a brown for sugar that
 * was at the boil (core/data/colours.ini). Rough, and always said to be: by eye, and no cook's pan is the same.
 */
final class SauceColour
{
    private const BROWNING = 'browning';

    /**
     * @param float $minutes at the boil
     *
     * @return Colour|null null where nothing in it has a colour
     */
    public static function of(Formula $formula, float $minutes): ?Colour
    {
        $parts = [];
        $sugar = 0.0;
        $coloured = 0.0;
        foreach ($formula->lines as $line) {
            $grams = $line->countsInTheMixture() ? $line->grams->value ?? 0.0 : 0.0;
            $tint = $line->ingredient === null ? null : self::tint($line->ingredient);
            if ($tint !== null && $grams > 0.0) {
                $parts[] = [self::colour($tint), $grams * $tint->number('strength')];
                $coloured += $grams;
            }
            $sugar += Energy::sugars($line->mixture());
        }
        if ($coloured <= 0.0) {
            return null;
        }
        $brown = FactsFile::named('colours')[self::BROWNING];
        $parts[] = [self::colour($brown), $sugar * $minutes / 60.0 * $brown->number('strength')];

        return Colour::mixed($parts);
    }

    /** The row of a thing's colour: its own, else that of its kind; null where neither is known. */
    private static function tint(Ingredient $ingredient): ?Row
    {
        /** @var array{array<string, string>, array<string, string>}|null $byName */
        static $byName = null;
        if ($byName === null) {
            $byName = [[], []];
            foreach (FactsFile::named('colours') as $key => $row) {
                foreach ($row->list('of') as $member) {
                    $byName[0][$member] ??= $key;
                }
                foreach ($row->list('kinds') as $kind) {
                    $byName[1][$kind] ??= $key;
                }
            }
        }
        $found = $byName[0][$ingredient->kind()] ?? null;
        foreach ($found === null ? $ingredient->kinds : [] as $kind) {
            $found ??= $byName[1][$kind] ?? null;
        }

        return $found === null ? null : FactsFile::named('colours')[$found];
    }

    private static function colour(Row $row): Colour
    {
        [$red, $green, $blue] = $row->numbers('colour');

        return Colour::of($red, $green, $blue);
    }
}
