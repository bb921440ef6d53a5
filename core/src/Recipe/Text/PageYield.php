<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Text;

use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Cursor;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\NumberGrammar;
use Vinculum\Recipe\Parser\QuantityGrammar;

/** What a page says that a recipe makes: "Makes about 2 cups", "Fills two 8-oz jars". */
final class PageYield
{
    /**
     * The first that names a weight or a volume, as a yield is written; null where none does: six jars may be of any
     * size.
     *
     * @param list<string> $lines
     */
    public static function written(array $lines): ?string
    {
        foreach ($lines as $line) {
            $yield = self::of($line);
            if ($yield !== null) {
                return $yield;
            }
        }

        return null;
    }

    private static function of(string $line): ?string
    {
        // "3 half-pint jars"
        $line = (string) preg_replace(
            ['/(?<=\w )half[ -](?=pints?\b)/iu', '/(?<=\w )quarter[ -](?=pints?\b)/iu'],
            ['x ½ ', 'x ¼ '],
            $line,
        );
        $tokens = Lexer::tokens(mb_substr($line, 0, 200));
        $grammar = new QuantityGrammar(Measures::Us);
        foreach (array_keys($tokens) as $index) {
            $cursor = new Cursor(array_slice($tokens, $index));
            if ($cursor->peek()?->isWord('a', 'an', 'about', 'approximately', 'roughly') === true) {
                continue;
            }
            $count = NumberGrammar::range($cursor);
            if ($count === null) {
                continue;
            }
            $cursor->skipMark('×', 'x', '*');
            $cursor->skipWord('x');
            $at = $cursor->position();
            $each = $cursor->peek()?->isNumber() === true ? $grammar->quantity($cursor) : null;
            $from = $tokens[$index]->offset;
            if ($each?->unit !== null) {
                $end = $cursor->isAtEnd() ? strlen($line) : (int) $cursor->peek()?->offset;
                $size = trim(substr($line, $tokens[$index + $at]->offset, $end - $tokens[$index + $at]->offset));

                // jars are sold by what they hold: ounces of a jar are fluid
                $size = (string) preg_replace(['/-/', '/\boz\b\.?|\bounces?\b/iu'], [' ', 'fl oz'], $size);

                return rtrim(sprintf('%d x %s', (int) $count[0], $size), ' .,');
            }
            $cursor = new Cursor(array_slice($tokens, $index));
            $one = $grammar->quantity($cursor);
            if ($one?->unit !== null && $one->isSensible()) {
                $end = $cursor->isAtEnd() ? strlen($line) : (int) $cursor->peek()?->offset;

                return rtrim(trim(substr($line, $from, $end - $from)), ' .,');
            }
        }

        return null;
    }
}
