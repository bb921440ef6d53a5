<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Volume;
use Vinculum\Optimisation\TasteCurve;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TasteLoad;

/**
 * Finds what to add: for every support of up to three candidates the best non-negative amounts, snapped to what the
 * cook can measure, evaluated again, and ranked.
 */
final readonly class CorrectionSearch
{
    private const MOST_ANSWERS = 8;
    /** Supports worth snapping: the best by exact value. */
    private const SHORTLIST = 60;
    /** A correction must gain at least this many steps to be worth a spoon. */
    private const LEAST_GAIN = 0.125;

    /**
     * @param Mixture      $batch           as it stands in the pan
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
        $notes = [];
        if ($load->grams <= 0.0) {
            return new Advice(
                $before,
                $target,
                $distance,
                [],
                ['There is nothing in the pan yet, so there is nothing to correct.'],
            );
        }
        if ($limits->candidates === []) {
            return new Advice(
                $before,
                $target,
                $distance,
                [],
                ['Nothing may be added: name at least one ingredient to correct with.'],
            );
        }
        $most = self::mostGrams($batch, $limits);
        if ($most <= 0.0) {
            return new Advice(
                $before,
                $target,
                $distance,
                [],
                ['The batch already fills the capacity: take some out, or name a larger vessel.'],
            );
        }
        if ($distance < self::LEAST_GAIN) {
            return new Advice(
                $before,
                $target,
                $distance,
                [],
                ['It stands inside every window: nothing needs adding.'],
            );
        }
        $objective = new Objective($load, $target);
        $found = self::shortlist($objective, $limits, $most);
        $corrections = self::measured(
            $found,
            $limits,
            new CorrectionMeasuring($batch, $target, Spoons::of($limits->measures), $most, $batchAllergens),
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

        return new Advice($before, $target, $distance, $corrections, $notes);
    }

    /** Grams that may be added: to the capacity, else 40 % of the batch. */
    private static function mostGrams(Mixture $batch, CorrectionLimits $limits): float
    {
        if ($limits->capacityMillilitres === null) {
            return CorrectionLimits::USUAL_SHARE * $batch->grams();
        }
        // room filled with water, the lightest thing usually added but oil and spirits; the snapped result is held to
        // the volume itself
        return max(0.0, $limits->capacityMillilitres - Volume::millilitres($batch)) * 1.6;
    }

    /**
     * The best amounts for every support, best first.
     *
     * @return list<array{list<Candidate>, list<float>, float}> candidates, grams, value
     */
    private static function shortlist(Objective $objective, CorrectionLimits $limits, float $most): array
    {
        $rows = array_map(
            static fn(Candidate $candidate): array => TasteCurve::row($candidate->perGram),
            $limits->candidates,
        );
        $nothing = $objective->value([], []);
        $found = [];
        $singles = [];
        foreach ($rows as $index => $row) {
            $singles[$index] = self::fitOne($objective, $row, $most);
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
                $pairs[$a][$b] = self::fitFrom($objective, [$rows[$a], $rows[$b]], $starts, $most);
                $found[] = [[$a, $b], ...$pairs[$a][$b]];
            }
        }
        if ($limits->most >= 3) {
            foreach (self::supports(count($rows), 3) as [$a, $b, $c]) {
                [$ab, $ac, $bc] = [$pairs[$a][$b][0], $pairs[$a][$c][0], $pairs[$b][$c][0]];
                $starts = [
                    [$ab[0], $ab[1], 0.0],
                    [$ac[0], 0.0, $ac[1]],
                    [0.0, $bc[0], $bc[1]],
                    [$ab[0], $ab[1], $singles[$c][0][0]],
                ];
                $found[] = [
                    [$a, $b, $c],
                    ...self::fitFrom($objective, [$rows[$a], $rows[$b], $rows[$c]], $starts, $most),
                ];
            }
        }
        $found = array_filter($found, static fn(array $one): bool => $one[2] < $nothing - 0.05);
        usort($found, static fn(array $one, array $other): int => $one[2] <=> $other[2]);
        $byCount = [];
        foreach ($found as $one) {
            $byCount[count($one[0])][] = $one;
        }
        $short = [];
        foreach ($byCount as $ofCount) {
            array_push($short, ...array_slice($ofCount, 0, (int) (self::SHORTLIST / 3)));
        }

        return array_map(
            static fn(array $one): array => [
                array_map(static fn(int $index): Candidate => $limits->candidates[$index], $one[0]),
                $one[1],
                $one[2],
            ],
            $short,
        );
    }

    /**
     * @param array<int, float> $row
     *
     * @return array{list<float>, float}
     */
    private static function fitOne(Objective $objective, array $row, float $most): array
    {
        $best = [[0.0], $objective->value([$row], [0.0])];
        foreach ([...$objective->edges($row), 0.1 * $most, $most] as $grams) {
            if ($grams <= $most) {
                $value = $objective->value([$row], [$grams]);
                if ($value < $best[1]) {
                    $best = [[$grams], $value];
                }
            }
        }

        return $objective->fit([$row], $best[0], $most, 16);
    }

    /**
     * @param list<array<int, float>> $rows
     * @param list<list<float>>                                            $starts
     *
     * @return array{list<float>, float}
     */
    private static function fitFrom(Objective $objective, array $rows, array $starts, float $most): array
    {
        $best = null;
        $least = INF;
        foreach ($starts as $start) {
            $sum = array_sum($start);
            if ($sum > $most) {
                $start = array_map(static fn(float $grams): float => $grams * $most / $sum, $start);
            }
            $value = $objective->value($rows, $start);
            if ($value < $least || $best === null) {
                [$best, $least] = [$start, $value];
            }
        }

        return $objective->fit($rows, $best ?? [], $most);
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
     * @param list<array{list<Candidate>, list<float>, float}> $found
     *
     * @return list<Correction>
     */
    private static function measured(
        array $found,
        CorrectionLimits $limits,
        CorrectionMeasuring $measuring,
        float $distance,
    ): array {
        $corrections = [];
        foreach ($found as [$candidates, $grams]) {
            $correction = $measuring->of($candidates, $grams);
            if ($correction === null) {
                continue;
            }
            $isTooFull = $limits->capacityMillilitres !== null
                && Volume::millilitres($correction->mixture) > $limits->capacityMillilitres;
            if ($correction->distanceAfter > $distance - self::LEAST_GAIN || $isTooFull) {
                continue;
            }
            $corrections[] = $correction;
        }
        usort(
            $corrections,
            static fn(Correction $one, Correction $other): int => [
                round(4.0 * $one->distanceAfter),
                count($one->additions),
                $one->addedGrams,
            ] <=> [
                round(4.0 * $other->distanceAfter),
                count($other->additions),
                $other->addedGrams,
            ],
        );

        return self::withoutIdleAdditions($corrections);
    }

    /**
     * Drops a correction that only adds something idle to a better one.
     *
     * @param list<Correction> $ranked
     *
     * @return list<Correction>
     */
    private static function withoutIdleAdditions(array $ranked): array
    {
        $kept = [];
        $sets = [];
        foreach ($ranked as $correction) {
            $keys = array_map(
                static fn(Addition $addition): string => $addition->ingredient->key,
                $correction->additions,
            );
            foreach ($sets as $better) {
                if (array_diff($better, $keys) === []) {
                    continue 2;
                }
            }
            $kept[] = $correction;
            $sets[] = $keys;
            if (count($kept) === self::MOST_ANSWERS) {
                break;
            }
        }

        return $kept;
    }
}
