<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Ingredient\NameWords;

/** One line while it is read: its clauses in order, each a thing of its own or something said of the thing before. */
final class LineReading
{
    private const MOST_ITEMS = 30;
    private const MOST_LEAD = 16;
    private const LONGEST_PREFIX = 5;

    /** @var list<Token> */
    private array $all;

    /** @var list<Token> without what is only around them */
    private array $tokens = [];

    /** @var list<int> the number of each of them among all */
    private array $numbers = [];

    /** @var array<int, Role> by token, of those without what is only around them */
    private array $roles = [];

    /** @var list<Draft> */
    private array $drafts = [];

    /** What joins the last name to those before. */
    private string $lastJoiner = '';

    /** @var list<Draft> parts of a fruit that a bracket behind it names */
    private array $parts = [];

    /** @var array<string, bool> names asked about */
    private array $known = [];

    public function __construct(
        private readonly string $text,
        private readonly PlainText $plain,
        private readonly PhraseGrammar $grammar,
        private readonly Names $names,
        DecimalMark $mark,
    ) {
        $this->all = Lexer::tokens($plain->text, $mark);
        foreach ($this->all as $number => $token) {
            $isAround = in_array($token->kind, [TokenKind::Layout, TokenKind::Price, TokenKind::Link], true);
            $isGlued = ($this->all[$number + 1] ?? null)?->isGlued === true && $token->isMark('-', '–', '.');
            $isBullet = $this->tokens === [] && !$isGlued && $token->isMark('•', '·', '*', '-', '–', '—', '|', '.', ',', '+', ':');
            if (!$isAround && !$isBullet) {
                $this->tokens[] = $token;
                $this->numbers[] = $number;
            }
        }
    }

    public function line(): Line
    {
        $lead = $this->leadIn();
        $this->role(range(0, $lead - 1, 1), Role::Joiner, $lead);
        $phrases = array_map(
            static fn(Phrase $phrase): Phrase => $phrase->movedBy($lead),
            $this->grammar->phrases(array_slice($this->tokens, $lead)),
        );
        foreach ($this->clauses($phrases) as [$joiner, $clause]) {
            $this->take($joiner, $clause);
        }
        $this->settle();

        $begins = $this->plain->offsetOf($this->tokens[$lead]->offset ?? 0);

        return new Line(
            $this->text,
            $this->all,
            $this->rolesOfAll(),
            $this->items(),
            $this->plain->text,
            $begins,
            $lead > 0,
        );
    }

    /** How many words lead up to an amount: "So I'm going in with about two tablespoons …". */
    private function leadIn(): int
    {
        for ($at = 0; $at < min(count($this->tokens), self::MOST_LEAD); ++$at) {
            $token = $this->tokens[$at];
            if ($at > 0 && $this->grammar->isAmountAt($this->tokens, $at)) {
                return $at;
            }
            if (!$token->isMark(',') && !($token->isWord() && Vocabulary::has('speech', $token->lower))) {
                return 0;
            }
        }

        return 0;
    }

    /**
     * @param list<Phrase> $phrases
     *
     * @return list<array{string, list<Phrase>}> each with what joins it to the one before
     */
    private function clauses(array $phrases): array
    {
        [$clauses, $joiner, $clause] = [[], '', []];
        foreach ($phrases as $phrase) {
            if ($phrase->is(PhraseKind::Joiner)) {
                $this->role(range($phrase->from, $phrase->to - 1), Role::Joiner);
                if ($clause !== []) {
                    $clauses[] = [$joiner, $clause];
                    [$joiner, $clause] = ['', []];
                }
                $joiner = $joiner === '' || $joiner === ',' ? $phrase->says : $joiner;
            } else {
                $clause[] = $phrase;
            }
        }

        return $clause === [] ? $clauses : [...$clauses, [$joiner, $clause]];
    }

    /** @param list<Phrase> $clause */
    private function take(string $joiner, array $clause): void
    {
        $this->parts = [];
        foreach ($this->drafted($clause) as $number => $draft) {
            $this->join($number === 0 ? $joiner : ',', $draft);
        }
        foreach ($this->parts as $part) {
            $this->join(',', $part);
        }
    }

    /**
     * What a clause says: nearly always one thing, or something about one.
     *
     * @param list<Phrase> $clause
     *
     * @return list<Draft>
     */
    private function drafted(array $clause): array
    {
        $drafts = [$draft = new Draft()];
        [$isBehind, $isNote] = [false, false];
        $purpose = [];
        foreach ($clause as $phrase) {
            $tokens = range($phrase->from, $phrase->to - 1);
            if ($purpose !== [] && !$phrase->is(PhraseKind::Purpose, PhraseKind::Tag, PhraseKind::Bracket, PhraseKind::Mark)) {
                array_push($purpose, ...$tokens);
                continue;
            }
            switch ($phrase->kind) {
                case PhraseKind::Amount:
                    if ($draft->hasAmount() && $draft->name !== [] && $this->isKnown($draft)) {
                        $isMore = !$isBehind && $phrase->to < $this->endOf($clause);
                        if (!$isMore && $this->addForms($draft, $phrase, $tokens)) {
                            break;
                        }
                        $drafts[] = $draft = new Draft();
                    }
                    $this->takeSource($draft);
                    if (!$draft->hasAmount() || !$this->addForms($draft, $phrase, $tokens)) {
                        $this->setAmount($draft, $phrase, $tokens);
                    }
                    $isBehind = $draft->name !== [];
                    break;
                case PhraseKind::Percent:
                    $draft->percent = $phrase->shares[0];
                    $this->role($tokens, Role::Strength);
                    break;
                case PhraseKind::Ratio:
                    $draft->shares = $phrase->shares;
                    $this->role($tokens, Role::Amount);
                    break;
                case PhraseKind::Equal:
                    $draft->isEqual = true;
                    $this->role($tokens, Role::Amount);
                    break;
                case PhraseKind::Same:
                    $draft->sameAs = '';
                    $this->role($tokens, Role::Amount);
                    break;
                case PhraseKind::Some:
                    $draft->isSome = true;
                    $this->role($tokens, Role::Amount);
                    break;
                case PhraseKind::Each:
                    $draft->isEach = true;
                    $this->role($tokens, Role::Amount);
                    break;
                case PhraseKind::Tag:
                    $draft->tags[] = $phrase->says;
                    $this->role($tokens, Role::Tag);
                    break;
                case PhraseKind::Bracket:
                    $this->bracket($draft, $phrase);
                    break;
                case PhraseKind::Purpose:
                    if ($phrase->says === 'cut') {
                        $draft->said[] = $tokens;
                        $this->role($tokens, Role::State);
                    } else {
                        array_push($purpose, ...$tokens);
                    }
                    break;
                case PhraseKind::Note:
                    [$purpose, $isNote] = [$tokens, true];
                    break;
                case PhraseKind::Food:
                case PhraseKind::Word:
                    if ($isBehind && $draft->name !== []) {
                        $draft->said[] = $tokens;
                        if ($this->textOf($tokens) === $this->textOf($draft->name)) {
                            $this->role($tokens, Role::Name);
                        }
                    } else {
                        array_push($draft->name, ...$tokens);
                    }
                    break;
                default:
            }
        }
        if ($purpose !== []) {
            $this->role($purpose, $isNote ? Role::Note : Role::Purpose);
            $draft->said[] = $purpose;
            $this->option($draft, $purpose);
            $draft->isToTaste = Vocabulary::phraseAt('some', $this->tokens, $purpose[0], 'behind') > 0;
        }
        foreach ($drafts as $one) {
            $this->takePart($one);
        }

        return $drafts;
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
        $part = $count > 2 ? Vocabulary::fieldOf('part-of', $this->tokens[$draft->name[$count - 2]]->lower) : null;
        if ($part !== null && !$draft->hasAmount() && $this->tokens[$draft->name[$count - 1]]->isWord('from', 'of')) {
            $this->role($draft->name, Role::Part);
            [$draft->part, $draft->name] = [$part, []];
        }
    }

    /** @param list<int> $tokens */
    private function setAmount(Draft $draft, Phrase $phrase, array $tokens): void
    {
        $draft->amounts = $phrase->amounts;
        $draft->amountTokens = $tokens;
        $this->role($tokens, Role::Amount);
        $this->takePart($draft);
        // what stands before an amount leads up to it, or is the name
        if ($draft->name !== [] && !$this->tells($draft->name)) {
            $draft->said[] = $draft->name;
            $draft->name = [];
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
        $this->role($tokens, Role::Amount);

        return true;
    }

    /** What a bracket says of the thing before: another amount, another name, or what is done to it. */
    private function bracket(Draft $draft, Phrase $bracket): void
    {
        $tokens = range($bracket->from, $bracket->to - 1);
        $inside = range($bracket->from + 1, max($bracket->from + 1, $bracket->to - 2));
        if ($bracket->to - $bracket->from < 3) {
            return;
        }
        if ($this->isNote($inside[0])) {
            $this->role($tokens, Role::Note);
            $this->option($draft, $inside);

            return;
        }
        $isFirst = true;
        $isClauseStart = true;
        foreach ($bracket->inner as $phrase) {
            $range = range($phrase->from, $phrase->to - 1);
            $isUnit = $phrase->is(PhraseKind::Amount)
                && ($phrase->amounts[0]->unit !== null || (!$draft->hasAmount() && $phrase->to === $bracket->to - 1));
            if ($isUnit && $isClauseStart) {
                $isEach = ($this->tokens[$phrase->to] ?? null)?->isWord('each', 'apiece') === true;
                $amounts = $isEach && $draft->isCounted()
                    ? array_map(
                        static fn(WrittenAmount $one): WrittenAmount => $one->times($draft->amounts[0]->middle()),
                        $phrase->amounts,
                    )
                    : $phrase->amounts;
                $isNet = ($this->tokens[$phrase->to] ?? null)?->isWord('drained', 'net', 'prepared', 'peeled', 'trimmed', 'cleaned', 'after') === true;
                $draft->amountTokens = $draft->hasAmount() ? $draft->amountTokens : $range;
                // "(480 g drained)" is what goes in, whatever was bought
                $draft->isNet = $draft->isNet || $isNet;
                $draft->amounts = $isNet ? $amounts : [...$draft->amounts, ...$amounts];
                $this->role($range, Role::Amount);
            } elseif ($phrase->is(PhraseKind::Percent)) {
                $draft->percent = $phrase->shares[0];
                $this->role($range, Role::Strength);
            } elseif ($phrase->is(PhraseKind::Each, PhraseKind::Joiner)) {
                $draft->isEach = $draft->isEach || $phrase->is(PhraseKind::Each);
                $this->role($range, Role::Joiner);
            } elseif ($phrase->is(PhraseKind::Purpose) && $phrase->says !== 'cut') {
                $rest = range($phrase->from, $bracket->to - 2);
                $this->role($rest, Role::Purpose);
                $draft->said[] = $rest;
                break;
            } else {
                $isAlone = $isFirst && $phrase->to === $bracket->to - 1;
                if ($isAlone && $phrase->is(PhraseKind::Food) && $draft->name !== []) {
                    $draft->gloss = $this->textOf($range);
                    $this->role($range, Role::Name);
                }
                $draft->said[] = $range;
                $part = new Draft();
                $part->name = $range;
                $this->takePart($part);
                if ($part->part !== null && $part->name === [] && !Vocabulary::has('kept', $this->tokens[$inside[0]]->lower)) {
                    $this->parts[] = $part;
                }
            }
            $isFirst = false;
            $isClauseStart = $phrase->is(PhraseKind::Joiner) || ($isClauseStart && $phrase->is(PhraseKind::Mark));
        }
        $this->option($draft, $inside);
    }

    /** Whether a word begins what is only a note: "see note 2", "keep the juice", "not pie filling". */
    private function isNote(int $at): bool
    {
        return Vocabulary::phraseAt('notes', $this->tokens, $at) > 0
            || Vocabulary::phraseAt('kept', $this->tokens, $at) > 0
            || $this->tokens[$at]->isWord('not');
    }

    /** @param list<int> $tokens */
    private function option(Draft $draft, array $tokens): void
    {
        foreach ($tokens as $token) {
            if ($this->tokens[$token]->isWord('optional', 'optionally')) {
                $draft->tags[] = 'optional';
            }
        }
    }

    /** "juice of 1 lemon", "1 lemon, juiced", "juiced 1 lime": which part of it is meant, where the name says so. */
    private function takePart(Draft $draft): void
    {
        $part = $this->partIn($draft->name);
        if ($part === null || $this->names->keyOf($this->textOf($draft->name)) !== null) {
            return;
        }
        [$draft->part, $taken] = $part;
        $this->role(array_intersect($draft->name, $taken), Role::Part);
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
            $part = Vocabulary::fieldOf('part-of', $this->tokens[$token]->lower);
            if ($part === null) {
                if ($this->isPlain($token)) {
                    continue;
                }
                break;
            }
            $next = $name[$number + 1] ?? null;
            $isOnly = $next !== null && $this->tokens[$next]->isWord('only');
            $next = $isOnly ? ($name[$number + 2] ?? null) : $next;
            $isOf = $next !== null && $this->tokens[$next]->isWord('of', 'from');
            $isDone = $this->tokens[$token]->isWord('juiced', 'zested');
            $isAlone = $next === null;
            if ($isOf || $isDone || $isAlone) {
                $end = $number + 1 + ($isOnly ? 1 : 0) + ($isOf ? 1 : 0);

                return [$part, array_slice($name, $isDone ? $number : 0, $isDone ? 1 : $end)];
            }
        }
        $last = $name[count($name) - 1] ?? null;

        return $last !== null && count($name) > 1 && $this->tokens[$last]->isWord('juiced', 'zested')
            ? [$this->tokens[$last]->isWord('juiced') ? 'juice' : 'zest', [$last]]
            : null;
    }

    private function join(string $joiner, Draft $draft): void
    {
        $this->lastJoiner = $joiner === '' || !$this->tells($draft->name) ? $this->lastJoiner : $joiner;
        $current = $this->drafts === [] ? null : $this->drafts[count($this->drafts) - 1];
        $tells = $this->tells($draft->name);
        if ($current === null) {
            $this->drafts[] = $draft;

            return;
        }
        if (!$tells) {
            $this->joinsWithoutName($joiner, $current, $draft);

            return;
        }
        if ($current->name === [] && $current->called === null && !$current->hasAmount() && $current->part !== null && $draft->part !== null) {
            // "zest and juice of 1 lime": the first part is of the same fruit
            $current->amounts = $draft->amounts;
            $current->amountTokens = $draft->amountTokens;
            $current->name = $draft->name;
            $this->drafts[] = $draft;

            return;
        }
        $isOfAll = $current->name === [] && $current->called === null && $current->part === null && !$draft->hasAmount();
        if ($isOfAll && ($current->hasAmount() || $current->isEqual || $current->shares !== [])) {
            $current->name = $draft->name;
            $current->part = $draft->part;
            $current->said = [...$current->said, ...$draft->said];
            $current->tags = [...$current->tags, ...$draft->tags];
            $current->isToTaste = $draft->isToTaste;

            return;
        }
        if ($this->isPrefix($joiner, $current, $draft)) {
            $this->role($this->tokensOf($current), Role::Joiner);
            $draft->tags = [...$draft->tags, ...$current->tags];
            array_pop($this->drafts);
            $this->drafts[] = $draft;

            return;
        }
        if (!$this->tells($current->name) && $current->part === null && !$current->isEach && !$current->isEqual && $current->shares === [] && $this->leansOn($joiner, $current, $draft)) {
            return;
        }
        $this->joinsAName($joiner, $current, $draft);
    }

    /** "For the ranch: ¼ cup coconut milk", "Optional: 1 tsp chilli". */
    private function isPrefix(string $joiner, Draft $current, Draft $draft): bool
    {
        $first = $this->tokensOf($current)[0] ?? 0;
        $isSaid = $this->tokens[$first]->isWord('for', 'optional', 'optionally', 'plus', 'garnish', 'to');

        return $joiner === ':' && !$current->hasAmount() && $draft->hasAmount() && count($this->drafts) === 1
            && $isSaid && count($this->tokensOf($current)) <= self::LONGEST_PREFIX;
    }

    /** "2 large, ripe tomatoes", "1 red and 1 green pepper": what says no thing by itself is of the one behind. */
    private function leansOn(string $joiner, Draft $current, Draft $draft): bool
    {
        if (!in_array($joiner, [',', 'and', '&', 'or', '/', '', '-', '+'], true)) {
            return false;
        }
        if (!$draft->hasAmount() && ($joiner === ',' || $joiner === '-')) {
            $current->name = [...$current->name, ...$draft->name];
            $current->part ??= $draft->part;
            $current->said = [...$current->said, ...$draft->said];
            $current->tags = [...$current->tags, ...$draft->tags];
            $current->gloss ??= $draft->gloss;

            return true;
        }
        if ($current->name === []) {
            return false;
        }
        $last = $draft->name[count($draft->name) - 1];
        $current->called = trim($this->textOf($current->name) . ' ' . $this->tokens[$last]->text);
        if (in_array($joiner, ['or', '/'], true)) {
            $current->alternatives[] = $this->textOf($draft->name);
            $this->role($this->tokensOf($draft), Role::Alternative);
            $current->choices = [...$current->choices, ...$draft->name];
            $current->said = [...$current->said, ...$draft->said];

            return true;
        }
        $this->shareOut($joiner, $current, $draft);

        return true;
    }

    private function joinsWithoutName(string $joiner, Draft $current, Draft $draft): void
    {
        if ($draft->part !== null && $draft->name === [] && ($current->name !== [] || $current->called !== null)) {
            $this->joinsAPart($joiner, $current, $draft);

            return;
        }
        if ($draft->shares !== [] || $draft->isEqual) {
            $this->drafts[0]->shares = $draft->shares;
            $this->drafts[0]->isEqual = $draft->isEqual;
        } elseif ($draft->hasAmount()) {
            $this->joinsAnAmount($joiner, $current, $draft);
        } elseif ($draft->sameAs !== null) {
            $current->sameAs = '';
        }
        $changes = array_filter($draft->name, fn(int $token): bool => !$this->tokens[$token]->isWord()
            || array_filter(NameWords::of($this->tokens[$token]->text), static fn(string $word): bool => !NameWords::isDescriptor($word)) !== []);
        if ($changes !== [] && !$draft->hasAmount() && in_array($joiner, [',', '-'], true) && $this->isTurned($current, $draft)) {
            $this->turn($current, $draft);

            return;
        }
        $current->isToTaste = $current->isToTaste || $draft->isToTaste;
        $current->percent ??= $draft->percent;
        $current->gloss ??= $draft->gloss;
        $this->say($current, $draft);
    }

    /** What a draft says besides an amount becomes said of the thing before. */
    private function say(Draft $current, Draft $draft): void
    {
        if ($draft->name !== []) {
            $current->said[] = $draft->name;
            $this->option($current, $draft->name);
        }
        $current->said = [...$current->said, ...$draft->said];
        $current->tags = [...$current->tags, ...$draft->tags];
    }

    private function joinsAPart(string $joiner, Draft $current, Draft $draft): void
    {
        if ($draft->hasAmount() && $current->hasAmount()) {
            // "1 lemon, zested, plus 2 tbsp juice"
            $draft->called = trim($this->nameOf($current) . " {$draft->part}");
            $draft->part = null;
            $this->drafts[] = $draft;

            return;
        }
        if ($current->part === null || $current->part === $draft->part) {
            $current->part = $draft->part;
            $this->say($current, $draft);

            return;
        }
        if ($this->names->keyOf($this->nameOf($current) . ' zest') !== null) {
            $draft->amounts = $current->amounts;
            $draft->amountTokens = $current->amountTokens;
            $draft->name = $current->name;
            $draft->called = $current->called;
            $this->drafts[] = $draft;

            return;
        }
        $this->say($current, $draft);
    }

    private function joinsAnAmount(string $joiner, Draft $current, Draft $draft): void
    {
        $isUnit = $draft->amounts[0]->unit !== null;
        if (!$current->hasAmount() || $draft->isNet) {
            $current->amounts = $draft->amounts;
            $current->amountTokens = $draft->amountTokens;
            $current->isEach = $current->isEach || $draft->isEach;
        } elseif (in_array($joiner, ['+', 'plus', 'and', '&'], true) && ($isUnit || $draft->name !== [])) {
            // "1 cup sugar, plus 2 tbsp"
            $more = new Draft();
            $more->amounts = $draft->amounts;
            $more->amountTokens = $draft->amountTokens;
            $more->called = $this->nameOf($current);
            $this->drafts[] = $more;
        } elseif ($isUnit) {
            $times = $draft->isEach && $current->isCounted() ? $current->amounts[0]->middle() : 1.0;
            foreach ($draft->amounts as $amount) {
                $current->amounts[] = $amount->times($times);
            }
        } else {
            $this->unrole($draft->amountTokens);
            $current->said[] = $draft->amountTokens;
        }
    }

    private function joinsAName(string $joiner, Draft $current, Draft $draft): void
    {
        $isOr = in_array($joiner, ['or', '/'], true);
        $isMix = $joiner === '/' && $this->isMixture($draft);
        if ($isOr && !$isMix && ($joiner === 'or' || $current->hasAmount() || !$this->isKnown($draft))) {
            $this->alternative($current, $draft);

            return;
        }
        if ($draft->sameAs !== null) {
            [$draft->sameAs, $draft->isApart] = [null, true];
            $draft->amounts = $current->amounts;
            $draft->amountTokens = $current->amountTokens;
            $this->drafts[] = $draft;

            return;
        }
        $noun = count($draft->name) === 1 ? Counts::named($this->tokens[$draft->name[0]]->text) : null;
        if ($noun !== null && $draft->isCounted() && !$current->hasAmount() && in_array($joiner, [',', ':', '-'], true)) {
            // "garlic, 3 cloves"
            $current->amounts = [$draft->amounts[0]->of($noun)];
            $current->amountTokens = [...$draft->amountTokens, ...$draft->name];
            $this->role($draft->name, Role::Amount);
            $current->said = [...$current->said, ...$draft->said];

            return;
        }
        if ($draft->hasAmount() || $draft->isSome) {
            $isThing = $draft->isSome || $draft->amounts[0]->unit !== null || $this->isKnown($draft)
                || !in_array($draft->amounts[0]->counted, [null, 'whole', 'cm', 'inch'], true);
            if ($isThing) {
                $this->ofItsOwn($current, $draft);
                $this->drafts[] = $draft;
            } else {
                $this->unrole($draft->amountTokens);
                $current->said[] = [...$draft->amountTokens, ...$draft->name];
                $current->said = [...$current->said, ...$draft->said];
            }

            return;
        }
        if (in_array($joiner, [',', '-', ':'], true) && $this->isTurned($current, $draft)) {
            $this->turn($current, $draft);

            return;
        }
        $isAnother = in_array($joiner, ['and', '&', '+', 'plus', '/'], true) || $this->drafts[0]->shares !== [];
        $isKnown = $isMix || $this->isKnown($draft);
        if ($isKnown && ($isAnother || in_array($joiner, [',', ';'], true)) || (!$isKnown && $isAnother && $current->said === [] && $this->isKnown($current))) {
        if ($isMix) {
                $this->role([(int) array_pop($draft->name)], Role::Joiner);
            }
            $this->shareOut($isMix ? 'mix' : $joiner, $current, $draft);

            return;
        }
        $this->say($current, $draft);
    }

    /** "vinegar, white", "mustard, dijon": how it is called stands behind it. "vinegar, honey" are two. */
    private function isTurned(Draft $current, Draft $draft): bool
    {
        $said = $this->textOf($draft->name);
        if (array_diff(NameWords::of($this->nameOf($current)), NameWords::of($said)) === []) {
            return false;
        }
        $turned = $this->names->keyOf("{$said} {$this->nameOf($current)}");

        return $turned !== null && in_array($this->names->keyOf($said), [null, $turned], true);
    }

    private function turn(Draft $current, Draft $draft): void
    {
        $this->role($draft->name, Role::Name);
        $current->called = $this->textOf($draft->name) . ' ' . $this->nameOf($current);
        $current->said = [...$current->said, ...$draft->said];
        $current->tags = [...$current->tags, ...$draft->tags];
        $current->isToTaste = $current->isToTaste || $draft->isToTaste;
    }

    private function alternative(Draft $current, Draft $draft): void
    {
        $tokens = $this->tokensOf($draft);
        $current->alternatives[] = $this->nameOf($draft);
        $this->role([...$tokens, ...$draft->amountTokens], Role::Alternative);
        $current->choices = [...$current->choices, ...$draft->name];
        $current->said = [...$current->said, ...$draft->said];
        $current->tags = [...$current->tags, ...$draft->tags];
        $current->isToTaste = $current->isToTaste || $draft->isToTaste;
    }

    /** A name without an amount of its own, behind one that has one or has none. */
    private function shareOut(string $joiner, Draft $current, Draft $draft): void
    {
        $this->drafts[] = $draft;
        $isVague = $current->hasAmount() && $current->amounts[0]->unit?->isVague() === true;
        if ($draft->hasAmount() || !$current->hasAmount() || $draft->isToTaste || $draft->isSome || $current->isEach) {
            $draft->isEach = $draft->isEach || ($current->isEach && !$draft->hasAmount());
            if ($current->isEach && !$draft->hasAmount()) {
                $draft->amounts = $current->amounts;
                $draft->amountTokens = $current->amountTokens;
            }

            return;
        }
        if (!in_array($joiner, ['and', '&', 'mix'], true) || count($this->drafts) > 2 || count($current->amounts) > 1 || $current->said !== []) {
            return;
        }
        if ($isVague || $current->called !== null && $current->isCounted()) {
            $draft->amounts = $current->amounts;
            $draft->amountTokens = $current->amountTokens;
        } elseif ($current->amounts[0]->unit !== null) {
            $half = $current->amounts[0]->times(0.5);
            $said = \Vinculum\Quantity\KitchenNumber::plain($half->middle(), 3) . " {$half->unit?->name}";
            $draft->amountTokens = $current->amountTokens;
            [$current->amounts, $current->amountText] = [[$half], $said];
            [$draft->amounts, $draft->amountText] = [[$half], $said];
        }
    }

    /** "200 g olives plus 2 tbsp of their brine": what is taken of the thing before. */
    private function ofItsOwn(Draft $current, Draft $draft): void
    {
        $words = array_values(array_filter(
            $draft->name,
            fn(int $token): bool => !$this->tokens[$token]->isWord('of', 'its', 'their', 'the', 'own'),
        ));
        $word = count($words) === 1 ? $this->tokens[$words[0]]->lower : '';
        if (!Vocabulary::has('its-own', $word)) {
            return;
        }
        $called = $this->nameOf($current) . " {$word}";
        if ($this->names->keyOf($called) !== null || Vocabulary::has('its-own', $word, 'itself') && $this->isNameKnown($called)) {
            $this->role($draft->name, Role::Name);
            $draft->called = $called;
        }
    }

    private function isMixture(Draft $draft): bool
    {
        $last = $draft->name[count($draft->name) - 1] ?? null;

        return $last !== null && $this->tokens[$last]->isWord('mix', 'mixture', 'blend');
    }

    /** Amounts that are of all together: ratios, equal parts, each. */
    private function settle(): void
    {
        if ($this->drafts === []) {
            $this->drafts[] = new Draft();
        }
        $first = $this->drafts[0];
        $count = count($this->drafts);
        $shares = $first->shares !== [] ? $first->shares : array_fill(0, $first->isEqual ? $count : 0, 1.0);
        $isHalves = $count > 1 && array_filter($this->drafts, fn(Draft $one): bool => !$this->isHalf($one)) === [];
        $shares = $isHalves ? array_fill(0, $count, 1.0) : $shares;
        if (count($shares) === $count && $count > 1) {
            foreach ($this->drafts as $number => $draft) {
                $draft->amounts = [new WrittenAmount($shares[$number], $shares[$number], null, 'part')];
                $draft->amountText = \Vinculum\Quantity\KitchenNumber::plain($shares[$number], 3) . ' part';
            }
        }
        $last = $this->drafts[$count - 1];
        foreach ($last->isEach && $last->hasAmount() ? $this->drafts : [] as $draft) {
            // "cumin and paprika, 1 tsp each"
            if (!$draft->hasAmount()) {
                $draft->amounts = $last->amounts;
                $draft->amountTokens = $last->amountTokens;
            }
        }
        $this->lean();
        $this->drafts = array_slice($this->drafts, 0, self::MOST_ITEMS);
        foreach ($this->drafts as $draft) {
            $this->cutBehind($draft);
            $this->role($draft->name, Role::Name);
            foreach ($draft->said as $said) {
                $this->roleOfSaid($said);
            }
            foreach ([$draft->name, ...$draft->said] as $tokens) {
                $this->option($draft, $tokens);
            }
        }
    }

    private function isHalf(Draft $draft): bool
    {
        $token = $draft->amountTokens[0] ?? null;

        return $token !== null && count($draft->amountTokens) === 1 && $draft->isCounted() && $draft->amounts[0]->counted === 'whole' && $this->tokens[$token]->isWord('half');
    }

    /** "lemon and lime juice": a name that is nothing by itself, or only the fruit, leans on the last one's noun. */
    private function lean(): void
    {
        $last = $this->drafts[count($this->drafts) - 1];
        $noun = count($last->name) > 1 ? $this->tokens[$last->name[count($last->name) - 1]] : null;
        if ($noun === null || count($this->drafts) < 2 || !in_array($this->lastJoiner, ['and', '&', 'or', '/'], true)) {
            return;
        }
        $leaning = [];
        $isPoured = in_array($noun->lower, ['juice', 'zest'], true);
        foreach (array_slice($this->drafts, 0, -1) as $draft) {
            $name = $this->nameOf($draft);
            $isOpen = $name !== '' && $draft->called === null && $draft->part === null && !$last->isApart;
            $isKnown = $this->isKnown($draft);
            $leans = $isOpen && !str_contains(mb_strtolower($name), $noun->lower)
                && (!$isKnown || $isPoured && $draft->amountTokens === $last->amountTokens)
                && $this->isNameKnown("{$name} {$noun->text}");
            if ($isKnown && !$leans) {
                return;
            }
            if ($leans) {
                $leaning[] = [$draft, "{$name} {$noun->text}"];
            }
        }
        foreach ($leaning as [$draft, $called]) {
            $draft->called = $called;
        }
    }

    /** "2 tbsp oil over a low flame": what stands behind a name and is none of it is said of it. */
    private function cutBehind(Draft $draft): void
    {
        if ($draft->called !== null || count($draft->name) < 2 || $this->isKnown($draft)) {
            return;
        }
        for ($at = count($draft->name) - 1; $at > 0; --$at) {
            $name = array_slice($draft->name, 0, $at);
            $isCut = Vocabulary::has('behind', $this->tokens[$draft->name[$at]]->lower);
            if ($isCut && $this->isNameKnown($this->textOf($this->withoutEmptyWords($name)))) {
                array_unshift($draft->said, array_slice($draft->name, $at));
                $draft->name = $name;

                return;
            }
        }
    }

    /** @param list<int> $said */
    private function roleOfSaid(array $said): void
    {
        if ($said !== [] && $this->isNote($said[0])) {
            $this->role($said, Role::Note);

            return;
        }
        $isWithout = $said !== [] && Vocabulary::has('not', $this->tokens[$said[0]]->lower);
        $plain = array_filter($said, $this->isPlain(...));
        if ($isWithout && count($plain) === count($said) - 1) {
            $this->role([$said[0]], Role::State);
        }
        foreach ($said as $number => $token) {
            if (isset($this->roles[$token])) {
                continue;
            }
            $isSize = $this->tokens[$token]->isNumber() && array_filter(
                [$said[$number - 1] ?? null, $said[$number + 1] ?? null, $said[$number + 2] ?? null],
                fn(?int $near): bool => $near !== null && $this->tokens[$near]->isWord()
                    && (Vocabulary::has('cut-in', $this->tokens[$near]->lower, 'sizes') || Vocabulary::has('beside', $this->tokens[$near]->lower, 'counted')),
            ) !== [];
            if ($isSize || $this->isPlain($token)) {
                $this->role([$token], Role::State);
            }
        }
    }

    /** Whether a word changes nothing of what goes in. */
    private function isPlain(int $token): bool
    {
        $word = $this->tokens[$token];

        return $word->isMark() || $word->isWord() && (Vocabulary::has('beside', $word->lower) || self::isDescribing($word->lower));
    }

    private static function isDescribing(string $word): bool
    {
        $words = NameWords::of($word);

        return array_filter($words, static fn(string $one): bool => !NameWords::isDescriptor($one)) === [];
    }

    /**
     * Whether words name something: more than how it is.
     *
     * @param list<int> $tokens
     */
    private function tells(array $tokens): bool
    {
        foreach ($tokens as $token) {
            if (!$this->isPlain($token)) {
                return true;
            }
        }

        return $tokens !== [] && $this->isNameKnown($this->textOf($tokens), true);
    }

    private function isKnown(Draft $draft, bool $isToTheWord = false): bool
    {
        return $this->isNameKnown($this->nameOf($draft), $isToTheWord);
    }

    private function isNameKnown(string $name, bool $isToTheWord = false): bool
    {
        return $isToTheWord
            ? $this->names->keyOf($name) !== null
            : $this->known[$name] ??= $name !== '' && $this->names->knows(new Item($name, name: $name));
    }

    private function nameOf(Draft $draft): string
    {
        return $draft->called ?? $this->textOf($this->withoutEmptyWords($draft->name));
    }

    /**
     * Without words that say nothing of what it is, as long as something stays.
     *
     * @param list<int> $name
     *
     * @return list<int>
     */
    private function withoutEmptyWords(array $name): array
    {
        $at = 0;
        while ($at < count($name)) {
            $token = $this->tokens[$name[$at]];
            $passed = Vocabulary::phraseAt('passed-over', $this->tokens, $name[$at]);
            if ($passed > 0 && $at + $passed < count($name)) {
                $at += $passed;
            } elseif ($token->isMark() || $token->isWord('of', 'the', 'each', 'some', 'more', 'your', 'my', 'our', 'a', 'an', 'so', 'or') && $at + 1 < count($name)) {
                ++$at;
            } else {
                break;
            }
        }

        return array_slice($name, $at);
    }

    /**
     * @param list<int> $tokens
     */
    private function textOf(array $tokens): string
    {
        $text = '';
        foreach ($tokens as $number => $token) {
            $isApart = $number > 0 && (!$this->tokens[$token]->isGlued || $tokens[$number - 1] !== $token - 1);
            $text .= ($isApart ? ' ' : '') . $this->tokens[$token]->text;
        }

        return trim($text, " \t,;:-–");
    }

    /** @return list<int> of its name and what is said of it */
    private function tokensOf(Draft $draft): array
    {
        $tokens = [...$draft->name, ...array_merge([], ...$draft->said)];
        sort($tokens);

        return $tokens;
    }

    /** @return non-empty-list<Item> */
    private function items(): array
    {
        $items = [];
        $isOne = count($this->drafts) === 1;
        foreach ($this->drafts as $draft) {
            $name = $this->nameOf($draft);
            $preparation = $this->preparationOf($draft);
            $amount = $draft->amountText ?? $this->textOf($draft->amountTokens);
            $tags = $this->tagsOf($draft, $preparation);
            $text = $isOne ? $this->text : $this->alone($draft, $amount, $name);
            $span = $this->spanOf($draft->amountTokens);
            $at = $amount === '' || $isOne ? false : strpos($text, $amount);
            $items[] = new Item(
                $text,
                $draft->measured(),
                array_slice($draft->amounts, 1),
                $name,
                $draft->alternatives,
                $preparation,
                $draft->part,
                $tags,
                array_filter($draft->amounts, static fn(WrittenAmount $one): bool => !$one->isSensible()) !== [],
                $amount,
                $draft->percent,
                $isOne ? $span : ($at === false ? null : [$at, $at + strlen($amount)]),
                $span,
                $this->spanOf([...$this->withoutEmptyWords($draft->name), ...$draft->choices]),
                $draft->gloss ?? '',
                $draft->sameAs,
            );
        }

        return $items === [] ? [new Item($this->text)] : $items;
    }

    /** @return list<string> */
    private function tagsOf(Draft $draft, string $preparation): array
    {
        $tags = $draft->tags;
        $words = preg_split('/[^\pL]+/u', mb_strtolower("{$this->nameOf($draft)} {$preparation}")) ?: [];
        if (in_array('drained', $words, true) && !in_array('undrained', $words, true)) {
            $tags[] = 'drained';
        }

        return array_values(array_unique($tags));
    }

    private function preparationOf(Draft $draft, bool $isWithoutParts = false): string
    {
        $said = array_map(fn(array $tokens): string => $this->textOf(array_values(array_filter(
            $tokens,
            fn(int $token): bool => !$isWithoutParts || ($this->roles[$token] ?? null) !== Role::Part,
        ))), $draft->said);

        return implode(', ', array_filter($said));
    }

    /** As it would have been written alone. */
    private function alone(Draft $draft, string $amount, string $name): string
    {
        $preparation = $this->preparationOf($draft, $draft->part !== null);
        $forms = implode(' / ', array_map(
            static fn(WrittenAmount $one): string => $one->written(),
            array_slice($draft->amounts, 1),
        ));

        return trim(
            ($draft->part === null ? '' : "{$draft->part} of ")
                . trim(preg_replace('/\s+of$/iu', '', $amount) . ' ' . ($forms === '' ? '' : "({$forms}) ") . $name)
                . implode('', array_map(static fn(string $one): string => " or {$one}", $draft->alternatives))
                . ($draft->percent === null ? '' : " {$draft->percent}%")
                . ($preparation === '' ? '' : ", {$preparation}")
                . implode('', array_map(static fn(string $tag): string => " [{$tag}]", $draft->tags)),
        );
    }

    /**
     * @param list<int> $tokens
     *
     * @return array{int, int}|null
     */
    private function spanOf(array $tokens): ?array
    {
        return $tokens === []
            ? null
            : [
                $this->plain->offsetOf($this->tokens[$tokens[0]]->offset),
                $this->plain->offsetOf($this->tokens[$tokens[count($tokens) - 1]]->end),
            ];
    }

    /** @param array<int> $tokens */
    private function role(array $tokens, Role $role, ?int $most = null): void
    {
        if ($most === 0) {
            return;
        }
        foreach ($tokens as $token) {
            $this->roles[$token] = $role;
        }
    }

    /** @param list<int> $tokens */
    private function unrole(array $tokens): void
    {
        foreach ($tokens as $token) {
            unset($this->roles[$token]);
        }
    }

    /** @return array<int, Role> by token of all */
    private function rolesOfAll(): array
    {
        $roles = [];
        foreach ($this->all as $number => $token) {
            if (!$token->says()) {
                $roles[$number] = Role::Mark;
            }
        }
        foreach ($this->roles as $number => $role) {
            $roles[$this->numbers[$number]] = $role;
        }

        return $roles;
    }
}
