<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

use Vinculum\Balance\Balance;
use Vinculum\Facts\FactsFile;

/** Which cautions follow from what a sauce is made of. The rules are rows of cautions.ini. */
final class Cautions
{
    /** @return list<Caution> the gravest first */
    public static function for(Balance $balance): array
    {
        $conditions = Conditions::of($balance);
        if ($balance->mixture->grams() <= 0.0) {
            return [];
        }
        $cautions = [];
        foreach (FactsFile::named('cautions') as $row) {
            if ($conditions->hold($row)) {
                $cautions[] = Caution::fromRow($row, ['{allergens}' => implode(', ', $balance->allergens())]);
            }
        }
        $gravity = ['stop' => 0, 'warn' => 1, 'info' => 2];
        usort($cautions, static fn(Caution $one, Caution $other): int => $gravity[$one->severity] <=> $gravity[$other->severity]);

        return $cautions;
    }
}
