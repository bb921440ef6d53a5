<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Writing;

use Vinculum\Facts\FactsFile;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Quantity\Unit;
use Vinculum\Quantity\Units;
use Vinculum\Recipe\Parser\Counts;
use Vinculum\Recipe\Parser\WrittenAmount;
use Vinculum\Recipe\Parser\WrittenText;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** Writes a line again with another amount, in the unit it was written in, so that it reads back as that amount. */
final class AmountWriter
{
    /** Told in decimals, not in fractions. */
    private const METRIC = ['gram', 'kilogram', 'milligram', 'millilitre', 'centilitre', 'decilitre', 'litre'];
    /** Lengths are written as they were, with the piece or knob they measure. */
    private const LENGTHS = ['cm', 'inch'];
    private const PACKS = '/^(\d+)(?=\s*[×x*]\s*\d)/u';

    /**
     * The line with the measurable amount nearest to so many grams, at least one notch.
     *
     * A line without an amount gets one in spoons, or on the scale.
     */
    public static function inGrams(ResolvedLine $line, float $grams, Measures $measures): string
    {
        $each = self::gramsOfOne($line);
        if ($each === null || $line->written->measured === null) {
            return self::withFirstAmount($line, $grams, $measures);
        }
        $count = $grams / $each;
        $notch = self::packs($line) === null ? self::notch($line->written->measured, $count) : 1.0;

        return self::written($line, max(1.0, round($count / $notch)) * $notch, $measures);
    }

    /**
     * The line one measurable notch up (1) or down (−1); it never reaches nothing.
     */
    public static function notched(ResolvedLine $line, int $direction, Measures $measures): string
    {
        $each = self::gramsOfOne($line);
        if ($each === null || $line->written->measured === null) {
            return $direction > 0 ? self::withFirstAmount($line, 0.0, $measures) : $line->written->text;
        }
        $count = self::countOf($line->written->measured, $line);
        $notch = self::packs($line) === null
            ? self::notch($line->written->measured, $direction > 0 ? $count : $count * (1.0 - 1e-9))
            : 1.0;
        $next = $direction > 0
            ? (floor($count / $notch + 1e-6) + 1.0) * $notch
            : (ceil($count / $notch - 1e-6) - 1.0) * $notch;

        return $next > 0.0 ? self::written($line, $next, $measures) : $line->written->text;
    }

    /** Grams of one unit as this line counts it; null where nothing is counted. */
    private static function gramsOfOne(ResolvedLine $line): ?float
    {
        $count = $line->written->measured === null ? 0.0 : self::countOf($line->written->measured, $line);

        return $count > 0.0 && $line->grams !== null && $line->grams->value > 0.0 && $line->written->amountText !== ''
            ? $line->grams->value / $count
            : null;
    }

    private static function countOf(WrittenAmount $measured, ResolvedLine $line): float
    {
        return self::packs($line) ?? $measured->middle() * $measured->fill;
    }

    /** How many packs a line counts, as in "2 × 400 g tins"; null where it counts none. */
    private static function packs(ResolvedLine $line): ?float
    {
        return preg_match(self::PACKS, $line->written->amountText, $found) === 1 ? (float) $found[1] : null;
    }

    private static function notch(WrittenAmount $measured, float $count): float
    {
        $notch = 1.0;
        foreach (FactsFile::named('notches')[self::rowFor($measured)]->amounts('at') as $from => $size) {
            $notch = $count >= (float) $from ? $size : $notch;
        }

        return $notch;
    }

    private static function rowFor(WrittenAmount $measured): string
    {
        return match (true) {
            $measured->unit === null => 'counted',
            $measured->unit->isVague() => 'vague',
            isset(FactsFile::named('notches')[$measured->unit->name]) => $measured->unit->name,
            default => 'other',
        };
    }

    /** The text that its amount is written into: as it stands, or without odd spaces and signs where those hide it. */
    private static function base(ResolvedLine $line): string
    {
        $text = $line->written->text;

        return str_contains($text, $line->written->amountText) ? $text : WrittenText::line($text);
    }

    private static function written(ResolvedLine $line, float $count, Measures $measures): string
    {
        $measured = $line->written->measured;
        assert($measured !== null);
        $text = self::base($line);
        $at = strpos($text, $line->written->amountText);
        if ($at === false) {
            // what it was read from cannot be found in it again: told anew
            return self::amount($measured, $count, $measures) . " {$line->written->name}";
        }
        $after = substr($text, $at + strlen($line->written->amountText));
        $after = preg_replace(
            '/\s*\((?:about |approx\.? |~)?[\d.,\/¼½¾⅓⅔⅛]+\s*(?:g|kg|ml|l|oz|lb|cups?|tbsp|tsp)\b[^)]*\)/iu',
            '',
            $after,
        ) ?? $after;

        $keepsItsWords = self::packs($line) !== null || in_array($measured->counted, self::LENGTHS, true);
        $amount = !$keepsItsWords
            ? self::amount($measured, $count, $measures)
            : preg_replace('/^[\d.,\/½⅓⅔¼¾⅛⅜⅝⅞]+/u', KitchenNumber::mixed($count), $line->written->amountText);

        return substr($text, 0, $at) . $amount . (preg_match(
            '/^[\s,)\]]|^$/u',
            $after,
        ) === 1 ? '' : ' ') . $after;
    }

    private static function amount(WrittenAmount $measured, float $count, Measures $measures): string
    {
        $unit = $measured->unit;
        $spoon = $unit?->name === 'teaspoon' ? Units::get('tablespoon', $measures) : null;
        $spoons = $spoon === null ? 0.0 : $count * (float) $unit?->millilitres / (float) $spoon->millilitres;
        // three teaspoons and more are told in tablespoons, where halves of them do
        if ($spoons > 0.99 && abs(2.0 * $spoons - round(2.0 * $spoons)) < 0.02) {
            [$unit, $count] = [$spoon, $spoons];
        }
        $isMetric = $unit !== null && in_array($unit->name, self::METRIC, true);
        $number = $isMetric ? KitchenNumber::plain($count, 2) : KitchenNumber::mixed($count);
        if ($unit !== null) {
            return "{$number} " . self::sign($unit, $count) . ($measured->pack === null ? '' : " {$measured->pack}");
        }
        $words = array_filter([
            $number,
            $measured->size,
            in_array($measured->counted, [null, 'whole'], true) ? null : Counts::plural($measured->counted, $count),
        ]);

        return implode(' ', $words);
    }

    private static function sign(Unit $unit, float $count): string
    {
        $row = FactsFile::named('notches')[$unit->name] ?? null;
        $sign = $row === null ? $unit->name : $row->text('sign');

        return strlen($sign) > 2 && !in_array($sign, ['tsp', 'tbsp'], true) ? Counts::plural($sign, $count) : $sign;
    }

    private static function withFirstAmount(ResolvedLine $line, float $grams, Measures $measures): string
    {
        $ingredient = $line->ingredient;
        if ($ingredient === null || $line->status === LineStatus::Unknown) {
            return $line->written->text;
        }

        $measure = $ingredient->portions->measure(max($grams, 0.001), Spoons::of($measures));

        return $measure->beforeItsName() . ' ' . ltrim($line->written->text);
    }
}
