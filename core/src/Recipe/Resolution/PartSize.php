<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Cursor;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\PlainText;
use Vinculum\Recipe\Parser\QuantityGrammar;

/** How large a part is, where a line says so: "1 part = 50 ml". */
final class PartSize
{
    /** @return float|null millilitres; null where a line says something else */
    public static function saidIn(string $text, Measures $measures): ?float
    {
        if (preg_match('/^\W*(?:1|one|a|each)\s+(?:part|measure|share)\s*(?:=|:|is|means)/iu', mb_scrub($text), $found) !== 1) {
            return null;
        }
        $plain = PlainText::of(substr($text, strlen($found[0])))->text;
        $cursor = new Cursor(Lexer::tokens($plain));
        $amount = (new QuantityGrammar($measures))->quantity($cursor);
        $millilitres = $amount?->unit?->millilitres;

        return $millilitres === null || !$cursor->isAtEnd() || !$amount->isSensible()
            ? null
            : $amount->middle() * $millilitres;
    }
}
