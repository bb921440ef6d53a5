<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Facts\FactsFile;

/** How common a thing is where a home cook shops (core/data/shops.ini). */
enum Shops: int
{
    case Everywhere = 0;
    case Large = 1;
    case Special = 2;

    public static function of(Ingredient $ingredient): self
    {
        $rows = FactsFile::named('shops');

        return match (true) {
            $ingredient->isOwn(), in_array($ingredient->key, $rows['everywhere']->list('of'), true) => self::Everywhere,
            in_array($ingredient->key, $rows['special']->list('of'), true) => self::Special,
            default => self::Large,
        };
    }
}
