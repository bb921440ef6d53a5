<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Facts\Facts;
use Vinculum\Optimisation\LeastSquares;
use Vinculum\Optimisation\TasteCurve;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TasteLoad;

/**
 * What additions are judged by, in steps: the distance to the target, what axes that were right move, and a price of
 * mass. Rows are those of TasteCurve; of an addition, of one gram.
 *
 * @phpstan-import-type Row from TasteCurve
 */
final readonly class Objective
{
    private const OFF = 0;
    private const MOVED = 1;

    /**
     * @param Row $batch
     * @param array<value-of<Axis>, array{float, float}> $edges low and high, in steps
     * @param array<value-of<Axis>, float> $right where axes that were right stand, in steps
     */
    private function __construct(
        private array $batch,
        private TasteCurve $curve,
        private array $edges,
        private array $right,
        private CorrectionCosts $costs,
    ) {}

    /** Only the distance and the price of mass: for a sauce that is not there yet. */
    public static function towards(TasteLoad $batch, Target $target): self
    {
        $edges = self::edgesOf($target);

        return new self(
            TasteCurve::row($batch),
            self::curveOf($edges),
            $edges,
            [],
            Facts::of(CorrectionCosts::class),
        );
    }

    /**
     * For a batch that stands in the pan: an axis that is off is to come inside its window by a margin, for the figure
     * has a band; one that is right is to stay where it is.
     */
    public static function correcting(TasteLoad $batch, Target $target): self
    {
        $costs = Facts::of(CorrectionCosts::class);
        $edges = self::edgesOf($target);
        $taste = $batch->taste();
        $right = [];
        foreach ($edges as $key => [$low, $high]) {
            $now = $taste->stepsOn(Axis::from($key));
            $margin = min($costs->margin * ($high - $low), $costs->mostMargin);
            if ($now > $high) {
                $edges[$key] = [$low, $high - $margin];
            } elseif ($now < $low) {
                $edges[$key] = [$low + $margin, $high];
            } else {
                $right[$key] = $now;
            }
        }

        return new self(TasteCurve::row($batch), self::curveOf($edges), $edges, $right, $costs);
    }

    /**
     * Distance, moves and price.
     *
     * @param list<Row> $rows of one gram of each addition
     * @param list<float> $grams of each
     */
    public function value(array $rows, array $grams): float
    {
        $sums = TasteCurve::mixed($this->batch, $rows, $grams);
        $off = 0.0;
        $moved = 0.0;
        foreach ($this->curve->steps($sums, $sums[TasteCurve::GRAMS]) as $axis => $steps) {
            [$low, $high] = $this->edges[$axis];
            $steps = max(0.0, $steps);
            $off += $steps > $high ? ($steps - $high) ** 2 : ($steps < $low ? ($steps - $low) ** 2 : 0.0);
            $moved += isset($this->right[$axis]) ? ($steps - $this->right[$axis]) ** 2 : 0.0;
        }

        return sqrt($off) + $this->costs->move * sqrt($moved) + $this->price() * array_sum($grams);
    }

    /**
     * The best amounts of these additions near a start.
     *
     * @param list<Row> $rows
     * @param list<float> $start grams
     * @param Room $room
     * @param list<int> $which of the candidates that the room was made for
     *
     * @return array{list<float>, float} grams and value
     */
    public function fit(array $rows, array $start, Room $room, array $which, int $rounds = 10): array
    {
        [$grams] = (new LeastSquares(
            $rounds,
            $this->price(),
            $room->most,
            null,
            $room->greatest($which),
            $room->each($which),
            $this->right === [] ? [1.0] : [1.0, $this->costs->move],
        ))->fit(fn(array $trial): array => $this->residuals($rows, $trial), $start);

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
        return $this->costs->mass / $this->batch[TasteCurve::GRAMS];
    }

    /** @return array<value-of<Axis>, array{float, float}> */
    private static function edgesOf(Target $target): array
    {
        $edges = [];
        foreach (Axis::cases() as $axis) {
            $window = $target->window($axis);
            if ($window !== null) {
                $edges[$axis->value] = $window->inSteps($axis);
            }
        }

        return $edges;
    }

    /** @param array<value-of<Axis>, array{float, float}> $edges */
    private static function curveOf(array $edges): TasteCurve
    {
        return new TasteCurve(array_map(Axis::from(...), array_keys($edges)));
    }

    /**
     * Signed steps outside each window, and moved from where it was right, with the slopes.
     *
     * @param list<Row> $rows
     * @param list<float> $grams
     *
     * @return list<array{float, list<float>, int}>
     */
    private function residuals(array $rows, array $grams): array
    {
        $sums = TasteCurve::mixed($this->batch, $rows, $grams);
        $total = $sums[TasteCurve::GRAMS];
        $residuals = [];
        foreach ($this->curve->steps($sums, $total) as $axis => $steps) {
            [$low, $high] = $this->edges[$axis];
            $tasted = max(0.0, $steps);
            $off = $tasted > $high ? $steps - $high : ($tasted < $low ? $steps - $low : 0.0);
            $isRight = isset($this->right[$axis]);
            if ($off === 0.0 && !$isRight) {
                continue;
            }
            $slopes = $this->curve->slopes($axis, $sums, $total, $rows);
            if ($off !== 0.0) {
                $residuals[] = [$off, $slopes, self::OFF];
            }
            // under the threshold nobody tastes it move
            if ($isRight && ($steps > 0.0 || $this->right[$axis] > 0.0)) {
                $residuals[] = [$tasted - $this->right[$axis], $slopes, self::MOVED];
            }
        }

        return $residuals;
    }
}
