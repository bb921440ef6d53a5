<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

use Vinculum\Balance\Balance;
use Vinculum\Chemistry\Component;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Amount;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** Whether plants lie under oil in a sauce, where botulism grows without air (in-oil.ini). */
final class InOil
{
    /** @param list<ResolvedLine> $lines that name an ingredient or should */
    public static function isIn(Balance $balance, array $lines): bool
    {
        $facts = FactsFile::named('in-oil');
        $grams = $balance->mixture->grams();
        [$plants, $oil, $isFlavoured] = [0.0, 0.0, false];
        foreach ($lines as $line) {
            if ($line->ingredient === null) {
                continue;
            }
            if (self::isPlant($line->ingredient)) {
                $plants += $line->grams->value ?? 0.0;
                $isFlavoured = true;
            }
            if (self::isOf($line->ingredient, $facts['oil']->list('kinds'))) {
                $oil += $line->mixture()->get(Component::Fat);
            }
        }
        if (!$isFlavoured || $grams <= 0.0 || 100.0 * $oil / $grams < $facts['oil']->number('from')) {
            return false;
        }

        return !(Balance::isEmulsified($balance->formula)
            && 100.0 * $plants / $grams < $facts['emulsion']->number('plants_under')
            && ($balance->ph->high ?? INF) <= $facts['emulsion']->number('ph_at_most'));
    }

    /** A plant that is wet, and not sharp by itself. */
    private static function isPlant(Ingredient $ingredient): bool
    {
        $facts = FactsFile::named('in-oil')['plants'];
        $composition = $ingredient->composition;
        $acidity = $composition->acidity;
        $mayReach = $acidity->isKnown && $acidity->ph !== null
            ? $acidity->ph + Amount::NINETY_PERCENT * $acidity->deviation
            : INF;

        return self::isOf($ingredient, $facts->list('kinds'))
            && (array_intersect(['oil', 'moist'], $ingredient->kinds) !== []
                || $composition->mixture->percent(Component::Water) > $facts->number('dry_at_most'))
            && $mayReach > $facts->number('ph_over');
    }

    /** @param list<string> $kinds each one word, or several that are all true of it */
    private static function isOf(Ingredient $ingredient, array $kinds): bool
    {
        foreach ($kinds as $kind) {
            if (array_diff(explode(' ', $kind), $ingredient->kinds) === []) {
                return true;
            }
        }

        return false;
    }
}
