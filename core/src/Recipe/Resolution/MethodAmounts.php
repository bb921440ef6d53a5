<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\NameWords;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Cursor;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\PlainText;
use Vinculum\Recipe\Parser\QuantityGrammar;
use Vinculum\Recipe\Parser\Token;
use Vinculum\Recipe\Parser\Vocabulary;

/** What a method measures out and no line holds: "Simmer with 200 ml water." */
final readonly class MethodAmounts
{
    private const MOST_LETTERS = 20_000;

    private QuantityGrammar $quantities;
    private NameReading $names;

    public function __construct(Catalogue $catalogue, Measures $measures)
    {
        $this->quantities = new QuantityGrammar($measures);
        $this->names = new NameReading($catalogue);
    }

    /**
     * @param list<string> $method
     * @param list<ResolvedLine> $lines
     *
     * @return list<string> a sentence for each
     */
    public function notes(array $method, array $lines): array
    {
        $held = array_map(
            static fn(ResolvedLine $line): array => NameWords::of("{$line->written->name} {$line->ingredient?->name}"),
            $lines,
        );
        $notes = [];
        foreach ($this->measured($method) as $text => $name) {
            if (array_filter($held, static fn(array $words): bool => array_intersect($name, $words) !== []) === []) {
                $notes[] = "The method measures \"{$text}\", which stands in no line: it is not counted, and no other size changes it."
                    . ' If it goes in, write it as a line.';
            }
        }

        return $notes;
    }

    /**
     * @param list<string> $method
     *
     * @return array<string, list<string>> the words that name each, by what is written
     */
    private function measured(array $method): array
    {
        [$measured, $letters] = [[], 0];
        foreach ($method as $step) {
            $letters += strlen($step);
            if ($letters > self::MOST_LETTERS) {
                break;
            }
            $plain = preg_match('/[\d½¼¾⅓⅔⅛]|\b(?:an?|one|two|three|half)\s/iu', $step) === 1 ? PlainText::of($step) : null;
            $tokens = $plain === null ? [] : Lexer::tokens($plain->text);
            for ($at = 0; $at < count($tokens); ++$at) {
                $end = $this->endOfMeasured($tokens, $at);
                if ($end !== null && !self::isBeside($tokens, $at)) {
                    [$from, $to] = [$tokens[$at]->offset, $tokens[$end[1] - 1]->end];
                    $named = substr((string) $plain?->text, $tokens[$end[0]]->offset, $to - $tokens[$end[0]]->offset);
                    $measured[rtrim(substr((string) $plain?->text, $from, $to - $from), ".")] = NameWords::of($named);
                    $at = $end[1] - 1;
                }
            }
        }

        return $measured;
    }

    /**
     * @param list<Token> $tokens
     *
     * @return array{int, int}|null where the name of what is measured here begins and ends; null where nothing is
     */
    private function endOfMeasured(array $tokens, int $at): ?array
    {
        $cursor = new Cursor($tokens, $at);
        $isStart = $tokens[$at]->isNumber() || Vocabulary::valueOf('numbers', $tokens[$at]->lower) !== null;
        $amount = $isStart ? $this->quantities->quantity($cursor) : null;
        if ($amount?->unit === null || $amount->unit->isVague() || !$amount->isSensible()) {
            return null;
        }
        while ($cursor->peek()?->isWord() === true && Vocabulary::has('beside', $cursor->peek()->lower)) {
            if ($this->names->longestAt($tokens, $cursor->position()) > 0) {
                break;
            }
            $cursor->move();
        }
        $from = $cursor->position();
        $length = $this->names->longestAt($tokens, $from);

        return $length === 0 ? null : [$from, $from + $length];
    }

    /**
     * "for each 500 g of meat", "serve with 200 g pasta": said of what the sauce goes with.
     *
     * @param list<Token> $tokens
     */
    private static function isBeside(array $tokens, int $at): bool
    {
        $before = array_slice($tokens, max(0, $at - 3), min($at, 3));
        $words = ['per', 'each', 'every', 'for', 'serve', 'over', 'leaves', 'remains'];

        return array_filter($before, static fn(Token $one): bool => $one->isWord(...$words)) !== [];
    }
}
