<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\Component;
use Vinculum\Facts\FactsFile;

/** How much of a thing's fat is saturated: by its own row, else as its kind is (core/data/fats.ini). */
final class Saturates
{
    private const ELSE = 'else';

    /** Share of the fat, 0 to 1: the thing's own, else that of its kind. */
    public static function share(Ingredient $ingredient): float
    {
        if ($ingredient->composition->saturatedShare !== null) {
            return $ingredient->composition->saturatedShare;
        }
        /** @var array{array<string, float>, array<string, float>}|null $shares by key, and by kind */
        static $shares = null;
        if ($shares === null) {
            $shares = [[], []];
            foreach (FactsFile::named('fats') as $row) {
                $shares[0] += array_fill_keys($row->list('of'), $row->number('share'));
                $shares[1] += array_fill_keys($row->list('kinds'), $row->number('share'));
            }
        }
        $share = $shares[0][$ingredient->kind()] ?? null;
        foreach ($share === null ? $ingredient->kinds : [] as $kind) {
            $share ??= $shares[1][$kind] ?? null;
        }

        return $share ?? FactsFile::named('fats')[self::ELSE]->number('share');
    }

    /** Grams in 100 g of it. */
    public static function in(Ingredient $ingredient): float
    {
        return self::share($ingredient) * $ingredient->composition->mixture->get(Component::Fat);
    }
}
