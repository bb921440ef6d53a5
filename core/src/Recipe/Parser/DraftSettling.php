<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Quantity\KitchenNumber;

/** Settles what is said of all the things of a line together, and which role each of its words then has. */
final readonly class DraftSettling
{
    public function __construct(private LineWords $words) {}

    /**
     * @param non-empty-list<Draft> $drafts
     * @param Joiner $joiner what joins the last name to those before
     */
    public function settle(array $drafts, Joiner $joiner): void
    {
        $this->shareOut($drafts);
        $last = $drafts[count($drafts) - 1];
        foreach ($last->isEach && $last->hasAmount() ? $drafts : [] as $draft) {
            // "cumin and paprika, 1 tsp each"
            if (!$draft->hasAmount()) {
                $draft->amounts = $last->amounts;
                $draft->amountTokens = $last->amountTokens;
            }
        }
        $this->lean($drafts, $joiner);
        foreach ($drafts as $draft) {
            $this->cutBehind($draft);
            $this->words->role($draft->name, Role::Name);
            foreach ($draft->said as $said) {
                $this->roleOfSaid($said);
            }
            $draft->isRate = $draft->hasAmount() && $this->isPerSomething($draft);
            foreach ([$draft->name, ...$draft->said] as $tokens) {
                $this->words->option($draft, $tokens);
            }
        }
    }

    /**
     * "equal parts", "3:1:1", "half soy, half mirin".
     *
     * @param non-empty-list<Draft> $drafts
     */
    private function shareOut(array $drafts): void
    {
        $count = count($drafts);
        $isHalves = array_filter($drafts, fn(Draft $one): bool => !$this->isHalf($one)) === [];
        $shares = $drafts[0]->isEqual || $isHalves ? array_fill(0, $count, 1.0) : $drafts[0]->shares;
        foreach (count($shares) === $count && $count > 1 ? $drafts : [] as $number => $draft) {
            $draft->amounts = [new WrittenAmount($shares[$number], $shares[$number], null, 'part')];
            $draft->amountText = KitchenNumber::plain($shares[$number], 3) . ' part';
        }
    }

    private function isHalf(Draft $draft): bool
    {
        return count($draft->amountTokens) === 1
            && $draft->measured()?->counted === 'whole'
            && $this->words->tokens[$draft->amountTokens[0]]->isWord('half');
    }

    /**
     * "lemon and lime juice": a name that is nothing by itself, or only the fruit, leans on the last one's noun.
     *
     * @param non-empty-list<Draft> $drafts
     */
    private function lean(array $drafts, Joiner $joiner): void
    {
        $last = $drafts[count($drafts) - 1];
        $noun = count($last->name) > 1 ? $this->words->tokens[$last->name[count($last->name) - 1]] : null;
        $isList = in_array($joiner, [Joiner::And, Joiner::Or, Joiner::Slash], true);
        if ($noun === null || count($drafts) < 2 || !$isList) {
            return;
        }
        $leaning = [];
        $isOfAll = Vocabulary::has('leant-on', $noun->lower);
        foreach (array_slice($drafts, 0, -1) as $draft) {
            $name = $this->words->nameOf($draft);
            $isOpen = $name !== '' && $draft->called === null && $draft->part === null && !$last->isApart;
            $isKnown = $this->words->isKnown($draft);
            $leans = $isOpen && !str_contains(mb_strtolower($name), $noun->lower)
                && (!$isKnown || $isOfAll && $draft->amountTokens === $last->amountTokens)
                && $this->words->isNameKnown("{$name} {$noun->text}");
            if ($isKnown && !$leans) {
                return;
            }
            if ($leans) {
                $isEither = $isKnown && Vocabulary::has('leant-on', $noun->lower, 'guessed');
                $draft->isGuessed = $draft->isGuessed || $isEither;
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
        if ($draft->called !== null || count($draft->name) < 2 || $this->words->isKnown($draft)) {
            return;
        }
        for ($at = count($draft->name) - 1; $at > 0; --$at) {
            $name = array_slice($draft->name, 0, $at);
            $isCut = Vocabulary::has('behind', $this->words->tokens[$draft->name[$at]]->lower);
            if ($isCut && $this->words->isNameKnown($this->words->textOf($this->words->withoutEmptyWords($name)))) {
                array_unshift($draft->said, array_slice($draft->name, $at));
                $draft->name = $name;

                return;
            }
        }
    }

    /** "1 tsp per bottle", "2 tbsp per 500 ml". */
    private function isPerSomething(Draft $draft): bool
    {
        foreach (array_merge([], ...$draft->said) as $token) {
            $next = $token + 1;
            $next += ($this->words->tokens[$next] ?? null)?->isNumber() === true ? 1 : 0;
            $of = $this->words->tokens[$next] ?? null;
            $isRate = $of?->isWord() === true && !Vocabulary::has('no-rates', $of->lower);
            if ($isRate && $this->words->tokens[$token]->isWord('per')) {
                return true;
            }
        }

        return false;
    }

    /** @param list<int> $said */
    private function roleOfSaid(array $said): void
    {
        if ($said !== [] && $this->words->isNote($said[0])) {
            $this->words->role($said, Role::Note);

            return;
        }
        $isWithout = $said !== [] && Vocabulary::has('not', $this->words->tokens[$said[0]]->lower);
        $plain = array_filter($said, $this->words->isPlain(...));
        if ($isWithout && count($plain) === count($said) - 1) {
            $this->words->role([$said[0]], Role::State);
        }
        foreach ($said as $number => $token) {
            if (isset($this->words->roles[$token])) {
                continue;
            }
            $near = [$said[$number - 1] ?? null, $said[$number + 1] ?? null, $said[$number + 2] ?? null];
            $isSize = $this->words->tokens[$token]->isNumber()
                && array_filter($near, fn(?int $one): bool => $one !== null && $this->isOfNumbers($one)) !== [];
            if ($isSize || $this->words->isPlain($token)) {
                $this->words->role([$token], Role::State);
            }
        }
    }

    /** A word beside which a number says no amount: "2 cm", "in 4 pieces". */
    private function isOfNumbers(int $token): bool
    {
        $word = $this->words->tokens[$token];

        return $word->isWord()
            && (Vocabulary::has('cut-in', $word->lower, 'sizes') || Vocabulary::has('beside', $word->lower, 'counted'));
    }
}
