<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Taste;
use Vinculum\Sensory\TasteLoad;

/**
 * What to do with what has not gone in yet, after something was poured over or under its line: nothing, all of it in
 * proportion, or each amount solved so that the sauce tastes as planned. Nothing can be taken out again.
 */
final readonly class Rebalance
{
    private const MOST = 3.0;
    private const ROUNDS = 24;
    private const HALVINGS = 28;
    /** What moving one amount away from the others, to e times its share, costs in steps: of two ways that taste alike the one nearer to the recipe wins. */
    private const PRICE_OF_CHANGE = 0.5;

    /**
     * @param 'as-planned'|'in-proportion'|'solved' $way
     * @param array<int, float>                     $grams       of what is still to go in, by line
     * @param array<string, float>                  $changeSteps by axis, against the plan
     * @param float                                 $away        √Σ of them squared
     */
    private function __construct(public string $way, public array $grams, public array $changeSteps, public float $away) {}

    /**
     * @param array<int, ResolvedLine> $planned by line, in the planned amounts
     * @param array<int, float>        $actual  grams of what is in already, by line
     *
     * @return list<self> as planned first, then in proportion, then solved
     */
    public static function ways(array $planned, array $actual): array
    {
        [$wanted, $in, $open] = [TasteLoad::ofSums(0, 0, 0, 0, 0, 0, 0), TasteLoad::ofSums(0, 0, 0, 0, 0, 0, 0), []];
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
     * @param array<int, array{TasteLoad, float}>   $open
     * @param array<int, float>                     $factors
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
        $alike = static fn(float $factor): array => array_map(static fn(): float => $factor, $open);
        $best = self::least(static fn(float $factor): float => self::away($in, $open, $alike($factor), $wanted));

        return $alike($best);
    }

    /**
     * One amount after another, until no move brings it nearer.
     *
     * @param array<int, array{TasteLoad, float}> $open
     *
     * @return array<int, float>
     */
    private static function solved(TasteLoad $in, array $open, Taste $wanted): array
    {
        // moving all together first: one amount after another would creep along that way
        $factors = self::inProportion($in, $open, $wanted);
        $together = max(0.05, reset($factors) ?: 1.0);
        $cost = static function (array $trial) use ($in, $open, $wanted, $together): float {
            /** @var array<int, float> $trial */
            $changes = array_sum(array_map(static fn(float $factor): float => log(max(0.05, $factor) / $together) ** 2, $trial));

            return self::away($in, $open, $trial, $wanted) ** 2 + self::PRICE_OF_CHANGE ** 2 * $changes;
        };
        $now = $cost($factors);
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            $before = $now;
            foreach (array_keys($open) as $number) {
                $best = self::least(static fn(float $factor): float => $cost(array_replace($factors, [$number => $factor])));
                $trial = array_replace($factors, [$number => $best]);
                if ($cost($trial) < $now) {
                    [$factors, $now] = [$trial, $cost($trial)];
                }
            }
            if ($before - $now < 1e-4) {
                break;
            }
        }

        return $factors;
    }

    /**
     * Where a function of one factor is least between nothing and three times, by golden section from the best of a few.
     *
     * @param callable(float): float $cost
     */
    private static function least(callable $cost): float
    {
        $best = 1.0;
        foreach ([0.0, 0.25, 0.5, 0.75, 1.0, 1.25, 1.5, 2.0, 2.5, self::MOST] as $start) {
            $best = $cost($start) < $cost($best) ? $start : $best;
        }
        [$low, $high] = [max(0.0, $best - 0.5), min(self::MOST, $best + 0.5)];
        $golden = (sqrt(5.0) - 1.0) / 2.0;
        for ($halving = 0; $halving < self::HALVINGS; ++$halving) {
            [$left, $right] = [$high - $golden * ($high - $low), $low + $golden * ($high - $low)];
            [$low, $high] = $cost($left) < $cost($right) ? [$low, $right] : [$left, $high];
        }
        $found = ($low + $high) / 2.0;

        return $cost($found) < $cost($best) ? $found : $best;
    }

    /**
     * @param array<int, array{TasteLoad, float}> $open
     * @param array<int, float>                   $factors
     */
    private static function away(TasteLoad $in, array $open, array $factors, Taste $wanted): float
    {
        return $wanted->stepsApart(self::with($in, $open, $factors)->taste());
    }

    /**
     * @param array<int, array{TasteLoad, float}> $open
     * @param array<int, float>                   $factors
     */
    private static function with(TasteLoad $in, array $open, array $factors): TasteLoad
    {
        foreach ($open as $number => [$each, $planned]) {
            $in = $in->plus($each, $planned * $factors[$number]);
        }

        return $in;
    }
}
