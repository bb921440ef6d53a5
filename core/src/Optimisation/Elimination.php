<?php

declare(strict_types=1);

namespace Vinculum\Optimisation;

/** Small systems of linear equations, as a least-squares search meets them at every step. */
final class Elimination
{
    /**
     * Gaussian elimination of a positive definite matrix with two right-hand sides.
     *
     * @param list<list<float>> $matrix each row with both right-hand sides at its end
     *
     * @return array{list<float>, list<float>}
     */
    public static function solve(array $matrix): array
    {
        $size = count($matrix);
        for ($pivot = 0; $pivot < $size; ++$pivot) {
            for ($below = $pivot + 1; $below < $size; ++$below) {
                $factor = $matrix[$below][$pivot] / $matrix[$pivot][$pivot];
                for ($column = $pivot; $column < $size + 2; ++$column) {
                    $matrix[$below][$column] -= $factor * $matrix[$pivot][$column];
                }
            }
        }
        $first = array_fill(0, $size, 0.0);
        $second = $first;
        for ($pivot = $size - 1; $pivot >= 0; --$pivot) {
            [$one, $other] = [$matrix[$pivot][$size], $matrix[$pivot][$size + 1]];
            for ($column = $pivot + 1; $column < $size; ++$column) {
                $one -= $matrix[$pivot][$column] * $first[$column];
                $other -= $matrix[$pivot][$column] * $second[$column];
            }
            $first[$pivot] = $one / $matrix[$pivot][$pivot];
            $second[$pivot] = $other / $matrix[$pivot][$pivot];
        }

        return [array_values($first), array_values($second)];
    }
}
