<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Facts\Facts;
use Vinculum\Optimisation\Bisection;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TasteLoad;

/** What one noticeable step on its main axis costs of an ingredient, in a given batch. */
final readonly class StepCost
{
    /** Beyond this many times the batch it is no lever. */
    private const MOST_OF_BATCH = 1.0;

    /** @param array<string, float> $also steps on the other axes, by axis */
    private function __construct(public Axis $axis, public float $grams, public array $also = []) {}

    /** The axis that a gram of it moves most, and the grams that raise it by one step; null where it raises none. */
    public static function in(TasteLoad $batch, Candidate $candidate): ?self
    {
        $best = null;
        foreach (Axis::cases() as $axis) {
            $grams = self::gramsForOneStep($axis, $batch, $candidate->perGram);
            if (
                $grams !== null
                && $grams <= self::MOST_OF_BATCH * $batch->grams
                && ($best === null || $grams < $best->grams)
            ) {
                $best = new self($axis, $grams);
            }
        }

        if ($best === null) {
            return null;
        }
        $moved = $batch->taste()->stepsTo($batch->plus($candidate->perGram, $best->grams)->taste());
        unset($moved[$best->axis->value]);

        return new self($best->axis, $best->grams, $moved);
    }

    /** A litre about the middle of the styles, on which the pantry says what things are worth. */
    public static function referenceLitre(): TasteLoad
    {
        $litre = Facts::of(ReferenceLitre::class);
        $grams = $litre->grams;
        $hundreds = $grams / 100.0;

        return TasteLoad::ofSums(
            $litre->sweet * $hundreds,
            $litre->sour * $hundreds,
            $litre->salt * $hundreds,
            $litre->umami * $hundreds,
            0.0,
            $litre->heat * $grams,
            $grams,
        );
    }

    /** An axis rises steadily with the amount of what is stronger in it than the batch. */
    private static function gramsForOneStep(Axis $axis, TasteLoad $batch, TasteLoad $perGram): ?float
    {
        $start = $batch->taste()->stepsOn($axis);
        $rise = static fn(float $grams): float => $batch->plus($perGram, $grams)->taste()->stepsOn($axis) - $start;
        [$low, $high] = [0.0, self::MOST_OF_BATCH * $batch->grams];
        if ($rise($high) < 1.0) {
            return null;
        }

        return Bisection::edge(static fn(float $grams): bool => $rise($grams) >= 1.0, $low, $high);
    }
}
