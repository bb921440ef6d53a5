<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Balance\Balance;
use Vinculum\Balance\FinishedBatch;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measure;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Taste;

/**
 * A swap in amounts that can be measured: the best around the exact ones; the exact weight where spoons are too coarse.
 */
final readonly class SwapMeasuring
{
    /** Less than this is nothing. */
    public const LEAST_GRAMS = 0.02;
    /** Spoons that cost more than this many steps are too coarse: the exact weight is told. */
    private const TOO_COARSE = 0.25;
    /** What a spoon that misses the amount by a factor of e costs, in steps. */
    private const OFF_THE_AMOUNT = 0.5;
    /** Changes of the whole that are told: g of fat, per cent of what thickens, nose heat, in 100 g. */
    private const FAR_LEANER = 3.0;
    private const FAR_THINNER = 0.3;
    private const NOSE_NOTICED = 3.0;
    /** Of a line without an amount: as a logarithm, about as much; and so little that it goes by the pinch. */
    private const AS_MUCH = 0.25;
    private const BY_THE_PINCH = 0.2;

    public function __construct(private SwapTask $task) {}

    /**
     * The best of the measurable amounts around the exact ones; the exact weight where spoons are too coarse.
     *
     * @param list<array{Ingredient, int|null, array<int, float>, float}> $chosen
     * @param list<float> $grams
     */
    public function of(Ingredient $candidate, StandIn $standIn, array $chosen, array $grams, float $merit): Swap
    {
        $things = [$candidate, ...array_column($chosen, 0)];
        $choices = [[]];
        foreach ($things as $index => $thing) {
            [$below, $above] = $this->task->spoons->neighbours(
                abs($grams[$index]),
                $thing->portions->spoonDensity(),
                $thing->portions->eachGrams(),
            );
            $amounts = $index === 0 && $below <= 0.0 ? [$above] : [$below, $above];
            $extended = [];
            foreach ($amounts as $amount) {
                foreach ($choices as $choice) {
                    $extended[] = [
                        ...$choice,
                        $grams[$index] < 0.0 ? max(-$amount, $chosen[$index - 1][3] ?? 0.0) : $amount,
                    ];
                }
            }
            $choices = $extended;
        }
        $exact = [];
        foreach ($grams as $index => $one) {
            $density = $things[$index]->portions->spoonDensity();
            // nobody measures less than the smallest spoon to make up for something
            $isLittle = $index > 0 && abs($one) < 1.0;
            $exact[] = match (true) {
                $isLittle && abs($one) < $this->task->spoons->notch(abs($one), $density) => 0.0,
                $isLittle => ($one < 0.0 ? -1.0 : 1.0) * $this->task->spoons->nearest(abs($one), $density),
                default => round($one, abs($one) >= 10.0 ? 0 : (abs($one) >= 1.0 ? 1 : 2)),
            };
        }
        $best = $exact;
        $least = $this->residual($things, $exact, $chosen) + self::TOO_COARSE;
        foreach ($choices as $choice) {
            $value = $this->residual($things, $choice, $chosen) + self::OFF_THE_AMOUNT * abs(
                log($choice[0] / max(self::LEAST_GRAMS, $exact[0])),
            );
            if ($value < $least) {
                [$best, $least] = [$choice, $value];
            }
        }

        $exactResidual = $this->residual($things, $exact, $chosen);

        $misfit = sqrt(max(0.0, $merit ** 2 - $exactResidual ** 2));

        return $this->described($candidate, $standIn, $things, $best, $chosen, $misfit);
    }

    /**
     * @param list<Ingredient> $things
     * @param list<float> $grams
     * @param list<array{Ingredient, int|null, array<int, float>, float}> $chosen
     */
    private function residual(array $things, array $grams, array $chosen): float
    {
        $moves = $this->task->before->stepsTo(
            Taste::ofMixture(FinishedBatch::of($this->swapped($things, $grams, $chosen))->mixture),
        );
        if ($this->task->main !== null) {
            $moves[$this->task->main->value] -= $this->task->reason->byTaste;
        }

        return sqrt(array_sum(array_map(static fn(float $move): float => $move * $move, $moves)));
    }

    /**
     * The formula with the substitute in the line's place.
     *
     * @param list<Ingredient> $things
     * @param list<float> $grams
     * @param list<array{Ingredient, int|null, array<int, float>, float}> $chosen
     */
    private function swapped(array $things, array $grams, array $chosen): Formula
    {
        $compensations = array_map(
            static fn(array $one, float $amount): SwapAddition => new SwapAddition(
                $one[0],
                $amount,
                Measure::weighed($amount),
                $one[1],
            ),
            $chosen,
            array_slice($grams, 1),
        );

        return Swap::placed($this->task->formula, $this->task->line, $things[0], $grams[0], $compensations);
    }

    /**
     * @param list<Ingredient> $things
     * @param list<float> $grams
     * @param list<array{Ingredient, int|null, array<int, float>, float}> $chosen
     */
    private function described(
        Ingredient $candidate,
        StandIn $standIn,
        array $things,
        array $grams,
        array $chosen,
        float $misfit,
    ): Swap {
        $formula = $this->swapped($things, $grams, $chosen);
        $mixture = FinishedBatch::of($formula)->mixture;
        $after = Taste::ofMixture($mixture);
        $compensations = [];
        foreach ($chosen as $index => [$ingredient, $line]) {
            $amount = $grams[$index + 1];
            if (abs($amount) >= self::LEAST_GRAMS) {
                $compensations[] = new SwapAddition(
                    $ingredient,
                    $amount,
                    $this->measureOf($ingredient, abs($amount)),
                    $line,
                );
            }
        }
        $moves = $this->task->before->stepsTo($after);

        return new Swap(
            $this->task->line,
            $candidate,
            $grams[0],
            $this->measureOf($candidate, $grams[0]),
            $compensations,
            new TasteChange($after, $moves, $this->task->before->stepsApart($after), $this->task->main),
            $this->suitability($formula),
            $misfit,
            AromaProfile::of($this->task->gone)->similarity(AromaProfile::of($candidate)),
            [
                ...$this->kinship($candidate, $standIn),
                ...AromaProfile::of($this->task->gone)->changesTo(AromaProfile::of($candidate)),
                ...$this->bodyChanges($mixture),
            ],
            $standIn->class,
        );
    }

    /** What does instead of a line without an amount, and about how much of it: nothing is weighed, so nothing is solved. */
    public function byNameAlone(Ingredient $candidate, StandIn $standIn): Swap
    {
        $formula = Swap::placed($this->task->formula, $this->task->line, $candidate, 0.0, []);

        return new Swap(
            $this->task->line,
            $candidate,
            0.0,
            Measure::said($this->aboutAsMuch($candidate, $standIn->ratio)),
            [],
            new TasteChange($this->task->before, $this->task->before->stepsTo($this->task->before), 0.0, null),
            $this->suitability($formula),
            0.0,
            AromaProfile::of($this->task->gone)->similarity(AromaProfile::of($candidate)),
            [
                'no amount is said, so nothing is weighed: add it little by little, and taste',
                ...$this->kinship($candidate, $standIn),
                ...AromaProfile::of($this->task->gone)->changesTo(AromaProfile::of($candidate)),
            ],
            $standIn->class,
        );
    }

    /** By the spoon where both are spooned, else by weight. */
    private function aboutAsMuch(Ingredient $candidate, ?float $ratio): string
    {
        if ($ratio === null) {
            return 'as much as it takes';
        }
        [$old, $new] = [$this->task->gone->portions->density, $candidate->portions->density];
        $isSpooned = $old !== null && $new !== null && $new > 0.0;
        $times = $isSpooned ? $ratio * $old / $new : $ratio;
        $of = $isSpooned ? 'as much' : 'the weight';
        $told = KitchenNumber::mixed(max(0.25, $times < 2.0 ? round(4.0 * $times) / 4.0 : round(2.0 * $times) / 2.0));

        return match (true) {
            abs(log($times)) <= self::AS_MUCH => $isSpooned ? 'about as much' : 'about the same weight',
            $times > 1.0 => "about {$told} times {$of}",
            $times >= self::BY_THE_PINCH => "about {$told} " . ($isSpooned ? $of : "of {$of}"),
            default => 'much less, a pinch at a time',
        };
    }

    private function suitability(Formula $formula): SuitabilityChange
    {
        return SuitabilityChange::between(
            $this->task->balance->allergens(),
            Balance::allergensIn($formula),
            $this->task->balance->diets(),
            Balance::dietsOf($formula),
        );
    }

    /** @return list<string> what is to be said of how near it is */
    private function kinship(Ingredient $candidate, StandIn $standIn): array
    {
        $said = [];
        if ($this->task->reason->isNear($candidate)) {
            $said[] = 'a near relative of what someone cannot eat: ask first';
        }
        if ($standIn->class === StandIn::NUMBERS) {
            $said[] = 'by numbers only: no cook usually takes it';
        }

        return $said;
    }

    /** In spoons where that is what it measures, else by weight. */
    private function measureOf(Ingredient $ingredient, float $grams): Measure
    {
        [$below, $above] = $this->task->spoons->neighbours(
            $grams * (1.0 + 1e-6),
            $ingredient->portions->density,
            $ingredient->portions->eachGrams(),
        );
        $isMeasurable = min(abs($grams - $below), abs($above - $grams)) < 0.01 * $grams;

        return $isMeasurable
            ? $this->task->spoons->measure($grams, $ingredient->portions->density, $ingredient->portions->eachGrams())
            : $this->task->spoons->exactly(
                $grams,
                $ingredient->portions->density,
                $ingredient->portions->eachGrams(),
            );
    }

    /** @return list<string> */
    private function bodyChanges(Mixture $after): array
    {
        $changes = [];
        $fat = $after->percent(Component::Fat) - $this->task->whole->percent(Component::Fat);
        if (abs($fat) >= self::FAR_LEANER) {
            $changes[] = sprintf('%s by %.0f g fat in 100 g', $fat < 0.0 ? 'leaner' : 'richer', abs($fat));
        }
        $starch = $after->percent(Component::Thickening) - $this->task->whole->percent(Component::Thickening);
        if (abs($starch) >= self::FAR_THINNER) {
            $changes[] = $starch < 0.0 ? 'thinner: the old one thickened' : 'thicker: the new one thickens';
        }
        $nose = $after->percent(Component::Pungency) - $this->task->whole->percent(Component::Pungency);
        if (abs($nose) >= self::NOSE_NOTICED) {
            $changes[] = $nose < 0.0 ? 'less bite in the nose' : 'more bite in the nose';
        }

        return $changes;
    }
}
