<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Facts\FactsFile;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Unit;

/**
 * Reads one amount: number, fill, size, unit or counting noun, with packs ("2 × 400 g tins") and sums ("1 cup plus 2
 * tbsp").
 */
final readonly class QuantityGrammar
{
    private UnitGrammar $units;

    public function __construct(Measures $measures)
    {
        $this->units = new UnitGrammar($measures);
    }

    /** An amount, or null with the cursor where it was. */
    public function quantity(Cursor $cursor): ?WrittenAmount
    {
        $first = $this->single($cursor);
        if ($first === null) {
            return null;
        }
        if ($first->unit !== null && $first->low >= 1.0) {
            $portion = NumberGrammar::andAPortion($cursor);
            $first = $first->times(1.0 + $portion / $first->low);
            $portion > 0.0 && $cursor->skipWord('of');
        }
        $start = $cursor->position();
        $joined = $cursor->skipMark('+', '&')
            || $cursor->skipWord('plus', 'and')
            || ($first->unit?->name === 'pound' && $cursor->peek()?->isNumber() === true);
        $second = $joined ? $this->single($cursor) : null;
        $sum = $second === null ? null : $first->plus($second);
        if ($sum !== null) {
            return $sum;
        }
        $cursor->backTo($start);
        if ($first->unit !== null && self::skipsABit($cursor)) {
            return $first->upTo($first->times(Vocabulary::row('and-a-bit')->number('most_times'))) ?? $first;
        }
        if ($first->unit !== null && ($cursor->skipWord('to', 'or') || $cursor->skipMark('-', '–', '—'))) {
            $upper = $this->single($cursor);
            $span = $upper === null ? null : $first->upTo($upper);
            if ($span !== null) {
                return $span;
            }
            $cursor->backTo($start);
        }

        return $first;
    }

    /** "1 tbsp and a bit of vinegar": somewhat over. */
    private static function skipsABit(Cursor $cursor): bool
    {
        $start = $cursor->position();
        $isSaid = ($cursor->skipWord('and', 'plus') || $cursor->skipMark('&', '+'))
            && $cursor->skipWord('a')
            && $cursor->skipWord(...Vocabulary::row('and-a-bit')->list('words'));
        if (!$isSaid) {
            $cursor->backTo($start);

            return false;
        }
        $cursor->skipWord('more', 'extra', 'over');
        $cursor->skipWord('of');

        return true;
    }

    private function single(Cursor $cursor): ?WrittenAmount
    {
        $start = $cursor->position();
        $about = false;
        $fill = 1.0;
        while (($count = $cursor->phraseOf('about')) > 0) {
            $word = $cursor->peek($count - 1);
            $fill *= self::fills()[$word->lower ?? ''] ?? 1.0;
            $about = $about || $word?->isWord('level', 'whole', 'full', 'remaining', 'reserved') !== true;
            $cursor->move($count);
            $cursor->skipWord('to');
        }
        $cursor->skipMark('~', '≈', '<', '>');
        $isNegative = $cursor->peek()?->isMark('-', '−') === true
            && $cursor->peek(1)?->isNumber() === true
            && $cursor->peek(1)->isGlued;
        if ($isNegative) {
            $cursor->move();
        }
        $packs = $isNegative ? null : $this->packsAfterDash($cursor);
        if ($packs !== null) {
            return $packs;
        }
        $range = NumberGrammar::range($cursor);
        if ($range !== null && $isNegative) {
            $range = [-$range[1], -$range[0]];
        }
        if ($range === null) {
            $unnumbered = $this->unitWithoutNumber($cursor, $fill);
            if ($unnumbered !== null) {
                return $unnumbered;
            }
            // "a whole red chilli" is one
            $cursor->backTo($start);
            $range = $cursor->phraseOf('about') > 0 ? NumberGrammar::range($cursor) : null;
            if ($range === null) {
                $cursor->backTo($start);

                return null;
            }
            $fill = 1.0;
        }

        return $this->after($cursor, $range[0], $range[1], $fill, $about);
    }

    /** "1 - 15 oz can" is one can of 15 oz. */
    private function packsAfterDash(Cursor $cursor): ?WrittenAmount
    {
        $start = $cursor->position();
        $number = $cursor->peek();
        $dash = $cursor->peek(1);
        if ($number?->isNumber() === true && $dash?->isMark('-', '–') === true && !$dash->isGlued) {
            $cursor->move(2);
            $pack = $this->packOfWeight($cursor);
            if ($pack !== null) {
                return $pack->times($number->number);
            }
        }
        $cursor->backTo($start);

        return null;
    }

    /** "pinch of salt", "handful of mint": only vague units and nouns stand for one without a number. */
    private function unitWithoutNumber(Cursor $cursor, float $fill): ?WrittenAmount
    {
        $word = $cursor->peek();
        $unit = $this->units->unit($cursor);
        // "pinch each of cloves and mace"
        $isOfEach = $cursor->peek()?->isWord('each') === true && $cursor->peek(1) !== null;
        $isOfSomething = $isOfEach || !Vocabulary::has('behind', $cursor->peek()->lower ?? '');
        $spelledOut = strlen($word->text ?? '') > 2 && !$cursor->isAtEnd();
        if ($unit !== null && $isOfSomething && ($unit->isVague() || ($spelledOut && $unit->millilitres !== null))) {
            $this->units->skipMill($cursor);

            return (new WrittenAmount(1.0, 1.0, $unit, isAbout: true))->filled($fill);
        }
        $word = $cursor->peek();
        if (
            $unit === null
            && $word !== null
            && $word->kind === TokenKind::Word
            && self::standsAlone($word, $cursor->peek(1))
        ) {
            $cursor->move();
            $cursor->skipWord('piece', 'knob');
            $cursor->skipWord('of');
            $counted = Counts::named($word->text);

            return new WrittenAmount(1.0, 1.0, null, $counted, null, $fill, null, true);
        }

        return null;
    }

    /** Whether a noun stands for one of it: "bunch parsley", "clove of garlic", but not the clove of "clove oil". */
    private static function standsAlone(Token $noun, ?Token $next): bool
    {
        $row = Vocabulary::row('alone');
        $word = $noun->lower;

        return $next?->isWord() === true
            && (
                in_array($word, $row->list('words'), true)
                || ($next->isWord('of') && in_array($word, $row->list('of'), true))
                || in_array("{$word} " . $next->lower, $row->list('pairs'), true)
            );
    }

    /** What stands behind a number: a pack of so much, a length, a unit, or what is counted. */
    private function after(Cursor $cursor, float $low, float $high, float $fill, bool $about): WrittenAmount
    {
        if (($cursor->skipMark('×', 'x', '*') || $cursor->skipWord('x')) && $cursor->peek()?->isNumber() === true) {
            $inner = $this->single($cursor);
            if ($inner !== null) {
                return $inner->times($low);
            }
        }
        $length = $this->length($cursor);
        if ($length !== null) {
            return new WrittenAmount(
                $low * $length->low,
                $high * $length->high,
                null,
                $length->counted,
                isAbout: true,
            );
        }
        $pack = $this->packOfWeight($cursor);
        if ($pack !== null) {
            return new WrittenAmount(
                $low * $pack->low,
                $high * $pack->high,
                $pack->unit,
                pack: $pack->pack,
                isAbout: $about || $low !== $high,
            );
        }
        if ($low < 1.0) {
            $cursor->skipWord('a', 'an');
        }
        [$size, $filled] = self::sizes($cursor);
        $cursor->skipMark('-');

        return $this->inUnit($cursor, $low, $high, $size, $fill * $filled, $about || $size !== null || $filled !== 1.0)
            ?? $this->inCounts($cursor, $low, $high, $size);
    }

    /** @return array{string|null, float} the size and the fill that words before a unit say: "large", "(packed)" */
    private static function sizes(Cursor $cursor): array
    {
        [$size, $fill] = [null, 1.0];
        $filled = $cursor->peek()?->isMark('(') === true ? ($cursor->peek(1)->lower ?? '') : '';
        if (Vocabulary::has('beside', $filled, 'fill') && $cursor->peek(2)?->isMark(')') === true) {
            $cursor->move(3);
            $fill = self::fills()[$filled] ?? 1.0;
        }
        while ($cursor->peek()?->isWord() === true) {
            $word = $cursor->peek()->lower;
            $named = Vocabulary::fieldOf('sizes', $word);
            if ($named === null && !isset(self::fills()[$word])) {
                break;
            }
            $size = $named ?? $size;
            $fill *= self::fills()[$word] ?? 1.0;
            $cursor->move();
        }

        return [$size, $fill];
    }

    private function inUnit(
        Cursor $cursor,
        float $low,
        float $high,
        ?string $size,
        float $fill,
        bool $about,
    ): ?WrittenAmount {
        $unit = $this->units->unit($cursor);
        if ($unit !== null) {
            $pack = $this->units->packNoun($cursor);
            $this->units->skipMill($cursor);

            return (new WrittenAmount($low, $high, $unit, null, $size, 1.0, $pack, $about))->filled($fill);
        }
        $near = $this->units->misspelt($cursor);

        return $near === null
            ? null
            : new WrittenAmount($low, $high, $near[0], null, $size, $fill, null, true, $near[1]);
    }

    private function inCounts(Cursor $cursor, float $low, float $high, ?string $size): WrittenAmount
    {
        $counted = $this->units->countingNoun($cursor);
        $each = $counted !== null && Counts::isPack($counted) ? $this->weightInBrackets($cursor) : null;
        if ($each !== null) {
            // of half a tin the weight is what goes in, of two it is that of each
            return ($low < 1.0 ? $each : $each->times($low))->inPack((string) $counted);
        }

        return new WrittenAmount($low, $high, null, $counted ?? 'whole', $size, isAbout: true);
    }

    /** "(14 oz) can", "400 g tin", "14-oz can" after a count: the weight of each pack. */
    private function packOfWeight(Cursor $cursor): ?WrittenAmount
    {
        $start = $cursor->position();
        $bracketed = $this->weightInBrackets($cursor);
        $pack = $bracketed === null ? null : $this->units->packNoun($cursor);
        if ($bracketed !== null && $pack !== null) {
            return $bracketed->inPack($pack);
        }
        $cursor->backTo($start);
        if ($cursor->peek()?->isNumber() === true && !$cursor->peek()->isFraction) {
            $weight = $this->weight($cursor);
            $pack = $weight === null ? null : $this->units->packNoun($cursor);
            if ($weight !== null && $pack !== null) {
                return $weight->inPack($pack);
            }
        }
        $cursor->backTo($start);

        return null;
    }

    /** "5-inch", "3 cm", "(2-inch) pieces of" after a count: one piece of that length. */
    private function length(Cursor $cursor): ?WrittenAmount
    {
        $start = $cursor->position();
        $isBracketed = $cursor->skipMark('(');
        $range = $cursor->peek()?->isNumber() === true && !$cursor->peek()->isFraction
            ? NumberGrammar::range($cursor)
            : null;
        $cursor->skipMark('-');
        $counted = $range === null ? null : $this->units->countingNoun($cursor);
        $isClosed = !$isBracketed || $cursor->skipMark(')');
        if ($range !== null && $isClosed && in_array($counted, ['inch', 'cm'], true)) {
            if ($isBracketed && $cursor->skipWord(...Vocabulary::row('cut-in')->list('pieces'))) {
                $cursor->skipWord('of');
            }

            return new WrittenAmount($range[0], $range[1], null, $counted);
        }
        $cursor->backTo($start);

        return null;
    }

    private function weightInBrackets(Cursor $cursor): ?WrittenAmount
    {
        $start = $cursor->position();
        if ($cursor->skipMark('(')) {
            $weight = $this->weight($cursor);
            $cursor->skipWord('each');
            if ($weight !== null && $cursor->skipMark('/')) {
                $this->weight($cursor);
            }
            if ($weight !== null && $cursor->skipMark(')')) {
                return $weight;
            }
        }
        $cursor->backTo($start);

        return null;
    }

    private function weight(Cursor $cursor): ?WrittenAmount
    {
        $start = $cursor->position();
        $range = NumberGrammar::range($cursor);
        $cursor->skipMark('-');
        $unit = $range === null ? null : $this->units->unit($cursor);
        if ($range !== null && $unit !== null && !$unit->isVague()) {
            return new WrittenAmount($range[0], $range[1], $unit);
        }
        $cursor->backTo($start);

        return null;
    }

    /** @return array<string, float> how full a spoon is by the word before it, level being 1 */
    private static function fills(): array
    {
        /** @var array<string, float>|null $fills */
        static $fills = null;

        return $fills ??= FactsFile::named('words')['fills']->amounts('words');
    }
}
