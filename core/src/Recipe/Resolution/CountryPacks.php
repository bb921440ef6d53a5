<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\Measures;

/**
 * What a usual pack, or one piece, of something holds where these measures are used: a can of tomatoes is 411 g here and
 * 400 g there, a medium onion 110 g and 150 g.
 */
final class CountryPacks
{
    private const PRINTED_SPREAD = 0.05;
    /** Relative spread of a counted piece of produce. */
    private const COUNTED_SPREAD = 0.22;

    /** @return array<string, Amount> grams of one, by what is counted */
    public static function of(Ingredient $ingredient, Measures $measures): array
    {
        return self::sizes('packs', self::PRINTED_SPREAD, $ingredient, $measures)
            + self::sizes('pieces', self::COUNTED_SPREAD, $ingredient, $measures);
    }

    /** @return array<string, Amount> */
    private static function sizes(string $table, float $spread, Ingredient $ingredient, Measures $measures): array
    {
        $country = $measures->country();
        $row = FactsFile::named($table)[$ingredient->key] ?? null;

        return $country === null || $row === null || !$row->has($country)
            ? []
            : array_map(
                static fn(float $grams): Amount => Amount::within($grams, $spread),
                $row->amounts($country),
            );
    }
}
