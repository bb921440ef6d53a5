<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\FinishedBatch;
use Vinculum\Balance\Formula;
use Vinculum\Optimisation\Bisection;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Writing\AmountWriter;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TasteLoad;

/** Moves one line of a formula by as much as a tongue can just notice in the whole sauce. */
final class JndAdjustment
{
    /** Further than this many times the amount is no nudge. */
    private const FURTHEST = 6.0;

    /**
     * The line as it reads when the axis it moves most has moved by one step (up 1, down −1), to the nearest notch and
     * by at least one; a thing that moves no axis by a whole step goes by a notch.
     *
     * @param int $line from 0
     */
    public static function of(Formula $formula, int $line, int $direction, Measures $measures): string
    {
        $resolved = $formula->lines[$line];
        $notched = AmountWriter::notched($resolved, $direction, $measures);
        $grams = $resolved->grams->value ?? 0.0;
        if ($grams <= 0.0) {
            return $notched;
        }
        $whole = TasteLoad::of(FinishedBatch::of($formula)->mixture);
        $perGram = TasteLoad::of($resolved->mixture()->times(1.0 / $grams));
        $wanted = self::gramsForOneStep($whole, $perGram, $grams, $direction);
        if ($wanted === null) {
            return $notched;
        }
        $stepped = AmountWriter::inGrams($resolved, $wanted, $measures);

        return $stepped === AmountWriter::inGrams($resolved, $grams, $measures) ? $notched : $stepped;
    }

    private static function gramsForOneStep(TasteLoad $whole, TasteLoad $perGram, float $grams, int $direction): ?float
    {
        $before = $whole->taste();
        $axis = self::mainAxis($whole, $perGram, $grams);
        if ($axis === null) {
            return null;
        }
        $moved = static fn(float $amount): float => abs(
            $whole->plus($perGram, $amount - $grams)->taste()->stepsOn($axis) - $before->stepsOn($axis),
        );
        $far = $direction > 0 ? $grams * self::FURTHEST : 0.0;
        if ($moved($far) < 1.0) {
            return null;
        }

        return Bisection::edge(static fn(float $amount): bool => $moved($amount) >= 1.0, $grams, $far);
    }

    /** The axis that a little more of it moves most; null where it moves none. */
    private static function mainAxis(TasteLoad $whole, TasteLoad $perGram, float $grams): ?Axis
    {
        $moves = array_map(abs(...), $whole->taste()->stepsTo($whole->plus($perGram, 0.1 * $grams)->taste()));
        arsort($moves);

        return reset($moves) > 0.0 ? Axis::from((string) key($moves)) : null;
    }
}
