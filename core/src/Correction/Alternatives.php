<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Facts\FactsFile;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TasteLoad;

/** What else can be done about a batch that stands too high: nothing can be taken out of a pot. */
final class Alternatives
{
    /** Another way must be this much better than the best addition to be offered, in steps. */
    private const BETTER_BY = 0.25;
    /** An addition that leaves less than this is good enough. */
    private const GOOD_ENOUGH = 1.0;
    /** A second batch larger than this many times the first is a new sauce. */
    private const LARGEST_BLEND = 2.0;

    /** @return list<Alternative> */
    public static function for(Balance $balance, Target $target, Advice $advice): array
    {
        $best = $advice->corrections[0]->distanceAfter ?? $advice->distanceBefore;
        $axis = self::tooMuchOf($balance, $target);
        if ($axis === null || $best < self::GOOD_ENOUGH) {
            return [];
        }
        $blend = self::blend($balance, $target, $axis, $best);
        if ($blend !== null) {
            return [$blend];
        }
        if ($advice->corrections !== []) {
            return [];
        }
        $says = FactsFile::named('masking')[$axis->value]->text('says');

        return [new Alternative('mask', $says, null, null)];
    }

    /** The axis that stands furthest above its window. */
    private static function tooMuchOf(Balance $balance, Target $target): ?Axis
    {
        [$furthest, $most] = [null, 0.5];
        foreach (Axis::cases() as $axis) {
            $off = $target->window($axis)?->off($axis, $balance->taste->on($axis)) ?? 0.0;
            if ($off > $most) {
                [$furthest, $most] = [$axis, $off];
            }
        }

        return $furthest;
    }

    /** A second batch made without the line that brings most of what is too much, mixed in by mass balance. */
    private static function blend(Balance $balance, Target $target, Axis $axis, float $best): ?Alternative
    {
        $number = self::mainSource($balance->formula, $axis);
        if ($number === null) {
            return null;
        }
        $lines = $balance->formula->lines;
        $left = $lines[$number];
        unset($lines[$number]);
        $plain = TasteLoad::of(Formula::of(array_values($lines))->mixed());
        $batch = $balance->load();
        if ($plain->grams <= 0.0) {
            return null;
        }
        $distances = [];
        for ($part = 1; $part <= 40; ++$part) {
            $trial = self::LARGEST_BLEND * 1.5 * $batch->grams * $part / 40.0;
            $distances[(string) $trial] = $target->distance($batch->plus($plain, $trial / $plain->grams)->taste());
        }
        [$grams, $least] = [0.0, INF];
        foreach ($distances as $trial => $distance) {
            // the smallest that is about as good as any
            if ($distance <= min($distances) + self::BETTER_BY) {
                [$grams, $least] = [(float) $trial, $distance];
                break;
            }
        }
        if ($least > $best - self::BETTER_BY) {
            return null;
        }
        $name = mb_strtolower($left->ingredient->name ?? $left->text());
        if ($grams > self::LARGEST_BLEND * $batch->grams) {
            return new Alternative(
                'start-again',
                "So much {$name} went in that it is less work to start that part again, with less of it.",
                null,
                $least,
            );
        }

        return new Alternative(
            'blend',
            sprintf(
                'Make a second batch without the %s, and stir %s of it into all of this: %.1f steps off then.',
                $name,
                KitchenNumber::grams(round($grams, -1)),
                $least,
            ),
            $grams,
            $least,
        );
    }

    /** The line that brings most of an axis. */
    public static function mainSource(Formula $formula, Axis $axis): ?int
    {
        [$main, $most] = [null, 0.0];
        foreach ($formula->lines as $number => $line) {
            if (!$line->countsInTheMixture()) {
                continue;
            }
            $load = TasteLoad::of($line->mixture());
            $brings = $load->on($axis);
            if ($brings > $most) {
                [$main, $most] = [$number, $brings];
            }
        }

        return $main;
    }
}
