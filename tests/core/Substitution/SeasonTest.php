<?php

declare(strict_types=1);

namespace Tests\core\Substitution;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Substitution\Season;
use Vinculum\Substitution\SwapReason;

/** Where zones lie is from the time zone database that PHP ships. */
final class SeasonTest extends TestCase
{
    #[DataProvider('days')]
    public function test_half_the_world_has_its_summer_in_january(string $day, string $zone, int $month): void
    {
        self::assertSame($month, Season::month(new \DateTimeImmutable($day, new \DateTimeZone($zone))));
    }

    /** @return iterable<string, array{string, string, int}> */
    public static function days(): iterable
    {
        yield 'July in the north' => ['2026-07-15', 'Europe/Berlin', 7];
        yield 'July in the south' => ['2026-07-15', 'Australia/Melbourne', 1];
        yield 'January in the south' => ['2026-01-15', 'America/Argentina/Buenos_Aires', 7];
        yield 'December in the south' => ['2026-12-31', 'Pacific/Auckland', 6];
        yield 'June in the south' => ['2026-06-01', 'Africa/Johannesburg', 12];
        yield 'a zone that is no place' => ['2026-02-01', 'UTC', 2];
        yield 'an offset is no place either' => ['2026-02-01', '+10:00', 2];
    }

    public function test_damsons_are_to_be_had_in_autumn_on_either_side(): void
    {
        $has = static fn(string $day, string $zone): bool => SwapReason::isInSeason(
            'damson',
            Season::month(new \DateTimeImmutable($day, new \DateTimeZone($zone))),
        );

        self::assertTrue($has('2026-09-10', 'Europe/London'));
        self::assertFalse($has('2026-09-10', 'Australia/Hobart'));
        self::assertTrue($has('2026-03-10', 'Australia/Hobart'));
    }
}
