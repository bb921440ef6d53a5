<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

use Vinculum\Balance\Balance;
use Vinculum\Chemistry\Component;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Quantity\KitchenNumber;

/** Which cautions follow from what a sauce is made of. The rules are rows of cautions.ini. */
final class Cautions
{
    /** @return list<Caution> the gravest first */
    public static function for(Balance $balance): array
    {
        $conditions = Conditions::of($balance);
        // where nothing is counted yet, only what a line says by its words
        $isCounted = $balance->mixture->grams() > 0.0;
        $cautions = [];
        foreach (FactsFile::named('cautions') as $row) {
            if (($isCounted || $row->has('words')) && $conditions->hold($row)) {
                $cautions[] = Caution::fromRow(
                    $row,
                    [
                        '{allergens}' => implode(', ', $balance->allergens()),
                        '{salt}' => self::saltToAdd($balance, $row),
                    ],
                );
            }
        }
        $gravity = ['stop' => 0, 'warn' => 1, 'info' => 2];
        usort(
            $cautions,
            static fn(Caution $one, Caution $other): int => $gravity[$one->severity] <=> $gravity[$other->severity],
        );

        return $cautions;
    }

    /** How much salt a ferment lacks, in words. */
    private static function saltToAdd(Balance $balance, Row $row): string
    {
        $share = ($row->numberOrNull('ferments_under') ?? 0.0) / 100.0;
        $lacks = ($share * $balance->mixture->grams() - $balance->mixture->get(Component::Salt)) / (1.0 - $share);

        return sprintf('add %s more, by weight', KitchenNumber::grams(max(0.0, $lacks)));
    }
}
