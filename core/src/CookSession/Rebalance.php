<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\Optimisation\LeastSquares;
use Vinculum\Optimisation\TasteCurve;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;
use Vinculum\Sensory\TasteLoad;

/**
 * What to do with what has not gone in yet, after something was poured over or under its line: nothing, all of it in
 * proportion, or each amount solved so that the sauce tastes as planned. Nothing can be taken out again.
 */
final readonly class Rebalance
{
    private const MOST = 3.0;
    private const ROUNDS = 60;
    /** Factors from which a search begins: the curve may have more than one valley. */
    private const STARTS = [1.0, 0.25, 2.5];
    private const NEAR_NOTHING = 0.05;
    private const SAME = 1e-6;
    /**
     * What moving one amount away from the others, to e times its share, costs in steps: of two ways that taste alike
     * the one nearer to the recipe wins.
     */
    private const PRICE_OF_CHANGE = 0.5;

    /**
     * @param 'as-planned'|'in-proportion'|'solved' $way
     * @param array<int, float> $grams of what is still to go in, by line
     * @param array<value-of<Axis>, float> $changeSteps against the plan
     * @param float $away √Σ of them squared
     */
    private function __construct(
        public string $way,
        public array $grams,
        public array $changeSteps,
        public float $away,
    ) {}

    /**
     * @param array<int, ResolvedLine> $planned by line, in the planned amounts
     * @param array<int, float> $actual grams of what is in already, by line
     *
     * @return list<self> as planned first, then in proportion, then solved
     */
    public static function ways(array $planned, array $actual): array
    {
        [$wanted, $in, $open] = [TasteLoad::ofNothing(), TasteLoad::ofNothing(), []];
        foreach ($planned as $number => $line) {
            $grams = $line->grams->value ?? 0.0;
            if ($grams <= 0.0) {
                continue;
            }
            $each = TasteLoad::of($line->hundredGrams->times(0.01));
            $wanted = $wanted->plus($each, $grams);
            if (isset($actual[$number])) {
                $in = $in->plus($each, $actual[$number]);
            } else {
                $open[$number] = [$each, $grams];
            }
        }
        $one = array_map(static fn(): float => 1.0, $open);
        $taste = $wanted->taste();

        return [
            self::of('as-planned', $in, $open, $one, $taste),
            self::of('in-proportion', $in, $open, self::inProportion($in, $open, $taste), $taste),
            self::of('solved', $in, $open, self::solved($in, $open, $taste), $taste),
        ];
    }


    /**
     * @param 'as-planned'|'in-proportion'|'solved' $way
     * @param array<int, array{TasteLoad, float}> $open
     * @param array<int, float> $factors
     */
    private static function of(string $way, TasteLoad $in, array $open, array $factors, Taste $wanted): self
    {
        $taste = self::with($in, $open, $factors)->taste();
        $grams = [];
        foreach ($open as $number => [, $planned]) {
            $grams[$number] = $planned * $factors[$number];
        }

        return new self($way, $grams, $wanted->stepsTo($taste), $wanted->stepsApart($taste));
    }

    /**
     * @param array<int, array{TasteLoad, float}> $open
     *
     * @return array<int, float>
     */
    private static function inProportion(TasteLoad $in, array $open, Taste $wanted): array
    {
        if ($open === []) {
            return [];
        }
        $rest = TasteLoad::ofNothing();
        foreach ($open as [$each, $planned]) {
            $rest = $rest->plus($each, $planned);
        }
        [$best, $least] = [1.0, INF];
        foreach (self::STARTS as $start) {
            [[$factor], $away] = self::fit($in, [$rest], [$start], $wanted);
            if ($away < $least - self::SAME) {
                [$best, $least] = [$factor, $away];
            }
        }

        return array_map(static fn(): float => $best, $open);
    }

    /**
     * @param array<int, array{TasteLoad, float}> $open
     *
     * @return array<int, float>
     */
    private static function solved(TasteLoad $in, array $open, Taste $wanted): array
    {
        if ($open === []) {
            return [];
        }
        $together = self::inProportion($in, $open, $wanted);
        $rows = array_map(
            static fn(array $one): TasteLoad => TasteLoad::ofNothing()->plus(...$one),
            array_values($open),
        );
        [$best, $least] = [array_values($together), INF];
        foreach ([array_values($together), array_fill(0, count($open), 1.0)] as $start) {
            [$factors, $away] = self::fit(
                $in,
                $rows,
                $start,
                $wanted,
                max(self::NEAR_NOTHING, reset($together) ?: 1.0),
            );
            if ($away < $least - self::SAME) {
                [$best, $least] = [$factors, $away];
            }
        }

        return array_combine(array_keys($open), $best);
    }

    /**
     * The factors of what is still to go in that bring the whole nearest to the wanted taste.
     *
     * @param list<TasteLoad> $loads of each in its planned amount
     * @param list<float> $start
     * @param float|null $together the factor that they share as long as nothing is gained by parting them
     *
     * @return array{list<float>, float} and how far away it stays
     */
    private static function fit(
        TasteLoad $in,
        array $loads,
        array $start,
        Taste $wanted,
        ?float $together = null,
    ): array {
        $curve = new TasteCurve(Axis::cases());
        $rows = array_map(TasteCurve::row(...), $loads);
        $already = TasteCurve::row($in);
        $steps = Axis::each($wanted->stepsOn(...));
        $residuals = static function (array $factors) use ($curve, $rows, $already, $steps, $together): array {
            /** @var list<float> $factors */
            $sums = TasteCurve::mixed($already, $rows, $factors);
            $total = max(1e-6, $sums[TasteCurve::GRAMS]);
            $found = [];
            foreach ($curve->steps($sums, $total) as $axis => $stands) {
                if ($stands > 0.0 || $steps[$axis] > 0.0) {
                    $found[] = [$stands - $steps[$axis], $curve->slopes($axis, $sums, $total, $rows)];
                }
            }
            foreach ($together === null ? [] : $factors as $index => $factor) {
                $held = max(self::NEAR_NOTHING, $factor);
                $slopes = array_map(
                    static fn(int $other): float => $other === $index ? self::PRICE_OF_CHANGE / $held : 0.0,
                    array_keys($factors),
                );
                $found[] = [self::PRICE_OF_CHANGE * log($held / $together), $slopes];
            }

            return $found;
        };
        [$factors, $away] = (new LeastSquares(self::ROUNDS))->fit($residuals, $start);

        return [array_map(static fn(float $factor): float => min(self::MOST, $factor), $factors), $away];
    }

    /**
     * @param array<int, array{TasteLoad, float}> $open
     * @param array<int, float> $factors
     */
    private static function with(TasteLoad $in, array $open, array $factors): TasteLoad
    {
        foreach ($open as $number => [$each, $planned]) {
            $in = $in->plus($each, $planned * $factors[$number]);
        }

        return $in;
    }
}
