<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Vessels;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** So much of a thing for who has no scale: in pieces where it is counted, in cups and spoons where it is poured or heaped. */
final class UnweighedAmount
{
    private const WHOLE = 'whole';
    /** Below this many millilitres a cup is not worth taking up. */
    private const CUPS_FROM = 60.0;
    /** A cup held to the light is no nearer to its mark (common practice). */
    private const CLOSE = 0.06;

    public static function words(ResolvedLine $line, float $grams, Measures $measures): string
    {
        $portions = $line->ingredient?->portions;
        $each = $portions?->units[self::WHOLE]->value ?? null;
        if ($each !== null && $grams >= 0.5 * $each) {
            $count = max(0.5, round(2.0 * $grams / $each) / 2.0);

            return 'about ' . KitchenNumber::mixed($count);
        }
        $density = $portions?->density;
        if ($density === null || $density <= 0.0) {
            return 'about ' . KitchenNumber::grams($grams);
        }
        $millilitres = $grams / $density;
        $largest = $millilitres >= self::CUPS_FROM ? 'cup' : 'tbsp';
        [$words] = Vessels::of($measures)->words($millilitres, $largest, self::CLOSE);

        return $words;
    }

    /** Whether a measure asks for a scale: "350 g", "12 oz". */
    public static function isWeight(string $says): bool
    {
        return preg_match('/\d\s*(?:g|kg|mg|grams?|kilos?|kilograms?|oz|ounces?|lb|lbs|pounds?)\b/iu', $says) === 1;
    }
}
