<?php

declare(strict_types=1);

namespace Vinculum\Family;

/** Derives the doses that cooks of a family use from its reference formulas. */
final class DoseDerivation
{
    /**
     * The facts file of doses.
     *
     * @param array<string, non-empty-list<ReferenceFormula>> $references by family
     */
    public static function facts(array $references): string
    {
        $ini = "; Derived from the reference formulas in styles/ by bin/derive-families: do not edit. How many references hold a\n"
            . "; thing, and its share among those in g per 100 g of the finished sauce: median, quartiles, largest.\n"
            . "; source: derived of the reference formulas by bin/derive-families\n";
        foreach ($references as $family => $formulas) {
            $ini .= "[{$family}]\n" . self::lines(array_map(
                static fn(ReferenceFormula $formula): array => $formula->makeup->ingredients,
                $formulas,
            ));
            $ini .= "[{$family} works]\n" . self::lines(array_map(
                static fn(ReferenceFormula $formula): array => $formula->makeup->works,
                $formulas,
            ));
        }

        return $ini;
    }

    /** @param list<array<string, float>> $shares of each reference, by thing */
    private static function lines(array $shares): string
    {
        $byThing = [];
        foreach ($shares as $ofOne) {
            foreach ($ofOne as $thing => $share) {
                $byThing[$thing][] = $share;
            }
        }
        uasort($byThing, static fn(array $one, array $other): int => count($other) <=> count($one));
        $lines = '';
        foreach ($byThing as $thing => $itsShares) {
            $lines .= "{$thing} = " . Dose::among($itsShares)->asFact() . "\n";
        }

        return $lines;
    }
}
