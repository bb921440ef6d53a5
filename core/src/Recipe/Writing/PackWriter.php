<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Writing;

use Vinculum\Facts\FactsFile;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Recipe\Parser\Counts;
use Vinculum\Recipe\Parser\Cursor;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\NumberGrammar;
use Vinculum\Recipe\Parser\WrittenAmount;

/** Tins, jars and packets at another size: "1½ × 400 g tins" is what a cook can open, a tin of 520 g nobody sells. */
final class PackWriter
{
    /** Of a tin a cook takes these shares by eye. */
    private const SHARES = [0.0, 0.25, 1 / 3, 0.5, 2 / 3, 0.75, 1.0];
    /** How many, before the weight of one: "2 × 400 g", "two 400 g", "1 (14 oz)", "1 jar (200 g)". */
    private const HOW_MANY = '/^(\S+?)(?:\s*[×x*]\s*|\s*\(\s*|\s+(?:\pL+\s*\(\s*)?)(?=[\d½⅓⅔¼¾])/u';
    /** What a pack makes of what is in it, where that is said of a weight too. */
    public const PACKED = ['tin' => 'tinned', 'jar' => 'jarred'];

    /** How many packs an amount counts; null where it is not by the pack. */
    public static function count(WrittenAmount $measured, string $amountText): ?float
    {
        if ($measured->pack === null || $measured->unit === null || $measured->middle() <= 0.0) {
            return null;
        }

        $range = preg_match(self::HOW_MANY, $amountText, $found) === 1
            ? NumberGrammar::range(new Cursor(Lexer::tokens($found[1])))
            : null;

        return $range === null ? 1.0 : ($range[0] + $range[1]) / 2.0;
    }

    /** The number of packs that a cook can open and that is nearest to so many. */
    public static function nearest(float $count): float
    {
        $whole = floor($count);
        $best = max(0.25, round($count));
        foreach (self::SHARES as $share) {
            $trial = $whole + $share;
            $best = $trial > 0.0 && abs($trial - $count) < abs($best - $count) ? $trial : $best;
        }

        return $best;
    }

    /** "1½ × 400 g tins of" */
    public static function amount(WrittenAmount $measured, string $amountText, float $count): string
    {
        $of = preg_match('/\sof$/iu', trim($amountText)) === 1 ? ' of' : '';
        $one = $measured->middle() / (self::count($measured, $amountText) ?? 1.0);
        $unit = $measured->unit->name ?? '';
        $sign = (FactsFile::named('notches')[$unit] ?? null)?->text('sign') ?? $unit;

        return KitchenNumber::mixed($count) . ' × ' . KitchenNumber::plain($one, 2) . " {$sign} "
            . Counts::plural(self::word($measured, $amountText), $count) . $of;
    }

    /** Where it is no share of a pack: "520 g tinned", as it comes out of them. */
    public static function weight(WrittenAmount $measured, float $grams): string
    {
        return trim(KitchenNumber::grams($grams) . ' ' . (self::PACKED[$measured->pack ?? ''] ?? ''));
    }

    /** The pack as it was called: a can, not a tin. */
    private static function word(WrittenAmount $measured, string $amountText): string
    {
        foreach (preg_split('/[^\pL]+/u', mb_strtolower($amountText), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            if (Counts::named($word) === $measured->pack) {
                return preg_replace('/(?<=[^s])s$/u', '', $word) ?? $word;
            }
        }

        return (string) $measured->pack;
    }
}
