<?php

declare(strict_types=1);

namespace Vinculum\Planning;

use Vinculum\Balance\Formula;

/** What to buy for several sauces, less what is in stock, in whole packs. */
final class Shopping
{
    /** Water runs from the tap. */
    private const FREE = ['water'];

    /**
     * @param list<Formula> $formulas each in its size
     * @param array<string, array{name: string, pack_grams: float|null, price: float|null, stock_grams: float}> $shelf
     *     by ingredient key
     *
     * @return list<array{ingredient: string, name: string, need_grams: float, stock_grams: float, buy_grams: float, packs: int|null, pack_grams: float|null, cost: float|null, left_grams: float|null}>
     *     the most first
     */
    public static function for(array $formulas, array $shelf): array
    {
        [$need, $names] = [[], []];
        foreach ($formulas as $formula) {
            foreach ($formula->ingredientLines() as $line) {
                if (
                    $line->ingredient === null
                    || in_array($line->ingredient->key, self::FREE, true)
                    || ($line->grams->value ?? 0.0) <= 0.0
                ) {
                    continue;
                }
                $need[$line->ingredient->key] = ($need[$line->ingredient->key] ?? 0.0) + ($line->grams->value ?? 0.0);
                $names[$line->ingredient->key] = $line->ingredient->name;
            }
        }
        arsort($need);
        $list = [];
        foreach ($need as $key => $grams) {
            $own = $shelf[$key] ?? [
                'name' => $names[$key],
                'pack_grams' => null,
                'price' => null,
                'stock_grams' => 0.0,
            ];
            $buy = max(0.0, $grams - $own['stock_grams']);
            $packs = $own['pack_grams'] === null || $own['pack_grams'] <= 0.0
                ? null
                : (int) ceil($buy / $own['pack_grams'] - 1e-9);
            $list[] = [
                'ingredient' => $key,
                'name' => $own['name'],
                'need_grams' => $grams,
                'stock_grams' => $own['stock_grams'],
                'buy_grams' => $buy,
                'packs' => $packs,
                'pack_grams' => $own['pack_grams'],
                'cost' => $own['price'] === null || $packs === null ? null : $packs * $own['price'],
                'left_grams' => $packs === null
                    ? null
                    : $own['stock_grams'] + $packs * (float) $own['pack_grams'] - $grams,
            ];
        }

        return $list;
    }

    /**
     * What goes into one formula costs, as far as prices are known.
     *
     * @param array<string, array{name: string, pack_grams: float|null, price: float|null, stock_grams: float}> $shelf
     *
     * @return array{cost: float, unpriced: list<string>}
     */
    public static function cost(Formula $formula, array $shelf): array
    {
        [$cost, $unpriced] = [0.0, []];
        foreach ($formula->ingredientLines() as $line) {
            $key = $line->ingredient->key ?? null;
            if ($key === null || in_array($key, self::FREE, true) || ($line->grams->value ?? 0.0) <= 0.0) {
                continue;
            }
            $own = $shelf[$key] ?? null;
            if ($own === null || $own['price'] === null || ($own['pack_grams'] ?? 0.0) <= 0.0) {
                $unpriced[$key] = $line->ingredient->name ?? $key;
            } else {
                $cost += $own['price'] * ($line->grams->value ?? 0.0) / (float) $own['pack_grams'];
            }
        }

        return ['cost' => $cost, 'unpriced' => array_values($unpriced)];
    }
}
