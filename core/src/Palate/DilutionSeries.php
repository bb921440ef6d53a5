<?php

declare(strict_types=1);

namespace Vinculum\Palate;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Facts;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Optimisation\Bisection;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/**
 * Glasses to mix from the pantry, each so many steps stronger than the first on one axis, out of one stock and water.
 */
final readonly class DilutionSeries
{
    private const MOST = 20.0;

    /**
     * @param float $stockPercent g of solute in 100 g of stock
     * @param list<array{steps: float, stock_grams: float, water_grams: float, solute_grams: float}> $glasses the first
     *     the weakest
     */
    private function __construct(
        public Ingredient $solute,
        public float $stockPercent,
        public string $how,
        public float $stockGrams,
        public array $glasses,
    ) {}

    public static function on(Axis $axis, Catalogue $catalogue): self
    {
        $row = FactsFile::named('trainer')[$axis->value];
        $whole = Facts::of(TrainerFacts::class)->grams;
        $solute = $catalogue->get($row->text('solute'));
        [$least, $percent] = [$row->number('percent') * $whole / 100.0, $row->number('stock')];
        $glasses = [];
        foreach ([0.0, ...array_reverse(Staircase::LEVELS)] as $steps) {
            $grams = $least * self::factor($axis, $solute, $least, $whole, $steps);
            $stock = 100.0 * $grams / $percent;
            $glasses[] = [
                'steps' => $steps,
                'stock_grams' => $stock,
                'water_grams' => $whole - $stock,
                'solute_grams' => $grams,
            ];
        }

        return new self(
            $solute,
            $percent,
            $row->text('how'),
            array_sum(array_column($glasses, 'stock_grams')),
            $glasses,
        );
    }

    /** How many times as much of it makes so many steps. */
    private static function factor(Axis $axis, Ingredient $solute, float $grams, float $whole, float $steps): float
    {
        $at = static fn(float $factor): float => Taste::ofMixture(
            $solute->grams($grams * $factor)->plus(Mixture::of([Component::Water->value => $whole - $grams * $factor])),
        )->stepsOn($axis);
        [$low, $high, $wanted] = [1.0, self::MOST, $at(1.0) + $steps];

        return Bisection::edge(static fn(float $factor): bool => $at($factor) >= $wanted, $low, $high);
    }
}
