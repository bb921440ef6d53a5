<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Balance\FinishedBatch;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Measures;
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
    /**
     * How much the old amount itself counts: little where an axis or the starch settles it, more for what is there for
     * its body.
     */
    private const BULK_OF_A_SEASONING = 0.05;
    private const BULK_OF_FAT = 0.8;
    /** Beyond this, in fat, body and bulk together, it is another sauce, offered only when nothing nearer is there. */
    private const OTHER_SAUCE = 2.0;
    private const ENOUGH = 1;

    private SwapTask $task;
    private SwapCandidates $candidates;
    private SwapMeasuring $measuring;

    /**
     * @param int $line from 0
     *
     * @throws SwapFault when there is nothing in that line to replace
     */
    public function __construct(
        Formula $formula,
        int $line,
        SwapReason $reason,
        Catalogue $catalogue,
        Measures $measures,
    ) {
        $this->task = new SwapTask($formula, $line, $reason, $catalogue, $measures);
        $this->candidates = new SwapCandidates($this->task);
        $this->measuring = new SwapMeasuring($this->task);
    }

    /**
     * Ranked substitutes: least change in steps (to a quarter), then nearest in aroma, then fewest compensations.
     *
     * @return list<Swap>
     */
    public function substitutes(): array
    {
        $tried = [];
        foreach ($this->candidates->all() as $candidate) {
            $objective = $this->objective($candidate);
            $tried[] = [
                $candidate,
                $objective,
                $objective->fit([SwapObjective::row($candidate->grams(1.0))], [$this->startFor($candidate)], [0.0]),
            ];
        }
        usort($tried, static fn(array $a, array $b): int => $a[2][1] <=> $b[2][1]);
        $swaps = [];
        foreach (array_slice($tried, 0, self::SHORTLIST) as [$candidate, $objective, $alone]) {
            $swap = $this->best($candidate, $objective, $alone);
            if ($swap !== null && $this->keepsTheMainAxis($swap)) {
                $swaps[] = $swap;
            }
        }
        usort(
            $swaps,
            static fn(Swap $a, Swap $b): int => [
                round(4.0 * $a->residual),
                -$a->aromaSimilarity,
                count($a->compensations),
            ] <=> [round(4.0 * $b->residual), -$b->aromaSimilarity, count($b->compensations)],
        );

        $alike = array_values(array_filter($swaps, static fn(Swap $swap): bool => $swap->misfit <= self::OTHER_SAUCE));

        return array_slice(count($alike) >= self::ENOUGH ? $alike : $swaps, 0, self::MOST_ANSWERS);
    }

    /** How much of one named ingredient replaces the line; null where no amount of it does. */
    public function with(Ingredient $candidate): ?Swap
    {
        $objective = $this->objective($candidate);

        return $this->best(
            $candidate,
            $objective,
            $objective->fit([SwapObjective::row($candidate->grams(1.0))], [$this->startFor($candidate)], [0.0]),
        );
    }

    private function objective(Ingredient $candidate): SwapObjective
    {
        [$own, $weight] = $this->ownAmount($candidate);
        $rest = $this->task->whole->plus($this->task->old->mixture()->times(-1.0));

        return new SwapObjective(
            $rest,
            $this->task->whole,
            $this->task->main,
            $this->task->reason->byTaste,
            FinishedBatch::of($this->task->formula)->yield === null ? null : $this->task->whole->grams(),
            $own,
            $weight,
        );
    }

    /**
     * @return array{float|null, float} the amount that smell or bulk ask for, and how much that counts beside the axes
     */
    private function ownAmount(Ingredient $candidate): array
    {
        $grams = $this->task->grams();
        foreach (Role::of($this->task->gone) as $role) {
            if (
                $role->by === 'aroma'
                && ($equal = $role->equallyStrong($this->task->gone, $grams, $candidate)) !== null
            ) {
                return [$equal, 1.0];
            }
        }
        $bys = array_map(static fn(Role $role): string => $role->by, Role::of($this->task->gone));

        return [$grams, match (true) {
            in_array('fat', $bys, true) => self::BULK_OF_FAT,
            $this->task->main !== null || in_array('thickening', $bys, true) => self::BULK_OF_A_SEASONING,
            default => 1.0,
        }];
    }

    private function startFor(Ingredient $candidate): float
    {
        $grams = $this->task->grams();
        if ($this->task->main === null) {
            return $this->ownAmount($candidate)[0] ?? $grams;
        }
        $old = Taste::ofMixture($this->task->gone->mixture)->on($this->task->main);
        $new = Taste::ofMixture($candidate->mixture)->on($this->task->main);

        return $new > 0.0 ? max(0.01, min(20.0 * $grams, $grams * $old / $new)) : $grams;
    }

    /** @param array{list<float>, float} $alone the fit without compensations */
    private function best(Ingredient $candidate, SwapObjective $objective, array $alone): ?Swap
    {
        $row = SwapObjective::row($candidate->grams(1.0));
        $options = $this->candidates->compensations($candidate);
        $best = [[], $alone[0], $alone[1]];
        $score = $alone[1];
        foreach (SwapCandidates::supports(count($options)) as $support) {
            $chosen = array_map(static fn(int $index): array => $options[$index], $support);
            [$grams, $merit] = $objective->fit(
                [$row, ...array_column($chosen, 2)],
                [$alone[0][0], ...array_fill(0, count($chosen), 0.0)],
                [0.0, ...array_column($chosen, 3)],
            );
            if ($merit + self::WORTH_IT * count($chosen) < $score - 1e-6) {
                $score = $merit + self::WORTH_IT * count($chosen);
                $best = [$chosen, $grams, $merit];
            }
        }
        [$chosen, $grams] = $best;

        return $grams[0] < SwapMeasuring::LEAST_GRAMS
            ? null
            : $this->measuring->of($candidate, $chosen, $grams, $best[2]);
    }

    private function keepsTheMainAxis(Swap $swap): bool
    {
        return $this->task->main === null
            || abs($swap->changeSteps[$this->task->main->value] - $this->task->reason->byTaste) <= self::MAIN_WITHIN;
    }
}
