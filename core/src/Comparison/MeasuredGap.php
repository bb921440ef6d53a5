<?php

declare(strict_types=1);

namespace Vinculum\Comparison;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Estimate;

/** What was measured less what was estimated, laid at the door of the line that makes most of the doubt. */
final readonly class MeasuredGap
{
    /** A line that makes less than this share of what doubt the lines bring is not blamed. */
    private const MAKES_THE_DOUBT = 0.3;

    /** @param 'ph'|'solids' $figure */
    public function __construct(public string $ingredient, public string $figure, public float $gap) {}

    /**
     * @param Balance $estimated as the model has it
     * @param float|null $ph as measured
     * @param float|null $solids g dissolved in 100 g, as measured
     *
     * @return list<self> one for each figure for which one line answers
     */
    public static function between(Balance $estimated, ?float $ph, ?float $solids): array
    {
        return array_values(array_filter([
            self::of($estimated, 'solids', $estimated->figures->dissolvedSolids, $solids),
            self::of($estimated, 'ph', $estimated->ph, $ph),
        ]));
    }

    /** @param 'ph'|'solids' $figure */
    private static function of(Balance $balance, string $figure, ?Estimate $estimate, ?float $measured): ?self
    {
        if ($estimate === null || $measured === null) {
            return null;
        }
        $shares = array_filter(
            $estimate->shares,
            static fn(float $share, int $line): bool => $line >= 0 && $share > 0.0,
            ARRAY_FILTER_USE_BOTH,
        );
        arsort($shares);
        $line = array_key_first($shares);
        $ingredient = $balance->formula->lines[$line ?? -1]->ingredient->key ?? null;

        return $line !== null && $ingredient !== null && $shares[$line] >= self::MAKES_THE_DOUBT * array_sum($shares)
            ? new self($ingredient, $figure, $measured - $estimate->value)
            : null;
    }
}
