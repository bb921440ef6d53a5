<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Facts\FactsFile;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Unit;
use Vinculum\Quantity\Units;

/**
 * Reads one amount: number, fill, size, unit or counting noun, with packs ("2 × 400 g tins") and sums ("1 cup plus 2
 * tbsp").
 */
final readonly class QuantityGrammar
{
    private const SIZES = [
        'small' => 'small',
        'little' => 'small',
        'baby' => 'small',
        'medium' => 'medium',
        'med' => 'medium',
        'average' => 'medium',
        'large' => 'large',
        'big' => 'large',
        'jumbo' => 'large',
        'lg' => 'large',
        'sm' => 'small',
        'fat' => 'large',
        'medium-sized' => 'medium',
        'small-sized' => 'small',
    ];
    private const SYSTEMS = [
        'us' => Measures::Us,
        'u.s.' => Measures::Us,
        'american' => Measures::Us,
        'metric' => Measures::Metric,
        'imperial' => Measures::Imperial,
        'uk' => Measures::Imperial,
        'british' => Measures::Imperial,
        'australian' => Measures::Australian,
        'aussie' => Measures::Australian,
        'japanese' => Measures::Japanese,
    ];
    private const ABOUT = [
        'about',
        'around',
        'approx',
        'approx.',
        'approximately',
        'roughly',
        'circa',
        'ca',
        'ca.',
        'c.',
        'nearly',
        'almost',
        'just',
        'up',
        'over',
        'under',
        'scarcely',
        'maybe',
        'perhaps',
        'some',
        'heaped',
        'rounded',
        'scant',
        'generous',
        'good',
        'level',
        'heaping',
        'big',
        'small',
        'large',
        'tiny',
    ];

    public function __construct(private Measures $measures) {}

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
        $joined = $cursor->skipMark('+')
            || $cursor->skipWord('plus', 'and')
            || ($first->unit?->name === 'pound' && $cursor->peek()?->isNumber() === true);
        $second = $joined ? $this->single($cursor) : null;
        $sum = $second === null ? null : self::sum($first, $second);
        if ($sum !== null) {
            return $sum;
        }
        $cursor->backTo($start);
        if ($first->unit !== null && ($cursor->skipWord('to', 'or') || $cursor->skipMark('-', '–', '—'))) {
            $upper = $this->single($cursor);
            $span = $upper === null ? null : self::span($first, $upper);
            if ($span !== null) {
                return $span;
            }
            $cursor->backTo($start);
        }

        return $first;
    }

    private function single(Cursor $cursor): ?WrittenAmount
    {
        $start = $cursor->position();
        $about = false;
        $fill = 1.0;
        while (
            ($word = $cursor->peek()) !== null
            && $word->kind === TokenKind::Word
            && in_array(mb_strtolower($word->text), self::ABOUT, true)
        ) {
            $fill *= self::fills()[mb_strtolower($word->text)] ?? 1.0;
            $about = $about || !$word->isWord('level');
            $cursor->move();
            $cursor->skipWord('to');
        }
        $cursor->skipMark('~');
        $isNegative = $cursor->peek()?->isMark('-', '−') === true
            && $cursor->peek(1)?->isNumber() === true
            && $cursor->peek(1)->isGlued;
        if ($isNegative) {
            $cursor->move();
        }
        $range = NumberGrammar::range($cursor);
        if ($range !== null && $isNegative) {
            $range = [-$range[1], -$range[0]];
        }
        if ($range === null) {
            $unnumbered = $this->unitWithoutNumber($cursor, $fill);
            if ($unnumbered === null) {
                $cursor->backTo($start);
            }

            return $unnumbered;
        }

        return $this->after($cursor, $range[0], $range[1], $fill, $about);
    }

    /** "pinch of salt", "handful of mint": only vague units and nouns stand for one without a number. */
    private function unitWithoutNumber(Cursor $cursor, float $fill): ?WrittenAmount
    {
        $word = $cursor->peek();
        $unit = $this->unit($cursor);
        $spelledOut = strlen($word->text ?? '') > 2 && !$cursor->isAtEnd();
        if ($unit !== null && ($unit->isVague() || ($spelledOut && $unit->millilitres !== null))) {
            $this->ofTheMill($cursor);

            return new WrittenAmount(1.0, 1.0, $unit, null, null, $fill, null, true);
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
        $row = FactsFile::named('writing')['alone'];
        $word = mb_strtolower($noun->text);

        return $next?->isWord() === true
            && (
                in_array($word, $row->list('words'), true)
                || ($next->isWord('of') && in_array($word, $row->list('of'), true))
                || in_array("{$word} " . mb_strtolower($next->text), $row->list('pairs'), true)
            );
    }

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
                null,
                1.0,
                null,
                true,
            );
        }
        $pack = $this->packOfWeight($cursor);
        if ($pack !== null) {
            return new WrittenAmount(
                $low * $pack->low,
                $high * $pack->high,
                $pack->unit,
                null,
                null,
                1.0,
                $pack->pack,
                $about || $low !== $high,
            );
        }
        if ($low < 1.0) {
            $cursor->skipWord('a', 'an');
        }
        $size = null;
        while (($word = $cursor->peek()) !== null && $word->kind === TokenKind::Word) {
            $lower = mb_strtolower($word->text);
            if (isset(self::SIZES[$lower]) || isset(self::fills()[$lower])) {
                $size = self::SIZES[$lower] ?? $size;
                $fill *= self::fills()[$lower] ?? 1.0;
                $about = true;
                $cursor->move();
            } else {
                break;
            }
        }
        $cursor->skipMark('-');
        $unit = $this->unit($cursor);
        if ($unit !== null) {
            $pack = $this->packNoun($cursor);
            $this->ofTheMill($cursor);

            return new WrittenAmount(
                $low,
                $high,
                $unit,
                null,
                $size,
                $unit->isVague() || $unit->millilitres !== null ? $fill : 1.0,
                $pack,
                $about,
            );
        }
        $near = $this->misspeltUnit($cursor);
        if ($near !== null) {
            [$unit, $word] = $near;

            return new WrittenAmount($low, $high, $unit, null, $size, $fill, null, true, $word);
        }
        $counted = $this->countingNoun($cursor);
        $each = $counted !== null && Counts::isPack($counted) ? $this->weightInBrackets($cursor) : null;
        if ($each !== null) {
            // of half a tin the weight is what goes in, of two it is that of each
            return ($low < 1.0 ? $each : $each->times($low))->inPack((string) $counted);
        }

        return new WrittenAmount($low, $high, null, $counted ?? 'whole', $size, 1.0, null, true);
    }

    /** "(14 oz) can", "400 g tin", "14-oz can" after a count: the weight of each pack. */
    private function packOfWeight(Cursor $cursor): ?WrittenAmount
    {
        $start = $cursor->position();
        $bracketed = $this->weightInBrackets($cursor);
        $pack = $bracketed === null ? null : $this->packNoun($cursor);
        if ($bracketed !== null && $pack !== null) {
            return $bracketed->inPack($pack);
        }
        $cursor->backTo($start);
        if ($cursor->peek()?->isNumber() === true && !$cursor->peek()->isFraction) {
            $weight = $this->weight($cursor);
            $pack = $weight === null ? null : $this->packNoun($cursor);
            if ($weight !== null && $pack !== null) {
                return $weight->inPack($pack);
            }
        }
        $cursor->backTo($start);

        return null;
    }

    /** "5-inch", "3 cm" after a count: one piece of that length. */
    private function length(Cursor $cursor): ?WrittenAmount
    {
        $start = $cursor->position();
        $range = $cursor->peek()?->isNumber() === true && !$cursor->peek()->isFraction
            ? NumberGrammar::range($cursor)
            : null;
        $cursor->skipMark('-');
        $counted = $range === null ? null : $this->countingNoun($cursor);
        if ($range !== null && in_array($counted, ['inch', 'cm'], true)) {
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
        $unit = $range === null ? null : $this->unit($cursor);
        if ($range !== null && $unit !== null && !$unit->isVague()) {
            return new WrittenAmount($range[0], $range[1], $unit);
        }
        $cursor->backTo($start);

        return null;
    }

    private function unit(Cursor $cursor): ?Unit
    {
        $start = $cursor->position();
        $measures = $this->measures;
        $word = $cursor->peek();
        if ($word !== null && isset(self::SYSTEMS[mb_strtolower($word->text)])) {
            $measures = self::SYSTEMS[mb_strtolower($word->text)];
            $cursor->move();
            $word = $cursor->peek();
        }
        if ($word !== null && $word->kind === TokenKind::Word) {
            $next = $cursor->peek(1);
            $pair = $next !== null && $next->kind === TokenKind::Word
                ? Units::named(rtrim($word->text, '.') . ' ' . rtrim($next->text, '.'), $measures)
                : null;
            $unit = $pair ?? Units::named($word->text, $measures);
            if ($unit !== null) {
                $cursor->move($pair === null ? 1 : 2);
                $cursor->skipMark('.');
                $cursor->skipWord('of');

                return $unit;
            }
        }
        $cursor->backTo($start);

        return null;
    }

    /**
     * "teapoons" before a name: the unit that it comes nearest to, and the word itself.
     *
     * @return array{Unit, string}|null
     */
    private function misspeltUnit(Cursor $cursor): ?array
    {
        $word = $cursor->peek();
        if ($word?->isWord() !== true || $cursor->peek(1)?->isWord() !== true || Counts::named($word->text) !== null) {
            return null;
        }
        $nearest = Units::nearest($word->text);
        $unit = $nearest === null ? null : Units::named($nearest, $this->measures);
        if ($unit === null || $unit->isVague()) {
            return null;
        }
        $cursor->move();
        $cursor->skipWord('of');

        return [$unit, $word->text];
    }

    private function packNoun(Cursor $cursor): ?string
    {
        $start = $cursor->position();
        $cursor->skipMark('-');
        $cursor->skipWord('small', 'large', 'standard');
        $word = $cursor->peek();
        $counted = $word !== null && $word->kind === TokenKind::Word ? Counts::named($word->text) : null;
        if ($counted !== null && Counts::isPack($counted) && $cursor->peek(1) !== null) {
            $cursor->move();
            $cursor->skipWord('of');

            return $counted;
        }
        $cursor->backTo($start);

        return null;
    }

    private function countingNoun(Cursor $cursor): ?string
    {
        $word = $cursor->peek();
        if ($word === null || ($word->kind !== TokenKind::Word && !$word->isMark('"', '″'))) {
            return null;
        }
        if ($word->isMark('"', '″') || ($word->isWord('in') && $word->isGlued)) {
            $counted = 'inch';
        } else {
            $counted = Counts::named($word->text);
        }
        if ($counted === null) {
            return null;
        }
        $start = $cursor->position();
        $cursor->move();
        if (in_array($counted, ['cm', 'inch', 'thumb'], true)) {
            $cursor->skipMark('-');
            $cursor->skipWord('piece', 'knob', 'thumb', 'chunk', 'length', 'stick', 'sized', 'size', 'slice');
            $cursor->skipWord('piece', 'knob', 'chunk');
        }
        $cursor->skipWord('of');
        if ($cursor->isAtEnd() && !in_array($counted, ['part'], true)) {
            // "2 cloves" with nothing after it is the spice
            $cursor->backTo($start);

            return null;
        }

        return $counted;
    }

    /** "turns of the pepper mill", "grinds of the mill". */
    private function ofTheMill(Cursor $cursor): void
    {
        $start = $cursor->position();
        $cursor->skipWord('of');
        $cursor->skipWord('the', 'a');
        $isMill = $cursor->peek()?->isWord('mill', 'grinder') === true && $cursor->peek(1)?->isWord() === true;
        if ($isMill) {
            $cursor->move();
            $cursor->skipWord('of');
        } else {
            $cursor->backTo($start);
        }
    }

    private static function sum(WrittenAmount $a, WrittenAmount $b): ?WrittenAmount
    {
        $ratio = self::ratio($a, $b);

        return $ratio === null
            ? null
            : new WrittenAmount(
                $a->low + $b->low * $ratio,
                $a->high + $b->high * $ratio,
                $a->unit,
                null,
                null,
                $a->fill,
                null,
                $a->isAbout || $b->isAbout,
            );
    }

    private static function span(WrittenAmount $a, WrittenAmount $b): ?WrittenAmount
    {
        $ratio = self::ratio($a, $b);

        return $ratio === null
            ? null
            : new WrittenAmount($a->low, max($a->low, $b->high * $ratio), $a->unit, null, null, 1.0, null, true);
    }

    /** How many of the first unit one of the second is; null when they do not measure the same thing. */
    private static function ratio(WrittenAmount $a, WrittenAmount $b): ?float
    {
        return match (true) {
            $a->unit?->grams !== null && $b->unit?->grams !== null => $b->unit->grams / $a->unit->grams,
            $a->unit?->millilitres !== null
                && $b->unit?->millilitres !== null => $b->unit->millilitres / $a->unit->millilitres,
            default => null,
        };
    }

    /** @return array<string, float> how full a spoon is by the word before it, level being 1 */
    private static function fills(): array
    {
        /** @var array<string, float>|null $fills */
        static $fills = null;

        return $fills ??= FactsFile::named('words')['fills']->amounts('words');
    }
}
