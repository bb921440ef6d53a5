<?php

declare(strict_types=1);

namespace Vinculum\Scaling;

use Vinculum\Balance\MeasuredYield;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\SpokenNumber;

/** What a sauce is to be filled into: "6 x 250 ml", "3 pint jars", "four 8 oz bottles and 2 jars of 500 ml". */
final class Containers
{
    private const VESSEL = '(?:jars?|bottles?|pots?|tubs?|glasses|containers?|boxes)';

    /**
     * @param float $density of what goes in, g/ml, for jars that are told by weight; ounces of a jar are fluid ones
     *
     * @return list<array{float, int}> millilitres of one, and how many; none where no containers are named
     *
     * @throws ScaleFault where it is not said how large they are, or one of several is not understood
     */
    public static function in(string $asked, Measures $measures, float $density): array
    {
        $containers = [];
        $parts = preg_split('/\s*(?:[,;+]|\band\b)\s*/iu', trim($asked)) ?: [];
        foreach ($parts as $part) {
            $one = self::one($part, $measures, $density, $asked);
            if ($one !== null) {
                $containers[] = $one;
            }
        }
        if ($containers !== [] && count($containers) < count($parts)) {
            throw ScaleFault::notAnAmount($asked);
        }

        return $containers;
    }

    /** @return array{float, int}|null */
    private static function one(string $part, Measures $measures, float $density, string $asked): ?array
    {
        $number = '(' . SpokenNumber::pattern() . ')';
        $isCounted = preg_match("/^{$number}\\s*[x×*]\\s*(.+)$/iu", $part, $found) === 1
            || preg_match("/^{$number}\\s+(.*\\b" . self::VESSEL . '\b.*)$/iu', $part, $found) === 1;
        if (!$isCounted) {
            return null;
        }
        $count = SpokenNumber::value($found[1]) ?? 0;
        $size = trim((string) preg_replace('/\b' . self::VESSEL . '\b|\bof\b|\beach\b|\bholding\b/iu', ' ', $found[2]));
        if (preg_match('/\d/', $size) !== 1 && $size !== '') {
            // "pint", "half-pint"
            $size = preg_match('/^(?:a\s+)?half\b/iu', $size) === 1
                ? '½ ' . preg_replace('/^(?:a\s+)?half\W*/iu', '', $size)
                : "1 {$size}";
        }
        $fluid = (string) preg_replace('/(?<!fl )(?<!fl. )\b(?:oz|ounces?)\b/iu', 'fl oz', $size);
        $holds = MeasuredYield::parse($fluid, $measures);
        $each = $holds->millilitres->value ?? ($holds->grams->value ?? 0.0) / $density;
        if ($count === 0) {
            throw ScaleFault::notAnAmount($asked);
        }

        return $each > 0.0 ? [$each, $count] : throw ScaleFault::withoutASize($asked, $part);
    }
}
