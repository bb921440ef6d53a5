<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Writing;

use Vinculum\Facts\FactsFile;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Quantity\Unit;
use Vinculum\Quantity\Units;
use Vinculum\Quantity\Vessels;
use Vinculum\Recipe\Parser\Counts;
use Vinculum\Recipe\Parser\WrittenAmount;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** Writes a line again with another amount, in the unit it was written in, so that it reads back as that amount. */
final class AmountWriter
{
    /** Told in decimals, not in fractions. */
    private const METRIC = ['gram', 'kilogram', 'milligram', 'millilitre', 'centilitre', 'decilitre', 'litre'];
    /** Lengths are written as they were, with the piece or knob they measure. */
    private const LENGTHS = ['cm', 'inch'];
    /** Told in whatever of these says it most plainly. */
    private const VESSELS = ['cup', 'tablespoon', 'teaspoon'];
    /** From so much of a cup on, cups are taken for what was told in spoons. */
    private const IN_CUPS_FROM = 0.25;
    private const OF_A_PACK = 0.5;
    /** What is written is this near to what is meant, where the tool can. */
    private const CLOSE = 0.04;
    private const ANOTHER_AMOUNT = '/^\W*(?:\d|[½⅓⅔¼¾⅛⅜⅝⅞]|an?\s|one\s|two\s|three\s|half\s)/iu';

    /**
     * The line with the measurable amount nearest to so many grams, at least one notch.
     *
     * A line without an amount gets one in spoons, or on the scale.
     */
    public static function inGrams(ResolvedLine $line, float $grams, Measures $measures): string
    {
        $each = self::gramsOfOne($line);

        return $each === null || $line->written->measured === null
            ? self::withFirstAmount($line, $grams, $measures)
            : self::inCounts($line, $line->written->measured, $grams / $each, $grams, $measures);
    }

    /**
     * The line with its number times a factor, whatever it is a number of; as it stands where it has none.
     */
    public static function times(ResolvedLine $line, float $factor, Measures $measures): string
    {
        $measured = $line->written->measured;

        return $measured === null || $line->written->amountSpan === null || !$measured->isSensible()
            ? $line->written->text
            : self::inCounts($line, $measured, self::countOf($measured, $line) * $factor, null, $measures);
    }

    /** @param float|null $grams that it comes to, where that is known */
    private static function inCounts(
        ResolvedLine $line,
        WrittenAmount $measured,
        float $count,
        ?float $grams,
        Measures $measures,
    ): string {
        if (in_array($measured->unit?->name, self::VESSELS, true)) {
            $millilitres = $count * (float) $measured->unit->millilitres;
            $isLarge = $measured->unit->name === 'cup'
                || $millilitres >= self::IN_CUPS_FROM * (float) Units::get('cup', $measures)->millilitres;
            [$words] = Vessels::of($measures)->words($millilitres, $isLarge ? 'cup' : 'tbsp');

            return self::replacing($line, $words . ($measured->pack === null ? '' : " {$measured->pack}"));
        }
        if (self::packs($line) !== null) {
            $packs = PackWriter::nearest($count);
            $isFar = $grams !== null && abs($packs / $count - 1.0) > self::CLOSE;

            return self::replacing($line, $isFar
                ? PackWriter::weight($measured, $grams)
                : PackWriter::amount($measured, $line->written->amountText, $packs));
        }
        $notch = self::fineNotch($measured, $count);
        $written = max(1.0, round($count / $notch)) * $notch;
        $text = self::written($line, $written, $measures);
        // what says what one weighs says it again
        $isFar = ($line->written->forms !== [] || abs($written / $count - 1.0) > self::CLOSE)
            && $measured->unit === null;

        return $isFar && $grams !== null ? self::withWeight($text, $grams) : $text;
    }

    /** A notch that can be nearer than what is close enough, down to the finest that its tool knows. */
    private static function fineNotch(WrittenAmount $measured, float $count): float
    {
        $notch = self::notch($measured, $count);
        $finest = array_values(FactsFile::named('notches')[self::rowFor($measured)]->amounts('at'))[0];
        while ($measured->unit?->isVague() === false && $notch > $finest && $notch > 2.0 * self::CLOSE * $count) {
            $notch /= 2.0;
        }

        return $notch;
    }

    /** What is counted in halves says its weight too: "1½ onions (240 g), chopped". */
    private static function withWeight(string $text, float $grams): string
    {
        $weight = ' (' . KitchenNumber::grams($grams) . ')';

        return (string) preg_replace('/(?=\s*(?:,|\[|\(|$))/u', $weight, $text, 1);
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
            : self::OF_A_PACK;
        $next = $direction > 0
            ? (floor($count / $notch + 1e-6) + 1.0) * $notch
            : (ceil($count / $notch - 1e-6) - 1.0) * $notch;

        return $next > 0.0 ? self::written($line, $next, $measures) : $line->written->text;
    }

    /** Grams of one unit as this line counts it; null where nothing is counted. */
    private static function gramsOfOne(ResolvedLine $line): ?float
    {
        $count = $line->written->measured === null ? 0.0 : self::countOf($line->written->measured, $line);

        return $count > 0.0 && $line->grams !== null && $line->grams->value > 0.0 && $line->written->amountSpan !== null
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
        $measured = $line->written->measured;

        return $measured === null ? null : PackWriter::count($measured, $line->written->amountText);
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

    private static function written(ResolvedLine $line, float $count, Measures $measures): string
    {
        $measured = $line->written->measured;
        assert($measured !== null);
        if (self::packs($line) !== null) {
            return self::replacing($line, PackWriter::amount($measured, $line->written->amountText, $count));
        }
        $keepsItsWords = in_array($measured->counted, self::LENGTHS, true);

        return self::replacing(
            $line,
            $keepsItsWords
                ? (string) preg_replace(
                    '/^[\d.,\/½⅓⅔¼¾⅛⅜⅝⅞]+/u',
                    KitchenNumber::mixed($count),
                    $line->written->amountText,
                )
                : self::amount($measured, $count, $measures),
        );
    }

    /** The line with another amount in its place, and without what was told of the old one in brackets. */
    private static function replacing(ResolvedLine $line, string $amount): string
    {
        $text = $line->written->text;
        [$from, $to] = $line->written->amountSpan ?? [0, 0];
        if (preg_match(self::ANOTHER_AMOUNT, substr($text, 0, $from)) === 1) {
            // "1¼ kg pears, peeled (900 g prepared)": what it was bought as would stand there as it was
            $preparation = $line->written->preparation === '' ? '' : ", {$line->written->preparation}";

            return trim("{$amount} {$line->written->name}") . $preparation;
        }
        $after = substr($text, $to);
        $after = preg_replace(
            '/\s*\((?:about |approx\.? |~)?[\d.,\/¼½¾⅓⅔⅛]+\s*(?:g|kg|ml|l|oz|lb|cups?|tbsp|tsp)\b[^)]*\)/iu',
            '',
            $after,
        ) ?? $after;

        return substr($text, 0, $from) . $amount . (preg_match(
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
            return "{$number} " . WrittenAmount::sign($unit, $count) . ($measured->pack === null ? '' : " {$measured->pack}");
        }
        $words = array_filter([
            $number,
            $measured->size,
            in_array($measured->counted, [null, 'whole'], true) ? null : Counts::plural($measured->counted, $count),
        ]);

        return implode(' ', $words);
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
