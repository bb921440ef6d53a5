<?php

declare(strict_types=1);

namespace Vinculum\Style;

use Vinculum\Balance\Balance;
use Vinculum\Facts\Words;

/**
 * Which family a sauce looks like: what its title says, whether it holds what its family is built on, and how far its
 * balance stands from the family's windows. Each adds to the logarithm of a likelihood; all of them come to one.
 */
final readonly class FamilyGuess
{
    /** A word of the title is worth so much, and so much more for each further word of a phrase. */
    private const TITLE = 4.0;
    private const LONGER = 1.5;
    /** What carries the family is there. */
    private const BASE = 1.0;
    /** One step away from the windows is worth so much, and no more than so many count. */
    private const STEP = 0.45;
    private const MOST_STEPS = 12.0;
    private const LEAST = 0.02;
    private const SURE = 0.7;
    private const MOST = 5;

    private function __construct(public string $style, public float $likelihood) {}

    /** @return list<self> the likeliest first; empty where nothing in it counts */
    public static function for(Balance $balance, ?string $title): array
    {
        if ($balance->mixture->grams() <= 0.0) {
            return [];
        }
        $keys = array_map(static fn($line): string => $line->ingredient->key ?? '', $balance->formula->lines);
        $scores = [];
        foreach (StyleBook::all() as $style) {
            $scores[$style->key] = self::ofTitle($style, $title ?? '')
                + (in_array($style->base, $keys, true) ? self::BASE : 0.0)
                - self::STEP * min(self::MOST_STEPS, $style->target->distance($balance->taste));
        }
        arsort($scores);
        $top = max(-INF, ...array_values($scores));
        $weights = array_map(static fn(float $score): float => exp($score - $top), $scores);
        $sum = array_sum($weights);
        $found = [];
        foreach ($weights as $style => $weight) {
            if ($weight / $sum >= self::LEAST && count($found) < self::MOST) {
                $found[] = new self($style, $weight / $sum);
            }
        }

        return $found;
    }

    /** The family that a sauce with a name surely belongs to; null where another comes near, or it has no name. */
    public static function sure(Balance $balance, string $title): ?string
    {
        $best = self::for($balance, $title)[0] ?? null;
        if ($best === null || $best->likelihood < self::SURE) {
            return null;
        }

        return self::ofTitle(StyleBook::get($best->style), $title) > 0.0 ? $best->style : null;
    }

    private static function ofTitle(StyleFamily $style, string $title): float
    {
        $best = 0.0;
        foreach ($style->titled as $words) {
            if (Words::areIn($title, [$words])) {
                // the last word of a title names the thing: a chutney of ketchup is a chutney
                $isLast = preg_match('/' . Words::pattern([$words]) . '\W*$/iu', $title) === 1;
                $best = max($best, self::TITLE + self::LONGER * (substr_count($words, ' ') + ($isLast ? 1 : 0)));
            }
        }

        return $best;
    }
}
