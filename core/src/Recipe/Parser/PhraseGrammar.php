<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Ingredient\NameWords;

/** Joins the tokens of a line into phrases: amounts, names, words, joiners, brackets. Every token is of one phrase. */
final readonly class PhraseGrammar
{
    private const OPEN = ['(' => ')', '[' => ']', '{' => '}'];
    private const BETWEEN = [',', ';', '+', '&', '/', '|', ':', '•', '·', '='];
    private const DASHES = ['-', '–', '—', '−'];
    /** Brackets within brackets that are looked into. */
    private const DEEPEST = 4;

    public function __construct(private QuantityGrammar $quantities, private Names $names) {}

    /**
     * @param list<Token> $tokens
     * @param int $from the token that they begin with
     * @param int $depth of the brackets that they stand in
     *
     * @return list<Phrase>
     */
    public function phrases(array $tokens, int $from = 0, int $depth = 0): array
    {
        $phrases = [];
        $at = $from;
        while ($at < count($tokens)) {
            $phrase = $this->next($tokens, $at, $phrases, $depth);
            $phrases[] = $phrase;
            $at = max($at + 1, $phrase->to);
        }

        return $phrases;
    }

    /**
     * @param list<Token> $tokens
     * @param list<Phrase> $before
     */
    private function next(array $tokens, int $at, array $before, int $depth): Phrase
    {
        $token = $tokens[$at];
        $last = $before === [] ? null : $before[count($before) - 1];
        $isAtStart = $last === null
            || $last->is(PhraseKind::Joiner, PhraseKind::Each, PhraseKind::Some, PhraseKind::Mark)
            || ($last->is(PhraseKind::Word) && self::leadsToAnAmount($tokens[$last->from]));
        if (isset(self::OPEN[$token->text]) && $token->isMark()) {
            return $this->bracket($tokens, $at, $depth);
        }
        if ($token->isMark()) {
            $isSigned = $isAtStart && $token->isMark('-', '−', '~', '≈', '<', '>');
            $isSigned = $isSigned && ($tokens[$at + 1] ?? null)?->isNumber() === true;
            $amount = $isSigned ? $this->amount($tokens, $at, true) : null;

            return $amount ?? $this->mark($tokens, $at);
        }
        return $this->measure($tokens, $at, $isAtStart, $before)
            ?? $this->counted($tokens, $at, $isAtStart, $last)
            ?? $this->word($tokens, $at, $last, $depth);
    }

    /**
     * "50 %", "3:1:1", "equal parts", "the same of", "a little".
     *
     * @param list<Token> $tokens
     * @param list<Phrase> $before
     */
    private function measure(array $tokens, int $at, bool $isAtStart, array $before): ?Phrase
    {
        if ($tokens[$at]->isNumber()) {
            return $this->percent($tokens, $at) ?? $this->ratio($tokens, $at);
        }
        $equal = $isAtStart ? Vocabulary::phraseAt('equal', $tokens, $at) : 0;
        $isLead = $equal > 0 && $this->names->longestAt($tokens, $at) <= $equal
            && ($tokens[$at + $equal] ?? null)?->isWord() === true
            && array_filter($before, static fn(Phrase $one): bool => !$one->is(PhraseKind::Mark)) === [];
        if ($isLead) {
            return new Phrase(PhraseKind::Equal, $at, $at + $equal);
        }
        $as = $isAtStart ? Vocabulary::phraseAt('same-as', $tokens, $at) : 0;
        $same = $as > 0 ? $this->sameAs($tokens, $at, $at + $as) : null;
        if ($same !== null) {
            return $same;
        }
        $same = $isAtStart ? Vocabulary::phraseAt('same', $tokens, $at) : 0;
        $next = $tokens[$at + $same] ?? null;
        if ($same > 0 && $next?->isWord() === true && !$next->isWord('as')) {
            return new Phrase(PhraseKind::Same, $at, $at + $same);
        }
        $times = $isAtStart ? self::timesAsMuch($tokens, $at) : null;
        if ($times !== null) {
            return $times;
        }
        $toTaste = $before === [] ? Vocabulary::phraseAt('some', $tokens, $at, 'behind') : 0;
        if ($toTaste > 0) {
            return new Phrase(PhraseKind::Some, $at, $at + $toTaste);
        }
        $some = $isAtStart ? Vocabulary::phraseAt('some-of', $tokens, $at) : 0;
        $next = $tokens[$at + $some] ?? null;
        $about = Vocabulary::phraseAt('about', $tokens, $at);
        if ($some > 0 && $next?->isWord() === true && ($about < $some || !$this->isAmountNext($tokens, $at + $about))) {
            return new Phrase(PhraseKind::Some, $at, $at + $some, says: $tokens[$at]->lower);
        }
        $each = Vocabulary::phraseAt('each', $tokens, $at);

        return $each > 0 ? new Phrase(PhraseKind::Each, $at, $at + $each) : null;
    }

    /**
     * "half as much", "twice the amount of"
     *
     * @param list<Token> $tokens
     */
    private static function timesAsMuch(array $tokens, int $at): ?Phrase
    {
        foreach (Vocabulary::row('times-as-much')->fields() as $field) {
            $long = Vocabulary::phraseAt('times-as-much', $tokens, $at, $field);
            if ($long > 0 && ($tokens[$at + $long] ?? null)?->isWord() === true) {
                $times = (float) Vocabulary::valueOf('times', $field);

                return new Phrase(PhraseKind::Same, $at, $at + $long, shares: [$times]);
            }
        }

        return null;
    }

    /**
     * "about the same as the honey": of which thing, and with the "of" behind it.
     *
     * @param list<Token> $tokens
     */
    private function sameAs(array $tokens, int $at, int $to): ?Phrase
    {
        $to += ($tokens[$to] ?? null)?->isWord('the', 'your', 'my') === true ? 1 : 0;
        $name = $this->names->longestAt($tokens, $to);
        if ($name === 0) {
            // "as much as you like"
            return null;
        }
        $says = implode(' ', array_map(static fn(Token $one): string => $one->text, array_slice($tokens, $to, $name)));
        $to += $name;
        $to += ($tokens[$to] ?? null)?->isWord('of') === true ? 1 : 0;

        return new Phrase(PhraseKind::Same, $at, $to, says: $says);
    }

    /** @param list<Token> $tokens */
    private function counted(array $tokens, int $at, bool $isAtStart, ?Phrase $last): ?Phrase
    {
        $name = $this->names->longestAt($tokens, $at);
        $isNumber = $tokens[$at]->isNumber();
        // "x 2" behind a name
        $isTimes = $tokens[$at]->isWord('x') && ($tokens[$at + 1] ?? null)?->isNumber() === true && $last !== null;
        if ($isTimes) {
            return $this->amount($tokens, $at + 1, true, $at);
        }
        $isSpelled = $tokens[$at]->isWord() && Vocabulary::valueOf('numbers', $tokens[$at]->lower) !== null;
        $isBehindFood = $last?->is(PhraseKind::Food) === true;
        $amount = $isNumber || $isAtStart || $isSpelled
            ? $this->amount($tokens, $at, $isAtStart, isBehindFood: $isBehindFood)
            : null;
        if ($amount !== null && !$isNumber && !$isAtStart) {
            // behind a name: "sugar, half a cup", "sugar half a cup"
            $next = $tokens[$amount->to] ?? null;
            $isMeasured = $amount->amounts[0]->unit !== null && ($next === null || $next->isMark());
            $amount = $isMeasured ? $amount : null;
        }
        if ($amount !== null && $name > 1) {
            // "five spice" is a name, "tin tomatoes" is one of them
            $rest = $at + $name - $amount->to;
            $isOneOf = !$isNumber && !$isSpelled && $rest > 0 && $this->names->longestAt($tokens, $amount->to) >= $rest;
            $amount = $isOneOf ? $amount : null;
        }

        return $amount;
    }

    /**
     * @param list<Token> $tokens
     */
    private function amountAt(array $tokens, int $at, int $name): ?Phrase
    {
        $amount = $name < 2 ? $this->amount($tokens, $at, true) : null;

        $isBare = $amount?->amounts[0]->unit === null && $amount?->amounts[0]->counted === 'whole';

        return $isBare ? null : $amount;
    }

    /**
     * An amount, and the same again in other units: "200 g / 7 oz / 1 cup".
     *
     * @param list<Token> $tokens
     */
    private function amount(
        array $tokens,
        int $at,
        bool $isAtStart,
        ?int $from = null,
        bool $isBehindFood = false,
    ): ?Phrase {
        $cursor = new Cursor($tokens, $at);
        $first = $this->quantities->quantity($cursor);
        if ($first === null) {
            return null;
        }
        $isBare = $first->unit === null && $first->counted === 'whole';
        $next = $cursor->peek();
        if (!$isAtStart && $isBare) {
            // within a name a bare number is part of it: "type 00 flour"
            $counted = $next?->isWord() === true ? Counts::named($next->text) : null;
            $isLast = $next === null || $next->isMark();
            if ($counted !== null && !$isLast) {
                $cursor->move();
                $first = $first->of($counted);
            } elseif (!$isLast && !($isBehindFood && $this->isOfItsOwn($tokens, $cursor->position()))) {
                return null;
            }
        }
        if ($cursor->phraseOf('or-so') > 0) {
            $cursor->move($cursor->phraseOf('or-so'));
            $cursor->skipWord('of');
        }
        $forms = [$first];
        while (($form = $this->anotherForm($cursor, $forms)) !== null) {
            $forms[] = $form;
        }

        return new Phrase(PhraseKind::Amount, $from ?? $at, $cursor->position(), $forms);
    }

    /**
     * "salt 2 lemons", "lemon ½ juice": whether another thing stands there, or a part of the one before.
     *
     * @param list<Token> $tokens
     */
    private function isOfItsOwn(array $tokens, int $at): bool
    {
        return $this->names->longestAt($tokens, $at) > 0
            || Vocabulary::fieldOf('part-of', $tokens[$at]->lower) !== null;
    }

    /** @param non-empty-list<WrittenAmount> $forms */
    private function anotherForm(Cursor $cursor, array $forms): ?WrittenAmount
    {
        $start = $cursor->position();
        $first = $forms[0];
        $isSure = $cursor->skipMark('/', '=', '|');
        $isJoined = $isSure || $cursor->skipMark(',', ';') || $cursor->skipWord('or');
        if ($isJoined) {
            $cursor->skipWord('or');
            $form = $this->quantities->quantity($cursor);
            $isUnit = $form?->unit !== null && ($isSure || $first->unit !== null);
            if ($form !== null && $isUnit && ($isSure || $first->mayBe($form))) {
                if ($cursor->peek()?->isMark(',') === true && $cursor->peek(1)?->isWord('of') === true) {
                    $cursor->move(2);
                }

                return $form;
            }
        }
        $cursor->backTo($start);

        return null;
    }

    /** @param list<Token> $tokens */
    private function percent(array $tokens, int $at): ?Phrase
    {
        $cursor = new Cursor($tokens, $at + 1);
        $isPercent = $cursor->skipMark('%') || $cursor->skipWord('percent')
            || ($cursor->peek()?->isWord('per') === true && $cursor->peek(1)?->isWord('cent') === true);
        if (!$isPercent || $this->names->longestAt($tokens, $at) > 1) {
            return null;
        }
        if ($cursor->skipWord('per')) {
            $cursor->move();
        }
        while (Vocabulary::has('strength', $cursor->peek()->lower ?? '')) {
            $cursor->move();
        }

        return new Phrase(PhraseKind::Percent, $at, $cursor->position(), shares: [$tokens[$at]->number]);
    }

    /** @param list<Token> $tokens */
    private function ratio(array $tokens, int $at): ?Phrase
    {
        $shares = [$tokens[$at]->number];
        $end = $at + 1;
        while (($tokens[$end] ?? null)?->isMark(':') === true && ($tokens[$end + 1] ?? null)?->isNumber() === true) {
            $shares[] = $tokens[$end + 1]->number;
            $end += 2;
        }
        if (count($shares) < 2) {
            return null;
        }
        while (($tokens[$end] ?? null)?->isWord('ratio', 'mix', 'mixture', 'of', 'blend') === true) {
            ++$end;
        }

        return new Phrase(PhraseKind::Ratio, $at, $end, shares: $shares);
    }

    /** @param list<Token> $tokens */
    private function bracket(array $tokens, int $at, int $depth): Phrase
    {
        [$open, $close, $nested, $end] = [$tokens[$at]->text, self::OPEN[$tokens[$at]->text], 0, null];
        for ($next = $at; $next < count($tokens); ++$next) {
            $nested += $tokens[$next]->isMark($open) ? 1 : ($tokens[$next]->isMark($close) ? -1 : 0);
            if ($nested === 0) {
                $end = $next;
                break;
            }
        }
        if ($end === null || $depth > self::DEEPEST) {
            return new Phrase(PhraseKind::Mark, $at, $at + 1);
        }
        $word = $tokens[$at + 1] ?? null;
        if ($open === '[' && $end === $at + 2 && $word?->isWord() === true && Vocabulary::has('tags', $word->lower)) {
            return new Phrase(PhraseKind::Tag, $at, $end + 1, says: $word->lower);
        }

        $inner = $this->phrases(array_slice($tokens, 0, $end), $at + 1, $depth + 1);

        return new Phrase(PhraseKind::Bracket, $at, $end + 1, inner: $inner);
    }

    /** @param list<Token> $tokens */
    private function mark(array $tokens, int $at): Phrase
    {
        $token = $tokens[$at];
        $next = $tokens[$at + 1] ?? null;
        $isLeader = preg_match('/^(?:…|\.|\s\.){1,}$/u', $token->text) === 1 && strlen($token->text) > 2;
        if ($isLeader) {
            return new Phrase(PhraseKind::Joiner, $at, $at + 1, says: '-');
        }
        if ($token->isMark(...self::BETWEEN)) {
            // ", and", "; plus"
            $isDouble = $token->isMark(',', ';') && $next?->isWord('and', 'plus') === true
                && Vocabulary::phraseAt('purposes', $tokens, $at + 1) === 0;

            return $isDouble
                ? new Phrase(PhraseKind::Joiner, $at, $at + 2, says: $next->lower)
                : new Phrase(PhraseKind::Joiner, $at, $at + 1, says: $token->text);
        }
        $isSpaced = $token->isMark(...self::DASHES) && !($token->isGlued && $next?->isGlued === true);

        return $isSpaced
            ? new Phrase(PhraseKind::Joiner, $at, $at + 1, says: '-')
            : new Phrase(PhraseKind::Mark, $at, $at + 1);
    }

    /**
     * "see note 2", "such as", "juice and all": what names no other thing.
     *
     * @param list<Token> $tokens
     */
    private function aside(array $tokens, int $at, ?Phrase $last, int $depth): ?Phrase
    {
        $isBehind = $last?->is(PhraseKind::Food, PhraseKind::Word, PhraseKind::Joiner) ?? $depth > 0;
        $whole = $isBehind ? Vocabulary::phraseAt('in-its-juice', $tokens, $at) : 0;
        if ($whole > 0) {
            return new Phrase(PhraseKind::Purpose, $at, $at + $whole, says: 'cut');
        }
        $size = $last === null && $depth === 0 ? 0 : Vocabulary::phraseAt('size-of', $tokens, $at);
        if ($size > 0) {
            return new Phrase(PhraseKind::Purpose, $at, $this->endOfSize($tokens, $at + $size), says: 'size');
        }
        $suchAs = $last === null ? 0 : Vocabulary::phraseAt('such-as', $tokens, $at);
        if ($suchAs > 0) {
            return new Phrase(PhraseKind::Note, $at, $at + $suchAs);
        }
        $note = max(Vocabulary::phraseAt('notes', $tokens, $at), Vocabulary::phraseAt('kept', $tokens, $at));
        $isClauseStart = $last === null ? $depth > 0 : $last->is(PhraseKind::Joiner, PhraseKind::Bracket);
        if ($isClauseStart && ($note > 0 || $tokens[$at]->isWord('not'))) {
            return new Phrase(PhraseKind::Note, $at, $at + max(1, $note));
        }
        // "zest first, then juice"
        $isThen = $last !== null && $tokens[$at]->isWord('then')
            && Vocabulary::fieldOf('part-of', $tokens[$at + 1]->lower ?? '') !== null;

        return $isThen ? new Phrase(PhraseKind::Joiner, $at, $at + 1, says: 'and') : null;
    }

    /** @param list<Token> $tokens */
    private function word(array $tokens, int $at, ?Phrase $last, int $depth): Phrase
    {
        $name = max($this->names->longestAt($tokens, $at), Vocabulary::phraseAt('one-thing', $tokens, $at));
        $stirred = Vocabulary::phraseAt('stirred-in', $tokens, $at);
        if ($stirred > 0 && $last !== null && $this->isAmountNext($tokens, $at + $stirred)) {
            return new Phrase(PhraseKind::Joiner, $at, $at + $stirred, says: '+');
        }
        $bare = $last === null ? 0 : Vocabulary::phraseAt('stirred-in', $tokens, $at, 'bare');
        if ($bare > 0 && $this->isStirredIn($tokens, $at, $at + $bare)) {
            return new Phrase(PhraseKind::Joiner, $at, $at + $bare, says: '+');
        }
        $aside = $this->aside($tokens, $at, $last, $depth);
        if ($aside !== null) {
            return $aside;
        }
        $isClauseStart = $last === null ? $depth > 0 : $last->is(PhraseKind::Joiner, PhraseKind::Bracket);
        if ($isClauseStart && $tokens[$at]->isWord('from') && $this->isSource($tokens, $at + 1)) {
            return new Phrase(PhraseKind::Purpose, $at, $at + 1);
        }
        $purpose = $last === null ? 0 : Vocabulary::phraseAt('purposes', $tokens, $at);
        if ($purpose > 0 && $name <= $purpose) {
            // "if you like" says all there is; "to serve with the beans" goes on
            $goesOn = Vocabulary::has('going-on', $tokens[$at]->lower);

            return new Phrase(PhraseKind::Purpose, $at, $at + $purpose, says: $goesOn ? '' : 'said');
        }
        if ($name > 0) {
            return new Phrase(PhraseKind::Food, $at, $at + $name);
        }
        $token = $tokens[$at];
        if ($token->isWord('and', 'plus', 'or') && $last !== null) {
            $isBoth = $token->isWord('and') && ($tokens[$at + 1] ?? null)?->isMark('/') === true
                && ($tokens[$at + 2] ?? null)?->isWord('or') === true;

            return new Phrase(PhraseKind::Joiner, $at, $at + ($isBoth ? 3 : 1), says: $isBoth ? 'or' : $token->lower);
        }
        $isRate = $last !== null && $token->isWord('per') && ($tokens[$at + 1] ?? null)?->isWord('cent') !== true;
        $isForUse = $isRate || $last !== null && $token->isWord('for') && !$last->is(PhraseKind::Joiner);
        if ($isForUse) {
            return new Phrase(PhraseKind::Purpose, $at, $at + 1);
        }
        if ($last !== null && $token->isWord('with') && $this->isAmountNext($tokens, $at + 1)) {
            return new Phrase(PhraseKind::Joiner, $at, $at + 1, says: '+');
        }
        $isSize = Vocabulary::phraseAt('cut-in', $tokens, $at);
        if ($isSize > 0 && $last !== null && ($end = $this->cutEnd($tokens, $at + $isSize)) !== null) {
            // "in 2 cm lengths": how it is cut is no part of its name
            return new Phrase(PhraseKind::Purpose, $at, $end, says: 'cut');
        }

        return new Phrase(PhraseKind::Word, $at, $at + 1);
    }

    /**
     * "… the size of a walnut", "… as big as your thumb": where that ends.
     *
     * @param list<Token> $tokens
     */
    private function endOfSize(array $tokens, int $at): int
    {
        $at += ($tokens[$at] ?? null)?->isWord('a', 'an', 'the', 'your', 'my', 'half') === true ? 1 : 0;
        $most = $at + max(2, $this->names->longestAt($tokens, $at));
        for (; $at < $most && ($tokens[$at] ?? null)?->isWord() === true; ++$at) {
            if ($tokens[$at]->isWord('and', 'or', 'plus', 'with')) {
                break;
            }
            // "a grain of rice"
            $most = $tokens[$at]->isWord('of') ? $at + 2 : $most;
        }

        return $at;
    }

    /**
     * "mixed with a little cold milk": whether another thing stands there. "the sugar" is that of
     * another line, and the water that something soaked in is none.
     *
     * @param list<Token> $tokens
     */
    private function isStirredIn(array $tokens, int $at, int $to): bool
    {
        $isSoaking = Vocabulary::phraseAt('stirred-in', $tokens, $at, 'soaking') > 0;
        $isOfTheList = ($tokens[$to] ?? null)?->isWord('the', 'your', 'all', 'half') === true;
        $to += Vocabulary::phraseAt('some-of', $tokens, $to);
        while (
            ($tokens[$to] ?? null)?->isWord() === true && $this->names->longestAt($tokens, $to) === 0
            && (NameWords::isDescriptor($tokens[$to]->lower) || Vocabulary::has('beside', $tokens[$to]->lower))
        ) {
            ++$to;
        }
        $name = $isOfTheList ? 0 : $this->names->longestAt($tokens, $to);

        return $name > 0 && !($isSoaking && $tokens[$to + $name - 1]->isWord('water'));
    }

    /**
     * "from 1 lemon", "from a jar": where it comes from, and no other food.
     *
     * @param list<Token> $tokens
     */
    private function isSource(array $tokens, int $at): bool
    {
        $at += Vocabulary::phraseAt('about', $tokens, $at);
        $at += ($tokens[$at] ?? null)?->isWord('a', 'an', 'the', 'your') === true ? 1 : 0;

        return ($tokens[$at] ?? null)?->isNumber() === true || $this->names->longestAt($tokens, $at) === 0;
    }

    /**
     * Where "2 cm lengths", "small cubes" end; null where there are none.
     *
     * @param list<Token> $tokens
     */
    private function cutEnd(array $tokens, int $at): ?int
    {
        for ($next = $at; $next < min(count($tokens), $at + 8); ++$next) {
            $token = $tokens[$next];
            if ($token->isWord() && Vocabulary::has('cut-in', $token->lower, 'pieces')) {
                return $next + 1;
            }
            $isSize = $token->isNumber() || $token->isMark('-', '–', '"', '/')
                || ($token->isWord() && self::isCutWord($token->lower));
            if (!$isSize) {
                return null;
            }
        }

        return null;
    }

    /** "the juice of two lemons", "onions x 2" */
    private static function leadsToAnAmount(Token $token): bool
    {
        return $token->isWord('of', 'from', 'x') || Vocabulary::fieldOf('part-of', $token->lower) !== null;
    }

    private static function isCutWord(string $word): bool
    {
        return Vocabulary::has('beside', $word)
            || Vocabulary::has('cut-in', $word, 'sizes')
            || NameWords::isDescriptor($word);
    }

    /**
     * Whether an amount of something stands here: in a unit, or a number of its own.
     *
     * @param list<Token> $tokens
     */
    public function isAmountAt(array $tokens, int $at): bool
    {
        return $tokens[$at]->isNumber() || $this->amountAt($tokens, $at, $this->names->longestAt($tokens, $at)) !== null
            || $tokens[$at]->isWord('one', 'two', 'three', 'four', 'five', 'six', 'another', 'half')
            || Vocabulary::phraseAt('part-of', $tokens, $at + ($tokens[$at]->isWord('the', 'a') ? 1 : 0), 'juice') > 0;
    }

    /** @param list<Token> $tokens */
    private function isAmountNext(array $tokens, int $at): bool
    {
        return $this->amountAt($tokens, $at, 0) !== null || ($tokens[$at] ?? null)?->isNumber() === true;
    }
}
