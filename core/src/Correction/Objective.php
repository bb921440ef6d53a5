<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Optimisation\LeastSquares;
use Vinculum\Optimisation\TasteCurve;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetRange;
use Vinculum\Sensory\TasteLoad;

/**
 * What a correction is judged by: the distance to the target in steps, plus a price of a tenth of a step for adding
 * the batch's own mass once. Rows are those of TasteCurve.
 *
 * @phpstan-import-type Row from TasteCurve
 */
final readonly class Objective
{
    public const PRICE = 0.1;

    /** @var Row */
    private array $batch;

    private TasteCurve $curve;

    /** @var array<string, array{float, float}> low and high edge in steps, by axis */
    private array $edges;

    public function __construct(TasteLoad $batch, Target $target)
    {
        $this->batch = TasteCurve::row($batch);
        $windows = array_filter(Axis::each($target->window(...)));
        $axes = array_map(Axis::from(...), array_keys($windows));
        $this->curve = new TasteCurve($axes);
        $this->edges = array_combine(
            array_keys($windows),
            array_map(
                static fn(Axis $axis, TargetRange $window): array => [
                    $axis->steps($window->low),
                    $axis->steps($window->high),
                ],
                $axes,
                $windows,
            ),
        );
    }

    /**
     * Distance plus price.
     *
     * @param list<Row>   $rows  of one gram of each addition
     * @param list<float> $grams of each
     */
    public function value(array $rows, array $grams): float
    {
        $sums = TasteCurve::mixed($this->batch, $rows, $grams);
        $sum = 0.0;
        foreach ($this->curve->steps($sums, $sums[TasteCurve::GRAMS]) as $axis => $steps) {
            [$low, $high] = $this->edges[$axis];
            $steps = max(0.0, $steps);
            $sum += $steps > $high ? ($steps - $high) ** 2 : ($steps < $low ? ($steps - $low) ** 2 : 0.0);
        }

        return sqrt($sum) + $this->price() * array_sum($grams);
    }

    /**
     * The best non-negative amounts of these additions near a start.
     *
     * @param list<Row>   $rows
     * @param list<float> $start grams
     * @param float       $most  grams that may be added in all
     *
     * @return array{list<float>, float} grams and value
     */
    public function fit(array $rows, array $start, float $most, int $rounds = 10): array
    {
        [$grams] = (new LeastSquares($rounds, $this->price(), $most))->fit(
            fn(array $trial): array => $this->offs($rows, $trial),
            $start,
        );

        return [$grams, $this->value($rows, $grams)];
    }

    /**
     * The amounts of one addition at which an axis meets an edge of its window.
     *
     * @param Row $row
     *
     * @return list<float> grams, all positive
     */
    public function edges(array $row): array
    {
        $amounts = [];
        foreach ($this->edges as $axis => $edges) {
            foreach ($edges as $edge) {
                $amounts[] = $this->curve->gramsTo($axis, $edge, $this->batch, $row);
            }
        }

        return array_values(array_filter($amounts));
    }

    /** The price of a gram. */
    private function price(): float
    {
        return self::PRICE / $this->batch[TasteCurve::GRAMS];
    }

    /**
     * Signed steps outside each window, with the slopes where it is outside.
     *
     * @param list<Row>   $rows
     * @param list<float> $grams
     *
     * @return list<array{float, list<float>}>
     */
    private function offs(array $rows, array $grams): array
    {
        $sums = TasteCurve::mixed($this->batch, $rows, $grams);
        $total = $sums[TasteCurve::GRAMS];
        $offs = [];
        foreach ($this->curve->steps($sums, $total) as $axis => $steps) {
            [$low, $high] = $this->edges[$axis];
            $tasted = max(0.0, $steps);
            $off = $tasted > $high ? $steps - $high : ($tasted < $low ? $steps - $low : 0.0);
            if ($off !== 0.0) {
                $offs[] = [$off, $this->curve->slopes($axis, $sums, $total, $rows)];
            }
        }

        return $offs;
    }
}
