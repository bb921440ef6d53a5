<?php

declare(strict_types=1);

namespace Vinculum\Optimisation;

/** Where a yes begins between two places, by halving. */
final class Bisection
{
    /** A thousand millionth of the way: finer than any scale. */
    private const HALVINGS = 30;

    /**
     * The place nearest to the first at which it holds, where it holds from somewhere on to the second.
     *
     * @param callable(float): bool $holds
     * @param float $no where it does not hold
     * @param float $yes where it does
     */
    public static function edge(callable $holds, float $no, float $yes): float
    {
        for ($halving = 0; $halving < self::HALVINGS; ++$halving) {
            $middle = ($no + $yes) / 2.0;
            if ($holds($middle)) {
                $yes = $middle;
            } else {
                $no = $middle;
            }
        }

        return $yes;
    }
}
