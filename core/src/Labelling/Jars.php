<?php

declare(strict_types=1);

namespace Vinculum\Labelling;

/** The jars that a batch goes into, and what is written on them. */
final class Jars
{
    /** A jar is filled by eye: all together may hold a tenth more than is reckoned (common practice). */
    private const BY_EYE = 1.1;
    private const MOST_INITIALS = 3;

    /**
     * Whether so much more can be filled.
     *
     * @param float $there millilitres of the batch
     * @param float $filled millilitres in jars already
     * @param float $more millilitres
     */
    public static function fit(float $there, float $filled, float $more): bool
    {
        return $filled + $more <= self::BY_EYE * $there;
    }

    /**
     * "DK261126-17": the initials of the sauce, the day, the number of the batch.
     *
     * @param string $day six digits
     */
    public static function code(string $title, string $day, int $number): string
    {
        $words = array_slice(
            preg_split('/[^\pL]+/u', $title, -1, PREG_SPLIT_NO_EMPTY) ?: ['S'],
            0,
            self::MOST_INITIALS,
        );
        $initials = mb_strtoupper(
            implode('', array_map(static fn(string $word): string => mb_substr($word, 0, 1), $words)),
        );

        return sprintf('%s%s-%d', $initials, $day, $number);
    }
}
