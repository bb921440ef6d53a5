<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Facts\Facts;

/**
 * The watch over a hot sauce that cools: to 21 °C within two hours, to 5 °C within four hours more. Times run from the
 * moment the heat went off, which is the cautious side of the published limit (it counts from 57 °C).
 *
 * Source: FDA Food Code 2022, 3-501.14.
 */
final readonly class Cooling
{
    private const LEAST_SPAN_MINUTES = 2.0;

    /**
     * @param 'first'|'second'|'done'|'too-slow' $stage
     * @param float|null $celsius as last read
     * @param float $minutesLeft until the limit of this stage; negative when it has passed
     * @param float|null $expected minutes from now until this stage is reached at the rate seen; null while nobody
     *     knows
     */
    private function __construct(
        public string $stage,
        public ?float $celsius,
        public float $limit,
        public float $minutesLeft,
        public ?float $expected,
        public string $says,
    ) {}

    /**
     * @param list<array{float, float}> $readings minutes since the heat went off, and degrees Celsius, in order
     * @param float $now minutes since the heat went off
     */
    public static function at(array $readings, float $now): self
    {
        $facts = Facts::of(CookingFacts::class)->cooling;
        $readings = array_values(
            array_filter($readings, static fn(array $one): bool => is_finite($one[0]) && is_finite($one[1])),
        );
        $last = $readings === [] ? null : $readings[count($readings) - 1][1];
        [$first, $firstMinutes, $secondMinutes] = [$facts->first, $facts->firstMinutes, $facts->secondMinutes];
        $reachedFirst = self::reached($readings, $first);
        $reachedSecond = self::reached($readings, $facts->second);
        $isSlow = ($reachedFirst ?? $now) > $firstMinutes
            || ($reachedSecond ?? $now) > ($reachedFirst ?? $firstMinutes) + $secondMinutes;
        if ($isSlow) {
            return new self('too-slow', $last, $first, 0.0, null, $reachedFirst === null || $reachedFirst > $firstMinutes
                ? sprintf(
                    'It was not below %.0f °C within %s: throw it away, tasting will not tell.',
                    $first,
                    self::words($firstMinutes),
                )
                : sprintf(
                    'It was not below %.0f °C within %s more: throw it away, tasting will not tell.',
                    $facts->second,
                    self::words($secondMinutes),
                ));
        }
        if ($reachedSecond !== null) {
            return new self('done', $last, $facts->second, 0.0, null, 'Cold, and in time.');
        }
        $stage = $reachedFirst === null ? 'first' : 'second';
        [$limit, $left] = $stage === 'first'
            ? [$first, $firstMinutes - $now]
            : [$facts->second, $reachedFirst + $secondMinutes - $now];
        $expected = self::expected(
            $readings,
            $now,
            $limit,
            $stage === 'first' ? self::room($facts, $readings) : $facts->cold,
        );

        return new self($stage, $last, $limit, $left, $expected, self::advice($stage, $limit, $left, $expected));
    }

    /** The limits, as they are told before the heat goes off. */
    public static function rule(): string
    {
        $facts = Facts::of(CookingFacts::class)->cooling;

        return sprintf(
            'From now it has %s to come below %.0f °C, and %s more to come below %.0f °C: a wide shallow pan, iced water round it. (%s, where your own food authority is stricter, follow it)',
            self::words($facts->firstMinutes),
            $facts->first,
            self::words($facts->secondMinutes),
            $facts->second,
            $facts->source,
        );
    }

    private static function advice(string $stage, float $limit, float $left, ?float $expected): string
    {
        $says = sprintf('Below %.0f °C within %s.', $limit, self::words($left));
        if ($expected !== null) {
            $says .= $expected <= $left
                ? sprintf(' At this rate in about %s: it will make it.', self::words($expected))
                : ' At this rate it will not make it: '
                    . ($stage === 'first' ? 'pour it into a wide shallow pan and stand that in iced water.' : 'spread it thinner, or take it to the freezer.');
        }

        return $says;
    }

    /** @param list<array{float, float}> $readings */
    private static function reached(array $readings, float $celsius): ?float
    {
        foreach ($readings as [$minutes, $read]) {
            if ($read <= $celsius) {
                return $minutes;
            }
        }

        return null;
    }

    /** @param list<array{float, float}> $readings */
    private static function room(CoolingFacts $facts, array $readings): float
    {
        return min(
            $facts->room,
            ...array_map(static fn(array $one): float => $one[1] - 1.0, $readings === [] ? [[0.0, 100.0]] : $readings),
        );
    }

    /**
     * By Newton's law of cooling between the first and the last reading of the stage.
     *
     * @param list<array{float, float}> $readings
     */
    private static function expected(array $readings, float $now, float $limit, float $around): ?float
    {
        $hot = array_values(array_filter($readings, static fn(array $one): bool => $one[1] > $around));
        if (count($hot) < 2) {
            return null;
        }
        [[$from, $hotter], [$to, $cooler]] = [$hot[max(0, count($hot) - 6)], $hot[count($hot) - 1]];
        if ($to - $from < self::LEAST_SPAN_MINUTES || $cooler >= $hotter || $limit <= $around) {
            return null;
        }
        $rate = log(($hotter - $around) / ($cooler - $around)) / ($to - $from);

        return max(0.0, $to + log(($cooler - $around) / ($limit - $around)) / $rate - $now);
    }

    private static function words(float $minutes): string
    {
        $minutes = (int) max(0, round($minutes));

        return $minutes < 60 ? "{$minutes} minutes" : sprintf('%d h %02d min', intdiv($minutes, 60), $minutes % 60);
    }
}
