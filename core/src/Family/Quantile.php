<?php

declare(strict_types=1);

namespace Vinculum\Family;

/**
 * Quantiles of a few figures, by linear interpolation between the two nearest (type 7 of Hyndman and Fan 1996, Am. Stat.
 * 50, 361), and the fences beyond which a figure is an odd one (Tukey 1977, "Exploratory Data Analysis").
 */
final class Quantile
{
    private const FENCE = 1.5;

    /** @param non-empty-list<float> $figures */
    public static function of(array $figures, float $share): float
    {
        sort($figures);
        $at = (count($figures) - 1) * $share;
        $below = (int) floor($at);
        $above = min($below + 1, count($figures) - 1);

        return $figures[$below] + ($at - $below) * ($figures[$above] - $figures[$below]);
    }

    /** @param non-empty-list<float> $figures */
    public static function median(array $figures): float
    {
        return self::of($figures, 0.5);
    }

    /** @param non-empty-list<float> $figures */
    public static function interquartileRange(array $figures): float
    {
        return self::of($figures, 0.75) - self::of($figures, 0.25);
    }

    /**
     * From the least to the greatest, but never beyond one and a half interquartile ranges from the quartiles.
     *
     * @param non-empty-list<float> $figures
     *
     * @return array{float, float}
     */
    public static function fenced(array $figures): array
    {
        $reach = self::FENCE * self::interquartileRange($figures);

        return [
            max(min($figures), self::of($figures, 0.25) - $reach),
            min(max($figures), self::of($figures, 0.75) + $reach),
        ];
    }
}
