<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;
use Vinculum\Sensory\TasteLoad;

/**
 * A correction in amounts that can be measured: the best around the exact ones, by spoon, or by scale where spoons are
 * too coarse.
 */
final readonly class CorrectionMeasuring
{
    /** Spoons that cost more than this many steps are too coarse: the scale is taken. */
    private const TOO_COARSE = 0.1;
    /** The share of the whole that a first dose may be. */
    private const LEAST_FIRST = 0.3;
    private const MOST_FIRST = 0.7;
    /** A move on an axis that is said as a side effect, in steps. */
    private const NOTICED = 0.5;

    private TasteLoad $load;
    private Taste $before;

    /**
     * @param Mixture      $batch     as it stands in the pan
     * @param float        $most      grams that may be added
     * @param list<string> $allergens of the batch
     */
    public function __construct(
        private Mixture $batch,
        private Target $target,
        private Spoons $spoons,
        private float $most,
        private array $allergens,
    ) {
        $this->load = TasteLoad::of($batch);
        $this->before = $this->load->taste();
    }

    /**
     * @param list<Candidate> $candidates
     * @param list<float>     $grams      exact
     *
     * @return Correction|null null where no measurable amount is worth it
     */
    public function of(array $candidates, array $grams): ?Correction
    {
        $amounts = $this->snap($candidates, $grams);

        return $amounts === null ? null : $this->describe($amounts);
    }

    /**
     * The best of the measurable amounts around the exact ones.
     *
     * @param list<Candidate> $candidates
     * @param list<float>     $grams
     *
     * @return list<array{Candidate, float}>|null
     */
    private function snap(array $candidates, array $grams): ?array
    {
        $bySpoon = array_map(
            fn(Candidate $one, float $exact): array => $this->spoons->neighbours(
                $exact,
                $one->ingredient->density,
                $one->ingredient->eachGrams(),
            ),
            $candidates,
            $grams,
        );
        [$best, $least] = $this->bestOf($candidates, $bySpoon);
        $exact = $this->valueOf(
            array_map(static fn(Candidate $one, float $amount): array => [$one, $amount], $candidates, $grams),
        );
        if ($least > $exact + self::TOO_COARSE) {
            $byScale = array_map(
                fn(Candidate $one, float $exact): array => $exact < 1.0
                    ? $this->spoons->neighbours($exact, $one->ingredient->density)
                    : $this->spoons->onScale($exact),
                $candidates,
                $grams,
            );
            [$finer, $value] = $this->bestOf($candidates, $byScale);

            return $value < $least ? $finer : $best;
        }

        return $best === null ? null : $this->trim($best, $least);
    }

    /**
     * @param list<Candidate>             $candidates
     * @param list<array{float, float}>   $amounts    the two to choose from for each
     *
     * @return array{list<array{Candidate, float}>|null, float} the best choice within the room, and its value
     */
    private function bestOf(array $candidates, array $amounts): array
    {
        $choices = [[]];
        foreach ($candidates as $index => $candidate) {
            $extended = [];
            foreach ($amounts[$index] as $amount) {
                foreach ($choices as $choice) {
                    $extended[] = $amount > 0.0 ? [...$choice, [$candidate, $amount]] : $choice;
                }
            }
            $choices = $extended;
        }
        [$best, $least] = [null, INF];
        foreach ($choices as $choice) {
            $value = $this->valueOf($choice);
            if ($choice !== [] && array_sum(array_column($choice, 1)) <= $this->most && $value < $least) {
                [$best, $least] = [$choice, $value];
            }
        }

        return [$best, $least];
    }

    /**
     * Takes back notch after notch for as long as that is no worse: the least that does the work.
     *
     * @param list<array{Candidate, float}> $amounts
     *
     * @return list<array{Candidate, float}>
     */
    private function trim(array $amounts, float $value): array
    {
        foreach (array_keys($amounts) as $index) {
            for ($notches = 0; $notches < 100; ++$notches) {
                [$candidate, $grams] = $amounts[$index];
                [$less] = $this->spoons->neighbours(
                    $grams * (1.0 - 1e-6),
                    $candidate->ingredient->density,
                    $candidate->ingredient->eachGrams(),
                );
                $trial = $amounts;
                $trial[$index] = [$candidate, $less];
                $tried = $this->valueOf($trial);
                if ($less <= 0.0 || $tried >= $value) {
                    break;
                }
                [$amounts, $value] = [$trial, $tried];
            }
        }

        return $amounts;
    }

    /** @param list<array{Candidate, float}> $amounts */
    private function valueOf(array $amounts): float
    {
        $after = $this->load;
        foreach ($amounts as [$candidate, $grams]) {
            $after = $after->plus($candidate->perGram, $grams);
        }

        return $this->target->distance($after->taste())
            + Objective::PRICE * ($after->grams - $this->load->grams) / $this->load->grams;
    }

    /**
     * @param list<array{Candidate, float}> $amounts
     */
    private function describe(array $amounts): Correction
    {
        $mixture = $this->batch;
        $additions = [];
        $added = 0.0;
        $gained = [];
        usort($amounts, static fn(array $one, array $other): int => $other[1] <=> $one[1]);
        foreach ($amounts as [$candidate, $grams]) {
            $ingredient = $candidate->ingredient;
            $mixture = $mixture->plus($ingredient->grams($grams));
            [$density, $each] = [$ingredient->density, $ingredient->eachGrams()];
            [$first, $words] = $this->firstDose($grams, $density, $each);
            $additions[] = new Addition(
                $ingredient,
                $grams,
                $this->spoons->measure($grams, $density, $each),
                $first,
                $words,
            );
            $added += $grams;
            $gained = [...$gained, ...array_diff($ingredient->allergens, $this->allergens)];
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
        );
    }

    /**
     * About half of it, in what can be measured; half to the gram where nothing measurable is near.
     *
     * @return array{float, string} grams, and how to say it
     */
    private function firstDose(float $grams, ?float $density, ?float $each): array
    {
        $half = $grams / 2.0;
        $measurable = array_filter(
            [...$this->spoons->neighbours($half, $density, $each), ...$this->spoons->onScale($half)],
            static fn(float $one): bool => $one >= self::LEAST_FIRST * $grams && $one <= self::MOST_FIRST * $grams,
        );
        usort($measurable, static fn(float $one, float $other): int => abs($one - $half) <=> abs($other - $half));
        $first = $measurable[0] ?? $half;

        return [
            $first,
            $measurable === []
                ? 'half of it, ' . KitchenNumber::grams($half)
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
