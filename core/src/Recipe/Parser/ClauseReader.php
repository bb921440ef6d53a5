<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Ingredient\NameWords;

/** Reads a clause: nearly always one thing and how much of it, or something that is said of one. */
final class ClauseReader
{
    /** @var list<Draft> parts of a fruit that a bracket behind it names */
    private array $parts = [];

    /** @var non-empty-list<Draft> of the clause */
    private array $drafts;

    public function __construct(private readonly LineWords $words) {}

    /**
     * What a clause says: nearly always one thing, or something about one.
     *
     * @param non-empty-list<Phrase> $clause
     *
     * @return list<Draft>
     */
    public function drafts(array $clause, Joiner $joiner): array
    {
        $all = range($clause[0]->from, $clause[count($clause) - 1]->to - 1);
        $choice = $joiner->turns() ? $this->words->choiceIn($all, false) : [];
        if ($choice !== []) {
            return [Draft::choice($choice, array_slice($all, count($choice)))];
        }
        $this->parts = [];
        $this->drafts = [new Draft()];
        [$purpose, $role] = [[], Role::Purpose];
        foreach ($clause as $nth => $phrase) {
            $tokens = range($phrase->from, $phrase->to - 1);
            $draft = $this->drafts[count($this->drafts) - 1];
            $isPurpose = $phrase->is(PhraseKind::Purpose, PhraseKind::Note) && $phrase->says === '';
            $isApart = $phrase->is(PhraseKind::Tag, PhraseKind::Bracket, PhraseKind::Mark);
            if ($isPurpose || ($purpose !== [] && !$isApart)) {
                $role = $purpose === [] && $phrase->is(PhraseKind::Note) ? Role::Note : $role;
                array_push($purpose, ...$tokens);
                continue;
            }
            $behind = array_slice($clause, $nth + 1);
            if ($phrase->is(PhraseKind::Bracket) && $this->isWithinName($draft, $phrase, $behind)) {
                continue;
            }
            match ($phrase->kind) {
                PhraseKind::Amount => $this->amount($draft, $phrase, $tokens, $this->endOf($clause)),
                PhraseKind::Bracket => $this->bracket($draft, $phrase),
                PhraseKind::Food, PhraseKind::Word => $this->word($draft, $tokens),
                default => $this->mark($draft, $phrase, $tokens),
            };
        }
        if ($purpose !== []) {
            $draft = $this->drafts[count($this->drafts) - 1];
            $this->words->role($purpose, $role);
            $draft->said[] = $purpose;
            $this->words->option($draft, $purpose);
            $draft->isToTaste = $draft->isToTaste
                || Vocabulary::phraseAt('some', $this->words->tokens, $purpose[0], 'behind') > 0;
        }
        array_map($this->takePart(...), $this->drafts);

        return [...$this->drafts, ...$this->parts];
    }

    /**
     * @param list<int> $tokens
     * @param int $end behind the last word of the clause
     */
    private function amount(Draft $draft, Phrase $phrase, array $tokens, int $end): void
    {
        if ($draft->hasAmount() && $draft->name !== [] && $this->words->isKnown($draft)) {
            $isMore = $phrase->to < $end && $draft->amountTokens[0] < $draft->name[0];
            if (!$isMore && $this->addForms($draft, $phrase, $tokens)) {
                return;
            }
            $this->drafts[] = $draft = new Draft();
        }
        $this->takeSource($draft);
        if (!$draft->hasAmount() || !$this->addForms($draft, $phrase, $tokens)) {
            $this->setAmount($draft, $phrase, $tokens);
        }
    }

    /** @param list<int> $tokens */
    private function word(Draft $draft, array $tokens): void
    {
        $isBehind = $draft->name !== []
            && ($draft->said !== [] || ($draft->hasAmount() && $draft->amountTokens[0] > $draft->name[0]));
        if (count($tokens) === 1 && $this->joinsQualities($tokens[0])) {
            $this->words->role($tokens, Role::Joiner);

            return;
        }
        if (!$isBehind) {
            array_push($draft->name, ...$tokens);

            return;
        }
        $draft->said[] = $tokens;
        if ($this->words->textOf($tokens) === $this->words->textOf($draft->name)) {
            $this->words->role($tokens, Role::Name);
        }
    }

    /** "ripe but firm peaches", "small but tender sticks of celery" */
    private function joinsQualities(int $token): bool
    {
        $before = $this->words->tokens[$token - 1] ?? null;

        return $this->words->tokens[$token]->isWord('but') && $before?->isWord() === true
            && ($this->words->isPlain($token - 1) || Vocabulary::fieldOf('sizes', $before->lower) !== null);
    }

    /** @param list<int> $tokens */
    private function mark(Draft $draft, Phrase $phrase, array $tokens): void
    {
        match ($phrase->kind) {
            PhraseKind::Percent => $draft->percent = $phrase->shares[0],
            PhraseKind::Ratio => $draft->shares = $phrase->shares,
            PhraseKind::Equal => $draft->isEqual = true,
            PhraseKind::Same => $draft->sameAs = new AsMuch($phrase->says, $phrase->shares[0] ?? 1.0),
            PhraseKind::Some => $draft->isSome = true,
            PhraseKind::Each => $draft->isEach = true,
            PhraseKind::Tag => $draft->tags[] = $phrase->says,
            PhraseKind::Purpose => $draft->said[] = $tokens,
            default => null,
        };
        $draft->isToTaste = $draft->isToTaste
            || Vocabulary::phraseAt('some', $this->words->tokens, $phrase->from, 'behind') > 0;
        if ($phrase->says === 'size' && !$draft->hasAmount()) {
            // "tamarind the size of an egg": how much that is stays to be seen
            return;
        }
        $this->words->role($tokens, match ($phrase->kind) {
            PhraseKind::Percent => Role::Strength,
            PhraseKind::Tag => Role::Tag,
            PhraseKind::Purpose => in_array($phrase->says, ['cut', 'size'], true) ? Role::State : Role::Purpose,
            PhraseKind::Mark => Role::Mark,
            default => Role::Amount,
        });
    }

    /** @param list<int> $tokens */
    private function setAmount(Draft $draft, Phrase $phrase, array $tokens): void
    {
        $draft->amounts = $phrase->amounts;
        $draft->amountTokens = $tokens;
        $this->words->role($tokens, Role::Amount);
        $this->takePart($draft);
        // what stands before an amount leads up to it, or is the name
        if ($draft->name !== [] && !$this->words->tells($draft->name)) {
            $draft->said[] = $draft->name;
            $draft->name = [];
        }
    }

    /** @param list<Phrase> $clause */
    private function endOf(array $clause): int
    {
        $last = array_filter($clause, static fn(Phrase $one): bool => $one->is(PhraseKind::Food, PhraseKind::Word));

        return $last === [] ? 0 : $last[array_key_last($last)]->to;
    }

    /** "lemon juice from 2 lemons": the juice of so many. */
    private function takeSource(Draft $draft): void
    {
        $count = count($draft->name);
        if ($count < 3 || $draft->hasAmount()) {
            return;
        }
        $part = Vocabulary::fieldOf('part-of', $this->words->tokens[$draft->name[$count - 2]]->lower);
        if ($part !== null && $this->words->tokens[$draft->name[$count - 1]]->isWord('from', 'of')) {
            $this->words->role($draft->name, Role::Part);
            [$draft->part, $draft->name] = [$part, []];
        }
    }

    /**
     * Whether an amount says the one that is there in another way.
     *
     * @param list<int> $tokens
     */
    private function addForms(Draft $draft, Phrase $phrase, array $tokens): bool
    {
        $new = $phrase->amounts[0];
        $own = $draft->amounts[0];
        if ($new->unit === null && !($own->unit !== null && $new->counted !== 'whole' && $new->counted !== 'part')) {
            return false;
        }
        array_push($draft->amounts, ...$phrase->amounts);
        $this->words->role($tokens, Role::Amount);

        return true;
    }

    /**
     * "Caster (superfine) sugar", "spring (green) onions": what else a thing is called, in the middle of its name.
     *
     * @param list<Phrase> $behind what follows the bracket
     */
    private function isWithinName(Draft $draft, Phrase $bracket, array $behind): bool
    {
        $inside = $bracket->to - $bracket->from < 3 ? [] : range($bracket->from + 1, $bracket->to - 2);
        $isOfWords = array_filter(
            $bracket->inner,
            static fn(Phrase $one): bool => !$one->is(PhraseKind::Word, PhraseKind::Food, PhraseKind::Joiner),
        ) === [];
        if ($inside === [] || !$isOfWords || $draft->name === [] || $draft->said !== []) {
            return false;
        }
        $isOr = fn(int $token): bool => $this->words->tokens[$token]->isWord('or');
        $other = array_values(array_filter($inside, static fn(int $token): bool => !$isOr($token)));
        $rest = [];
        foreach ($behind as $phrase) {
            if (!$phrase->is(PhraseKind::Word, PhraseKind::Food)) {
                break;
            }
            array_push($rest, ...range($phrase->from, $phrase->to - 1));
            $key = $this->words->keyOf($this->words->textOf([...$draft->name, ...$rest]));
            if ($key !== null) {
                // "white (malt) vinegar" may be the one or the other, "soy (dark) sauce" the darker
                foreach ([[...$other, ...$rest], [...$other, ...$draft->name, ...$rest]] as $said) {
                    $isAnother = !in_array($this->words->keyOf($this->words->textOf($said)), [null, $key], true);
                    $draft->isGuessed = $draft->isGuessed || $isAnother;
                }
                $this->words->role($inside, Role::Alternative);
                $draft->choices = [...$draft->choices, ...$inside];

                return true;
            }
        }

        return false;
    }

    /** What a bracket says of the thing before: another amount, another name, or what is done to it. */
    private function bracket(Draft $draft, Phrase $bracket): void
    {
        if ($bracket->to - $bracket->from < 3) {
            return;
        }
        $inside = range($bracket->from + 1, $bracket->to - 2);
        $this->words->option($draft, $inside);
        if ($this->addsMore($draft, $bracket, $inside)) {
            return;
        }
        if ($this->words->isNote($inside[0])) {
            $this->words->role($inside, Role::Note);

            return;
        }
        if ($this->words->tokens[$inside[0]]->isWord('or') && count($inside) > 1) {
            // in a bracket it shares no word with the name: "water (or sugar)"
            $draft->offers[] = $this->words->textOf(array_slice($inside, 1));
            $draft->choices = [...$draft->choices, ...$inside];
            $this->words->role($inside, Role::Alternative);

            return;
        }
        $inside = $this->withoutOffer($draft, $inside);
        if ($inside === []) {
            return;
        }
        if ($this->callsIt($draft, $bracket, $inside) || $this->countsIt($draft, $bracket, $inside)) {
            return;
        }
        $isStart = true;
        foreach ($bracket->inner as $phrase) {
            if ($phrase->from > $inside[count($inside) - 1]) {
                break;
            }
            $tokens = range($phrase->from, $phrase->to - 1);
            if ($phrase->is(PhraseKind::Purpose) && $phrase->says === '') {
                $rest = range($phrase->from, $bracket->to - 2);
                $this->words->role($rest, Role::Purpose);
                $draft->said[] = $rest;

                return;
            }
            match (true) {
                $isStart && $this->isForm($draft, $phrase, $bracket) => $this->form($draft, $phrase, $tokens),
                $phrase->is(PhraseKind::Percent, PhraseKind::Each) => $this->mark($draft, $phrase, $tokens),
                $phrase->is(PhraseKind::Joiner) => $this->words->role($tokens, Role::Joiner),
                default => $this->inBracket($draft, $phrase, $bracket),
            };
            $isStart = $phrase->is(PhraseKind::Joiner) || ($isStart && $phrase->is(PhraseKind::Mark));
        }
    }

    /**
     * "2 cups of water (plus ½ cup for the slurry)": as much again of the same.
     *
     * @param non-empty-list<int> $inside
     */
    private function addsMore(Draft $draft, Phrase $bracket, array $inside): bool
    {
        $plus = $this->words->tokens[$inside[0]];
        $amount = $bracket->inner[1] ?? null;
        $isMore = ($plus->isWord('plus') || $plus->isMark('+')) && $amount?->is(PhraseKind::Amount) === true
            && $draft->hasAmount() && $draft->name !== [] && ($amount->amounts[0]->unit ?? null) !== null;
        if (!$isMore) {
            return false;
        }
        $behind = array_values(array_filter($inside, static fn(int $token): bool => $token >= $amount->to));
        $isForUse = ($bracket->inner[2] ?? null)?->is(PhraseKind::Purpose) === true;
        if ($this->words->tells($behind) && !$isForUse) {
            return false;
        }
        $more = new Draft();
        $more->amounts = $amount->amounts;
        $more->amountTokens = range($amount->from, $amount->to - 1);
        $more->called = $this->words->nameOf($draft);
        $this->words->role([$inside[0]], Role::Joiner);
        $this->words->role($more->amountTokens, Role::Amount);
        if ($behind !== []) {
            $this->words->role($behind, Role::Purpose);
            $more->said[] = $behind;
        }
        $this->parts[] = $more;

        return true;
    }

    /**
     * "(oat milk will do)", "(240 ml; oat milk will do)": what a bracket offers instead, behind its last mark.
     *
     * @param non-empty-list<int> $inside
     *
     * @return list<int> the rest of it
     */
    private function withoutOffer(Draft $draft, array $inside): array
    {
        $marks = array_filter($inside, fn(int $token): bool => $this->words->tokens[$token]->isMark(',', ';'));
        $from = $marks === [] ? 0 : (int) array_search(max($marks), $inside, true) + 1;
        $offer = array_slice($inside, $from);
        $choice = $this->words->choiceIn($offer, true);
        if ($choice === []) {
            return $inside;
        }
        $isOr = $this->words->tokens[$choice[0]]->isWord('or');
        $draft->offers[] = $this->words->textOf(array_slice($choice, $isOr ? 1 : 0));
        $draft->choices = [...$draft->choices, ...$offer];
        $this->words->role($offer, Role::Alternative);

        return array_slice($inside, 0, max(0, $from - 1));
    }

    /**
     * "soy sauce (dark)", "eggs (hard boiled)": the bracket holds a part of what the thing is called.
     *
     * @param list<int> $inside
     */
    private function callsIt(Draft $draft, Phrase $bracket, array $inside): bool
    {
        $others = array_filter($bracket->inner, static fn(Phrase $one): bool => !$one->is(PhraseKind::Word));
        $name = $this->words->nameOf($draft);
        $called = "{$this->words->textOf($inside)} {$name}";
        $isCalled = $name !== '' && $others === [] && $this->words->mayName($inside)
            && $this->words->keyOf($called) !== null;
        if ($isCalled) {
            $draft->called = $called;
            $this->words->role($inside, Role::Name);
        }

        return $isCalled;
    }

    /**
     * "garlic (3 cloves)", "tomatoes (about 8)": how many they are, which counts where nothing else says how much.
     *
     * @param list<int> $inside
     */
    private function countsIt(Draft $draft, Phrase $bracket, array $inside): bool
    {
        [$amount, $noun] = [$bracket->inner[0] ?? null, $bracket->inner[1] ?? null];
        $said = $noun === null ? '' : $this->words->textOf(range($noun->from, $noun->to - 1));
        $isIt = array_diff(NameWords::of($said), NameWords::of($this->words->nameOf($draft))) === [];
        $counted = $isIt ? 'whole' : Counts::named($said);
        $isCount = $amount?->is(PhraseKind::Amount) === true && $amount->amounts[0]->unit === null
            && $counted !== null && count($bracket->inner) < 3 && !$draft->isNameless();
        if (!$isCount) {
            return false;
        }
        if (!$draft->hasAmount()) {
            $draft->amounts = [$isIt ? $amount->amounts[0] : $amount->amounts[0]->of($counted)];
            $draft->amountTokens = $inside;
        }
        $this->words->role($inside, Role::Amount);

        return true;
    }

    /** Whether an amount in a bracket says the one before it in another way. */
    private function isForm(Draft $draft, Phrase $phrase, Phrase $bracket): bool
    {
        return $phrase->is(PhraseKind::Amount)
            && ($phrase->amounts[0]->unit !== null || (!$draft->hasAmount() && $phrase->to === $bracket->to - 1));
    }

    /**
     * "(110 g)", "(150 g each)", "(480 g drained)".
     *
     * @param list<int> $tokens
     */
    private function form(Draft $draft, Phrase $phrase, array $tokens): void
    {
        $behind = $this->words->tokens[$phrase->to] ?? null;
        $times = $behind?->isWord('each', 'apiece') === true && $draft->isCounted() ? $draft->amounts[0]->middle() : 1.0;
        $amounts = array_map(static fn(WrittenAmount $one): WrittenAmount => $one->times($times), $phrase->amounts);
        $isNet = Vocabulary::has('net', $behind->lower ?? '');
        $draft->amountTokens = $draft->hasAmount() ? $draft->amountTokens : $tokens;
        $draft->amounts = $isNet ? $amounts : [...$draft->amounts, ...$amounts];
        $draft->isNet = $draft->isNet || $isNet;
        $this->words->role($tokens, Role::Amount);
    }

    /** Words in a bracket: another name, a part of a fruit, or something said of the thing. */
    private function inBracket(Draft $draft, Phrase $phrase, Phrase $bracket): void
    {
        $tokens = range($phrase->from, $phrase->to - 1);
        $isAlone = $phrase->from === $bracket->from + 1 && $phrase->to === $bracket->to - 1;
        if ($isAlone && $phrase->is(PhraseKind::Food) && $draft->name !== []) {
            $draft->gloss = $this->words->textOf($tokens);
            $this->words->role($tokens, Role::Name);
        }
        $before = (int) array_key_last($draft->said);
        $said = $draft->said[$before] ?? [];
        if ($said !== [] && $said[count($said) - 1] === $phrase->from - 1) {
            // "(white part only)" is one thing said, not three
            $draft->said[$before] = [...$said, ...$tokens];
        } else {
            $draft->said[] = $tokens;
        }
        $part = new Draft();
        $part->name = $tokens;
        $this->takePart($part);
        if ($part->part !== null && $part->name === []) {
            $this->parts[] = $part;
        }
    }

    /** "juice of 1 lemon", "1 lemon, juiced", "juiced 1 lime": which part of it is meant, where the name says so. */
    private function takePart(Draft $draft): void
    {
        $part = $this->partIn($draft->name);
        if ($part === null || $this->words->keyOf($this->words->textOf($draft->name)) !== null) {
            return;
        }
        [$draft->part, $taken] = $part;
        $draft->partAt = $taken[0] ?? null;
        $this->words->role(array_intersect($draft->name, $taken), Role::Part);
        if (count($taken) === count($draft->name) && !$draft->hasAmount()) {
            $draft->said[] = $taken;
        }
        $draft->name = array_values(array_diff($draft->name, $taken));
    }

    /**
     * @param list<int> $name
     *
     * @return array{string, list<int>}|null juice or zest, and the words that say it
     */
    private function partIn(array $name): ?array
    {
        foreach ($name as $number => $token) {
            $part = Vocabulary::fieldOf('part-of', $this->words->tokens[$token]->lower);
            if ($part === null) {
                if ($this->words->isPlain($token) || $this->words->tokens[$token]->isWord('both', 'all')) {
                    continue;
                }
                break;
            }
            $next = $name[$number + 1] ?? null;
            $isOnly = $next !== null && $this->words->tokens[$next]->isWord('only');
            $next = $isOnly ? ($name[$number + 2] ?? null) : $next;
            $isOf = $next !== null && $this->words->tokens[$next]->isWord('of', 'from');
            $isDone = $this->words->tokens[$token]->isWord('juiced', 'zested');
            $isAlone = array_filter(
                array_slice($name, $number + 1),
                fn(int $behind): bool => !$this->words->tokens[$behind]->isWord('first', 'too', 'also', 'only'),
            ) === [];
            if ($isOf || $isDone || $isAlone) {
                $end = $isAlone ? count($name) : $number + 1 + ($isOnly ? 1 : 0) + ($isOf ? 1 : 0);
                // "juice of both"
                $isOfAll = $isOf && count($name) === $end + 1
                    && $this->words->tokens[$name[$end]]->isWord('both', 'all', 'each', 'them', 'it');
                $end += $isOfAll ? 1 : 0;

                $isOfAll = $isDone && $number === 1 && $this->words->tokens[$name[0]]->isWord('both', 'all');

                return [$part, array_slice($name, $isDone && !$isOfAll ? $number : 0, $isDone && !$isOfAll ? 1 : $end)];
            }
        }
        $last = $name[count($name) - 1] ?? null;
        $worth = array_slice($name, -3);
        if (count($name) > 3 && $this->words->textOf(array_slice($worth, 0, 2)) === 'worth of') {
            // "4 limes' worth of juice"
            $part = Vocabulary::fieldOf('part-of', $this->words->tokens[$worth[2]]->lower);

            return $part === null ? null : [$part, $worth];
        }

        return $last !== null && count($name) > 1 && $this->words->tokens[$last]->isWord('juiced', 'zested')
            ? [$this->words->tokens[$last]->isWord('juiced') ? 'juice' : 'zest', [$last]]
            : null;
    }
}
