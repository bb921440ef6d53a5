<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Facts;
use Vinculum\Optimisation\TasteCurve;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;

/**
 * A correction in amounts that can be measured: the best around the exact ones, by spoon, or by scale where spoons are
 * too coarse.
 */
final readonly class CorrectionMeasuring
{
    /** Amounts that cost more than this many steps are too coarse: the finest spoon is taken, or the scale. */
    private const TOO_COARSE = 0.1;
    /** The share of the whole that a first dose may be. */
    private const LEAST_FIRST = 0.3;
    private const MOST_FIRST = 0.7;
    /** A move on an axis that is said as a side effect, in steps. */
    private const NOTICED = 0.5;

    private Taste $before;

    /** @var list<array<int, float>> */
    private array $rows;

    /**
     * @param Mixture $batch as it stands in the pan
     * @param list<Candidate> $candidates
     * @param list<string> $allergens of the batch
     */
    public function __construct(
        private Mixture $batch,
        private Target $target,
        private Objective $objective,
        private Spoons $spoons,
        private Room $room,
        private array $candidates,
        private array $allergens,
    ) {
        $this->before = Taste::ofMixture($batch);
        $this->rows = array_map(static fn(Candidate $one): array => TasteCurve::row($one->perGram), $candidates);
    }

    /**
     * @param list<int> $which of the candidates
     * @param list<float> $grams exact
     *
     * @return Correction|null null where no measurable amount is worth it
     */
    public function of(array $which, array $grams): ?Correction
    {
        $amounts = $this->snap($which, $grams);

        return $amounts === null || $amounts === [] ? null : $this->describe($amounts);
    }

    /**
     * The best of the measurable amounts around the exact ones.
     *
     * @param list<int> $which
     * @param list<float> $grams
     *
     * @return list<array{int, float}>|null candidate and grams
     */
    private function snap(array $which, array $grams): ?array
    {
        $bySpoon = array_map(fn(int $index, float $exact): array => $this->neighbours($index, $exact), $which, $grams);
        [$best, $least] = $this->bestOf($which, $bySpoon);
        $exact = $this->valueOf(
            array_map(static fn(int $index, float $amount): array => [$index, $amount], $which, $grams),
        );
        if ($least > $exact + self::TOO_COARSE) {
            $byScale = array_map(
                fn(int $index, float $exact): array => $this->spoons->finely(
                    $exact,
                    $this->candidates[$index]->ingredient->portions->density,
                ),
                $which,
                $grams,
            );
            [$finer, $value] = $this->bestOf($which, $byScale);

            return $value < $least ? $finer : $best;
        }

        return $best === null ? null : $this->trim($best, $least);
    }

    /** @return array{float, float} the measurable amounts below and above */
    private function neighbours(int $index, float $grams): array
    {
        $ingredient = $this->candidates[$index]->ingredient;

        return $this->spoons->neighbours($grams, $ingredient->portions->density, $ingredient->portions->eachGrams());
    }

    /**
     * @param list<int> $which
     * @param list<array{float, float}> $amounts the two to choose from for each
     *
     * @return array{list<array{int, float}>|null, float} the best choice within the room, and its value
     */
    private function bestOf(array $which, array $amounts): array
    {
        $choices = [[]];
        foreach ($which as $position => $index) {
            $extended = [];
            foreach ($amounts[$position] as $amount) {
                foreach ($choices as $choice) {
                    $extended[] = $amount > 0.0 ? [...$choice, [$index, $amount]] : $choice;
                }
            }
            $choices = $extended;
        }
        [$best, $least] = [null, INF];
        foreach ($choices as $choice) {
            $value = $this->valueOf($choice);
            if (
                $choice !== [] && $value < $least
                && $this->room->holds(array_column($choice, 0), array_column($choice, 1))
            ) {
                [$best, $least] = [$choice, $value];
            }
        }

        return [$best, $least];
    }

    /**
     * Takes back notch after notch for as long as that is no worse: the least that does the work.
     *
     * @param list<array{int, float}> $amounts
     *
     * @return list<array{int, float}>
     */
    private function trim(array $amounts, float $value): array
    {
        foreach (array_keys($amounts) as $position) {
            for ($notches = 0; $notches < 100; ++$notches) {
                [$index, $grams] = $amounts[$position];
                [$less] = $this->neighbours($index, $grams * (1.0 - 1e-6));
                $trial = $amounts;
                $trial[$position] = [$index, $less];
                $tried = $this->valueOf($trial);
                if ($less <= 0.0 || $tried >= $value) {
                    break;
                }
                [$amounts, $value] = [$trial, $tried];
            }
        }

        return $amounts;
    }

    /** @param list<array{int, float}> $amounts */
    private function valueOf(array $amounts): float
    {
        return $this->objective->value(
            array_map(fn(array $one): array => $this->rows[$one[0]], $amounts),
            array_column($amounts, 1),
        );
    }

    /** @param non-empty-list<array{int, float}> $amounts */
    private function describe(array $amounts): Correction
    {
        $mixture = $this->batch;
        $additions = [];
        $added = 0.0;
        $gained = [];
        usort($amounts, static fn(array $one, array $other): int => $other[1] <=> $one[1]);
        $cost = $this->valueOf($amounts);
        foreach ($amounts as [$index, $grams]) {
            $ingredient = $this->candidates[$index]->ingredient;
            $cost += Facts::of(CorrectionCosts::class)->each + $this->candidates[$index]->strange;
            $mixture = $mixture->plus($ingredient->grams($grams));
            [$density, $each] = [$ingredient->portions->density, $ingredient->portions->eachGrams()];
            [$first, $words] = $this->firstDose($grams, $density, $each);
            $additions[] = new Addition(
                $ingredient,
                $grams,
                $this->spoons->measure($grams, $density, $each),
                $first,
                $words,
            );
            $added += $grams;
            $gained = [...$gained, ...array_diff($ingredient->suitability->allergens, $this->allergens)];
        }
        $after = Taste::ofMixture($mixture);

        return new Correction(
            $additions,
            $mixture,
            $after,
            $this->target->distance($after),
            $added,
            $this->sideEffects($after, $mixture),
            array_values(array_unique($gained)),
            $cost,
            CorrectionReason::of($this->batch, $this->target, $additions),
        );
    }

    /**
     * About half of it, in what can be measured; by eye where nothing measurable is near.
     *
     * @return array{float, string} grams, and how to say it
     */
    private function firstDose(float $grams, ?float $density, ?float $each): array
    {
        $half = $grams / 2.0;
        $measurable = array_filter(
            [
                ...$this->spoons->neighbours($half, $density, $each),
                ...($this->spoons->weighs($half) ? $this->spoons->onScale($half) : []),
            ],
            static fn(float $one): bool => $one >= self::LEAST_FIRST * $grams && $one <= self::MOST_FIRST * $grams,
        );
        usort($measurable, static fn(float $one, float $other): int => abs($one - $half) <=> abs($other - $half));
        $first = $measurable[0] ?? $half;

        return [
            $first,
            $measurable === []
                ? 'half of it' . ($this->spoons->weighs($half) ? ', ' . KitchenNumber::grams($half) : '')
                : $this->spoons->measure($first, $density, $each)->words(),
        ];
    }

    /** @return list<string> */
    private function sideEffects(Taste $after, Mixture $mixture): array
    {
        $effects = [];
        foreach ($this->before->stepsTo($after) as $key => $moved) {
            $axis = Axis::from($key);
            $window = $this->target->window($axis);
            $isWanted = $window !== null && $window->off($axis, $this->before->on($axis)) * $moved < 0.0;
            if (!$isWanted && abs($moved) >= self::NOTICED) {
                $effects[] = sprintf('%s also %+.1f steps', $key, $moved);
            }
        }
        if ($mixture->percent(Component::Ethanol) > $this->batch->percent(Component::Ethanol) + 0.2) {
            $effects[] = 'adds alcohol';
        }

        return $effects;
    }
}
