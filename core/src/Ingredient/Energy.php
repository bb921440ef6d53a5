<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;

/** Energy by the factors of Regulation (EU) 1169/2011, Annex XIV; what no table tells apart counts as fibre. */
final class Energy
{
    private const KCAL = [
        'fat' => 9.0,
        'protein' => 4.0,
        'starch' => 4.0,
        'other' => 2.0,
        'fibre' => 2.0,
        'ethanol' => 7.0,
        'sweetener' => 2.4,
    ];
    private const KCAL_OF_SUGARS = 4.0;
    private const KCAL_OF_ACIDS = 3.0;
    private const ACIDS = ['acetic', 'citric', 'malic', 'tartaric', 'lactic', 'gluconic', 'oxalic'];

    /** kcal of a mixture. */
    public static function of(Mixture $mixture): float
    {
        $kcal = self::KCAL_OF_ACIDS * self::acids($mixture);
        foreach ($mixture->amounts() as $component => $grams) {
            $kcal += $grams
                * (self::KCAL[$component]
                    ?? (Component::from($component)->group() === 'sugars' ? self::KCAL_OF_SUGARS : 0.0));
        }

        return $kcal;
    }

    /** Grams of organic acids, without what buffers. */
    public static function acids(Mixture $mixture): float
    {
        $amounts = $mixture->amounts();

        return array_sum(array_map(static fn(string $acid): float => $amounts[$acid] ?? 0.0, self::ACIDS));
    }

    /** Grams of sugars, without sweeteners. */
    public static function sugars(Mixture $mixture): float
    {
        $sugars = 0.0;
        foreach ($mixture->amounts() as $component => $grams) {
            $isSugar = Component::from($component)->group() === 'sugars' && $component !== Component::Sweetener->value;
            $sugars += $isSugar ? $grams : 0.0;
        }

        return $sugars;
    }
}
