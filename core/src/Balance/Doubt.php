<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Mixture\Component;
use Vinculum\Mixture\Mixture;
use Vinculum\Mixture\Volume;
use Vinculum\Quantity\Amount;
use Vinculum\Reading\ResolvedLine;

/**
 * First-order propagation of independent doubts: how far each line's amount, and each of its composition groups,
 * may move any figure computed from the mixture.
 *
 * Every source of doubt is one standard deviation as a direction in mixture space; a figure moves by its gradient along it.
 */
final readonly class Doubt
{
    /** The natural logarithm of the factor by which one pod differs from the next (handbook: factor 2). */
    private const POD_DEVIATION = M_LN2;

    /** @param list<array{int, bool, array<string, float>}> $directions line number (−1: the yield), whether it is of the amount, and direction */
    private function __construct(private Mixture $mixture, private array $directions) {}

    /**
     * @param Mixture            $mixture the mixture asked about: mixed, or finished where a yield is given
     * @param list<ResolvedLine> $added   what came in after the yield was measured
     */
    public static function about(Formula $formula, Mixture $mixture, ?Yielded $yield, array $added = []): self
    {
        $directions = [];
        foreach ($formula->lines as $number => $line) {
            foreach (self::directionsOf($line) as $index => $direction) {
                $directions[] = [$number, $index === 0, $yield === null ? $direction : self::heldTo($yield, $direction)];
            }
        }
        if ($yield !== null) {
            $grams = $yield->grams->deviation ?? (float) $yield->millilitres?->deviation / Component::every('volume')['water'];
            $directions[] = [-1, true, [Component::Water->value => $grams]];
        }
        foreach ($added as $line) {
            foreach (self::directionsOf($line) as $direction) {
                $directions[] = [-1, true, $direction];
            }
        }

        return new self($mixture, $directions);
    }

    /**
     * The figure with an interval that is symmetric around it, never below 0.
     *
     * @param callable(Mixture): float $figure
     * @param list<string>|null        $depends components that can move it; all when null
     */
    public function on(callable $figure, ?array $depends = null): Reading
    {
        $value = $figure($this->mixture);
        [$deviation, $shares, $amountShares] = $this->propagate($figure, $value, $depends);
        $half = Amount::NINETY_PERCENT * $deviation;

        return new Reading($value, max(0.0, $value - $half), $value + $half, $shares, $amountShares);
    }

    /**
     * The figure with an interval that is symmetric on a logarithmic scale, for doubts that are factors.
     *
     * @param callable(Mixture): float $figure
     * @param list<string>|null        $depends
     */
    public function onFactor(callable $figure, ?array $depends = null): Reading
    {
        $value = $figure($this->mixture);
        if ($value <= 0.0) {
            return new Reading(0.0, 0.0, 0.0);
        }
        [$deviation, $shares, $amountShares] = $this->propagate($figure, $value, $depends);
        $factor = exp(Amount::NINETY_PERCENT * $deviation / $value);

        return new Reading($value, $value / $factor, $value * $factor, $shares, $amountShares);
    }

    /**
     * @param callable(Mixture): float $figure
     * @param list<string>|null        $depends
     *
     * @return array{float, array<int, float>, array<int, float>} one standard deviation, the share of the variance by line, and that of its amount alone
     */
    private function propagate(callable $figure, float $value, ?array $depends): array
    {
        $gradient = $this->gradient($figure, $value, $depends);
        [$variances, $ofAmounts] = [[], []];
        foreach ($this->directions as [$line, $isAmount, $direction]) {
            $moved = 0.0;
            foreach ($direction as $component => $step) {
                $moved += $step * ($gradient[$component] ?? 0.0);
            }
            $variances[$line] = ($variances[$line] ?? 0.0) + $moved * $moved;
            if ($isAmount) {
                $ofAmounts[$line] = ($ofAmounts[$line] ?? 0.0) + $moved * $moved;
            }
        }
        $variance = array_sum($variances);
        $share = static fn(float $part): float => $part / $variance;

        return $variance > 0.0 ? [sqrt($variance), array_map($share, $variances), array_map($share, $ofAmounts)] : [0.0, [], []];
    }

    /**
     * @param callable(Mixture): float $figure
     * @param list<string>|null        $depends
     *
     * @return array<string, float> change of the figure per unit of each component
     */
    private function gradient(callable $figure, float $value, ?array $depends): array
    {
        $gradient = [];
        $grams = $this->mixture->grams();
        foreach ($depends ?? array_keys($this->mixture->amounts()) as $component) {
            $amount = $this->mixture->amounts()[$component] ?? 0.0;
            $step = 1e-4 * max(abs($amount), 1e-3 * $grams);
            $gradient[$component] = ($figure($this->mixture->with(Component::from($component), $amount + $step)) - $value) / $step;
        }

        return $gradient;
    }

    /** @return list<array<string, float>> one standard deviation of each independent doubt about a line */
    private static function directionsOf(ResolvedLine $line): array
    {
        if ($line->ingredient === null || $line->grams === null || $line->grams->value <= 0.0) {
            return [];
        }
        $directions = [$line->hundredGrams->times($line->grams->deviation / 100.0)->amounts()];
        $byGroup = [];
        foreach ($line->mixture()->amounts() as $component => $amount) {
            if ($amount !== 0.0) {
                $byGroup[Component::from($component)->group()][$component] = $amount;
            }
        }
        unset($byGroup['water'], $byGroup['other']);
        foreach ($byGroup as $group => $amounts) {
            $relative = $group === 'heat' && $line->ingredient->heatIsOfPods ? self::POD_DEVIATION : $line->ingredient->grade($group)->deviation();
            $direction = array_map(static fn(float $amount): float => $amount * $relative, $amounts);
            // what a figure gains water loses: a hundred grams stay a hundred grams
            $direction[Component::Water->value] = -Mixture::of($direction)->grams();
            $directions[] = $direction;
        }

        return $directions;
    }

    /**
     * A finished weight or volume does not move when a line does: water makes up the difference.
     *
     * @param array<string, float> $direction
     *
     * @return array<string, float>
     */
    private static function heldTo(Yielded $yield, array $direction): array
    {
        $moved = Mixture::of($direction);
        $water = $yield->grams !== null ? $moved->grams() : Volume::millilitres($moved) / Component::every('volume')['water'];

        return $moved->with(Component::Water, $moved->get(Component::Water) - $water)->amounts();
    }
}
