<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Unit;
use Vinculum\Quantity\Units;

/** Reads what an amount is told in: a unit, also misspelt or of another country, a pack, or what is counted. */
final readonly class UnitGrammar
{
    public function __construct(private Measures $measures) {}

    /** "cup", "fl oz", "US pint"; null with the cursor where it was. */
    public function unit(Cursor $cursor): ?Unit
    {
        $start = $cursor->position();
        $measures = $this->measures;
        $word = $cursor->peek();
        $country = $word === null ? null : Vocabulary::fieldOf('of-country', $word->lower);
        if ($country !== null) {
            $measures = Measures::from($country);
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
    public function misspelt(Cursor $cursor): ?array
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

    /** "tin", "small jar": what a thing is sold in; null with the cursor where it was. */
    public function packNoun(Cursor $cursor): ?string
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

    /** "cloves", "sprigs", "-inch piece": what is counted; null with the cursor where it was. */
    public function countingNoun(Cursor $cursor): ?string
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
        if ($counted === 'knob') {
            $cursor->skipWord('knob', 'piece', 'lump', 'bit', 'nub', 'ball');
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
    public function skipMill(Cursor $cursor): void
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
}
