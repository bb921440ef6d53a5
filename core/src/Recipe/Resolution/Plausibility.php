<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Facts\Facts;
use Vinculum\Quantity\KitchenNumber;

/** Asks about what is so much that it is likelier a slip than a recipe: it is not believed until the cook says so. */
final class Plausibility
{
    private const MEANT = 'meant';

    /** Whether a line waits for the cook to say that so much is meant. */
    public static function isAskedAbout(ResolvedLine $line): bool
    {
        return $line->status === LineStatus::Unknown
            && $line->ingredient !== null
            && str_contains($line->note ?? '', '[' . self::MEANT . ']');
    }

    /** The line as it reads once the cook has said so. */
    public static function meant(ResolvedLine $line): string
    {
        return rtrim($line->text()) . ' [' . self::MEANT . ']';
    }

    /**
     * @param list<ResolvedLine> $lines of one recipe
     *
     * @return list<ResolvedLine>
     */
    public static function asked(array $lines): array
    {
        $facts = Facts::of(PlausibleFacts::class);
        $grams = array_map(
            static fn(ResolvedLine $line): float => in_array('water', $line->ingredient->roles ?? [], true)
                ? 0.0
                : $line->grams->value ?? 0.0,
            $lines,
        );
        $whole = array_sum($grams);

        return array_map(static function (ResolvedLine $line, float $each) use ($facts, $whole): ResolvedLine {
            $said = KitchenNumber::grams($line->grams->value ?? 0.0);
            if (in_array(self::MEANT, $line->written->tags, true)) {
                return $line;
            }
            $others = $whole - $each;
            $isBase = array_intersect($facts->bases, $line->ingredient->roles ?? []) !== [];
            $isMost = $others > 0.0 && $each > $facts->timesTheOthers * $others && !$isBase;

            return match (true) {
                ($line->grams->value ?? 0.0) > $facts->mostGrams => $line->questioned(
                    "{$said} is more than a kitchen holds: check the number and the unit, or write [meant] behind it. The line is left out until then.",
                ),
                $isMost && $each > $facts->doubtfulFrom => $line->questioned(sprintf(
                    '%s is %d times all the rest: check the number and the unit, or write [meant] behind it. The line is left out until then.',
                    $said,
                    (int) round($each / $others),
                )),
                $isMost && $line->status === LineStatus::Assumed => $line->assuming(sprintf(
                    '%s is %d times all the rest: is it meant?',
                    $said,
                    (int) round($each / $others),
                )),
                default => $line,
            };
        }, $lines, $grams);
    }
}
