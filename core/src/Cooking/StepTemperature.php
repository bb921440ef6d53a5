<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** The temperature that a step names, in °C: "70–75 °C", "gas mark 4", "400 degrees". */
final class StepTemperature
{
    /** Gas mark 1 is 275 °F, and each mark is 25 °F more (British standard, common practice). */
    private const GAS_ONE_FAHRENHEIT = 275.0;
    private const GAS_STEP_FAHRENHEIT = 25.0;
    /** No cook means so many degrees Celsius. */
    private const HOTTEST_CELSIUS = 260.0;

    public static function in(string $text): ?float
    {
        if (preg_match('/\bgas\s*(?:mark)?\s*(\d)\b/iu', $text, $found) === 1 && !self::namesDegrees($text)) {
            $fahrenheit = self::GAS_ONE_FAHRENHEIT + self::GAS_STEP_FAHRENHEIT * ((float) $found[1] - 1.0);

            return round(self::celsius($fahrenheit));
        }
        $number = '(-?\d{1,3}(?:[.,]\d)?)';
        if (
            preg_match(
                "/{$number}(?:\s*(?:-|–|to)\s*{$number})?\s*(?:°|º|degrees?|deg\.?)?\s*(?:(C|F)\b|(Celsius|centigrade|Fahrenheit)\b)/u",
                $text,
                $found,
            ) === 1
        ) {
            $low = (float) str_replace(',', '.', $found[1]);
            $high = ($found[2] ?? '') === '' ? $low : (float) str_replace(',', '.', $found[2]);
            $isFahrenheit = ($found[3] ?? '') === 'F' || stripos($found[4] ?? '', 'f') === 0;
            $degrees = ($low + $high) / 2.0;

            return $isFahrenheit ? round(self::celsius($degrees), 1) : $degrees;
        }
        if (preg_match("/{$number}\s*(?:°|º|degrees?\b|deg\b)/iu", $text, $found) === 1) {
            $degrees = (float) str_replace(',', '.', $found[1]);

            return $degrees > self::HOTTEST_CELSIUS ? round(self::celsius($degrees)) : $degrees;
        }

        return null;
    }

    private static function namesDegrees(string $text): bool
    {
        return preg_match('/\d\s*(?:°|º|degrees?\b|[CF]\b)/u', $text) === 1;
    }

    private static function celsius(float $fahrenheit): float
    {
        return ($fahrenheit - 32.0) / 1.8;
    }
}
