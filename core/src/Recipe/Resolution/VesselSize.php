<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Units;
use Vinculum\Recipe\Parser\Counts;
use Vinculum\Recipe\Parser\Cursor;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\PlainText;
use Vinculum\Recipe\Parser\QuantityGrammar;

/** How large a part or a vessel of this kitchen is, where a line says so: "1 part = 50 ml", "my mug holds 350 ml". */
final readonly class VesselSize
{
    private const SAYS = '/^\W*(?:1|one|a|each|my|the|our)\s+(?<what>[\pL-]{3,20})\s*(?:=|:|\bis\b|\bmeans\b|\bholds\b)\s*/iu';

    /** @param string $of a part, or the name of a unit that says itself only roughly how large it is */
    private function __construct(public string $of, public float $millilitres) {}

    /** Null where a line says something else. */
    public static function saidIn(string $text, Measures $measures): ?self
    {
        if (preg_match(self::SAYS, mb_scrub($text), $found) !== 1) {
            return null;
        }
        $unit = Units::named($found['what'], $measures);
        $of = Counts::named($found['what']) === 'part' ? 'part' : ($unit?->millilitres === null ? null : $unit->name);
        $cursor = new Cursor(Lexer::tokens(PlainText::of(substr($text, strlen($found[0])))->text));
        $amount = (new QuantityGrammar($measures))->quantity($cursor);
        $millilitres = $amount?->unit?->millilitres;

        return $of === null || $millilitres === null || !$cursor->isAtEnd() || !$amount->isSensible()
            ? null
            : new self($of, $amount->middle() * $millilitres);
    }
}
