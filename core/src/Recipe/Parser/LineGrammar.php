<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Quantity\Measures;

/**
 * Reads an ingredient line: tokens, phrases, clauses, items. It knows how lines are written, and asks of names only
 * whether they are some.
 */
final readonly class LineGrammar
{
    public const LONGEST_LINE = 400;

    private PhraseGrammar $phrases;

    public function __construct(
        Measures $measures,
        private Names $names,
        private DecimalMark $mark = DecimalMark::NotShown,
    ) {
        $this->phrases = new PhraseGrammar(new QuantityGrammar($measures), $names);
    }

    public function read(string $text): Line
    {
        $plain = PlainText::of($text, self::LONGEST_LINE);

        return (new LineReading($text, $plain, $this->phrases, $this->names, $this->mark))->line();
    }
}
