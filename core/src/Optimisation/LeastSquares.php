<?php

declare(strict_types=1);

namespace Vinculum\Optimisation;

/**
 * The amounts of which the root of the sum of squared residuals, plus a price for every unit, is least: damped
 * Gauss–Newton steps (Levenberg 1944), projected to what is allowed. Residuals may stand in groups, each of which counts
 * by its own root and weight; then each step weighs a group by its root as it stands (iteratively reweighted).
 */
final readonly class LeastSquares
{
    private const DAMPING = 1e-3;
    private const MOST_DAMPING = 1e3;
    private const EASED = 0.3;
    private const TIGHTENED = 20.0;
    /** Less than this is no gain; less than the next is the last. */
    private const NO_GAIN = 1e-7;
    private const LAST_GAIN = 1e-4;

    /** A group's root counts as no less than this in its weight, where it stands at nothing. */
    private const LEAST_ROOT = 0.02;

    /**
     * @param int $rounds steps at most
     * @param float $price of a unit of each amount
     * @param float $most room that all amounts may take
     * @param list<float>|null $least of each amount; nothing where null
     * @param list<float>|null $greatest of each amount; no bound where null
     * @param list<float>|null $room that a unit of each amount takes; 1 where null
     * @param non-empty-list<float> $weights of the groups of residuals
     */
    public function __construct(
        private int $rounds,
        private float $price = 0.0,
        private float $most = INF,
        private ?array $least = null,
        private ?array $greatest = null,
        private ?array $room = null,
        private array $weights = [1.0],
    ) {}

    /**
     * @param callable(list<float>): list<array{0: float, 1: list<float>, 2?: int}> $residuals each with its slopes by
     *     amount, none where it stands still at nothing, and its group
     * @param list<float> $start
     *
     * @return array{list<float>, float} amounts, and their merit: weighted roots and price
     */
    public function fit(callable $residuals, array $start): array
    {
        $amounts = $this->within($start);
        $now = $residuals($amounts);
        $roots = $this->roots($now);
        $merit = $this->merit($roots, $amounts);
        $damping = self::DAMPING;
        for ($round = 0; $round < $this->rounds && ($roots[0] > 1e-9 || count($roots) > 1); ++$round) {
            $trial = $this->within($this->step($now, $roots, $amounts, $damping));
            $then = $residuals($trial);
            $triedRoots = $this->roots($then);
            $tried = $this->merit($triedRoots, $trial);
            if ($tried < $merit - self::NO_GAIN) {
                $isLast = $merit - $tried < self::LAST_GAIN;
                [$amounts, $now, $roots, $merit] = [$trial, $then, $triedRoots, $tried];
                $damping *= self::EASED;
                if ($isLast) {
                    break;
                }
            } elseif ($damping > self::MOST_DAMPING) {
                break;
            } else {
                $damping *= self::TIGHTENED;
            }
        }

        return [$amounts, $merit];
    }

    /**
     * @param list<array{0: float, 1: list<float>, 2?: int}> $residuals
     *
     * @return non-empty-list<float> by group
     */
    private function roots(array $residuals): array
    {
        $sums = array_map(static fn(): float => 0.0, $this->weights);
        foreach ($residuals as $residual) {
            $sums[$residual[2] ?? 0] += $residual[0] * $residual[0];
        }

        return array_values(array_map(sqrt(...), $sums));
    }

    /**
     * @param list<float> $roots
     * @param list<float> $amounts
     */
    private function merit(array $roots, array $amounts): float
    {
        $merit = $this->price * array_sum($amounts);
        foreach ($roots as $group => $root) {
            $merit += $this->weights[$group] * $root;
        }

        return $merit;
    }

    /**
     * Solves (N + λ·diag N)·d = −g over the amounts that are free to move, and steps; where the room is full and the
     * step would overfill it, the step that keeps it just full instead.
     *
     * @param list<array{0: float, 1: list<float>, 2?: int}> $residuals
     * @param list<float> $roots
     * @param list<float> $amounts
     *
     * @return list<float>
     */
    private function step(array $residuals, array $roots, array $amounts, float $damping): array
    {
        $count = count($amounts);
        $gradient = $zeros = array_fill(0, $count, 0.0);
        $normal = array_fill(0, $count, $zeros);
        $counts = [];
        foreach ($roots as $group => $root) {
            $counts[] = $this->weights[$group] / max($root, count($roots) > 1 ? self::LEAST_ROOT : 1e-9);
        }
        foreach ($residuals as $one) {
            [$residual, $slopes] = $one;
            $counting = $counts[$one[2] ?? 0];
            foreach ($slopes as $i => $slope) {
                $weighted = $counting * $slope;
                $gradient[$i] += $residual * $weighted;
                for ($j = 0; $j <= $i; ++$j) {
                    $normal[$i][$j] += $weighted * $slopes[$j];
                }
            }
        }
        $free = [];
        foreach ($gradient as $index => $slope) {
            $gradient[$index] = $slope += $this->price;
            $canMove = $slope < 0.0
                ? $amounts[$index] < ($this->greatest[$index] ?? INF)
                : $amounts[$index] > ($this->least[$index] ?? 0.0);
            if ($normal[$index][$index] > 0.0 && $canMove) {
                $free[] = $index;
            }
        }
        $matrix = [];
        foreach ($free as $i => $a) {
            $row = [];
            foreach ($free as $b) {
                $row[] = $a >= $b ? $normal[$a][$b] : $normal[$b][$a];
            }
            $row[$i] += $damping * $normal[$a][$a] + 1e-12;
            // two right-hand sides: the step itself, and what a unit of room more would be worth
            $matrix[] = [...$row, -$gradient[$a], $this->room[$a] ?? 1.0];
        }
        [$moves, $worth] = Elimination::solve($matrix);
        $overfill = $this->filled($amounts) - $this->most;
        $total = 0.0;
        foreach ($free as $position => $index) {
            $overfill += $moves[$position] * ($this->room[$index] ?? 1.0);
            $total += $worth[$position] * ($this->room[$index] ?? 1.0);
        }
        if ($overfill > 0.0 && $total > 0.0) {
            foreach ($moves as $position => $move) {
                $moves[$position] = $move - $worth[$position] * $overfill / $total;
            }
        }
        foreach ($free as $position => $index) {
            $amounts[$index] += $moves[$position];
        }

        return array_values($amounts);
    }

    /**
     * @param list<float> $amounts
     *
     * @return list<float>
     */
    private function within(array $amounts): array
    {
        foreach ($amounts as $index => $amount) {
            $least = $this->least[$index] ?? 0.0;
            if (!($amount > $least && $amount < INF)) {
                $amounts[$index] = $least;
            } elseif ($amount > ($this->greatest[$index] ?? INF)) {
                $amounts[$index] = $this->greatest[$index] ?? $amount;
            }
        }
        $filled = $this->filled($amounts);
        if ($filled > $this->most) {
            foreach ($amounts as $index => $amount) {
                $amounts[$index] = $amount * $this->most / $filled;
            }
        }

        return $amounts;
    }

    /** @param list<float> $amounts */
    private function filled(array $amounts): float
    {
        if ($this->room === null) {
            return array_sum($amounts);
        }
        $filled = 0.0;
        foreach ($amounts as $index => $amount) {
            $filled += $amount * $this->room[$index];
        }

        return $filled;
    }
}
