<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Balance\FinishedBatch;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Mixture;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\Shops;
use Vinculum\Kitchen\Sauce;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/**
 * Finds what can do a line's work: what cooks take in its place, nearest kin first, in the amount and with at most two
 * compensations that leave the whole sauce as it was.
 */
final readonly class SwapSearch
{
    private const MOST_ANSWERS = 10;
    /** Candidates worth trying with compensations: the best without. */
    private const SHORTLIST = 18;
    /** A compensation must gain this much to be worth the trouble, in steps. */
    private const WORTH_IT = 0.5;
    /** The main axis stays within a step (handbook, "Substituting"). */
    private const MAIN_WITHIN = 1.0;
    /**
     * How much the old amount itself counts: little where an axis or the starch settles it, more for what is there for
     * its body.
     */
    private const BULK_OF_A_SEASONING = 0.05;
    private const BULK_OF_FAT = 0.8;
    private const USUAL_AMOUNT = 2.0;
    /** Beyond this, in fat, body and bulk together, it is another sauce, offered only when nothing nearer is there. */
    private const OTHER_SAUCE = 2.0;
    private const ENOUGH = 1;
    /** Less is at most this share of what there was. */
    private const LESS = 0.85;
    /** Of a fat, a nut paste or what it is mostly made of the usual amount is what keeps the body: no less than this share of it, no more than this many times. */
    private const LEAST_OF_FAT = 0.9;
    private const MOST_OF_FAT = 1.25;
    private const LEAST_OF_THE_SAME = 0.75;
    private const MOST_OF_THE_SAME = 1.3;
    private const AS_MUCH = 0.1;
    /** With what makes up for the rest it takes no more room than this many times the old line. */
    private const MOST_BULK = 1.25;
    /** Steps: what moves the whole sauce by so much comes after all of its class that does not. */
    private const FAR = 6.0;
    /** Steps, in taste and body together: nobody tells the one from the other by less. */
    private const AS_NEAR = 1.5;
    /** How much fat, body and bulk count beside the axes, where one is preferred to another of its kin. */
    private const BODY = 0.5;

    private SwapTask $task;
    private SwapCandidates $candidates;
    private SwapMeasuring $measuring;

    /**
     * @param int $line from 0
     * @param list<int> $settled lines, from 0, that are as an earlier swap left them
     * @param Mixture|null $meant what the whole is to taste as, where an earlier swap has moved it already
     * @param Formula|null $eaten what whoever eats it is known to bear, where an earlier swap has put more in
     *
     * @throws SwapFault when there is nothing in that line to replace
     */
    public function __construct(
        Sauce $sauce,
        int $line,
        SwapReason $reason,
        array $settled = [],
        ?Mixture $meant = null,
        ?Formula $eaten = null,
    ) {
        $this->task = new SwapTask($sauce, $line, $reason, $settled, $meant, $eaten);
        $this->candidates = new SwapCandidates($this->task);
        $this->measuring = new SwapMeasuring($this->task);
    }

    /**
     * Ranked substitutes: by kinship, what is not in the recipe already and the commoner first, near relatives of
     * what someone cannot eat after the others; then least change in steps and body, of what is about as near the one that a
     * cook thinks of first, nearest in aroma, fewest compensations. By numbers alone only where nothing nearer does.
     *
     * @return list<Swap>
     */
    public function substitutes(): array
    {
        if ($this->task->isByNameAlone()) {
            return $this->byNameAlone();
        }
        $nearer = $this->ranked($this->candidates->nearer(), count($this->candidates->nearer()));
        if ($nearer !== []) {
            return array_slice($nearer, 0, self::MOST_ANSWERS);
        }
        $swaps = array_values(array_filter(
            $this->ranked($this->candidates->byNumbers(), self::SHORTLIST),
            $this->keepsTheMainAxis(...),
        ));
        $alike = array_values(array_filter($swaps, static fn(Swap $swap): bool => $swap->misfit <= self::OTHER_SAUCE));

        return array_slice(count($alike) >= self::ENOUGH ? $alike : $swaps, 0, self::MOST_ANSWERS);
    }

    /** How much of one named ingredient replaces the line; null where no amount of it does. */
    public function with(Ingredient $candidate): ?Swap
    {
        $standIn = $this->candidates->limited(StandIn::for($this->task->gone, $candidate));
        if ($candidate === $this->task->gone) {
            return $this->ranked($this->candidates->nearer(), 1)[0] ?? null;
        }
        if ($this->task->isByNameAlone()) {
            return $this->measuring->byNameAlone($candidate, $standIn);
        }
        $objective = $this->objective($candidate, $standIn);

        return $this->best($candidate, $standIn, $objective, $this->alone($candidate, $standIn, $objective));
    }

    /**
     * What cooks take in place of a line without an amount, nearest kin first, the commoner before the rarer.
     *
     * @return list<Swap>
     */
    private function byNameAlone(): array
    {
        [$swaps, $places] = [[], []];
        foreach ($this->candidates->nearer() as [$candidate, $standIn]) {
            $swaps[] = $this->measuring->byNameAlone($candidate, $standIn);
            $places[$candidate->key] = $standIn->place;
        }
        $rank = fn(Swap $swap): array => [
            $this->task->reason->isNear($swap->ingredient),
            !$this->task->isInItsState($swap->ingredient),
            $swap->class,
            Shops::of($swap->ingredient)->value,
            $places[$swap->ingredient->key],
        ];
        usort($swaps, static fn(Swap $a, Swap $b): int => $rank($a) <=> $rank($b));

        return array_slice($swaps, 0, self::MOST_ANSWERS);
    }

    /**
     * @param list<array{Ingredient, StandIn}> $candidates
     * @param int $worthTrying with compensations
     *
     * @return list<Swap>
     */
    private function ranked(array $candidates, int $worthTrying): array
    {
        $tried = [];
        foreach ($candidates as [$candidate, $standIn]) {
            $objective = $this->objective($candidate, $standIn);
            $tried[] = [$candidate, $standIn, $objective, $this->alone($candidate, $standIn, $objective)];
        }
        usort($tried, static fn(array $a, array $b): int => $a[3][1] <=> $b[3][1]);
        [$swaps, $places] = [[], []];
        foreach (array_slice($tried, 0, $worthTrying) as [$candidate, $standIn, $objective, $alone]) {
            $swap = $this->best($candidate, $standIn, $objective, $alone);
            if ($swap !== null && $this->isLess($swap)) {
                $swaps[] = $swap;
                $places[$candidate->key] = $standIn->place;
            }
        }
        $rank = fn(Swap $swap): array => [
            $this->task->reason->isNear($swap->ingredient),
            !$this->task->isInItsState($swap->ingredient),
            $swap->class + (int) (!$this->keepsTheMainAxis($swap) || $swap->taste->residual > self::FAR),
            $swap->class,
            $this->task->isInTheRecipe($swap->ingredient),
            Shops::of($swap->ingredient)->value,
            round(4.0 * $this->task->reason->burden($swap->ingredient, $swap->grams)
                / max(1e-9, $this->task->reason->burden($this->task->gone, $this->task->grams()))),
            // of what is about as near, what a cook thinks of first
            round(hypot($swap->taste->residual, self::BODY * $swap->misfit) / self::AS_NEAR),
            $places[$swap->ingredient->key] ?? 0,
            round(4.0 * hypot($swap->taste->residual, self::BODY * $swap->misfit)),
            -$swap->aromaSimilarity,
            count($swap->compensations),
        ];
        usort($swaps, static fn(Swap $a, Swap $b): int => $rank($a) <=> $rank($b));

        return $swaps;
    }

    /** @return array{list<float>, float} the amount without compensations, and its merit */
    private function alone(Ingredient $candidate, StandIn $standIn, SwapObjective $objective): array
    {
        return $objective->fit(
            [SwapObjective::row($candidate->grams(1.0))],
            [$this->startFor($candidate, $standIn)],
            [$this->leastOf($standIn)],
            [$this->mostOf($standIn)],
        );
    }

    /** Where there must be less of something, the amount that is needed of another thing must bring less of it too. */
    private function isLess(Swap $swap): bool
    {
        $reason = $this->task->reason;

        return $reason->less === null || $reason->burden($swap->ingredient, $swap->grams)
            < self::LESS * $reason->burden($this->task->gone, $this->task->grams());
    }

    /** Held between half and twice of the usual amount, where there is one. */
    private function leastOf(StandIn $standIn): float
    {
        return $standIn->ratio === null
            ? 0.0
            : match (true) {
                $this->task->carriesFat() || $this->task->isBulk() => self::LEAST_OF_FAT,
                $this->isSpooned($standIn) => self::LEAST_OF_THE_SAME,
                default => 0.5,
            } * $standIn->ratio * $this->task->grams();
    }

    private function mostOf(StandIn $standIn): float
    {
        return $standIn->ratio === null
            ? INF
            : $this->mostTimes($standIn) * $standIn->ratio * $this->task->grams();
    }

    /** Of a bottled sauce its like goes in spoon for spoon, whatever is printed on either bottle. */
    private function isSpooned(StandIn $standIn): bool
    {
        $isSauce = $this->task->catalogue->has($standIn->kind)
            && in_array('sauce', $this->task->catalogue->get($standIn->kind)->kinds, true);

        return $isSauce && $standIn->class <= StandIn::USUAL
            && abs(($standIn->ratio ?? 0.0) - 1.0) <= self::AS_MUCH;
    }

    private function mostTimes(StandIn $standIn): float
    {
        return match (true) {
            $this->task->reason->less !== null => 1.0,
            $this->task->carriesFat() || $this->task->isBulk() => self::MOST_OF_FAT,
            $this->isSpooned($standIn) => self::MOST_OF_THE_SAME,
            default => 2.0,
        };
    }

    private function objective(Ingredient $candidate, StandIn $standIn): SwapObjective
    {
        [$own, $weight] = $this->ownAmount($candidate, $standIn);
        $rest = $this->task->whole->minus($this->task->old->mixture());

        return new SwapObjective(
            $rest,
            $this->task->meant,
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
    private function ownAmount(Ingredient $candidate, StandIn $standIn): array
    {
        $grams = ($standIn->ratio ?? 1.0) * $this->task->grams();
        foreach (Role::of($this->task->gone) as $role) {
            if (
                $role->by === 'aroma'
                && ($equal = $role->equallyStrong($this->task->gone, $this->task->grams(), $candidate)) !== null
            ) {
                return [$equal, 1.0];
            }
        }
        $bys = array_map(static fn(Role $role): string => $role->by, Role::of($this->task->gone));

        return [$grams, match (true) {
            in_array('fat', $bys, true) => self::BULK_OF_FAT,
            // stronger or milder is another amount
            $standIn->ratio !== null && $this->task->reason->byTaste === 0.0 => self::USUAL_AMOUNT,
            $this->task->main !== null || in_array('thickening', $bys, true) => self::BULK_OF_A_SEASONING,
            default => 1.0,
        }];
    }

    private function startFor(Ingredient $candidate, StandIn $standIn): float
    {
        $grams = $this->task->grams();
        if ($standIn->ratio !== null) {
            return $standIn->ratio * $grams;
        }
        if ($this->task->main === null) {
            return $this->ownAmount($candidate, $standIn)[0] ?? $grams;
        }
        $old = Taste::ofMixture($this->task->gone->composition->mixture)->on($this->task->main);
        $new = Taste::ofMixture($candidate->composition->mixture)->on($this->task->main);

        return $new > 0.0 ? max(0.01, min(20.0 * $grams, $grams * $old / $new)) : $grams;
    }

    /** @param array{list<float>, float} $alone the fit without compensations */
    private function best(Ingredient $candidate, StandIn $standIn, SwapObjective $objective, array $alone): ?Swap
    {
        $row = SwapObjective::row($candidate->grams(1.0));
        // where there is to be less of something, nothing makes up for it
        $isLeft = $this->task->reason->less !== null || $objective->leavesTheTaste($row, $alone[0][0]);
        $options = $isLeft ? [] : $this->candidates->compensations($candidate);
        $best = [[], $alone[0], $alone[1]];
        $score = $alone[1];
        foreach (SwapCandidates::supports(count($options)) as $support) {
            // not even a perfect fit would be worth the trouble
            if (self::WORTH_IT * count($support) >= $score) {
                continue;
            }
            $chosen = array_map(static fn(int $index): array => $options[$index], $support);
            [$grams, $merit] = $objective->fit(
                [$row, ...array_column($chosen, 2)],
                [$alone[0][0], ...array_fill(0, count($chosen), 0.0)],
                [$this->leastOf($standIn), ...array_column($chosen, 3)],
                [$this->mostOf($standIn), ...array_column($chosen, 4)],
                max(
                    $standIn->ratio === null ? INF : $standIn->ratio * $this->task->grams(),
                    self::MOST_BULK * $this->task->grams(),
                ),
            );
            if ($merit + self::WORTH_IT * count($chosen) < $score - 1e-6) {
                $score = $merit + self::WORTH_IT * count($chosen);
                $best = [$chosen, $grams, $merit];
            }
        }
        [$chosen, $grams] = $best;

        return $grams[0] < SwapMeasuring::LEAST_GRAMS
            ? null
            : $this->measuring->of($candidate, $standIn, $chosen, $grams, $best[2]);
    }

    private function keepsTheMainAxis(Swap $swap): bool
    {
        return $this->task->main === null
            || $this->task->reason->less !== null
            || abs($swap->taste->steps[$this->task->main->value] - $this->task->reason->byTaste) <= self::MAIN_WITHIN;
    }
}
