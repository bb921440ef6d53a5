<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/**
 * What a page writes before its decimals. "1.500 g" is one and a half grams or one and a half kilograms: three digits
 * after a mark are thousands only where the page shows that, or where nothing else makes sense.
 */
enum DecimalMark
{
    case Point;
    case Comma;
    /** The page does not show it. */
    case NotShown;

    /** More grams or millilitres than this are no line of a recipe. */
    private const MOST_SENSIBLE = 25_000.0;
    /** Thousands up to here are taken for such where the page does not show its way: "1.500 g", not "12.500 g". */
    private const MOST_THOUSANDS = 5.0;
    private const BY_THE_GRAM = '/^\s?-?(?:g|gr|gram|grams|grammes|gms?|ml|mls|millilit(?:er|re)s?|cc)\b/iu';
    private const BY_THE_THOUSAND = '/^\s?-?(?:kg|kilos?|kilograms?|l|lit(?:er|re)s?|cl|dl|cups?|tbsp|tsp|oz|lbs?|pounds?|ounces?|pints?)\b/iu';
    private const BY_MORE = '/^\s?-?\pL/u';
    private const POINT_SHOWN = '/(?<![\d.,])(?:\d+\.\d{1,2}(?![\d.])|0\.\d+|\d{1,3}(?:,\d{3})+\.\d+|(?:2[6-9]|[3-9]\d|\d{3})\.\d{3}(?=\s?(?:g|ml)\b)|\d+\.\d{4,})/u';
    private const COMMA_SHOWN = '/(?<![\d.,])(?:\d+,\d{1,2}(?![\d,])(?=\s?\pL)|0,\d+|\d{1,3}(?:\.\d{3})+,\d+)/u';

    /** @param list<string> $texts the lines of a page */
    public static function of(array $texts): self
    {
        $all = mb_scrub(implode("\n", $texts));
        $isPoint = preg_match(self::POINT_SHOWN, $all) === 1;
        $isComma = preg_match(self::COMMA_SHOWN, $all) === 1;

        return match (true) {
            $isPoint === $isComma => self::NotShown,
            $isPoint => self::Point,
            default => self::Comma,
        };
    }

    /**
     * A number as it is written, with one mark or several.
     *
     * @param string $after what stands behind it in the line
     */
    public function valueOf(string $written, string $after): float
    {
        $decimal = (float) str_replace(',', '.', $written);
        if (preg_match('/^\d{1,3}([.,])\d{3}$/', $written, $found) !== 1) {
            return self::grouped($written) ?? $decimal;
        }
        $thousands = 1000.0 * $decimal;
        $isByTheGram = preg_match(self::BY_THE_GRAM, $after) === 1;

        return match (true) {
            $written[0] === '0' => $decimal,
            $isByTheGram && $thousands > self::MOST_SENSIBLE => $decimal,
            $this !== self::NotShown => ($found[1] === '.') === ($this === self::Point) ? $decimal : $thousands,
            $isByTheGram => $found[1] === ',' || self::looksLikeThousands($written, $decimal) ? $thousands : $decimal,
            preg_match(self::BY_MORE, $after) === 1 && $found[1] === '.' => $decimal,
            self::isMeasured($after) => $decimal,
            default => $found[1] === ',' ? $thousands : $decimal,
        };
    }

    /** Whether a text holds a number that may be read in two ways, and no page says which. */
    public function leavesOpen(string $amount): bool
    {
        return $this === self::NotShown
            && preg_match('/(?<![\d.,])([1-9]\d{0,2}\.\d{3})(?![\d.,])\s?(?:g|ml)/iu', $amount, $found) === 1
            && 1000.0 * (float) $found[1] <= self::MOST_SENSIBLE;
    }

    /** "1,234.5", "1.234,5", "1.000.000"; null where it is none of these. */
    private static function grouped(string $written): ?float
    {
        return match (1) {
            preg_match('/^\d{1,3}(?:,\d{3})+(?:\.\d+)?$/', $written) => (float) str_replace(',', '', $written),
            preg_match('/^\d{1,3}(?:\.\d{3})+(?:,\d+)?$/', $written)
                => (float) str_replace(['.', ','], ['', '.'], $written),
            default => null,
        };
    }

    private static function looksLikeThousands(string $written, float $decimal): bool
    {
        return $decimal <= self::MOST_THOUSANDS && str_ends_with($written, '0');
    }

    /** In kilograms, litres, cups and the like: a thousand of them is no kitchen's. */
    private static function isMeasured(string $after): bool
    {
        return preg_match(self::BY_THE_THOUSAND, $after) === 1;
    }
}
