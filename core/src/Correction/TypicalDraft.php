<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Family\Family;
use Vinculum\Family\ReferenceFormula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;

/**
 * A first formula for an empty bench: the reference of the family that stands nearest to all the others, in the size
 * that is wanted. What cooks have cooked is a better start than what a search can make of numbers.
 */
final class TypicalDraft
{
    public static function of(Family $style, float $batchGrams, Catalogue $catalogue, Measures $measures): Design
    {
        $typical = self::typical(ReferenceFormula::of($style->key, $catalogue));
        $spoons = Spoons::of($measures);
        $factor = $batchGrams / $typical->balance->mixture->grams();
        $lines = [];
        foreach ($typical->balance->formula->lines as $line) {
            if ($line->ingredient === null) {
                continue;
            }
            [$density, $each] = [$line->ingredient->portions->density, $line->ingredient->portions->eachGrams()];
            $grams = $spoons->nearest($factor * ($line->grams->value ?? 0.0), $density, $each);
            $lines[] = new DesignedLine(
                $line->ingredient,
                $grams,
                $spoons->measure($grams, $density, $each),
                "as in \"{$typical->title}\"",
            );
        }
        usort($lines, static fn(DesignedLine $one, DesignedLine $other): int => $other->grams <=> $one->grams);

        return new Design(
            $lines,
            $typical->balance->taste,
            $style->target,
            $style->target->distance($typical->balance->taste),
            $typical->balance->isFinished
                ? [sprintf('Cook it down to %s.', KitchenNumber::grams(round($batchGrams, -1)))]
                : [],
        );
    }

    /**
     * The medoid: of those that are only mixed, where there are any.
     *
     * @param non-empty-list<ReferenceFormula> $references
     */
    private static function typical(array $references): ReferenceFormula
    {
        $mixed = array_values(array_filter(
            $references,
            static fn(ReferenceFormula $one): bool => !$one->balance->isFinished,
        ));
        $best = null;
        $least = INF;
        foreach ($mixed !== [] ? $mixed : $references as $one) {
            $sum = 0.0;
            foreach ($references as $other) {
                $sum += $one->balance->taste->stepsApart($other->balance->taste);
            }
            if ($sum < $least) {
                [$best, $least] = [$one, $sum];
            }
        }

        return $best ?? $references[0];
    }
}
