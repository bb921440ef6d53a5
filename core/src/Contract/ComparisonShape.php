<?php

declare(strict_types=1);

namespace Vinculum\Contract;

use Vinculum\Balance\Balance;
use Vinculum\Comparison\Comparison;
use Vinculum\Comparison\LineChange;
use Vinculum\Sensory\Target;

/** Two states of a sauce side by side, for HTTP: grams, steps. */
final class ComparisonShape
{
    /** @return array<string, mixed> */
    public static function of(Comparison $comparison, Balance $before, Balance $after, ?Target $target): array
    {
        return [
            'says' => $comparison->words(),
            'changes' => $comparison->says,
            'lines' => array_map(static fn(LineChange $line): array => [
                'ingredient' => $line->ingredient?->key,
                'name' => $line->ingredient?->name,
                'before' => $line->before,
                'after' => $line->after,
                'grams_before' => Figure::round($line->gramsBefore),
                'grams_after' => Figure::round($line->gramsAfter),
                'says' => $line->says,
            ], $comparison->lines),
            'steps' => array_map(Figure::round(...), $comparison->steps),
            'axes_before' => BalanceShape::axes($before->axes, $target),
            'axes_after' => BalanceShape::axes($after->axes, $target),
            'batch_before' => ['grams' => Figure::round($before->mixture->grams())],
            'batch_after' => ['grams' => Figure::round($after->mixture->grams())],
        ];
    }
}
