<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TasteLoad;

/**
 * What a correction is judged by: the distance to the target in steps, plus a price of a tenth of a step for adding
 * the batch's own mass once. Written flat, because a search evaluates it tens of thousands of times.
 */
final readonly class Objective
{
    public const PRICE = 0.1;

    /** @var array{float, float, float, float, float, float, float} sweet, sour, salt, heat, amino acids, nucleotides, grams of the batch */
    private array $batch;

    /** @var list<array{int, float, float, float, float, float}> row in the load, threshold, step width, low and high edge in steps, scale */
    private array $axes;

    private float $synergy;

    public function __construct(TasteLoad $batch, private Target $target)
    {
        $this->batch = self::row($batch);
        $this->synergy = TasteLoad::synergy();
        $axes = [];
        foreach ([Axis::Sweet, Axis::Sour, Axis::Salt, Axis::Heat, Axis::Umami] as $row => $axis) {
            $window = $target->window($axis);
            if ($window !== null) {
                $axes[] = [$row, $axis->threshold(), $axis->stepWidth(), $axis->steps($window->low), $axis->steps($window->high), $axis === Axis::Heat ? 1.0 : 100.0];
            }
        }
        $this->axes = $axes;
    }

    public function batchGrams(): float
    {
        return $this->batch[6];
    }

    /** @return array{float, float, float, float, float, float, float} the load as a flat row, as value() and fit() take it */
    public static function row(TasteLoad $load): array
    {
        return [$load->sweet, $load->sour, $load->salt, $load->heat, $load->aminoAcids, $load->nucleotides, $load->grams];
    }

    /** Distance in steps after the additions. */
    public function distance(TasteLoad $after): float
    {
        return $this->target->distance($after->taste());
    }

    /**
     * Distance plus price.
     *
     * @param list<array{float, float, float, float, float, float, float}> $rows  loads of one gram of each addition
     * @param list<float>                                                  $grams of each
     */
    public function value(array $rows, array $grams): float
    {
        $sum = 0.0;
        foreach ($this->offs($rows, $grams) as [$off]) {
            $sum += $off * $off;
        }

        return sqrt($sum) + self::PRICE * array_sum($grams) / $this->batch[6];
    }

    /**
     * The best non-negative amounts of these additions near a start, by damped Gauss–Newton steps projected to what is allowed.
     *
     * @param list<array{float, float, float, float, float, float, float}> $rows
     * @param list<float>                                                  $start grams
     * @param float                                                        $most  grams that may be added in all
     *
     * @return array{list<float>, float} grams and value
     */
    public function fit(array $rows, array $start, float $most, int $rounds = 10): array
    {
        $grams = $this->within($start, $most);
        $count = count($rows);
        $price = self::PRICE / $this->batch[6];
        $damping = 1e-3;
        $offs = $this->offs($rows, $grams, true);
        [$distance, $merit] = self::merit($offs, $price * array_sum($grams));
        for ($round = 0; $round < $rounds && $distance > 1e-9; ++$round) {
            [$gradient, $normal] = [[], []];
            for ($i = 0; $i < $count; ++$i) {
                $gradient[] = $distance * $price;
                $normal[] = array_fill(0, $count, 0.0);
            }
            foreach ($offs as [$off, $slopes]) {
                if ($off === 0.0) {
                    continue;
                }
                for ($i = 0; $i < $count; ++$i) {
                    $gradient[$i] += $off * $slopes[$i];
                    for ($j = 0; $j <= $i; ++$j) {
                        $normal[$i][$j] += $slopes[$i] * $slopes[$j];
                    }
                }
            }
            $trial = $this->within($this->step($normal, $gradient, $grams, $damping, $most), $most);
            $tried = $this->offs($rows, $trial, true);
            [$triedDistance, $triedMerit] = self::merit($tried, $price * array_sum($trial));
            if ($triedMerit < $merit - 1e-7) {
                $isSmall = $merit - $triedMerit < 1e-4;
                [$grams, $offs, $distance, $merit] = [$trial, $tried, $triedDistance, $triedMerit];
                $damping *= 0.3;
                if ($isSmall) {
                    break;
                }
            } elseif ($damping > 1e3) {
                break;
            } else {
                $damping *= 20.0;
            }
        }

        return [$grams, $this->value($rows, $grams)];
    }

    /**
     * @param list<array{float, list<float>}> $offs
     *
     * @return array{float, float} distance, and distance plus price
     */
    private static function merit(array $offs, float $price): array
    {
        $sum = 0.0;
        foreach ($offs as [$off]) {
            $sum += $off * $off;
        }

        return [sqrt($sum), sqrt($sum) + $price];
    }

    /**
     * The amounts of one addition at which an axis meets an edge of its window: exact, because all but umami are linear.
     *
     * @param array{float, float, float, float, float, float, float} $row
     *
     * @return list<float> grams, all positive
     */
    public function edges(array $row): array
    {
        $amounts = [];
        foreach ($this->axes as [$axis, $threshold, $width, $low, $high, $scale]) {
            foreach ([$low, $high] as $edge) {
                $share = $threshold * exp($edge * $width) / $scale;
                $bend = $row[$axis] - $share;
                if ($bend !== 0.0) {
                    $grams = ($share * $this->batch[6] - $this->batch[$axis]) / $bend;
                    if ($grams > 0.0 && is_finite($grams)) {
                        $amounts[] = $grams;
                    }
                }
            }
        }

        return $amounts;
    }

    /**
     * Signed steps outside each window, with the slope along each addition when asked.
     *
     * Below the threshold the scale goes on in a straight line for the slope's sake, so that a search finds its way up
     * from nothing; the value itself is exact.
     *
     * @param list<array{float, float, float, float, float, float, float}> $rows
     * @param list<float>                                                  $grams
     *
     * @return list<array{float, list<float>}>
     */
    private function offs(array $rows, array $grams, bool $withSlopes = false): array
    {
        [$sweet, $sour, $salt, $heat, $amino, $nucleotides, $total] = $this->batch;
        foreach ($rows as $index => $row) {
            $added = $grams[$index];
            $sweet += $added * $row[0];
            $sour += $added * $row[1];
            $salt += $added * $row[2];
            $heat += $added * $row[3];
            $amino += $added * $row[4];
            $nucleotides += $added * $row[5];
            $total += $added * $row[6];
        }
        $loads = [$sweet, $sour, $salt, $heat, $amino];
        $boost = 1.0 + $this->synergy * 100.0 * $nucleotides / $total;
        $offs = [];
        foreach ($this->axes as [$axis, $threshold, $width, $low, $high, $scale]) {
            $value = $scale * $loads[$axis] / $total * ($axis === 4 ? $boost : 1.0);
            $steps = $value > $threshold ? log($value / $threshold) / $width : 0.0;
            $isBelow = $value < $threshold;
            $off = $steps > $high ? $steps - $high : ($steps < $low ? $steps - $low : 0.0);
            $slopes = [];
            if ($withSlopes && $off !== 0.0) {
                $per = $scale / ($width * $total * max($value, $threshold));
                foreach ($rows as $row) {
                    $slope = $per * ($row[$axis] - $loads[$axis] * $row[6] / $total);
                    if ($axis === 4) {
                        $slope = $slope * $boost + ($isBelow ? 0.0 : $this->synergy * 100.0 * ($row[5] - $nucleotides * $row[6] / $total) / ($total * $boost * $width));
                    }
                    $slopes[] = $slope;
                }
                if ($isBelow) {
                    $off += ($value / $threshold - 1.0) / $width;
                }
            }
            $offs[] = [$off, $slopes];
        }

        return $offs;
    }

    /**
     * Solves (N + λ·diag N)·d = −g over the additions that are free to move, and steps; where the room is full and the
     * step would overfill it, the step that keeps it just full instead.
     *
     * @param array<int, array<int, float>> $normal   lower triangle
     * @param array<int, float>             $gradient
     * @param list<float>                   $grams
     *
     * @return list<float>
     */
    private function step(array $normal, array $gradient, array $grams, float $damping, float $most): array
    {
        $free = [];
        foreach ($gradient as $index => $slope) {
            if (($grams[$index] > 0.0 || $slope < 0.0) && $normal[$index][$index] > 0.0) {
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
            // two right-hand sides: the step itself, and what a gram of room more would be worth
            $matrix[] = [...$row, -$gradient[$a], 1.0];
        }
        [$moves, $worth] = Elimination::solve($matrix);
        $left = $most - array_sum($grams);
        $overfill = array_sum($moves) - $left;
        $total = array_sum($worth);
        if ($overfill > 0.0 && $total > 0.0) {
            foreach ($moves as $position => $move) {
                $moves[$position] = $move - $worth[$position] * $overfill / $total;
            }
        }
        foreach ($free as $position => $index) {
            $grams[$index] += $moves[$position];
        }

        return array_values($grams);
    }

    /**
     * @param list<float> $grams
     *
     * @return list<float>
     */
    private function within(array $grams, float $most): array
    {
        $sum = 0.0;
        foreach ($grams as $index => $amount) {
            $grams[$index] = $amount > 0.0 && is_finite($amount) ? $amount : 0.0;
            $sum += $grams[$index];
        }
        if ($sum > $most) {
            foreach ($grams as $index => $amount) {
                $grams[$index] = $amount * $most / $sum;
            }
        }

        return $grams;
    }
}
