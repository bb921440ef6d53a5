<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;

/** Energy by the factors of Regulation (EU) 1169/2011, Annex XIV; what no table tells apart counts as fibre. */
final class Energy
{
    /** kcal and kJ of a gram, by component. */
    private const FACTORS = [
        'fat' => [9.0, 37.0],
        'protein' => [4.0, 17.0],
        'starch' => [4.0, 17.0],
        'dextrin' => [4.0, 17.0],
        'other' => [2.0, 8.0],
        'fibre' => [2.0, 8.0],
        'ethanol' => [7.0, 29.0],
        'sweetener' => [2.4, 10.0],
    ];
    private const OF_SUGARS = [4.0, 17.0];
    private const OF_ACIDS = [3.0, 13.0];

    /** kcal of a mixture. */
    public static function of(Mixture $mixture): float
    {
        return self::sum($mixture, 0);
    }

    /** kJ of a mixture. */
    public static function kilojoules(Mixture $mixture): float
    {
        return self::sum($mixture, 1);
    }

    /** Grams of organic acids, without what buffers. */
    public static function acids(Mixture $mixture): float
    {
        $amounts = $mixture->amounts();

        return array_sum(array_map(static fn(string $acid): float => $amounts[$acid] ?? 0.0, Component::acids()));
    }

    /** Grams of sugars, without sweeteners. */
    public static function sugars(Mixture $mixture): float
    {
        $amounts = $mixture->amounts();
        $sugars = 0.0;
        foreach (Component::sugars() as $sugar) {
            $sugars += $amounts[$sugar] ?? 0.0;
        }

        return $sugars;
    }

    /** @param 0|1 $unit kcal or kJ */
    private static function sum(Mixture $mixture, int $unit): float
    {
        $energy = self::OF_ACIDS[$unit] * self::acids($mixture) + self::OF_SUGARS[$unit] * self::sugars($mixture);
        foreach ($mixture->amounts() as $component => $grams) {
            $energy += $grams * (self::FACTORS[$component][$unit] ?? 0.0);
        }

        return $energy;
    }
}
