<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Balance\Balance;
use Vinculum\Balance\FinishedBatch;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/**
 * Finds what can do a line's work: for every ingredient that does the same kind of work, the amount and at most two
 * compensations that leave the whole sauce as it was.
 */
final readonly class SwapSearch
{
    private const MOST_ANSWERS = 10;
    /** Candidates worth trying with compensations: the best without. */
    private const SHORTLIST = 18;
    /** A compensation must gain this much to be worth the trouble, in steps. */
    private const WORTH_IT = 0.25;
    /** The main axis stays within a step (handbook, "Substituting"). */
    private const MAIN_WITHIN = 1.0;
    /** A line that raises no axis by this much has no main axis. */
    private const HAS_MAIN = 0.3;
    /** Spoons that cost more than this many steps are too coarse: the exact weight is told. */
    private const TOO_COARSE = 0.25;
    /** How much the old amount itself counts: little where an axis or the starch settles it, more for what is there for its body. */
    private const BULK_OF_A_SEASONING = 0.05;
    private const BULK_OF_FAT = 0.8;
    /** Beyond this, in fat, body and bulk together, it is another sauce, offered only when nothing nearer is there. */
    private const OTHER_SAUCE = 2.0;
    private const ENOUGH = 1;
    /** What a spoon that misses the amount by a factor of e costs, in steps. */
    private const OFF_THE_AMOUNT = 0.5;
    private const LEAST_GRAMS = 0.02;
    private const FAR_LEANER = 3.0;
    private const FAR_THINNER = 0.3;
    private const NOSE_NOTICED = 3.0;

    /** In a longer formula a search would take seconds. */
    private const MOST_LINES = 1000;

    private ResolvedLine $old;
    private Ingredient $gone;
    private Mixture $whole;
    private Taste $before;
    private ?Axis $main;
    private Balance $balance;
    private Spoons $spoons;

    /**
     * @param int $line from 0
     *
     * @throws SwapFault when there is nothing in that line to replace
     */
    public function __construct(private Formula $formula, private int $line, private SwapReason $reason, private Catalogue $catalogue, Measures $measures)
    {
        if (count($formula->lines) > self::MOST_LINES) {
            throw SwapFault::tooLong(count($formula->lines), self::MOST_LINES);
        }
        $this->old = $formula->lines[$line] ?? throw SwapFault::noSuchLine($line + 1, count($formula->lines));
        $this->gone = $this->old->ingredient ?? throw SwapFault::notKnown($line + 1, $this->old->text);
        if (!$this->old->countsInTheMixture()) {
            throw SwapFault::noAmount($line + 1, $this->old->text);
        }
        $this->balance = Balance::of($formula);
        $this->whole = $this->balance->mixture;
        $this->before = $this->balance->taste;
        $this->main = self::mainAxis($this->before, Taste::ofMixture(FinishedBatch::of($this->without())->mixture));
        $this->spoons = Spoons::of($measures);
    }

    /**
     * Ranked substitutes: least change in steps (to a quarter), then nearest in aroma, then fewest compensations.
     *
     * @return list<Swap>
     */
    public function substitutes(): array
    {
        $tried = [];
        foreach ($this->candidates() as $candidate) {
            $objective = $this->objective($candidate);
            $tried[] = [$candidate, $objective, $objective->fit([SwapObjective::row($candidate->grams(1.0))], [$this->startFor($candidate)], [0.0])];
        }
        usort($tried, static fn(array $a, array $b): int => $a[2][1] <=> $b[2][1]);
        $swaps = [];
        foreach (array_slice($tried, 0, self::SHORTLIST) as [$candidate, $objective, $alone]) {
            $swap = $this->best($candidate, $objective, $alone);
            if ($swap !== null && $this->keepsTheMainAxis($swap)) {
                $swaps[] = $swap;
            }
        }
        usort($swaps, static fn(Swap $a, Swap $b): int => [round(4.0 * $a->residual), -$a->kinship, count($a->compensations)] <=> [round(4.0 * $b->residual), -$b->kinship, count($b->compensations)]);

        $alike = array_values(array_filter($swaps, static fn(Swap $swap): bool => $swap->misfit <= self::OTHER_SAUCE));

        return array_slice(count($alike) >= self::ENOUGH ? $alike : $swaps, 0, self::MOST_ANSWERS);
    }

    /** How much of one named ingredient replaces the line; null where no amount of it does. */
    public function with(Ingredient $candidate): ?Swap
    {
        $objective = $this->objective($candidate);

        return $this->best($candidate, $objective, $objective->fit([SwapObjective::row($candidate->grams(1.0))], [$this->startFor($candidate)], [0.0]));
    }

    /** @return list<Ingredient> */
    private function candidates(): array
    {
        $kinds = array_unique(array_merge([], ...array_map(static fn(Role $role): array => $role->members, Role::of($this->gone))));
        $candidates = [];
        foreach ($kinds as $kind) {
            foreach ([$kind, ...$this->ownOf($kind)] as $key) {
                $candidate = $this->catalogue->has($key) ? $this->catalogue->get($key) : null;
                if ($candidate !== null && $key !== $this->gone->key && $this->reason->admits($candidate, $this->gone, $this->main)) {
                    $candidates[] = $candidate;
                }
            }
        }

        return $candidates;
    }

    /** @return list<string> keys of the cook's own products of a kind */
    private function ownOf(string $kind): array
    {
        return array_values(array_filter($this->catalogue->ownKeys(), fn(string $key): bool => $this->catalogue->get($key)->kind() === $kind));
    }

    private function without(): Formula
    {
        $lines = $this->formula->lines;
        unset($lines[$this->line]);

        return $this->formula->withLines(...$lines);
    }

    /** The axis that the line raises most; what only dilutes has none. */
    private static function mainAxis(Taste $with, Taste $without): ?Axis
    {
        $brought = $without->stepsTo($with);
        arsort($brought);

        return reset($brought) >= self::HAS_MAIN ? Axis::from((string) key($brought)) : null;
    }

    private function objective(Ingredient $candidate): SwapObjective
    {
        [$own, $weight] = $this->ownAmount($candidate);
        $rest = $this->whole->plus($this->old->mixture()->times(-1.0));

        return new SwapObjective($rest, $this->whole, $this->main, $this->reason->byTaste, FinishedBatch::of($this->formula)->yield === null ? null : $this->whole->grams(), $own, $weight);
    }

    /** @return array{float|null, float} the amount that smell or bulk ask for, and how much that counts beside the axes */
    private function ownAmount(Ingredient $candidate): array
    {
        $grams = $this->old->grams->value ?? 0.0;
        foreach (Role::of($this->gone) as $role) {
            if ($role->by === 'aroma' && ($equal = $role->equallyStrong($this->gone, $grams, $candidate)) !== null) {
                return [$equal, 1.0];
            }
        }
        $bys = array_map(static fn(Role $role): string => $role->by, Role::of($this->gone));

        return [$grams, match (true) {
            in_array('fat', $bys, true) => self::BULK_OF_FAT,
            $this->main !== null || in_array('thickening', $bys, true) => self::BULK_OF_A_SEASONING,
            default => 1.0,
        }];
    }

    private function startFor(Ingredient $candidate): float
    {
        $grams = $this->old->grams->value ?? 0.0;
        if ($this->main === null) {
            return $this->ownAmount($candidate)[0] ?? $grams;
        }
        $old = Taste::ofMixture($this->gone->mixture)->on($this->main);
        $new = Taste::ofMixture($candidate->mixture)->on($this->main);

        return $new > 0.0 ? max(0.01, min(20.0 * $grams, $grams * $old / $new)) : $grams;
    }

    /** @param array{list<float>, float} $alone the fit without compensations */
    private function best(Ingredient $candidate, SwapObjective $objective, array $alone): ?Swap
    {
        $row = SwapObjective::row($candidate->grams(1.0));
        $options = $this->compensations($candidate);
        $best = [[], $alone[0], $alone[1]];
        $score = $alone[1];
        foreach (self::supports(count($options)) as $support) {
            $chosen = array_map(static fn(int $index): array => $options[$index], $support);
            [$grams, $merit] = $objective->fit([$row, ...array_column($chosen, 2)], [$alone[0][0], ...array_fill(0, count($chosen), 0.0)], [0.0, ...array_column($chosen, 3)]);
            if ($merit + self::WORTH_IT * count($chosen) < $score - 1e-6) {
                $score = $merit + self::WORTH_IT * count($chosen);
                $best = [$chosen, $grams, $merit];
            }
        }
        [$chosen, $grams] = $best;

        return $grams[0] < self::LEAST_GRAMS ? null : $this->measured($candidate, $chosen, $grams, $best[2]);
    }

    /**
     * What may be put in or taken out to make up: water, sugar, salt and acid, as they already stand in the recipe.
     *
     * @return list<array{Ingredient, int|null, array<int, float>, float}> ingredient, the line it stands in, a row of one gram, the least grams
     */
    private function compensations(Ingredient $candidate): array
    {
        $options = [];
        foreach (['water' => 'water', 'sweetener' => 'white-sugar', 'salt' => 'salt', 'acid' => 'white-vinegar'] as $role => $usual) {
            [$line, $found] = $this->standing($role, $usual);
            $ingredient = $found ?? $this->catalogue->get($usual);
            if (in_array($ingredient->key, [$candidate->key, $this->gone->key], true) || !$this->reason->tolerates($ingredient)) {
                continue;
            }
            $least = $line === null ? 0.0 : -($this->formula->lines[$line]->grams->value ?? 0.0);
            $options[] = [$ingredient, $line, SwapObjective::row($ingredient->grams(1.0)), $least];
        }

        return $options;
    }

    /** @return array{int|null, Ingredient|null} the line that brings most of what one compensates with, if there is one */
    private function standing(string $role, string $usual): array
    {
        $most = 0.0;
        $found = [null, null];
        foreach ($this->formula->lines as $number => $line) {
            $ingredient = $line->ingredient;
            $isIt = $ingredient !== null && ($ingredient->key === $usual || ($role !== 'water' && ($ingredient->roles[0] ?? '') === $role));
            if ($isIt && $number !== $this->line && !in_array('lock', $line->tags, true) && ($line->grams->value ?? 0.0) > $most) {
                $most = $line->grams->value ?? 0.0;
                $found = [$number, $ingredient];
            }
        }

        return $found;
    }

    /** @return list<list<int>> every choice of one or two */
    private static function supports(int $of): array
    {
        $supports = [];
        for ($a = 0; $a < $of; ++$a) {
            $supports[] = [$a];
            for ($b = $a + 1; $b < $of; ++$b) {
                $supports[] = [$a, $b];
            }
        }

        return $supports;
    }

    /**
     * The best of the measurable amounts around the exact ones; the exact weight where spoons are too coarse.
     *
     * @param list<array{Ingredient, int|null, array<int, float>, float}> $chosen
     * @param list<float>                                                  $grams
     */
    private function measured(Ingredient $candidate, array $chosen, array $grams, float $merit): Swap
    {
        $things = [$candidate, ...array_column($chosen, 0)];
        $choices = [[]];
        foreach ($things as $index => $thing) {
            [$below, $above] = $this->spoons->neighbours(abs($grams[$index]), $thing->spoonDensity(), $thing->eachGrams());
            $amounts = $index === 0 && $below <= 0.0 ? [$above] : [$below, $above];
            $extended = [];
            foreach ($amounts as $amount) {
                foreach ($choices as $choice) {
                    $extended[] = [...$choice, $grams[$index] < 0.0 ? max(-$amount, $chosen[$index - 1][3] ?? 0.0) : $amount];
                }
            }
            $choices = $extended;
        }
        $exact = array_map(static fn(float $one): float => round($one, abs($one) >= 10.0 ? 0 : (abs($one) >= 1.0 ? 1 : 2)), $grams);
        $best = $exact;
        $least = $this->residual($things, $exact, $chosen) + self::TOO_COARSE;
        foreach ($choices as $choice) {
            $value = $this->residual($things, $choice, $chosen) + self::OFF_THE_AMOUNT * abs(log($choice[0] / max(self::LEAST_GRAMS, $exact[0])));
            if ($value < $least) {
                [$best, $least] = [$choice, $value];
            }
        }

        $exactResidual = $this->residual($things, $exact, $chosen);

        return $this->described($candidate, $things, $best, $chosen, sqrt(max(0.0, $merit ** 2 - $exactResidual ** 2)));
    }

    /**
     * @param list<Ingredient>                                             $things
     * @param list<float>                                                  $grams
     * @param list<array{Ingredient, int|null, array<int, float>, float}> $chosen
     */
    private function residual(array $things, array $grams, array $chosen): float
    {
        $moves = $this->before->stepsTo(Taste::ofMixture(FinishedBatch::of($this->swapped($things, $grams, $chosen))->mixture));
        if ($this->main !== null) {
            $moves[$this->main->value] -= $this->reason->byTaste;
        }

        return sqrt(array_sum(array_map(static fn(float $move): float => $move * $move, $moves)));
    }

    /**
     * The formula with the substitute in the line's place.
     *
     * @param list<Ingredient>                                             $things
     * @param list<float>                                                  $grams
     * @param list<array{Ingredient, int|null, array<int, float>, float}> $chosen
     */
    private function swapped(array $things, array $grams, array $chosen): Formula
    {
        $compensations = array_map(static fn(array $one, float $amount): SwapAddition => new SwapAddition($one[0], $amount, '', $one[1]), $chosen, array_slice($grams, 1));

        return Swap::placed($this->formula, $this->line, $things[0], $grams[0], $compensations);
    }

    /**
     * @param list<Ingredient>                                             $things
     * @param list<float>                                                  $grams
     * @param list<array{Ingredient, int|null, array<int, float>, float}> $chosen
     */
    private function described(Ingredient $candidate, array $things, array $grams, array $chosen, float $misfit): Swap
    {
        $formula = $this->swapped($things, $grams, $chosen);
        $mixture = FinishedBatch::of($formula)->mixture;
        $after = Taste::ofMixture($mixture);
        $compensations = [];
        foreach ($chosen as $index => [$ingredient, $line]) {
            $amount = $grams[$index + 1];
            if (abs($amount) >= self::LEAST_GRAMS) {
                $compensations[] = new SwapAddition($ingredient, $amount, $this->words($ingredient, abs($amount)), $line);
            }
        }
        $moves = $this->before->stepsTo($after);
        $now = Balance::allergensIn($formula);
        $diets = Balance::dietsOf($formula);

        return new Swap(
            $this->line,
            $candidate,
            $grams[0],
            $this->words($candidate, $grams[0]),
            $compensations,
            $after,
            $moves,
            $this->before->stepsApart($after),
            $this->main,
            $misfit,
            AromaProfile::of($this->gone)->kinship(AromaProfile::of($candidate)),
            array_values(array_diff($now, $this->balance->allergens())),
            array_values(array_diff($this->balance->allergens(), $now)),
            array_values(array_diff($diets, $this->balance->diets())),
            array_values(array_diff($this->balance->diets(), $diets)),
            [...AromaProfile::of($this->gone)->changesTo(AromaProfile::of($candidate)), ...$this->bodyChanges($mixture)],
        );
    }

    /** In spoons where that is what it measures, else by weight. */
    private function words(Ingredient $ingredient, float $grams): string
    {
        [$below, $above] = $this->spoons->neighbours($grams * (1.0 + 1e-6), $ingredient->density, $ingredient->eachGrams());
        $isMeasurable = min(abs($grams - $below), abs($above - $grams)) < 0.01 * $grams;

        return $isMeasurable ? $this->spoons->words($grams, $ingredient->density, $ingredient->eachGrams()) : KitchenNumber::grams($grams);
    }

    /** @return list<string> */
    private function bodyChanges(Mixture $after): array
    {
        $changes = [];
        $fat = $after->percent(Component::Fat) - $this->whole->percent(Component::Fat);
        if (abs($fat) >= self::FAR_LEANER) {
            $changes[] = sprintf('%s by %.0f g fat in 100 g', $fat < 0.0 ? 'leaner' : 'richer', abs($fat));
        }
        $starch = $after->percent(Component::Thickening) - $this->whole->percent(Component::Thickening);
        if (abs($starch) >= self::FAR_THINNER) {
            $changes[] = $starch < 0.0 ? 'thinner: the old one thickened' : 'thicker: the new one thickens';
        }
        $nose = $after->percent(Component::NoseHeat) - $this->whole->percent(Component::NoseHeat);
        if (abs($nose) >= self::NOSE_NOTICED) {
            $changes[] = $nose < 0.0 ? 'less bite in the nose' : 'more bite in the nose';
        }

        return $changes;
    }

    private function keepsTheMainAxis(Swap $swap): bool
    {
        return $this->main === null || abs($swap->changeSteps[$this->main->value] - $this->reason->byTaste) <= self::MAIN_WITHIN;
    }
}
