<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Ingredient\Work;

/**
 * Puts corrections in the order in which a cook wants them: the least change, the plainest, another way, then the rest
 * by cost. One that only adds something to a better one is left out.
 */
final class AnswersThatDiffer
{
    /** Costs are told apart to this many parts of a step. */
    private const PARTS = 4.0;

    /** The plainest may cost this much more than the best, in steps. */
    private const PLAIN_COSTS = 1.5;

    /** What costs so many steps more than the best is no answer beside it: 90 g of chilli paste for its salt. */
    private const NO_ANSWER_COSTS = 3.0;

    /**
     * @param list<Correction> $corrections
     *
     * @return list<Correction>
     */
    public static function of(array $corrections, int $most): array
    {
        usort($corrections, static fn(Correction $one, Correction $other): int => $one->cost <=> $other->cost);
        $ranked = self::withoutIdleAdditions($corrections);
        if ($ranked === []) {
            return [];
        }
        $ranked = array_values(array_filter(
            $ranked,
            static fn(Correction $one): bool => $one->cost <= $ranked[0]->cost + self::NO_ANSWER_COSTS,
        ));
        $chosen = [$ranked[0]];
        $plainest = self::first(
            $ranked,
            static fn(Correction $one): bool => count($one->additions) < count($chosen[0]->additions)
                && $one->cost <= $chosen[0]->cost + self::PLAIN_COSTS,
        );
        if ($plainest !== null) {
            $chosen[] = $plainest;
        }
        $other = self::first(
            $ranked,
            static fn(Correction $one): bool => !in_array($one, $chosen, true)
                && self::works($one) !== self::works($chosen[0])
                && array_intersect(self::keys($one), self::keys($chosen[0])) === [],
        ) ?? self::first($ranked, static fn(Correction $one): bool => !in_array($one, $chosen, true));
        if ($other !== null) {
            $chosen[] = $other;
        }
        $rest = array_values(array_filter(
            $ranked,
            static fn(Correction $one): bool => !in_array($one, $chosen, true),
        ));
        usort(
            $rest,
            static fn(Correction $one, Correction $two): int => [
                round(self::PARTS * $one->cost),
                count($one->additions),
                $one->addedGrams,
            ] <=> [round(self::PARTS * $two->cost), count($two->additions), $two->addedGrams],
        );

        return array_slice([...$chosen, ...$rest], 0, $most);
    }

    /**
     * @param list<Correction> $ranked
     * @param callable(Correction): bool $is
     */
    private static function first(array $ranked, callable $is): ?Correction
    {
        foreach ($ranked as $correction) {
            if ($is($correction)) {
                return $correction;
            }
        }

        return null;
    }

    /** @return list<string> */
    private static function keys(Correction $correction): array
    {
        return array_map(static fn(Addition $one): string => $one->ingredient->key, $correction->additions);
    }

    /** @return list<string> what its main addition does */
    private static function works(Correction $correction): array
    {
        return Work::of($correction->additions[0]->ingredient->kind());
    }

    /**
     * @param list<Correction> $ranked
     *
     * @return list<Correction>
     */
    private static function withoutIdleAdditions(array $ranked): array
    {
        $kept = [];
        foreach ($ranked as $correction) {
            foreach ($kept as $better) {
                if (array_diff(self::keys($better), self::keys($correction)) === []) {
                    continue 2;
                }
            }
            $kept[] = $correction;
        }

        return $kept;
    }
}
