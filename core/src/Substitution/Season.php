<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

/** Which month of the temperate north is as this day is where the cook is: south of the equator, half a year on. */
final class Season
{
    private const HALF_A_YEAR = 6;

    /** @return int 1 to 12; the day's zone says where it is, and one without a place counts as the north */
    public static function month(\DateTimeImmutable $day): int
    {
        $month = (int) $day->format('n');
        $latitude = ($day->getTimezone()->getLocation() ?: [])['latitude'] ?? 0.0;

        return $latitude < 0.0 ? ($month + self::HALF_A_YEAR - 1) % 12 + 1 : $month;
    }
}
