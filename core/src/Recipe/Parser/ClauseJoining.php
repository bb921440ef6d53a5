<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Ingredient\NameWords;
use Vinculum\Quantity\KitchenNumber;

/** Joins the clauses of a line: each is a thing of its own, or something said of the thing before. */
final class ClauseJoining
{
    private const MOST_ITEMS = 30;
    private const LONGEST_PREFIX = 5;

    /** What joins the last name to those before. */
    public Joiner $lastJoiner = Joiner::None;

    /** @var list<Draft> */
    private array $drafts = [];

    public function __construct(private readonly LineWords $words) {}

    public function join(Joiner $joiner, Draft $draft): void
    {
        $current = $this->drafts === [] ? null : $this->drafts[count($this->drafts) - 1];
        if ($current !== null) {
            $this->measuredLike($current, $draft);
        }
        if ($current?->hasAmount() === true && $draft->sameAs?->of === '' && !$this->words->isKnown($draft)) {
            // "100 g yellow mustard seeds, half that of brown"
            $draft->measureLike($current);
            $draft->sameAs = null;
        }
        $tells = $this->words->tells($draft->name);
        $this->lastJoiner = $joiner === Joiner::None || !$tells ? $this->lastJoiner : $joiner;
        match (true) {
            $current === null, $draft->hasAmount() && $draft->called !== null => $this->drafts[] = $draft,
            $draft->isChoice => $this->offer($current, $draft),
            $this->isCalledLike($joiner, $current, $draft) => $this->sharesTheHead($joiner, $current, $draft),
            !$tells => $this->joinsWithoutName($joiner, $current, $draft),
            self::isOfTheSameFruit($current, $draft) => $this->sharesTheFruit($current, $draft),
            self::isStillNameless($current, $draft) => $this->names($current, $draft),
            $this->isPrefix($joiner, $current, $draft) => $this->follows($current, $draft),
            $this->isNothingByItself($current) && $this->leansOn($joiner, $current, $draft) => null,
            default => $this->joinsAName($joiner, $current, $draft),
        };
    }

    /** @return non-empty-list<Draft> every thing of the line, in order */
    public function drafts(): array
    {
        $this->turnTheOnlyOne();

        return $this->drafts === [] ? [new Draft()] : array_slice($this->drafts, 0, self::MOST_ITEMS);
    }

    /** "zest and juice of 1 lime": the first part is of the same fruit. */
    private static function isOfTheSameFruit(Draft $current, Draft $draft): bool
    {
        return $current->isNameless() && !$current->hasAmount() && $current->part !== null && $draft->part !== null;
    }

    /** "2 tbsp light soy, 1 tbsp dark": what it is called is said once for both. */
    private function isCalledLike(Joiner $joiner, Draft $current, Draft $draft): bool
    {
        $lists = [Joiner::Comma, Joiner::Semicolon, Joiner::And, Joiner::Plus];

        return in_array($joiner, $lists, true) && $current->hasAmount() && !$current->isNameless()
            && $draft->hasAmount() && $draft->part === null
            && ($this->words->mayName($draft->name) || $this->words->mayBeAKind($draft->name))
            && !$this->words->isKnown($draft) && $this->words->calledLike($current, $draft) !== null;
    }

    private function sharesTheHead(Joiner $joiner, Draft $current, Draft $draft): void
    {
        $isPart = $this->words->isOfTheSame($draft);
        $this->words->role($draft->name, Role::Name);
        $draft->called = $this->words->calledLike($current, $draft);
        $rest = $isPart ? $current->amounts[0]->plus($draft->amounts[0]->times(-1.0)) : null;
        if ($rest?->isSensible() === true) {
            // "350 g sugar, 50 g of it brown"
            [$current->amounts, $current->amountText] = [[$rest], trim($rest->written())];
        }
        // "3 onions, 1 red" may be four, and what is not less than the whole is no part of it
        $mayBePart = $joiner === Joiner::Comma && !str_contains($this->words->nameOf($current), ' ');
        $draft->isGuessed = !$this->words->mayName($draft->name)
            || ($isPart ? $rest?->isSensible() !== true : $mayBePart);
        $this->drafts[] = $draft;
    }

    private function sharesTheFruit(Draft $current, Draft $draft): void
    {
        $current->measureLike($draft);
        $current->name = $draft->name;
        $this->drafts[] = $draft;
    }

    /** "1 tsp each: cumin, paprika": an amount that waits for its name. */
    private static function isStillNameless(Draft $current, Draft $draft): bool
    {
        return $current->isNameless() && $current->part === null && !$draft->hasAmount()
            && ($current->hasAmount() || $current->isOfAll());
    }

    private function names(Draft $current, Draft $draft): void
    {
        $current->name = $draft->name;
        $current->part = $draft->part;
        $current->takeOn($draft);
    }

    /** "For the ranch: ¼ cup coconut milk", "Optional: 1 tsp chilli". */
    private function isPrefix(Joiner $joiner, Draft $current, Draft $draft): bool
    {
        $tokens = $this->words->tokensOf($current);

        return $joiner === Joiner::Colon && !$current->hasAmount() && $draft->hasAmount() && count($this->drafts) === 1
            && count($tokens) <= self::LONGEST_PREFIX
            && Vocabulary::has('prefix', $this->words->tokens[$tokens[0] ?? 0]->lower);
    }

    private function follows(Draft $current, Draft $draft): void
    {
        $this->words->role($this->words->tokensOf($current), Role::Joiner);
        $draft->tags = [...$draft->tags, ...$current->tags];
        array_pop($this->drafts);
        $this->drafts[] = $draft;
    }

    private function isNothingByItself(Draft $current): bool
    {
        return !$this->words->tells($current->name) && $current->part === null && !$current->isOfAll();
    }

    /**
     * "peeled and cored apples": what is done to one thing, and names none of two.
     *
     * @param list<int> $tokens
     */
    private function areDoneTo(array $tokens): bool
    {
        return $tokens !== [] && array_filter(
            $tokens,
            fn(int $token): bool => !Vocabulary::has('done-to', $this->words->tokens[$token]->lower)
                && !Vocabulary::has('beside', $this->words->tokens[$token]->lower),
        ) === [];
    }

    /** "2 large, ripe tomatoes", "1 red and 1 green pepper": what says no thing by itself is of the one behind. */
    private function leansOn(Joiner $joiner, Draft $current, Draft $draft): bool
    {
        $isPrepared = $joiner === Joiner::And && $this->areDoneTo($current->name);
        if (!$draft->hasAmount() && ($isPrepared || in_array($joiner, [Joiner::Comma, Joiner::Dash], true))) {
            $current->name = [...$current->name, ...$draft->name];
            $current->part ??= $draft->part;
            $current->takeOn($draft);

            return true;
        }
        if ($current->name === [] || in_array($joiner, [Joiner::Semicolon, Joiner::Colon, Joiner::Equals], true)) {
            return false;
        }
        $last = $draft->name[count($draft->name) - 1];
        $current->called = trim($this->words->textOf($current->name) . ' ' . $this->words->tokens[$last]->text);
        $joiner->isChoice() ? $this->alternative($current, $draft) : $this->shareOut($joiner, $current, $draft);

        return true;
    }

    private function joinsWithoutName(Joiner $joiner, Draft $current, Draft $draft): void
    {
        if ($draft->part !== null && $draft->name === [] && !$current->isNameless()) {
            $this->joinsAPart($current, $draft);

            return;
        }
        if ($this->isAnotherForm($joiner, $current, $draft)) {
            $this->alternative($current, $draft);

            return;
        }
        if ($this->isCountingNoun($joiner, $current, $draft)) {
            $this->counts($current, $draft);

            return;
        }
        if ($this->isAThingThatCounts($joiner, $current, $draft)) {
            $draft->called = (string) $draft->amounts[0]->counted;
            $draft->amounts = [$draft->amounts[0]->of('whole')];
            $draft->amountText = KitchenNumber::plain($draft->amounts[0]->middle(), 3);
            $this->drafts[] = $draft;

            return;
        }
        if ($draft->shares !== [] || $draft->isEqual) {
            $this->drafts[0]->shares = $draft->shares;
            $this->drafts[0]->isEqual = $draft->isEqual;
        } elseif ($draft->sameAs !== null && !$current->hasAmount()) {
            $current->sameAs = $draft->sameAs;
        } elseif ($draft->hasAmount()) {
            $this->joinsAnAmount($joiner, $current, $draft);
        } elseif ($this->words->mayName($draft->name) && $joiner->turns() && $this->isTurned($current, $draft)) {
            $this->turn($current, $draft);

            return;
        }
        $this->say($this->drafts[count($this->drafts) - 1], $draft);
    }

    /** "1 tbsp fresh oregano or 1 tsp dried": in another form and another amount it is another choice. */
    private function isAnotherForm(Joiner $joiner, Draft $current, Draft $draft): bool
    {
        return $joiner === Joiner::Or && $draft->name !== [] && !$current->isNameless()
            && $current->hasAmount() && $draft->hasAmount() && $draft->amounts[0]->unit !== null;
    }

    /** "1 star anise, 2 cloves": the spice, where cloves are nothing that the thing before is counted by. */
    private function isAThingThatCounts(Joiner $joiner, Draft $current, Draft $draft): bool
    {
        $noun = $draft->isCounted() && $draft->name === [] ? (string) $draft->amounts[0]->counted : '';
        $isList = in_array($joiner, [Joiner::Comma, Joiner::Semicolon, Joiner::And, Joiner::Plus], true);

        return $isList && $current->hasAmount() && !$current->isNameless() && $noun !== ''
            && $this->words->keyOf($noun) !== null
            && $this->words->keyOf("{$noun} {$this->words->nameOf($current)}") === null;
    }

    /** What a draft says besides an amount becomes said of the thing before. */
    private function say(Draft $current, Draft $draft): void
    {
        if ($draft->name !== []) {
            $current->said[] = $draft->name;
            $this->words->option($current, $draft->name);
        }
        $current->takeOn($draft);
    }

    /** "a 400 g tin of pears, with their juice": the whole of what was weighed or packed, and no part alone. */
    private function goesInWithIt(Draft $current, Draft $draft): bool
    {
        $amount = $current->amounts[0] ?? null;
        $isOfPieces = $amount === null || $amount->unit === null && in_array($amount->counted, [null, 'whole'], true);
        if ($isOfPieces || $draft->partAt === null) {
            return false;
        }
        $at = $draft->partAt;
        while ($this->isWord($at, 'with', 'and', 'plus', 'its', 'their', 'the', 'all', 'any')) {
            ++$at;
        }
        $isAlone = $this->isWord($at, 'juiced', 'squeezed', 'zested') || $this->isWord($at + 1, 'only');
        do {
            --$at;
        } while ($this->isWord($at, 'its', 'their', 'the', 'all', 'any'));

        return !$isAlone && $this->isWord($at, 'with', 'and', 'plus');
    }

    private function isWord(int $at, string ...$words): bool
    {
        return ($this->words->tokens[$at] ?? null)?->isWord(...$words) === true;
    }

    private function joinsAPart(Draft $current, Draft $draft): void
    {
        $name = $this->words->nameOf($current);
        $isOfSome = $draft->isCounted() && $current->isCounted()
            && in_array($current->part, [null, $draft->part], true);
        $isForm = $draft->hasAmount() && ($draft->partAt ?? PHP_INT_MAX) < $draft->amountTokens[0];
        if ($draft->hasAmount() && !$current->hasAmount() && $current->part === null) {
            // "lime - 50 g zest"
            $current->measureLike($draft);
            $current->part = $draft->part;
            $this->say($current, $draft);
        } elseif ($isOfSome) {
            // "2 limes, zest of 1"
            [$current->part, $current->whole] = [$draft->part, $current->amounts];
            $current->isGuessed = $current->isGuessed || $draft->amounts[0]->high < $current->amounts[0]->high;
            $current->measureLike($draft);
            if ($draft->amounts[0]->high <= 1.0) {
                $current->called = $this->words->oneOf($current);
            }
            $this->say($current, $draft);
        } elseif ($isForm && in_array($current->part, [null, $draft->part], true)) {
            // "2 limes, juiced (about ¼ cup)"
            $current->part = $draft->part;
            $current->amounts = [...$current->amounts, ...$draft->amounts];
            $this->say($current, $draft);
        } elseif ($draft->hasAmount() && $current->hasAmount()) {
            // "1 lemon, zested, plus 2 tbsp juice", "2 tbsp lime juice plus 1 tsp zest"
            $fruit = (string) preg_replace('/\s+\S+$/u', '', $name);
            $called = trim("{$name} {$draft->part}");
            $ofFruit = "{$fruit} {$draft->part}";
            $isOfFruit = $this->words->keyOf($called) === null && $this->words->keyOf($ofFruit) !== null;
            $draft->called = $isOfFruit ? $ofFruit : $called;
            $draft->part = null;
            $this->drafts[] = $draft;
        } elseif ($current->part === null && $this->goesInWithIt($current, $draft)) {
            // nothing more is said of it than that it is whole
            $draft->said = [];
            $current->takeOn($draft);
        } elseif ($current->part === null || $current->part === $draft->part) {
            $current->part = $draft->part;
            $this->say($current, $draft);
        } elseif ($this->words->keyOf("{$name} zest") !== null) {
            $draft->measureLike($current);
            if ($current->whole !== []) {
                [$draft->amounts, $draft->amountText] = [$current->whole, trim($current->whole[0]->written())];
            }
            $draft->name = $current->name;
            $draft->called = $current->whole === [] ? $current->called : null;
            $this->drafts[] = $draft;
        } else {
            $this->say($current, $draft);
        }
    }

    private function joinsAnAmount(Joiner $joiner, Draft $current, Draft $draft): void
    {
        $isUnit = $draft->amounts[0]->unit !== null;
        // "plus a knob for the end", "plus 1 more"
        $isAgain = $joiner === Joiner::Plus && (!in_array($draft->amounts[0]->counted, [null, 'whole'], true)
            || $this->saysMore($draft) && $current->hasAmount());
        $isMore = in_array($joiner, [Joiner::Plus, Joiner::And], true)
            && ($isUnit || $draft->name !== [] || $isAgain) && !$this->isDoneTo($draft);
        if (!$current->hasAmount() || $draft->isNet) {
            $current->measureLike($draft);
            $current->isEach = $current->isEach || $draft->isEach;
        } elseif ($isMore) {
            // "1 cup sugar, plus 2 tbsp"
            $more = new Draft();
            $more->measureLike($draft);
            if ($this->saysMore($draft) && in_array($draft->amounts[0]->counted, [null, 'whole'], true) && !$isUnit) {
                $more->amounts = [$draft->amounts[0]->countedLike($current->amounts[0])];
                $more->amountText = trim($more->amounts[0]->written());
            }
            $more->called = $this->words->nameOf($current);
            $this->drafts[] = $more;
        } elseif ($isUnit) {
            $times = $draft->isEach && $current->isCounted() ? $current->amounts[0]->middle() : 1.0;
            foreach ($draft->amounts as $amount) {
                $current->amounts[] = $amount->times($times);
            }
        } elseif (
            !$current->isCounted() && $draft->name === [] && $draft->said === [] && $draft->amounts[0]->size !== null
        ) {
            // "onion | 150 g | 1 medium"
            array_push($current->amounts, ...$draft->amounts);
        } else {
            $this->words->unrole($draft->amountTokens);
            $current->said[] = $draft->amountTokens;
        }
    }

    /** "plus 1 more at the end" */
    private function saysMore(Draft $draft): bool
    {
        return array_filter(
            [...$draft->name, ...array_merge([], ...$draft->said)],
            fn(int $token): bool => $this->words->tokens[$token]->isWord('more', 'extra', 'another'),
        ) !== [];
    }

    /** "skinned & chopped (500 g)": what was done to it stands before the amount, which is the same in another form. */
    private function isDoneTo(Draft $draft): bool
    {
        $before = array_filter(
            [...array_merge([], ...$draft->said), ...$draft->name],
            static fn(int $token): bool => $token < $draft->amountTokens[0],
        );

        return array_filter(
            $before,
            fn(int $token): bool => Vocabulary::has('done-to', $this->words->tokens[$token]->lower),
        ) !== [];
    }

    private function joinsAName(Joiner $joiner, Draft $current, Draft $draft): void
    {
        $isMix = $joiner === Joiner::Slash && $this->isMixture($draft);
        $isChoice = $joiner->isChoice() && !$isMix
            && ($joiner === Joiner::Or || $this->isSlashedChoice($current, $draft));
        match (true) {
            $isChoice => $this->alternative($current, $draft),
            $draft->sameAs?->of === '' => $this->measuresTheSame($current, $draft),
            $this->isCountingNoun($joiner, $current, $draft) => $this->counts($current, $draft),
            $this->isTurnedWithAmount($joiner, $current, $draft) => $this->turnWithAmount($current, $draft),
            $draft->hasAmount() || $draft->isSome => $this->joinsAThing($current, $draft),
            $joiner->turns() && $this->isTurned($current, $draft) => $this->turn($current, $draft),
            $isMix || $this->isAnother($joiner, $current, $draft) => $this->shareOut($joiner, $current, $draft),
            default => $this->say($current, $draft),
        };
    }

    /** "honey/maple syrup", "1 clove garlic / ¼ tsp garlic powder"; "100 g butter / 150 g sugar" are two things. */
    private function isSlashedChoice(Draft $current, Draft $draft): bool
    {
        if (!$draft->hasAmount()) {
            return $current->hasAmount() || !$this->words->isKnown($draft);
        }
        $names = [$this->words->nameOf($current), $this->words->nameOf($draft)];
        [$one, $other] = array_map(NameWords::of(...), $names);

        return array_diff($one, $other) === [] || array_diff($other, $one) === [];
    }

    /** "100 g ginger and the same of garlic". */
    private function measuresTheSame(Draft $current, Draft $draft): void
    {
        $draft->measureLike($current);
        [$draft->sameAs, $draft->isApart] = [null, true];
        $this->drafts[] = $draft;
    }

    /** "garlic, 3 cloves" */
    private function isCountingNoun(Joiner $joiner, Draft $current, Draft $draft): bool
    {
        return count($draft->name) === 1 && $draft->isCounted() && !$current->hasAmount() && $joiner->turns()
            && Counts::named($this->words->tokens[$draft->name[0]]->text) !== null;
    }

    private function counts(Draft $current, Draft $draft): void
    {
        $noun = (string) Counts::named($this->words->tokens[$draft->name[0]]->text);
        $current->amounts = [$draft->amounts[0]->of($noun)];
        $current->amountTokens = [...$draft->amountTokens, ...$draft->name];
        $this->words->role($draft->name, Role::Amount);
        $current->takeOn($draft);
    }

    private function joinsAThing(Draft $current, Draft $draft): void
    {
        $isBare = !$draft->isSome && $draft->amounts[0]->unit === null
            && in_array($draft->amounts[0]->counted, [null, 'whole', 'cm', 'inch'], true);
        if ($isBare && !$this->words->isKnown($draft)) {
            $this->words->unrole($draft->amountTokens);
            $current->said[] = [...$draft->amountTokens, ...$draft->name];
            $current->takeOn($draft);

            return;
        }
        $this->ofItsOwn($current, $draft);
        $this->drafts[] = $draft;
    }

    /** "a cup of vinegar and two of sugar": what it is measured by is said once for both. */
    private function measuredLike(Draft $current, Draft $draft): void
    {
        $amount = $draft->amounts[0] ?? null;
        $other = $current->amounts[0] ?? null;
        $isMeasured = $other !== null && ($other->unit !== null || !in_array($other->counted, [null, 'whole'], true));
        if (
            $amount === null || !$isMeasured || $amount->unit !== null
            || !in_array($amount->counted, [null, 'whole'], true) || !$this->isSoManyOf($draft)
        ) {
            return;
        }
        if ($draft->name !== [] && $this->isWord($draft->name[0], 'of')) {
            $this->words->role([(int) array_shift($draft->name)], Role::Joiner);
        }
        $draft->amounts = [$amount->countedLike($other)];
        $draft->amountText = trim($draft->amounts[0]->written());
        // "a sprig of thyme and two of chillies" may count them
        $draft->isGuessed = $draft->isGuessed || $other->unit === null;
    }

    /** "two of sugar", but no "two of the limes" */
    private function isSoManyOf(Draft $draft): bool
    {
        $last = $draft->amountTokens === [] ? 0 : max($draft->amountTokens);
        $of = $this->isWord($last, 'of') ? $last : $last + 1;

        return $this->isWord($of, 'of')
            && !$this->isWord($of + 1, 'the', 'these', 'those', 'them', 'its', 'your', 'it');
    }

    /** "vinegar, white", "mustard, dijon": how it is called stands behind it. "vinegar, honey" are two. */
    private function isTurned(Draft $current, Draft $draft): bool
    {
        $said = $this->words->textOf($draft->name);
        $name = $this->words->nameOf($current);
        // "gherkins, brine and all" are no brine
        $isOfIt = Vocabulary::has('its-own', mb_strtolower($said));
        if ($isOfIt || array_diff(NameWords::of($name), NameWords::of($said)) === []) {
            return false;
        }
        $turned = $this->words->keyOf("{$said} {$name}");

        return $turned !== null && in_array($this->words->keyOf($said), [null, $turned], true);
    }

    /** "50 g oil, olive": two things that are one by both names, unless more of them make a list. */
    private function turnTheOnlyOne(): void
    {
        [$first, $second] = [...array_slice($this->drafts, 0, 2), null, null];
        $isOne = count($this->drafts) === 2 && $first !== null && $second !== null
            && $this->lastJoiner === Joiner::Comma && ($first->amounts[0]->unit ?? null) !== null
            && !$second->hasAmount() && $first->said === []
            && $second->name !== [] && !$second->isSome && !$second->isToTaste && $second->part === null;
        if (!$isOne) {
            return;
        }
        $called = "{$this->words->nameOf($second)} {$this->words->nameOf($first)}";
        $key = $this->words->keyOf($called);
        if ($key !== null) {
            $first->isGuessed = $first->isGuessed || $key !== $this->words->keyOf($this->words->nameOf($first));
            $first->called = $called;
            $first->takeOn($second);
            $this->drafts = [$first];
        }
    }

    /** "Olive oil - 120 ml extra virgin": what it is called before the amount, and which kind of it behind. */
    private function isTurnedWithAmount(Joiner $joiner, Draft $current, Draft $draft): bool
    {
        $isList = $joiner === Joiner::Comma && $this->words->isKnown($draft);

        return $joiner->turns() && !$isList && !$current->hasAmount() && $draft->hasAmount() && $draft->part === null
            && count($this->drafts) === 1 && $this->words->isKnown($current)
            && $this->words->keyOf("{$this->words->textOf($draft->name)} {$this->words->nameOf($current)}") !== null;
    }

    private function turnWithAmount(Draft $current, Draft $draft): void
    {
        $this->joinsAnAmount(Joiner::None, $current, $draft);
        $this->turn($current, $draft);
    }

    private function turn(Draft $current, Draft $draft): void
    {
        $said = $this->words->textOf($draft->name);
        $this->words->role($draft->name, Role::Name);
        $current->isGuessed = $this->words->keyOf($said) !== null;
        $current->called = "{$said} {$this->words->nameOf($current)}";
        $current->takeOn($draft);
    }

    /** Whether a name without an amount is a thing of its own, known or not. */
    private function isAnother(Joiner $joiner, Draft $current, Draft $draft): bool
    {
        $adds = $joiner->adds() || $this->drafts[0]->shares !== [];

        return $this->words->isKnown($draft)
            ? $adds || in_array($joiner, [Joiner::Comma, Joiner::Semicolon], true)
            : $adds && $current->said === [] && $this->words->isKnown($current);
    }

    private function alternative(Draft $current, Draft $draft): void
    {
        // with an amount of its own it may be another thing as well
        $current->isGuessed = $current->isGuessed || ($draft->hasAmount() && $this->lastJoiner === Joiner::Slash);
        $current->alternatives[] = $this->words->nameOf($draft);
        $this->words->role([...$this->words->tokensOf($draft), ...$draft->amountTokens], Role::Alternative);
        $current->choices = [...$current->choices, ...$draft->name];
        $current->takeOn($draft);
    }

    /** "milk, oat milk is fine too" */
    private function offer(Draft $current, Draft $draft): void
    {
        $current->offers[] = $this->words->nameOf($draft);
        $this->words->role($this->words->tokensOf($draft), Role::Alternative);
        $current->choices = [...$current->choices, ...$draft->name];
    }

    /** "soy/mirin mix" */
    private function isMixture(Draft $draft): bool
    {
        $last = $draft->name[count($draft->name) - 1] ?? null;
        $isOne = $last !== null && !$draft->hasAmount()
            && $this->words->tokens[$last]->isWord('mix', 'mixture', 'blend');
        if ($isOne) {
            $this->words->role([(int) array_pop($draft->name)], Role::Joiner);
        }

        return $isOne;
    }

    /** A name without an amount of its own, behind one that has one or has none. */
    private function shareOut(Joiner $joiner, Draft $current, Draft $draft): void
    {
        $this->drafts[] = $draft;
        if ($current->isEach && !$draft->hasAmount()) {
            $draft->isEach = true;
            $draft->measureLike($current);
        }
        $isShared = $current->hasAmount() && !$draft->hasAmount() && !$draft->isToTaste && !$draft->isSome
            && in_array($joiner, [Joiner::And, Joiner::Slash], true)
            && count($this->drafts) === 2 && count($current->amounts) === 1 && $current->said === [];
        if ($isShared) {
            $this->shareTheAmount($current, $draft);
        }
        $this->inTheSameForm($current, $draft);
    }

    private function shareTheAmount(Draft $current, Draft $draft): void
    {
        $unit = $current->amounts[0]->unit;
        if ($unit?->isVague() === true || ($current->called !== null && $unit === null)) {
            $draft->measureLike($current);
        } elseif ($unit !== null) {
            // "2 tbsp butter and oil" is one of each
            $half = $current->amounts[0]->times(0.5);
            $said = KitchenNumber::plain($half->middle(), 3) . " {$unit->name}";
            [$current->amounts, $current->amountText] = [[$half], $said];
            $draft->measureLike($current);
            $draft->amountText = $said;
            [$current->isShared, $draft->isShared] = [true, true];
        }
    }

    /** "1 tsp each ground cloves and ginger": the form is said once for all, or only of the first. */
    private function inTheSameForm(Draft $current, Draft $draft): void
    {
        $current->form ??= $this->words->formOf($current);
        $draft->form = $this->words->formOf($draft);
        if ($current->form === null || $draft->form !== null || !$this->drafts[0]->hasAmount()) {
            return;
        }
        $draft->form = $current->form;
        $name = $this->words->nameOf($draft);
        $called = "{$current->form} {$name}";
        if (!in_array($this->words->keyOf($called), [null, $this->words->keyOf($name)], true)) {
            $draft->isGuessed = true;
            // "2 tbsp dried thyme, garlic": where they share no amount, as likely only the first
            $draft->called = $draft->hasAmount() ? $called : $draft->called;
        }
    }

    /** "200 g olives plus 2 tbsp of their brine": what is taken of the thing before. */
    private function ofItsOwn(Draft $current, Draft $draft): void
    {
        $words = array_values(array_filter(
            $draft->name,
            fn(int $token): bool => !$this->words->tokens[$token]->isWord('of', 'its', 'their', 'the', 'own'),
        ));
        $word = count($words) === 1 ? $this->words->tokens[$words[0]]->lower : '';
        $isSaid = count($words) < count($draft->name);
        if (!Vocabulary::has('its-own', $word) || (!$isSaid && $this->words->keyOf($word) !== null)) {
            return;
        }
        $called = $this->words->nameOf($current) . " {$word}";
        $isItself = Vocabulary::has('its-own', $word, 'itself') && $this->words->isNameKnown($called);
        if ($isItself || $this->words->keyOf($called) !== null) {
            $this->words->role($draft->name, Role::Name);
            $draft->called = $called;
        }
    }
}
