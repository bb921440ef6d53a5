<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\NameWords;
use Vinculum\Recipe\Parser\Item;

/** What a kitchen uses, and nobody eats: "1 funnel", "2 x 250 ml jars" (page.ini). */
final class Equipment
{
    /** @var array<string, true>|null names as they are compared */
    private static ?array $names = null;

    public static function isOne(Item $item): bool
    {
        $name = array_filter(
            NameWords::of($item->name === '' ? (string) $item->measured?->counted : $item->name),
            static fn(string $word): bool => !NameWords::isDescriptor($word),
        );

        return isset(self::names()[implode(' ', $name)]);
    }

    /** @return array<string, true> */
    private static function names(): array
    {
        return self::$names ??= array_fill_keys(array_map(
            static fn(string $one): string => implode(' ', NameWords::of($one)),
            FactsFile::named('page')['equipment']->list('words'),
        ), true);
    }
}
