<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Facts\FactsFile;
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
        foreach ($formula->losses()->doubts ?? [] as $direction) {
            $directions[] = [-1, true, $direction];
        }
        foreach ($added as $line) {
            foreach (self::directionsOf($line) as $direction) {
                $directions[] = [-1, true, $direction];
            }
        }

        return new self($mixture, $directions);
    }

    /**
     * Figures with their 90 % intervals: symmetric around the value and never below 0, or symmetric as a factor for
     * those whose doubts are factors.
     *
     * @param callable(Mixture): array<string, float> $figures by name
     * @param list<string>                            $factors names of those whose doubts are factors
     * @param list<string>|null                       $depends components that can move them; all when null
     *
     * @return array<string, Reading> by name
     */
    public function on(callable $figures, array $factors = [], ?array $depends = null): array
    {
        $values = $figures($this->mixture);
        $gradients = $this->gradients($figures, $values, $depends);
        $readings = [];
        foreach ($values as $name => $value) {
            [$deviation, $shares, $amountShares] = $this->propagate($gradients[$name] ?? []);
            $half = Amount::NINETY_PERCENT * $deviation;
            $factor = $value > 0.0 ? exp($half / $value) : 1.0;
            $readings[$name] = in_array($name, $factors, true)
                ? new Reading($value, $value / $factor, $value * $factor, $shares, $amountShares)
                : new Reading($value, max(0.0, $value - $half), $value + $half, $shares, $amountShares);
        }

        return $readings;
    }

    /**
     * @param array<string, float> $gradient change of a figure per unit of each component
     *
     * @return array{float, array<int, float>, array<int, float>} one standard deviation, the share of the variance by line, and that of its amount alone
     */
    private function propagate(array $gradient): array
    {
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
     * @param callable(Mixture): array<string, float> $figures
     * @param array<string, float>                    $values
     * @param list<string>|null                       $depends
     *
     * @return array<string, array<string, float>> change of each figure per unit of each component
     */
    private function gradients(callable $figures, array $values, ?array $depends): array
    {
        $gradients = [];
        $grams = $this->mixture->grams();
        foreach ($depends ?? array_keys($this->mixture->amounts()) as $component) {
            $amount = $this->mixture->amounts()[$component] ?? 0.0;
            $step = 1e-4 * max(abs($amount), 1e-3 * $grams);
            foreach ($figures($this->mixture->with(Component::from($component), $amount + $step)) as $name => $moved) {
                $gradients[$name][$component] = ($moved - $values[$name]) / $step;
            }
        }

        return $gradients;
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
            $relative = $group === 'heat' && $line->ingredient->heatIsOfPods ? log(FactsFile::named('axes')['heat']->number('pod_factor')) : $line->ingredient->grade($group)->deviation();
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
