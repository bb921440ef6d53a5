<?php

declare(strict_types=1);

namespace Vinculum\Palate;

use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Mixture\Component;
use Vinculum\Mixture\Mixture;
use Vinculum\Taste\Axis;
use Vinculum\Taste\Taste;

/** Glasses to mix from the pantry, each so many steps stronger than the first on one axis. */
final class DilutionSeries
{
    private const MOST = 20.0;
    private const ROUNDS = 60;

    /** @return list<array{steps: float, says: string, parts: list<array{ingredient: string, name: string, grams: float}>}> the base first */
    public static function on(Axis $axis, Catalogue $catalogue): array
    {
        $row = FactsFile::named('trainer')[$axis->value];
        $grams = FactsFile::named('trainer')['all']->number('grams');
        $base = array_map(static fn(float $percent): float => $percent * $grams / 100.0, $row->amounts('base'));
        $glasses = [];
        foreach ([0.0, ...array_reverse(Staircase::LEVELS)] as $steps) {
            $parts = $base;
            $parts[$row->text('adds')] *= self::factor($axis, $base, $row->text('adds'), $grams, $steps, $catalogue);
            $listed = [];
            foreach ($parts as $key => $amount) {
                $listed[] = ['ingredient' => $key, 'name' => $catalogue->get($key)->name, 'grams' => $amount];
            }
            $listed[] = ['ingredient' => 'water', 'name' => $catalogue->get('water')->name, 'grams' => $grams - array_sum($parts)];
            $glasses[] = ['steps' => $steps, 'says' => $row->text('says'), 'parts' => $listed];
        }

        return $glasses;
    }

    /**
     * How many times as much of it makes so many steps.
     *
     * @param array<string, float> $base
     */
    private static function factor(Axis $axis, array $base, string $adds, float $grams, float $steps, Catalogue $catalogue): float
    {
        $at = static function (float $factor) use ($axis, $base, $adds, $grams, $catalogue): float {
            $mixture = Mixture::nothing();
            foreach ([...$base, $adds => $base[$adds] * $factor] as $key => $amount) {
                $mixture = $mixture->plus($catalogue->get($key)->grams($amount));
            }

            return Taste::ofMixture($mixture->with(Component::Water, $mixture->get(Component::Water) + $grams - $mixture->grams()))->stepsOn($axis);
        };
        [$low, $high, $wanted] = [1.0, self::MOST, $at(1.0) + $steps];
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            $middle = ($low + $high) / 2.0;
            [$low, $high] = $at($middle) < $wanted ? [$middle, $high] : [$low, $middle];
        }

        return $low;
    }
}
