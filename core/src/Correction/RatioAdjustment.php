<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Formula;
use Vinculum\Optimisation\Bisection;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Writing\AmountWriter;
use Vinculum\Sensory\TasteLoad;

/**
 * Sets a formula's sweet over sour: what sweetens goes up as what sharpens goes down, each by the same factor, so that
 * the sauce becomes sweeter or sharper and not merely more of both.
 */
final class RatioAdjustment
{
    /** What brings less than this share of its side is left alone: it is there for something else. */
    private const LEAST_SHARE = 0.1;
    /** Of one side, this many times its share of the other: a fruit is of both, and stays. */
    private const ONE_SIDED = 2.0;
    /** What carries the sauce is no seasoning, from this share of its weight on. */
    private const CARRIES = 0.25;
    /** A notch of the ratio: about a step more of one side and as much less of the other (axes.ini). */
    private const NOTCH = 1.25;
    /** No line goes further than by this factor. */
    private const FURTHEST = 6.0;

    /**
     * @param float $ratio g sucrose equivalent over g acetic acid equivalent
     *
     * @return array<int, string> what lines then read, by line from 0
     *
     * @throws \InvalidArgumentException when no line can move it so far
     */
    public static function to(Formula $formula, float $ratio, Measures $measures): array
    {
        $loads = array_map(
            static fn(ResolvedLine $line): TasteLoad => TasteLoad::of($line->mixture()),
            $formula->lines,
        );
        $sweet = array_sum(array_map(static fn(TasteLoad $load): float => max(0.0, $load->sweet), $loads));
        $sour = array_sum(array_map(static fn(TasteLoad $load): float => max(0.0, $load->sour), $loads));
        if ($sweet <= 0.0 || $sour <= 0.0) {
            throw new \InvalidArgumentException('There is no ratio to set while the sauce is not both sweet and sour.');
        }
        $sides = [];
        $grams = max(1e-9, array_sum(array_map(static fn(TasteLoad $load): float => $load->grams, $loads)));
        foreach ($formula->lines as $number => $line) {
            $carries = $loads[$number]->grams >= self::CARRIES * $grams
                && in_array('base', $line->ingredient->roles ?? [], true);
            $sides[$number] = $carries
                ? 0
                : self::side($line, $loads[$number]->sweet / $sweet, $loads[$number]->sour / $sour);
        }
        $after = static function (float $turn) use ($loads, $sides): float {
            $sums = [0.0, 0.0];
            foreach ($loads as $number => $load) {
                $factor = exp($sides[$number] * $turn);
                $sums[0] += $factor * $load->sweet;
                $sums[1] += $factor * $load->sour;
            }

            return $sums[0] / max(1e-9, $sums[1]);
        };
        $far = log(self::FURTHEST) * ($ratio > $sweet / $sour ? 1.0 : -1.0);
        $reaches = static fn(float $turn): bool => $far > 0.0 ? $after($turn) >= $ratio : $after($turn) <= $ratio;
        if (array_filter($sides) === [] || !$reaches($far)) {
            throw new \InvalidArgumentException(
                'No line that is free brings it so far: unlock what sweetens or sharpens it, or add some.',
            );
        }
        $turn = Bisection::edge($reaches, 0.0, $far);
        $edits = [];
        foreach (array_filter($sides) as $number => $side) {
            $line = $formula->lines[$number];
            $grams = $line->grams->value ?? 0.0;
            $text = AmountWriter::inGrams($line, $grams * exp($side * $turn), $measures);
            if ($text !== $line->written->text) {
                $edits[$number] = $text;
            }
        }

        return $edits;
    }

    /**
     * A notch sweeter or sharper than it stands.
     *
     * @param int $direction 1 for sweeter, −1 for sharper
     *
     * @return array<int, string> as to()
     *
     * @throws \InvalidArgumentException when no line can move it
     */
    public static function notched(Formula $formula, int $direction, Measures $measures): array
    {
        $load = TasteLoad::of($formula->mixed());

        return self::to($formula, $load->sweet / max(1e-9, $load->sour) * self::NOTCH ** $direction, $measures);
    }

    /** 1 for what sweetens, −1 for what sharpens, 0 for what stays. */
    private static function side(ResolvedLine $line, float $sweet, float $sour): int
    {
        return match (true) {
            !$line->countsInTheMixture() || in_array('lock', $line->written->tags, true) => 0,
            $sweet >= self::LEAST_SHARE && $sweet > self::ONE_SIDED * $sour => 1,
            $sour >= self::LEAST_SHARE && $sour > self::ONE_SIDED * $sweet => -1,
            default => 0,
        };
    }
}
