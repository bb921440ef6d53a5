<?php

declare(strict_types=1);

namespace Vinculum\Optimisation;

/**
 * The amounts of which the root of the sum of squared residuals, plus a price for every unit, is least: damped
 * Gauss–Newton steps (Levenberg 1944), projected to what is allowed.
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

    /**
     * @param int               $rounds steps at most
     * @param float             $price  of a unit of each amount
     * @param float             $most   that all amounts may come to
     * @param list<float>|null  $least  of each amount; nothing where null
     */
    public function __construct(
        private int $rounds,
        private float $price = 0.0,
        private float $most = INF,
        private ?array $least = null,
    ) {}

    /**
     * @param callable(list<float>): list<array{float, list<float>}> $residuals each with its slopes by amount; no
     *     slopes where it
     *                                                                          stands still at nothing
     * @param list<float>                                            $start
     *
     * @return array{list<float>, float} amounts, and their merit: root and price
     */
    public function fit(callable $residuals, array $start): array
    {
        $amounts = $this->within($start);
        $now = $residuals($amounts);
        $root = self::root($now);
        $merit = $root + $this->price * array_sum($amounts);
        $damping = self::DAMPING;
        for ($round = 0; $round < $this->rounds && $root > 1e-9; ++$round) {
            $trial = $this->within($this->step($now, $root, $amounts, $damping));
            $then = $residuals($trial);
            $triedRoot = self::root($then);
            $tried = $triedRoot + $this->price * array_sum($trial);
            if ($tried < $merit - self::NO_GAIN) {
                $isLast = $merit - $tried < self::LAST_GAIN;
                [$amounts, $now, $root, $merit] = [$trial, $then, $triedRoot, $tried];
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

    /** @param list<array{float, list<float>}> $residuals */
    public static function root(array $residuals): float
    {
        $sum = 0.0;
        foreach ($residuals as [$residual]) {
            $sum += $residual * $residual;
        }

        return sqrt($sum);
    }

    /**
     * Solves (N + λ·diag N)·d = −g over the amounts that are free to move, and steps; where the room is full and the
     * step would overfill it, the step that keeps it just full instead.
     *
     * @param list<array{float, list<float>}> $residuals
     * @param list<float>                     $amounts
     *
     * @return list<float>
     */
    private function step(array $residuals, float $root, array $amounts, float $damping): array
    {
        $count = count($amounts);
        $gradient = $zeros = array_fill(0, $count, 0.0);
        $normal = array_fill(0, $count, $zeros);
        foreach ($residuals as [$residual, $slopes]) {
            if ($slopes === []) {
                continue;
            }
            foreach ($slopes as $i => $slope) {
                $gradient[$i] += $residual * $slope;
                for ($j = 0; $j <= $i; ++$j) {
                    $normal[$i][$j] += $slope * $slopes[$j];
                }
            }
        }
        $free = [];
        foreach ($gradient as $index => $slope) {
            $gradient[$index] = $slope += $root * $this->price;
            if ($normal[$index][$index] > 0.0 && ($slope < 0.0 || $amounts[$index] > ($this->least[$index] ?? 0.0))) {
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
            $matrix[] = [...$row, -$gradient[$a], 1.0];
        }
        [$moves, $worth] = Elimination::solve($matrix);
        $overfill = array_sum($moves) + array_sum($amounts) - $this->most;
        $total = array_sum($worth);
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
        $sum = 0.0;
        foreach ($amounts as $index => $amount) {
            $least = $this->least[$index] ?? 0.0;
            if (!($amount > $least && $amount < INF)) {
                $amounts[$index] = $amount = $least;
            }
            $sum += $amount;
        }
        if ($sum > $this->most) {
            foreach ($amounts as $index => $amount) {
                $amounts[$index] = $amount * $this->most / $sum;
            }
        }

        return $amounts;
    }
}
