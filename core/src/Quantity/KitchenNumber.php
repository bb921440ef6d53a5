<?php

declare(strict_types=1);

namespace Vinculum\Quantity;

/** Numbers as a kitchen writes them: 12 g, 1.5 g, ½ tsp. The pages write weights and volumes alike (web/ui/words.ts). */
final class KitchenNumber
{
    private const FRACTIONS = [
        '1/8' => '⅛',
        '1/4' => '¼',
        '1/3' => '⅓',
        '3/8' => '⅜',
        '1/2' => '½',
        '5/8' => '⅝',
        '2/3' => '⅔',
        '3/4' => '¾',
        '7/8' => '⅞',
    ];

    /** "12 g", "1.5 g", "0.4 g", "1.25 kg". */
    public static function grams(float $grams): string
    {
        return $grams >= 999.5
            ? self::plain($grams / 1000.0, 2) . ' kg'
            : self::plain($grams, $grams >= 9.95 ? 0 : ($grams >= 0.095 ? 1 : 2)) . ' g';
    }

    /** "250 ml", "7.5 ml", "1.2 l". */
    public static function millilitres(float $millilitres): string
    {
        return $millilitres >= 999.5
            ? self::plain($millilitres / 1000.0, 2) . ' l'
            : self::plain($millilitres, $millilitres >= 19.95 ? 0 : 1) . ' ml';
    }

    public static function plain(float $value, int $decimals): string
    {
        $text = number_format($value, $decimals, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    /** A vulgar fraction where the value is an eighth or a third to within 1 %, else a decimal: "1½", "⅔", "2.3". */
    public static function mixed(float $value): string
    {
        $whole = (int) floor($value + 0.005);
        $rest = $value - $whole;
        if (abs($rest) < 0.005) {
            return (string) $whole;
        }
        foreach (self::FRACTIONS as $ascii => $sign) {
            [$top, $bottom] = explode('/', $ascii);
            if (abs($rest - (int) $top / (int) $bottom) < 0.01) {
                return ($whole > 0 ? $whole : '') . $sign;
            }
        }

        return self::plain($value, 2);
    }
}
