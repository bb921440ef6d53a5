<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Quantity\Measures;

/**
 * Reads an ingredient line into amount, name, preparation, tags. It knows how lines are written, not what is in things.
 */
final readonly class LineGrammar
{
    private const LONGEST_LINE = 400;
    private const TAGS = ['cold', 'steeped', 'optional', 'lock', 'roasted', 'drained', 'meant'];
    private const PART_OF = '/^(?:the )?(?:fresh(?:ly)? |finely |lightly )?(?:squeezed |pressed |grated |strained )?(?:(?:lemon|lime|orange) (?=juice (?:of|from)))?'
        . '(?P<part>juice|zest|rind|peel)(?: only)?(?:\s*(?:and|&|\+|,)\s*(?:finely )?(?:grated )?(?P<also>juice|zest|rind|peel))?'
        . '\s+(?:(?:of|from)\s+(?=\S)|(?=[\d½⅓⅔¼¾]|an?\s|one\s|two\s|three\s|half\s))/iu';
    private const PART_AFTER = '/\b(?P<part>juiced|juice only|juice of|just the juice|juice|squeezed|zested|zest only|zest|rind only|rind|zest and juice|juice and zest)\b/iu';

    private QuantityGrammar $quantities;

    public function __construct(Measures $measures, private DecimalMark $mark = DecimalMark::NotShown)
    {
        $this->quantities = new QuantityGrammar($measures);
    }

    public function read(string $text): ParsedLine
    {
        $line = WrittenText::line(mb_substr(trim(mb_scrub($text)), 0, self::LONGEST_LINE));
        $line = preg_replace('/^\d{1,2}[.)]\s+(?=[\d½⅓⅔¼¾⅛])/u', '', $line) ?? $line;
        $line = LeadIn::without($line);
        $line = preg_replace(
            '/^(?:a little(?: bit of)?|a bit of|some|a touch of|plenty of|lots(?: and lots)? of|enough|(?:a |literally a )?(?:ton|tonne|load|heap|pile)s? of|oodles of|masses of)\s+(?=\pL)/iu',
            '',
            $line,
        ) ?? $line;
        [$line, $tags] = self::takeTags($line);
        [$line, $part, $isBoth] = self::takeLeadingPart($line);
        $cursor = new Cursor(Lexer::tokens($line, $this->mark));
        $measured = $this->quantities->quantity($cursor);
        $second = null;
        if ($measured !== null) {
            $second = $this->secondAmount($cursor);
        }
        $rest = $cursor->isAtEnd() ? '' : substr($line, $cursor->peek()->offset ?? 0);
        $amountText = $measured === null ? '' : substr($line, 0, strlen($line) - strlen($rest));
        [$rest, $inBrackets] = $this->takeBrackets($rest, $measured, $second);
        if ($measured === null) {
            [$rest, $measured, $second, $amountText] = $this->trailingAmount($rest);
        }
        $rest = preg_replace('/^(?:\s|of\b|the\b|each\b|or so (?:of\b)?)+/iu', '', $rest) ?? $rest;
        [$name, $preparation] = self::splitPreparation($rest);
        $name = self::withoutEmptyWords($name);
        if ($part === null && preg_match('/^(?:(juiced|zested)\s+(\S.*)|(\S.*)\s+(juiced|zested))$/iu', $name, $found) === 1) {
            $part = mb_strtolower($found[1] . ($found[4] ?? '')) === 'juiced' ? 'juice' : 'zest';
            $name = $found[2] . ($found[3] ?? '');
        }
        [$name, $alternatives] = self::splitAlternatives($name);
        $preparation = trim($preparation . ' ' . $inBrackets);
        if ($part === null && preg_match(self::PART_AFTER, $preparation, $found) === 1) {
            $part = str_starts_with(mb_strtolower($found['part']), 'z')
                || str_starts_with(mb_strtolower($found['part']), 'r')
                ? 'zest'
                : 'juice';
            $part = preg_match('/juice/iu', $preparation) === 1 ? 'juice' : $part;
        }
        if (preg_match('/\boptional\b/iu', $preparation . ' ' . $name) === 1) {
            $tags[] = 'optional';
        }
        if (preg_match('/\b(?:undrained)\b/iu', $line) !== 1 && preg_match('/\bdrained\b/iu', $line) === 1) {
            $tags[] = 'drained';
        }
        $isNonsense = ($measured !== null && !$measured->isSensible()) || ($second !== null && !$second->isSensible());

        return new ParsedLine(
            $text,
            $measured,
            $second,
            trim($name),
            $alternatives,
            trim($preparation . ($isBoth ? ' zest and juice' : '')),
            $part,
            array_values(array_unique($tags)),
            $isNonsense,
            trim($amountText),
        );
    }

    /** @return array{string, list<string>} */
    private static function takeTags(string $line): array
    {
        $tags = [];
        if (preg_match('/^\(?optional\)?[:,]?\s+(?=\S)/iu', $line, $found) === 1) {
            $tags[] = 'optional';
            $line = substr($line, strlen($found[0]));
        }
        $line = preg_replace_callback('/\[(\w+)\]/', static function (array $found) use (&$tags): string {
            $tag = strtolower($found[1]);
            if (!in_array($tag, self::TAGS, true)) {
                return $found[0];
            }
            $tags[] = $tag;

            return '';
        }, $line) ?? $line;

        return [trim($line), $tags];
    }

    /**
     * "juice of 1 lemon" → "1 lemon", juice.
     *
     * @return array{string, string|null, bool}
     */
    private static function takeLeadingPart(string $line): array
    {
        if (preg_match(self::PART_OF, $line, $found) !== 1) {
            return [$line, null, false];
        }
        $parts = [mb_strtolower($found['part']), mb_strtolower($found['also'] ?? '')];
        $part = in_array('juice', $parts, true) ? 'juice' : 'zest';

        return [substr($line, strlen($found[0])), $part, $parts[1] !== ''];
    }

    /** "(110 g)", "/ 83 ml", "= 20 g", ", about 60 g" right after the amount. */
    private function secondAmount(Cursor $cursor): ?WrittenAmount
    {
        $start = $cursor->position();
        $bracketed = $cursor->skipMark('(', '[');
        if ($bracketed || $cursor->skipMark('/', '=', '|')) {
            $second = $this->quantities->quantity($cursor);
            if ($second !== null && $second->unit !== null) {
                while ($bracketed && !$cursor->isAtEnd() && !$cursor->skipMark(')', ']')) {
                    $cursor->move();
                }

                return $second;
            }
        }
        $cursor->backTo($start);

        return null;
    }

    /**
     * Brackets hold another amount, or words about preparation.
     *
     * @return array{string, string} the text without them, and the words in them
     */
    private function takeBrackets(string $rest, ?WrittenAmount &$measured, ?WrittenAmount &$second): array
    {
        $words = [];
        $rest = preg_replace_callback('/\(([^()]*)\)|\[([^\[\]]*)\]/u', function (array $found) use (
            &$words,
            &$measured,
            &$second,
        ): string {
            $inside = trim($found[1] !== '' ? $found[1] : ($found[2] ?? ''));
            $cursor = new Cursor(Lexer::tokens($inside, $this->mark));
            $amount = $this->quantities->quantity($cursor);
            $isCount = $amount?->counted === 'whole' && $measured === null && $cursor->isAtEnd();
            if (
                $amount !== null
                && ($amount->unit !== null || $isCount || ($measured === null && $amount->counted !== 'whole'))
            ) {
                $isEach = $cursor->peek()?->isWord('each', 'apiece') === true;
                if ($measured === null) {
                    $measured = $amount;
                } else {
                    $second ??= $isEach && $measured->unit === null ? $amount->times($measured->middle()) : $amount;
                }

                return ' ';
            }
            $words[] = $inside;

            return ' ';
        }, $rest) ?? $rest;

        return [trim(preg_replace('/\s+/u', ' ', $rest) ?? $rest), implode(' ', $words)];
    }

    /**
     * "garlic, 3 cloves", "sugar: 100 g", "ketchup 200 g".
     *
     * @return array{string, WrittenAmount|null, WrittenAmount|null, string} what is left, the amounts, and the text
     *     that says them
     */
    private function trailingAmount(string $rest): array
    {
        $tokens = Lexer::tokens($rest, $this->mark);
        for ($index = 1; $index < count($tokens); ++$index) {
            $token = $tokens[$index];
            $separated = $tokens[$index - 1]->isMark(',', ':', '-', '–', '—', '=');
            if (!$token->isNumber() && !($separated && $token->kind === TokenKind::Word)) {
                continue;
            }
            $cursor = new Cursor(array_slice($tokens, $index));
            $measured = $this->quantities->quantity($cursor);
            if (
                $measured === null
                || (
                    $measured->unit === null
                    && !$separated
                    && $measured->counted === 'whole'
                    && !$cursor->isAtEnd()
                    && Counts::named($cursor->peek()->text ?? '') === null
                )
            ) {
                continue;
            }
            $counted = $measured->counted;
            $next = $cursor->peek();
            if (
                $counted === 'whole'
                && $next !== null
                && $next->kind === TokenKind::Word
                && Counts::named($next->text) !== null
            ) {
                $measured = new WrittenAmount(
                    $measured->low,
                    $measured->high,
                    null,
                    Counts::named($next->text),
                    $measured->size,
                    1.0,
                    null,
                    true,
                );
                $cursor->move();
            }
            $second = $this->secondAmount($cursor);
            $left = (string) preg_replace(
                '/^[\s,:=–—-]+|[\s,:=–—-]+$/u',
                '',
                substr($rest, 0, $tokens[$index]->offset),
            );
            $right = $cursor->isAtEnd() ? '' : substr($rest, $cursor->peek()->offset ?? 0);
            $said = substr($rest, $tokens[$index]->offset, strlen($rest) - $tokens[$index]->offset - strlen($right));

            return [$left . ($right === '' ? '' : ', ' . ltrim($right, ', ')), $measured, $second, $said];
        }

        return [$rest, null, null, ''];
    }

    /** @return array{string, string} */
    private static function splitPreparation(string $rest): array
    {
        $parts = preg_split(
            '/\s{0,8}(?:[,;]|\s[-–—]\s|\bplus (?:more|extra)\b|\b(?:depending|according)\b|'
                . WritingFacts::purposes()
                . '|\b(?:mixed|dissolved|blended|stirred|slaked|soaked|steeped|bloomed|infused) (?:with|in|into)\b)\s*/iu',
            $rest,
            2,
        );
        if ($parts === false) {
            return [$rest, ''];
        }
        if (trim($parts[0]) === '' && isset($parts[1])) {
            return [$parts[1], ''];
        }

        return [$parts[0], $parts[1] ?? ''];
    }

    /** Without words that say nothing of what it is, as long as something stays. */
    private static function withoutEmptyWords(string $name): string
    {
        $plain = (string) preg_replace(
            '/^\s*(?:' . WritingFacts::passedOver() . '[\s,]*)+/iu',
            '',
            $name,
        );

        return trim($plain) === '' ? $name : $plain;
    }

    /** @return array{string, list<string>} */
    private static function splitAlternatives(string $name): array
    {
        $parts = preg_split('~\s{1,8}or\s{1,8}|\s{0,8}/\s{0,8}~iu', $name) ?: [$name];

        return [
            array_shift($parts),
            array_values(array_filter(array_map(trim(...), $parts), static fn(string $part): bool => $part !== '')),
        ];
    }
}
