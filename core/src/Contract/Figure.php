<?php

declare(strict_types=1);

namespace Vinculum\Contract;

/** Numbers as the contract carries them. */
final class Figure
{
    /** Six significant figures: far finer than any doubt, and free of binary noise. */
    public static function round(float $value): float
    {
        return $value === 0.0 ? 0.0 : round($value, max(0, 5 - (int) floor(log10(abs($value)))));
    }

    public static function roundOrNull(?float $value): ?float
    {
        return $value === null ? null : self::round($value);
    }
}
