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
        return $ingredient->isOwn() ? self::Everywhere : self::ofKey($ingredient->key);
    }

    /** @param string $key of an ingredient of the catalogue */
    public static function ofKey(string $key): self
    {
        $rows = FactsFile::named('shops');

        return match (true) {
            in_array($key, $rows['everywhere']->list('of'), true) => self::Everywhere,
            in_array($key, $rows['special']->list('of'), true) => self::Special,
            default => self::Large,
        };
    }
}
