<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Ingredient\Energy;
use Vinculum\Ingredient\Saturates;
use Vinculum\Recipe\Resolution\LineStatus;

/** What 100 g of the finished sauce hold (Regulation (EU) 1169/2011, Annexes XIV and XV), computed from what goes in. */
final readonly class NutritionReport extends Report
{
    private function __construct(
        public float $energyKj,
        public float $energyKcal,
        public float $fat,
        public float $saturates,
        public float $carbohydrate,
        public float $sugars,
        public float $fibre,
        public float $protein,
        public float $salt,
    ) {}

    /** Null where a line is not understood, or there is nothing: what is missing would be told as nothing. */
    public static function of(Balance $balance): ?self
    {
        $mixture = $balance->mixture;
        if ($mixture->grams() <= 0.0) {
            return null;
        }
        $saturates = 0.0;
        foreach ($balance->formula->lines as $line) {
            if ($line->status === LineStatus::Unknown) {
                return null;
            }
            $saturates += $line->ingredient === null
                ? 0.0
                : Saturates::share($line->ingredient) * $line->mixture()->get(Component::Fat);
        }

        return new self(...self::figures($mixture, $saturates));
    }

    /**
     * The nine figures of 100 g, in the order of a declaration.
     *
     * @param float $saturates grams in the mixture
     *
     * @return non-empty-array<string, float>
     */
    public static function figures(Mixture $mixture, float $saturates): array
    {
        $in100g = 100.0 / $mixture->grams();
        $sugars = Energy::sugars($mixture) * $in100g;

        return [
            'energyKj' => Energy::kilojoules($mixture) * $in100g,
            'energyKcal' => Energy::of($mixture) * $in100g,
            'fat' => $mixture->percent(Component::Fat),
            'saturates' => min($saturates * $in100g, $mixture->percent(Component::Fat)),
            'carbohydrate' => $sugars + $mixture->percent(Component::Sweetener) + $mixture->percent(Component::Starch)
                + $mixture->percent(Component::Dextrin),
            'sugars' => $sugars,
            'fibre' => $mixture->percent(Component::Fibre),
            'protein' => $mixture->percent(Component::Protein),
            'salt' => $mixture->percent(Component::Salt),
        ];
    }
}
