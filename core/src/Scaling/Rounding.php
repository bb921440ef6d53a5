<?php

declare(strict_types=1);

namespace Vinculum\Scaling;

use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;
use Vinculum\Sensory\TasteLoad;

/**
 * Chooses, for every line, the measurable amount just below or just above, so that together they change the balance
 * least: from plain rounding, one line after another is turned the other way for as long as that helps.
 */
final class Rounding
{
    private const PASSES = 6;
    /** A relative change of a line counts a little, so that none is turned far from what was asked for what nobody tastes. */
    private const BULK = 0.5;

    /** With more lines than this each is rounded by itself: trying all against all would take seconds. */
    private const MOST_LINES = 200;

    /**
     * @param TasteLoad $fixed what is not rounded, and the water that leaves, as a load
     * @param list<TasteLoad> $perGram of each line
     * @param list<float> $exact grams
     * @param list<array{float, float}> $choices the amounts below and above, equal where there is no choice
     * @param Target|null $target where a style says how far it may stand
     *
     * @return list<float> grams
     */
    public static function choose(
        TasteLoad $fixed,
        array $perGram,
        array $exact,
        array $choices,
        ?Target $target,
    ): array {
        $wanted = self::load($fixed, $perGram, $exact)->taste();
        $plain = array_map(
            static fn(float $grams, array $pair): float => $pair[0] > 0.0 && $grams - $pair[0] <= $pair[1] - $grams
                ? $pair[0]
                : $pair[1],
            $exact,
            $choices,
        );
        $chosen = $plain;
        $least = self::cost($fixed, $perGram, $chosen, $exact, $wanted);
        for ($pass = 0; $pass < self::PASSES && count($choices) <= self::MOST_LINES; ++$pass) {
            $isBetter = false;
            foreach ($choices as $index => [$below, $above]) {
                $other = $chosen[$index] === $below ? $above : $below;
                if ($other <= 0.0 || $other === $chosen[$index]) {
                    continue;
                }
                $trial = $chosen;
                $trial[$index] = $other;
                $trial = array_values($trial);
                $cost = self::cost($fixed, $perGram, $trial, $exact, $wanted);
                if ($cost < $least - 1e-12) {
                    [$chosen, $least, $isBetter] = [$trial, $cost, true];
                }
            }
            if (!$isBetter) {
                break;
            }
        }
        $isFarther = static fn(Target $to): bool => $to->distance(
            self::load($fixed, $perGram, $chosen)->taste(),
        ) > $to->distance(self::load($fixed, $perGram, $plain)->taste()) + 1e-12;
        $isWorse = $wanted->stepsApart(
            self::load($fixed, $perGram, $chosen)->taste(),
        ) > $wanted->stepsApart(self::load($fixed, $perGram, $plain)->taste()) + 1e-12;

        return $isWorse || ($target !== null && $isFarther($target)) ? $plain : $chosen;
    }

    /**
     * How far each rounding by itself moves the whole, in steps.
     *
     * @param TasteLoad $fixed what is not rounded, as a load
     * @param list<TasteLoad> $perGram of each line
     * @param list<float> $exact grams
     * @param list<float> $chosen grams
     *
     * @return list<float>
     */
    public static function steps(TasteLoad $fixed, array $perGram, array $exact, array $chosen): array
    {
        $whole = self::load($fixed, $perGram, $exact);
        $taste = $whole->taste();

        return array_map(
            static fn(TasteLoad $load, float $asked, float $given): float => $taste->stepsApart(
                $whole->plus($load, $given - $asked)->taste(),
            ),
            $perGram,
            $exact,
            $chosen,
        );
    }

    /**
     * @param list<TasteLoad> $perGram
     * @param list<float> $grams
     * @param list<float> $exact
     */
    private static function cost(TasteLoad $fixed, array $perGram, array $grams, array $exact, Taste $wanted): float
    {
        $off = 0.0;
        foreach ($grams as $index => $one) {
            $off += $exact[$index] > 0.0 ? ($one / $exact[$index] - 1.0) ** 2 : 0.0;
        }

        return $wanted->stepsApart(
            self::load($fixed, $perGram, $grams)->taste(),
        ) + self::BULK * $off;
    }

    /**
     * @param list<TasteLoad> $perGram
     * @param list<float> $grams
     */
    private static function load(TasteLoad $fixed, array $perGram, array $grams): TasteLoad
    {
        $sum = $fixed;
        foreach ($perGram as $index => $load) {
            $sum = $sum->plus($load, $grams[$index]);
        }

        return $sum;
    }
}
