<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Facts;
use Vinculum\Optimisation\TasteCurve;
use Vinculum\Sensory\Aim;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TasteLoad;

/**
 * Finds what to add: for every support of up to three candidates the best non-negative amounts, snapped to what the
 * cook can measure, evaluated again, and ranked.
 */
final readonly class CorrectionSearch
{
    private const MOST_ANSWERS = 8;
    /** Pairs that a third is tried with. */
    private const PROMISING = 6;
    /** Supports worth snapping: the best by exact value. */
    private const SHORTLIST = 30;
    /** Less than this is not worth looking for a spoon. */
    private const WORTH_MEASURING = 0.05;
    /** A correction must gain at least this many steps to be worth a spoon. */
    private const LEAST_GAIN = 0.125;

    /**
     * @param Mixture $batch as it stands in the pan
     * @param list<string> $batchAllergens
     */
    public static function advise(
        Mixture $batch,
        Target $target,
        CorrectionLimits $limits,
        array $batchAllergens = [],
    ): Advice {
        $load = TasteLoad::of($batch);
        $before = $load->taste();
        $distance = $target->distance($before);
        $limits = $limits->onlyWhatHelps($load, $target);
        $room = Room::in($batch, $limits->candidates, $limits->capacityMillilitres);
        $hindrance = match (true) {
            $load->grams <= 0.0 => 'There is nothing in the pan yet, so there is nothing to correct.',
            $limits->candidates === [] => 'Nothing may be added: name at least one ingredient to correct with.',
            $room->most <= 0.0 => 'The batch already fills the capacity: take some out, or name a larger vessel.',
            $distance < self::LEAST_GAIN => 'In balance for its kind. Nothing needs adding.',
            default => null,
        };
        if ($hindrance !== null) {
            return new Advice($before, Aim::at($target), $distance, [], [$hindrance]);
        }
        $notes = [];
        $objective = Objective::correcting($load, $target);
        $corrections = self::measured(
            self::shortlist($objective, $limits, $room),
            new CorrectionMeasuring(
                $batch,
                $target,
                $objective,
                $limits->spoons(),
                $room,
                $limits->candidates,
                $batchAllergens,
            ),
            $distance,
        );
        if ($corrections === []) {
            $notes[] = 'Nothing that may be added brings it closer in an amount that can be measured: allow other ingredients, or start that part again.';
        } elseif ($corrections[0]->distanceAfter > 1.0) {
            $notes[] = sprintf(
                'No addition within the room there is brings it all the way: %.1f steps remain after the best.',
                $corrections[0]->distanceAfter,
            );
        }

        return new Advice($before, Aim::at($target), $distance, $corrections, $notes);
    }

    /** What a batch costs as it stands, in steps. */
    public static function costOfNothing(Mixture $batch, Target $target): float
    {
        return Objective::correcting(TasteLoad::of($batch), $target)->value([], []);
    }

    /** What the best correction costs before its amounts are measured, in steps; without end where none is any good. */
    public static function leastCost(Mixture $batch, Target $target, CorrectionLimits $limits): float
    {
        $found = self::shortlist(
            Objective::correcting(TasteLoad::of($batch), $target),
            $limits,
            Room::in($batch, $limits->candidates, $limits->capacityMillilitres),
        );

        return min([INF, ...array_map(static fn(array $one): float => $one[2], $found)]);
    }

    /**
     * The best amounts for every support, best first.
     *
     * @return list<array{list<int>, list<float>, float}> which candidates, grams of each, and the cost
     */
    private static function shortlist(Objective $objective, CorrectionLimits $limits, Room $room): array
    {
        $rows = array_map(
            static fn(Candidate $candidate): array => TasteCurve::row($candidate->perGram),
            $limits->candidates,
        );
        $nothing = $objective->value([], []);
        $found = [];
        $singles = [];
        foreach ($rows as $index => $row) {
            $singles[$index] = self::fitOne($objective, $row, $room, $index);
            $found[] = [[$index], ...$singles[$index]];
        }
        $pairs = [];
        if ($limits->most >= 2) {
            foreach (self::supports(count($rows), 2) as [$a, $b]) {
                $starts = [
                    [$singles[$a][0][0], 0.0],
                    [0.0, $singles[$b][0][0]],
                    [$singles[$a][0][0], $singles[$b][0][0]],
                ];
                $pairs[$a][$b] = self::fitFrom($objective, [$rows[$a], $rows[$b]], $starts, $room, [$a, $b]);
                $found[] = [[$a, $b], ...$pairs[$a][$b]];
            }
        }
        if ($limits->most >= 3) {
            $promising = self::promising($pairs);
            foreach (self::supports(count($rows), 3) as [$a, $b, $c]) {
                if (array_intersect_key($promising, ["{$a} {$b}" => 1, "{$a} {$c}" => 1, "{$b} {$c}" => 1]) === []) {
                    continue;
                }
                [$ab, $ac, $bc] = [$pairs[$a][$b][0], $pairs[$a][$c][0], $pairs[$b][$c][0]];
                $starts = [
                    [$ab[0], $ab[1], 0.0],
                    [$ac[0], 0.0, $ac[1]],
                    [0.0, $bc[0], $bc[1]],
                    [$ab[0], $ab[1], $singles[$c][0][0]],
                ];
                $found[] = [
                    [$a, $b, $c],
                    ...self::fitFrom($objective, [$rows[$a], $rows[$b], $rows[$c]], $starts, $room, [$a, $b, $c]),
                ];
            }
        }
        $byCount = [];
        $each = Facts::of(CorrectionCosts::class)->each;
        foreach ($found as [$which, $grams, $value]) {
            if ($value < $nothing - self::WORTH_MEASURING) {
                foreach ($which as $index) {
                    $value += $each + $limits->candidates[$index]->strange;
                }
                $byCount[count($which)][] = [$which, $grams, $value];
            }
        }
        $short = [];
        foreach ($byCount as $ofCount) {
            usort($ofCount, static fn(array $one, array $other): int => $one[2] <=> $other[2]);
            array_push($short, ...array_slice($ofCount, 0, (int) (self::SHORTLIST / 3)));
        }

        return $short;
    }

    /**
     * The pairs that a third is tried with: the best of them.
     *
     * @param array<int, array<int, array{list<float>, float}>> $pairs
     *
     * @return array<string, true> by both numbers
     */
    private static function promising(array $pairs): array
    {
        $values = [];
        foreach ($pairs as $a => $others) {
            foreach ($others as $b => [, $value]) {
                $values["{$a} {$b}"] = $value;
            }
        }
        asort($values);

        return array_fill_keys(array_slice(array_keys($values), 0, self::PROMISING), true);
    }

    /**
     * @param array<int, float> $row
     *
     * @return array{list<float>, float}
     */
    private static function fitOne(Objective $objective, array $row, Room $room, int $index): array
    {
        $most = $room->alone($index);
        $best = [[0.0], $objective->value([$row], [0.0])];
        foreach ([...$objective->edges($row), 0.1 * $most, $most] as $grams) {
            if ($grams <= $most) {
                $value = $objective->value([$row], [$grams]);
                if ($value < $best[1]) {
                    $best = [[$grams], $value];
                }
            }
        }

        return $objective->fit([$row], $best[0], $room, [$index], 16);
    }

    /**
     * @param list<array<int, float>> $rows
     * @param list<list<float>> $starts
     * @param list<int> $which
     *
     * @return array{list<float>, float}
     */
    private static function fitFrom(Objective $objective, array $rows, array $starts, Room $room, array $which): array
    {
        $best = $starts[0];
        $least = INF;
        foreach ($starts as $start) {
            $value = $room->holds($which, $start) ? $objective->value($rows, $start) : INF;
            if ($value < $least) {
                [$best, $least] = [$start, $value];
            }
        }

        return $objective->fit($rows, $best, $room, $which);
    }

    /**
     * Every choice of so many out of so many, in order.
     *
     * @return \Generator<list<int>>
     */
    private static function supports(int $of, int $size): \Generator
    {
        for ($a = 0; $a < $of; ++$a) {
            for ($b = $a + 1; $b < $of; ++$b) {
                if ($size === 2) {
                    yield [$a, $b];
                    continue;
                }
                for ($c = $b + 1; $c < $of; ++$c) {
                    yield [$a, $b, $c];
                }
            }
        }
    }

    /**
     * @param list<array{list<int>, list<float>, float}> $found
     *
     * @return list<Correction>
     */
    private static function measured(array $found, CorrectionMeasuring $measuring, float $distance): array
    {
        $corrections = [];
        foreach ($found as [$which, $grams]) {
            $correction = $measuring->of($which, $grams);
            if ($correction !== null && $correction->distanceAfter <= $distance - self::LEAST_GAIN) {
                $corrections[] = $correction;
            }
        }

        return AnswersThatDiffer::of($corrections, self::MOST_ANSWERS);
    }
}
