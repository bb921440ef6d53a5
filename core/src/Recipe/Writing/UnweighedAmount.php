<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Writing;

use Vinculum\Ingredient\Portions;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Vessels;
use Vinculum\Recipe\Parser\Counts;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** So much of a thing for who has no scale: in pieces where it is counted, in cups and spoons where it is poured or heaped. */
final class UnweighedAmount
{
    private const WHOLE = 'whole';

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
            return self::pieces($portions, $grams) ?? 'about ' . KitchenNumber::grams($grams);
        }

        return Vessels::of($measures)->roughly($grams / $density);
    }

    /** "2 slices" of what is neither counted nor poured; null where it has no such piece. */
    private static function pieces(?Portions $portions, float $grams): ?string
    {
        foreach ($portions->units ?? [] as $piece => $weight) {
            $count = round(2.0 * $grams / $weight->value) / 2.0;
            if ($count > 0.0) {
                return sprintf('%s %s', KitchenNumber::mixed($count), Counts::plural($piece, $count));
            }
        }

        return null;
    }

    /** A line as it is written for who has no scale; one that asks for none as it stands. */
    public static function line(ResolvedLine $line, Measures $measures): string
    {
        return self::inGrams($line, $line->grams->value ?? 0.0, $measures);
    }

    /** The same with so much of it. */
    public static function inGrams(ResolvedLine $line, float $grams, Measures $measures): string
    {
        $text = AmountWriter::inGrams($line, $grams, $measures);
        if ($grams <= 0.0 || !self::isWeight($text)) {
            return $text;
        }
        $words = self::words($line, $grams, $measures);
        $preparation = $line->written->preparation === '' ? '' : ", {$line->written->preparation}";

        return self::isWeight($words) ? $text : "{$words} {$line->written->name}{$preparation}";
    }

    /** Whether a measure asks for a scale: "350 g", "12 oz". */
    public static function isWeight(string $says): bool
    {
        return preg_match('/\d\s*(?:g|kg|mg|grams?|kilos?|kilograms?|oz|ounces?|lb|lbs|pounds?)\b/iu', $says) === 1;
    }
}
