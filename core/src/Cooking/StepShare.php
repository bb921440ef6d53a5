<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Cursor;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\QuantityGrammar;

/** The share of the volume in the pan that a step leaves: "reduce by a third", "by 50 %", "to 200 ml from 500". */
final class StepShare
{
    private const SHARES = [
        'half' => 0.5,
        'third' => 1 / 3,
        'quarter' => 0.25,
        'fifth' => 0.2,
        'two thirds' => 2 / 3,
        'two-thirds' => 2 / 3,
        'three quarters' => 0.75,
        'three-quarters' => 0.75,
    ];
    private const REDUCES = '\b(?:reduc\w*|boil\w*|cook\w* down|simmer\w*|evaporat\w*|concentrat\w*)\b';

    public static function leftBy(string $text): ?float
    {
        if (preg_match('/\b(?:halves|halved|by half|to half)\b/iu', $text) === 1) {
            return 0.5;
        }
        $names = implode('|', array_map(static fn(string $name): string => preg_quote($name, '/'), array_reverse(array_keys(self::SHARES))));
        if (preg_match('/' . self::REDUCES . '.*?\b(by|to)\s+(?:about\s+|around\s+|roughly\s+)?(?:a\s+|an\s+|one[ -])?(' . $names . ')s?\b/iu', $text, $found) === 1) {
            $share = self::SHARES[mb_strtolower($found[2])];

            return mb_strtolower($found[1]) === 'by' ? 1.0 - $share : $share;
        }
        if (preg_match('/' . self::REDUCES . '.*?\b(by|to)\s+(?:about\s+)?(\d{1,2})\s*(?:%|per ?cent)/iu', $text, $found) === 1) {
            $share = (float) $found[2] / 100.0;

            return mb_strtolower($found[1]) === 'by' ? 1.0 - $share : $share;
        }

        return preg_match('/' . self::REDUCES . '/iu', $text) === 1 ? self::ofTwoVolumes($text) : null;
    }

    /** "to 200 ml from 500", "1 litre down to 250 ml". */
    private static function ofTwoVolumes(string $text): ?float
    {
        $amount = '\d[\d.,\/½¼¾⅓⅔ ]*\s*(?:ml|millilitres?|milliliters?|l|litres?|liters?|cups?|pints?|g|kg)?';
        $isFrom = preg_match("/\bto\s+(?:about\s+)?(?P<to>{$amount})\b.*?\bfrom\s+(?:about\s+)?(?P<from>{$amount})\b/iu", $text, $found) === 1;
        if (!$isFrom && preg_match("/(?P<from>{$amount})\s+(?:of [\pL ]+ )?(?:down\s+)?to\s+(?:about\s+)?(?P<to>{$amount})\b/iu", $text, $found) !== 1) {
            return null;
        }
        [$to, $from] = [self::millilitres($found['to']), self::millilitres($found['from'])];
        if ($from === null && $to !== null && preg_match('/^\s*[\d.,]+\s*$/', $found['from']) === 1) {
            // "from 500": of the unit before
            $unit = (string) preg_replace('/^[\d.,\/½¼¾⅓⅔ ]+/u', '', $found['to']);
            $from = self::millilitres(trim($found['from']) . ' ' . trim($unit));
        }

        return $to === null || $from === null || $from <= $to ? null : $to / $from;
    }

    private static function millilitres(string $text): ?float
    {
        $amount = (new QuantityGrammar(Measures::Metric))->quantity(new Cursor(Lexer::tokens(trim($text))));

        return $amount?->unit === null
            ? null
            : $amount->middle() * (float) ($amount->unit->millilitres ?? $amount->unit->grams);
    }
}
