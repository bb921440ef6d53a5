<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Ingredient\Energy;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Colour;

/**
 * About what colour a sauce has: each thing's colour by its weight and how strongly it tints, and a brown for sugar that
 * was at the boil (core/data/colours.ini). Rough, and always said to be: by eye, and no cook's pan is the same.
 */
final class SauceColour
{
    private const BROWNING = 'browning';
    /** How far the strongest of red, green and blue lies above the weakest in what is neither pale nor brown. */
    private const VIVID = 120.0;
    /** Share of a sauce below which leaves are flecks (common practice: by eye). */
    private const FLECKS = 0.1;

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
        $flecks = self::flecks($formula);
        foreach ($formula->lines as $line) {
            $grams = $line->countsInTheMixture() && !in_array($line, $flecks, true) ? $line->grams->value ?? 0.0 : 0.0;
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

    /** What gives a sauce the most of its colour; null where all in it is pale or brown. */
    public static function mostOf(Formula $formula): ?Ingredient
    {
        [$most, $ingredient] = [0.0, null];
        foreach ($formula->lines as $line) {
            $tint = $line->ingredient === null || !$line->countsInTheMixture() ? null : self::tint($line->ingredient);
            $tints = ($line->grams->value ?? 0.0) * ($tint?->number('strength') ?? 0.0);
            if ($tints > $most && $tint !== null && self::isVivid($tint)) {
                [$most, $ingredient] = [$tints, $line->ingredient];
            }
        }

        return $ingredient;
    }

    /**
     * Leaves that are chopped into a sauce stand in it as flecks; only where there are many do they colour it.
     *
     * @return list<ResolvedLine>
     */
    private static function flecks(Formula $formula): array
    {
        $isLeaf = static fn(ResolvedLine $line): bool => in_array('herb', $line->ingredient->kinds ?? [], true);
        $leaves = array_values(array_filter($formula->lines, $isLeaf));
        $grams = static fn(ResolvedLine $line): float => $line->grams->value ?? 0.0;
        $all = array_sum(array_map($grams, $formula->lines));

        return array_sum(array_map($grams, $leaves)) < self::FLECKS * $all ? $leaves : [];
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

    private static function isVivid(Row $row): bool
    {
        [$red, $green, $blue] = $row->numbers('colour');

        return max($red, $green, $blue) - min($red, $green, $blue) >= self::VIVID;
    }

    private static function colour(Row $row): Colour
    {
        [$red, $green, $blue] = $row->numbers('colour');

        return Colour::of($red, $green, $blue);
    }
}
