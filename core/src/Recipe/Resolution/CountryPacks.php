<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\Measures;

/** What a usual pack of something holds where these measures are used: a can of tomatoes is 411 g here and 400 g there. */
final class CountryPacks
{
    private const PRINTED_SPREAD = 0.05;

    /** @return array<string, Amount> grams of one, by what is counted */
    public static function of(Ingredient $ingredient, Measures $measures): array
    {
        $country = $measures->country();
        $row = FactsFile::named('packs')[$ingredient->key] ?? null;

        return $country === null || $row === null || !$row->has($country)
            ? []
            : array_map(
                static fn(float $grams): Amount => Amount::within($grams, self::PRINTED_SPREAD),
                $row->amounts($country),
            );
    }
}
