<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\MixtureChange;
use Vinculum\Chemistry\Volume;
use Vinculum\Quantity\Amount;
use Vinculum\Recipe\Resolution\ResolvedLine;

/**
 * First-order propagation of independent doubts: how far each line's amount, and each of its composition groups,
 * may move any figure computed from the mixture.
 *
 * Every source of doubt is one standard deviation as a direction in mixture space; a figure moves by its gradient along
 * it.
 */
final readonly class DoubtPropagation
{
    /**
     * @param list<array{int, bool, array<string, float>}> $directions line number (−1: the yield), whether it is of the
     *     amount, and direction
     */
    private function __construct(private Mixture $mixture, private array $directions) {}

    /**
     * @param Mixture $mixture the mixture asked about: mixed, or finished where a yield is given
     * @param list<ResolvedLine> $added what came in after the yield was measured
     */
    public static function about(Formula $formula, Mixture $mixture, ?MeasuredYield $yield, array $added = []): self
    {
        $directions = [];
        foreach ($formula->lines as $number => $line) {
            foreach (LineDoubts::of($line) as $index => $direction) {
                $directions[] = [
                    $number,
                    $index === 0,
                    $yield === null ? $direction : self::heldTo($yield, $direction),
                ];
            }
        }
        if ($yield !== null) {
            $grams = $yield->grams->deviation
                ?? (float) $yield->millilitres?->deviation / Component::every('volume')['water'];
            $directions[] = [-1, true, [Component::Water->value => $grams]];
        }
        foreach ($formula->losses()->doubts ?? [] as $direction) {
            $directions[] = [-1, true, $direction];
        }
        foreach ($added as $line) {
            foreach (LineDoubts::of($line) as $direction) {
                $directions[] = [-1, true, $direction];
            }
        }

        return new self($mixture, $directions);
    }

    /**
     * Figures with their 90 % intervals: symmetric around the value and never below 0, or symmetric as a factor for
     * those whose doubts are factors.
     *
     * @template Name of string
     *
     * @param callable(Mixture): array<Name, float> $figures by name
     * @param list<string> $factors names of those whose doubts are factors
     * @param list<string>|null $depends components that can move them; all when null
     *
     * @return array<Name, Estimate> by name
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
                ? new Estimate($value, $value / $factor, $value * $factor, $shares, $amountShares)
                : new Estimate($value, max(0.0, $value - $half), $value + $half, $shares, $amountShares);
        }

        return $readings;
    }

    /**
     * The doubt about a sum over the mixture, Σ wᵢ·mᵢ.
     *
     * @param array<string, float> $weights by component
     *
     * @return Estimate around zero
     */
    public function aboutSum(array $weights): Estimate
    {
        [$deviation, $shares, $amountShares] = $this->propagate($weights);
        $half = Amount::NINETY_PERCENT * $deviation;

        return new Estimate(0.0, -$half, $half, $shares, $amountShares);
    }

    /**
     * @param array<string, float> $gradient change of a figure per unit of each component
     *
     * @return array{float, array<int, float>, array<int, float>} one standard deviation, the share of the variance by
     *     line, and that of its amount alone
     */
    private function propagate(array $gradient): array
    {
        [$variances, $ofAmounts] = [[], []];
        $gradient = array_filter($gradient);
        foreach ($this->directions as [$line, $isAmount, $direction]) {
            $moved = 0.0;
            foreach ($direction as $component => $step) {
                if (isset($gradient[$component])) {
                    $moved += $step * $gradient[$component];
                }
            }
            $variances[$line] = ($variances[$line] ?? 0.0) + $moved * $moved;
            if ($isAmount) {
                $ofAmounts[$line] = ($ofAmounts[$line] ?? 0.0) + $moved * $moved;
            }
        }
        $variance = array_sum($variances);

        return $variance > 0.0
            ? [sqrt($variance), self::scaled($variances, 1.0 / $variance), self::scaled($ofAmounts, 1.0 / $variance)]
            : [0.0, [], []];
    }

    /**
     * @param callable(Mixture): array<string, float> $figures
     * @param array<string, float> $values
     * @param list<string>|null $depends
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

    /**
     * @template Key of array-key
     *
     * @param array<Key, float> $amounts
     *
     * @return array<Key, float>
     */
    private static function scaled(array $amounts, float $factor): array
    {
        foreach ($amounts as $component => $amount) {
            $amounts[$component] = $amount * $factor;
        }

        return $amounts;
    }

    /**
     * A finished weight or volume does not move when a line does: water makes up the difference.
     *
     * @param array<string, float> $direction
     *
     * @return array<string, float>
     */
    private static function heldTo(MeasuredYield $yield, array $direction): array
    {
        $moved = new MixtureChange($direction);
        $water = $yield->grams !== null
            ? $moved->grams()
            : $moved->millilitres() / Component::every('volume')['water'];

        return $moved->drier($water)->amounts;
    }
}
