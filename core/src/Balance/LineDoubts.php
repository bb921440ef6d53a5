<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Chemistry\AcidityFacts;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\MixtureChange;
use Vinculum\Facts\Facts;
use Vinculum\Facts\FactsFile;
use Vinculum\Recipe\Resolution\ResolvedLine;

/**
 * What is in doubt about one line by itself: its amount, and each group of its composition. Every doubt is one standard
 * deviation as a direction in mixture space.
 */
final class LineDoubts
{
    /** Water in a food is known at least this well, one relative standard deviation. */
    private const WATER_SPREAD = 0.10;

    /**
     * Worked out once a line: a search asks the same lines again for everything it proposes.
     *
     * @var \WeakMap<ResolvedLine, list<array<string, float>>>|null
     */
    private static ?\WeakMap $known = null;

    /**
     * @return list<array<string, float>> by component, the first that of the amount; none where the line weighs nothing
     */
    public static function of(ResolvedLine $line): array
    {
        self::$known ??= new \WeakMap();

        return self::$known[$line] ??= self::worked($line);
    }

    /** @return list<array<string, float>> one standard deviation of each independent doubt about a line */
    private static function worked(ResolvedLine $line): array
    {
        if ($line->ingredient === null || $line->grams === null || $line->grams->value <= 0.0) {
            return [];
        }
        $amounts = array_filter($line->mixture()->amounts());
        $byGroup = [];
        foreach (array_diff_key($amounts, [Component::StrongIonDifference->value => 0]) as $component => $amount) {
            $byGroup[Component::from($component)->group()][$component] = $amount;
        }
        unset($byGroup['water'], $byGroup['other']);
        $directions = [self::scaled($amounts, $line->grams->deviation / $line->grams->value)];
        foreach ($byGroup as $group => $ofGroup) {
            $composition = $line->ingredient->composition;
            $relative = match (true) {
                $group === 'heat' && $composition->heatIsOfPods
                    => log(FactsFile::named('axes')['heat']->number('pod_factor')),
                $group === 'buffer' => Facts::of(AcidityFacts::class)->protein->spread,
                default => $composition->grade($group)->deviation(),
            };
            $directions[] = self::heldTogether(
                self::scaled($ofGroup, $relative),
                $amounts[Component::Water->value] ?? 0.0,
                $line->ingredient->composition->acidity->charges,
            );
        }
        // how acid it is by itself
        $acidity = $line->ingredient->composition->acidity;
        if ($acidity->capacity > 0.0) {
            $directions[] = [
                Component::StrongIonDifference->value => $line->grams->value
                    / 100.0
                    * $acidity->capacity
                    * $acidity->deviation,
            ];
        }

        return $directions;
    }

    /**
     * A hundred grams stay a hundred grams, and as acid as they are: what a figure gains water loses, as far as the
     * water itself is in doubt, and the rest beyond that; and an acid more comes with the cation that keeps the pH.
     *
     * @param array<string, float> $direction
     * @param float $water grams of it in the line
     * @param array<string, float> $charges mEq of a unit of each acid and buffer, at the line's own pH
     *
     * @return array<string, float>
     */
    private static function heldTogether(array $direction, float $water, array $charges): array
    {
        $gained = (new MixtureChange($direction))->grams();
        $charge = 0.0;
        foreach ($direction as $component => $amount) {
            $charge += ($charges[$component] ?? 0.0) * $amount;
        }
        $fromWater = max(-self::WATER_SPREAD * $water, min(self::WATER_SPREAD * $water, $gained));
        $rest = $gained - $fromWater;

        return $direction + array_filter([
            Component::Water->value => -$fromWater,
            Component::Other->value => -$rest,
            Component::StrongIonDifference->value => -$charge,
        ]);
    }

    /**
     * @template Key of array-key
     *
     * @param array<Key, float> $amounts
     *
     * @return array<Key, float>
     */
    private static function scaled(array $amounts, float $factor): array
    {
        return array_map(static fn(float $amount): float => $amount * $factor, $amounts);
    }
}
