<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\SpokenNumber;
use Vinculum\Recipe\Parser\Item;
use Vinculum\Recipe\Parser\LineGrammar;
use Vinculum\Recipe\Parser\Vocabulary;
use Vinculum\Recipe\Resolution\NameReading;

/** Finds what a telling names, how much of it, and why it names it. */
final class Mentions
{
    /** A single word behind a thing, up to the end of what is said of it. */
    private const KIND_BEHIND = '/^[\s,]+(?:the\s+)?(\pL[\pL-]+)(?:(?<=\pL)\s+(?:one|ones|kind|sort|stuff|type)\b|(?=\s*(?:[.;!?]|,\s+(?:and|then|plus)\b|$)))/iu';

    private NameReading $names;
    private LineGrammar $grammar;
    private SpokenWords $words;
    private SpokenAmounts $amounts;

    /** @var array<int, int> how many tokens the name takes that begins at a token */
    private array $named = [];

    public function __construct(private readonly Catalogue $catalogue)
    {
        $this->names = new NameReading($catalogue);
        $this->grammar = new LineGrammar(Measures::Us, $this->names);
        $this->words = new SpokenWords('', []);
        $this->amounts = new SpokenAmounts($this->words, $this->names, $this->grammar, $catalogue);
    }

    /**
     * @param list<array{int, string}> $clauses
     *
     * @return list<Mention> in the order in which they are said
     */
    public function in(string $text, array $clauses): array
    {
        $this->words = new SpokenWords($text, $clauses);
        $this->amounts = new SpokenAmounts($this->words, $this->names, $this->grammar, $this->catalogue);
        $this->named = $this->named();
        /** @var list<Mention> $mentions */
        [$mentions, $before, $kindEnds] = [[], -1, 0];
        $starts = array_keys($this->named);
        foreach ($starts as $nth => $at) {
            $next = $starts[$nth + 1] ?? count($this->words->tokens);
            // "a litre of vinegar, we use cider": a kind, and no other thing
            if ($this->words->tokens[$at]->offset < $kindEnds) {
                continue;
            }
            [$mention, $kindEnds] = $this->ofItsKind($this->mention($at, $before, $next), $at + $this->named[$at]);
            // an amount that was said behind it is no other thing's
            $before = $at + $this->named[$at] - 1;
            while (($this->words->tokens[$before + 1]->end ?? INF) <= $mention->span[1]) {
                ++$before;
            }
            $last = array_pop($mentions);
            [$last, $mention] = $this->eachOfThem($last, $mention);
            $mention = $this->sameOf($last, $mention);
            if ($last !== null && $mention->use === MentionUse::Named && $this->goesOn($last, $mention)) {
                $mention = $mention->putIn();
            }
            if ($last !== null && $mention->amount === '' && $this->isChoiceOf($last, $mention)) {
                $mentions[] = $last->choosing($mention->name, $mention->span[1]);
                continue;
            }
            if ($last !== null && $mention->isCorrection && str_starts_with($last->key, "{$mention->key} ")) {
                $mention = $mention->partOf($last);
            }
            if ($last !== null) {
                $mentions[] = $last;
                $mentions = $this->asMuchOfEach($mentions, $mention);
            }
            $zest = $this->zestOf($mention);
            array_push($mentions, ...($zest === null ? [] : [$zest]), ...$this->partsBehind($mention));
        }

        return $this->withUnknown($mentions);
    }

    /**
     * "A lemon, juice and zest": what is taken of it, said behind it.
     *
     * @return non-empty-list<Mention>
     */
    private function partsBehind(Mention $fruit): array
    {
        $behind = substr($this->words->text, $fruit->span[1], 40);
        $isSo = $fruit->amount !== '' && $this->names->keyOf("{$fruit->name} zest") !== null && preg_match(
            '/^[\s,]+(?:just |only )?(?:the |its )?(juice|zest)(?:(?:,| and|,? plus) (?:the |its )?(zest|juice))?(?=\s*(?:[.,;!?]|$))/iu',
            $behind,
            $said,
        ) === 1;
        if (!$isSo || !isset($said[1])) {
            return [$fruit];
        }
        $to = $fruit->span[1] + strlen($said[0]);

        return array_map(
            static fn(string $part): Mention => $fruit->onlyThe(mb_strtolower($part), $to),
            [$said[1], ...(isset($said[2]) ? [$said[2]] : [])],
        );
    }

    /** "the zest and the juice of one lemon" are two things. */
    private function zestOf(Mention $juice): ?Mention
    {
        $before = substr($this->words->text, max(0, $juice->span[0] - 30), min(30, $juice->span[0]));
        $isBoth = preg_match('/^(?:the )?juice of /iu', $juice->line) === 1
            && preg_match('/\b(?:zest|grated zest|peel|rind)\s+and\s+(?:the\s+)?$/iu', $before) === 1;

        return $isBoth ? $juice->zest() : null;
    }

    /** "three tablespoons of oil, same of flour": as much as of the thing before it. */
    private function sameOf(?Mention $last, Mention $mention): Mention
    {
        $before = substr($this->words->text, max(0, $mention->span[0] - 30), min(30, $mention->span[0]));
        $isSame = $last !== null && $last->amount !== '' && $mention->amount === ''
            && preg_match('/\b(?:the )?same (?:amount |again |quantity )?(?:of|in)\s+$/iu', $before) === 1;

        return match (true) {
            $isSame => $mention->asMuchAs($last)->putIn(),
            $last !== null && $mention->amount === '' => $this->inAnotherUnit($last, $mention, $before)
                ?? $this->timesOf($last, $mention, $before),
            default => $mention,
        };
    }

    /** "two tablespoons of sugar, sorry, teaspoons of sugar" */
    private function inAnotherUnit(Mention $last, Mention $mention, string $before): ?Mention
    {
        $units = TellingWords::pattern('spoons');
        $isSo = $mention->key === $last->key
            && preg_match('/\b' . TellingWords::pattern('sorry') . "[\\s,.–-]*({$units})\\s+of\\s+$/iu", $before, $unit) === 1
            && preg_match("/^(.+?)\\s+{$units}/iu", $last->amount, $number) === 1;

        return $isSo && isset($number[1], $unit[1]) ? $mention->soMuch("{$number[1]} {$unit[1]} of") : null;
    }

    /** "two cups of vinegar and half as much sugar" */
    private function timesOf(Mention $last, Mention $mention, string $before): Mention
    {
        foreach (Vocabulary::timesAsMuch() as $field => $pattern) {
            $isSo = preg_match("/\\b{$pattern}(?:\s+of)?\s+$/iu", $before) === 1;
            $measured = $isSo ? $this->grammar->read($last->line)->first()->measured : null;
            if ($measured !== null) {
                return $mention->soMuch($measured->times((float) Vocabulary::valueOf('times', $field))->written());
            }
        }

        return $mention;
    }

    /**
     * "a teaspoon each of garlic powder, onion powder and cumin"
     *
     * @return array{Mention|null, Mention}
     */
    private function eachOfThem(?Mention $last, Mention $mention): array
    {
        $isOfEach = $last !== null && $mention->amount === ''
            && preg_match('/\beach\b/iu', $last->amount . $last->line) === 1;
        if ($last === null || !$isOfEach) {
            return [$last, $mention];
        }
        $between = substr($this->words->text, $last->span[1], max(0, $mention->span[0] - $last->span[1]));
        if (preg_match('/^[\s,]*(?:and|plus)?\s*$/iu', $between) !== 1) {
            return [$last, $mention];
        }

        // the next of the list is of each too
        return [$last->asMuchAs($last), $mention->asMuchAs($last)->ofEach()];
    }

    /**
     * "chives, parsley and cress, twenty-five grams of each": the amount behind a list is that of all of it.
     *
     * @param list<Mention> $mentions
     *
     * @return list<Mention>
     */
    private function asMuchOfEach(array $mentions, Mention $last): array
    {
        $next = $last;
        foreach (array_reverse($mentions, true) as $at => $one) {
            if (!$this->isOfEach($one, $next, $last)) {
                break;
            }
            $mentions[$at] = $one->asMuchAs($last);
            $next = $one;
        }

        return array_values($mentions);
    }

    /** "soy sauce and sake, say a hundred millilitres each" */
    private function isOfEach(Mention $first, Mention $second, Mention $last): bool
    {
        $between = substr($this->words->text, $first->span[1], max(0, $second->span[0] - $first->span[1]));

        return $first->amount === '' && $last->amount !== ''
            && preg_match('/^[\s,]*(?:and|plus|,)\s*$/iu', $between) === 1
            && preg_match('/\beach\b/iu', $last->line . substr($this->words->text, $last->span[1], 9)) === 1;
    }

    /** @return array<int, int> */
    private function named(): array
    {
        $named = [];
        for ($at = 0; $at < count($this->words->tokens);) {
            $token = $this->words->tokens[$at];
            $length = $token->isWord() ? $this->names->longestAt($this->words->tokens, $at) : 0;
            // a name ends where a sentence does: "salt, and pepper. In a jar"
            for ($in = 1; $in < $length; ++$in) {
                if (preg_match('/[.!?]$/', $this->words->tokens[$at + $in - 1]->text) === 1 || $this->words->tokens[$at + $in]->isMark('.', '!', '?')) {
                    $length = $in;
                }
            }
            $said = $length === 0 ? '' : mb_strtolower($this->words->between($at, $at + $length));
            // a clove of garlic is no spice, nor are the cloves of "garlic, three cloves"
            $isOfGarlic = $length === 1 && $token->isWord('clove', 'cloves')
                && ($this->isCounted($at + 1) || $this->countsGarlic($at));
            if ($isOfGarlic) {
                ++$at;
                continue;
            }
            $isNone = $length === 0 || TellingWords::have($said, 'no-things');
            if ($isNone || $this->isASize($at) || $this->isVerb($at, $length)) {
                ++$at;
                continue;
            }
            $named[$at] = $length;
            $at += $length;
        }

        return $named;
    }

    /** "a piece of ginger the size of a walnut": how large it is, and no other thing. */
    private function isASize(int $at): bool
    {
        return $this->words->isWord($at - 3, 'size') && $this->words->isWord($at - 2, 'of')
            && $this->words->isWord($at - 1, 'a', 'an', 'my', 'your');
    }

    /** "garlic three cloves": a number of what was named just before. */
    private function countsGarlic(int $at): bool
    {
        $before = mb_strtolower($this->words->between(max(0, $at - 5), $at));

        return preg_match('/\bgarlic\W+(?:that\'s |about |say |i use )?(?:\d+|\pL+)$/u', $before) === 1;
    }

    /** Whether what follows is what is counted: "of garlic", "garlic". */
    private function isCounted(int $at): bool
    {
        $token = $this->words->tokens[$at] ?? null;

        return $token !== null
            && ($token->isWord('of') || $token->isWord() && $this->names->longestAt($this->words->tokens, $at) > 0);
    }

    /** "salt the water", "oil the tin", "to season it", "cream it": what one does is no thing. */
    private function isVerb(int $at, int $length): bool
    {
        if ($length !== 1) {
            return false;
        }
        $before = $this->words->tokens[$at - 1]->lower ?? '';
        $after = $this->words->tokens[$at + 1]->lower ?? '';
        // "salt, pepper. It must stand"
        $isLast = preg_match('/[.!?;]/', $this->words->spanning($at, $at + 2)) === 1;

        return !$isLast && in_array($after, ['it', 'them', 'the'], true) && !$this->words->isMeasuredBehind($at)
            && in_array($before, ['to', 'and', 'then', 'you', 'i', 'we', 'just', '', ','], true);
    }

    private function mention(int $at, int $before, int $next): Mention
    {
        $end = $at + $this->named[$at];
        $name = $this->words->between($at, $end);
        [$item, $from, $to] = $this->amounts->of($at, $end, $before, $next, $name);
        $begins = $this->words->tokens[$from]->offset;
        $clause = $this->words->clauseOf($this->words->tokens[$at]->offset);
        [$clauseAt, $told] = $this->words->clauses[$clause] ?? [0, ''];
        $upTo = substr($told, 0, max(0, $begins - $clauseAt));

        $isPart = preg_match('/^(?:half )?(?:the )?(juice|zest|peel) of\b/iu', $item->text ?? '', $of) === 1;
        $key = $this->names->keyOf($item->name ?? $name) ?? $this->names->keyOf($name) ?? mb_strtolower($name);

        return new Mention(
            $isPart ? "{$key} {$of[1]}" : $key,
            $name,
            ($item->text ?? $name)
                . ($item === null ? '' : $this->stateBehind($to, $next) . self::gratedBefore($upTo, $key)),
            $item->amountText ?? '',
            [$begins, $this->words->tokens[$to - 1]->end],
            MentionPurpose::of(
                $upTo,
                $told,
                $item,
                substr($this->words->text, $this->words->tokens[$end - 1]->end, 40),
                // what was said since the thing before it
                substr($upTo, max(0, ($this->words->tokens[$before]->end ?? 0) - $clauseAt)),
            ),
            $clause,
            $this->endsWithMore($upTo, $item),
            $this->isOptionalHere($clause, $at, $next)
                || preg_match('/' . TellingWords::pattern('may-put') . '\W*$/iu', $upTo) === 1,
            isCorrection: MentionPurpose::endsIn('sorry', $upTo),
        );
    }

    /** "I grate in a teaspoon of ginger": of what by the spoon is else its powder. */
    private static function gratedBefore(string $upTo, string $key): string
    {
        return FactsFile::named('words')['spooned']->has($key)
            && preg_match('/\bgrat(?:e|ed|ing)(?:\s+[\pL\']+){0,8}\s*$/iu', $upTo) === 1 ? ', grated' : '';
    }

    /** "three red peppers, charred and skinned", "a tin of tomatoes, drained": what it has become before it goes in. */
    private function stateBehind(int $to, int $next): string
    {
        $ends = $this->words->tokens[$next]->offset ?? strlen($this->words->text);
        $from = $this->words->tokens[$to - 1]->end;
        $behind = substr($this->words->text, $from, max(0, min(60, $ends - $from)));
        foreach (FactsFile::named('states') as $state) {
            $changes = array_intersect(['water_lost', 'kept', 'heat'], $state->fields());
            $words = "/^[\\s,]*(?:all |both |well |nicely |already )?({$state->pattern('words')})(?!\\pL)/iu";
            if (($changes !== [] || $state->key === 'drained') && preg_match($words, $behind, $said) === 1) {
                return ", {$said[1]}";
            }
        }

        return '';
    }

    /**
     * "A litre of vinegar, we use malt": which kind is said behind it.
     *
     * @return array{Mention, int} and the byte where its kind ends, 0 where none is said
     */
    private function ofItsKind(Mention $mention, int $end): array
    {
        $from = max($this->words->tokens[$end - 1]->end, $mention->amount === '' ? 0 : $mention->span[1]);
        $behind = substr($this->words->text, $from, 60);
        $uses = '(?:(?:i|we) (?:always |usually )?(?:use|like|prefer|take|had)|mine is|ours is)';
        // "a hundred and fifty grams of yogurt, Greek."
        // "600 ml of vinegar, cider, and …", "mustard, the grainy one"
        $isTurned = $mention->amount !== '' && preg_match(self::KIND_BEHIND, $behind, $kind) === 1
            && $this->names->keyOf("{$kind[1]} {$mention->name}") !== null;
        $pattern = $isTurned ? self::KIND_BEHIND : "/^[\\s,]*{$uses}\\s+(?:the\\s+)?(\\pL[\\pL-]+)(?:\\s(?:one|kind|sort|stuff))?\\s*(?:[,.;!?]|$)/iu";
        $name = preg_match($pattern, $behind, $kind) === 1 ? "{$kind[1]} {$mention->name}" : $mention->name;
        $key = $this->names->keyOf($name);

        if ($key === null || $name === $mention->name) {
            return [$mention, 0];
        }
        $ends = $from + strlen(rtrim($kind[0] ?? '', ',.;!? '));

        return [$mention->called($key, $name, $ends), $ends];
    }

    /** "a little more honey", "another two tablespoons". */
    private function endsWithMore(string $upTo, ?Item $item): bool
    {
        return TellingWords::areIn(mb_substr($upTo, -24) . ' ' . ($item->amountText ?? ''), 'more-of-it');
    }

    /** "you can leave it out", said of this one and no other. */
    private function isOptionalHere(int $clause, int $at, int $next): bool
    {
        [$begins, $told] = $this->words->clauses[$clause];
        $offset = $this->words->tokens[$at]->offset;
        $behind = substr($told, $offset - $begins) . ' ' . ($this->words->clauses[$clause + 1][1] ?? '');
        $name = mb_strtolower($this->words->between($at, $at + $this->named[$at]));
        $following = isset($this->named[$next]) ? $this->words->between($next, $next + $this->named[$next]) : '';
        if ($following !== '' && !str_ends_with($name, mb_strtolower($following))) {
            $behind = substr($behind, 0, max(0, $this->words->tokens[$next]->offset - $offset));
        }
        $pattern = TellingWords::pattern('optional');

        // "and if you like it hot you can do a chilli" is said of the chilli
        $ofTheNext = '(?!(?:\s+\pL+){0,3}\s+(?:you (?:can|could|might)|add|put|throw|chuck|do)\b)';

        return preg_match("/^.{0,60}{$pattern}{$ofTheNext}/iu", $behind) === 1;
    }

    /** "a teaspoon of salt, black pepper and thyme": what is listed behind a thing goes in as it does. */
    private function goesOn(Mention $first, Mention $second): bool
    {
        $between = substr($this->words->text, $first->span[1], max(0, $second->span[0] - $first->span[1]));

        $states = TellingWords::pattern('states');

        return $first->use === MentionUse::PutIn
            && preg_match("/^[\\s,]*(?:{$states}\\s)*(?:and|plus|then|and then|with|as well as)?[\\s,]*$/iu", $between) === 1;
    }

    /** "cider vinegar or red wine vinegar will do": another way, no other thing. */
    private function isChoiceOf(Mention $first, Mention $second): bool
    {
        $between = substr($this->words->text, $first->span[1], max(0, $second->span[0] - $first->span[1]));

        return $first->use !== MentionUse::TalkedAbout && strlen($between) < 60
            && preg_match('/^[\s,.]*(?:will do|would do|works)?[\s,.]*\bor\b/iu', $between) === 1;
    }

    /**
     * Amounts of what nobody knows: they are told, and asked about.
     *
     * @param list<Mention> $mentions
     *
     * @return list<Mention>
     */
    private function withUnknown(array $mentions): array
    {
        $taken = array_map(static fn(Mention $one): array => $one->span, $mentions);
        [$numbers, $measures] = [TellingWords::pattern('numbers'), TellingWords::pattern('counted')];
        $number = "(?:{$numbers}|" . SpokenNumber::pattern() . "|\\pL+ty(?:-\\pL+)?|\\d+(?:[.\\/]\\d+)?|[½¼¾⅓⅔])";
        $pattern = "/\\b(?:{$number}\\s+)+{$measures}\\s+of\\s+(?=((?:[\\pL'’-]+\\s?){1,3}))/iu";
        preg_match_all($pattern, $this->words->text, $found, PREG_OFFSET_CAPTURE);
        foreach ($found[0] ?? [] as $nth => [$said, $at]) {
            $name = $this->ownWords($found[1][$nth][0]);
            $text = $said . $name;
            $isTaken = array_filter(
                $taken,
                static fn(array $span): bool => $span[0] < $at + strlen($text) && $at < $span[1],
            ) !== [];
            // "or two teaspoons of dried"
            $isQuality = preg_match('/^(?:dried|fresh|ground|powder|it)$/iu', $name) === 1;
            // "one minute of boiling"
            $isTime = preg_match('/\b(?:minutes?|hours?|seconds?|days?|weeks?|months?|years?|degrees?|times|steps|people)\s+of\s+$/iu', $said) === 1;
            if ($isTaken || $isQuality || $isTime || $name === '') {
                continue;
            }
            $item = $this->grammar->read($text)->first();
            $clause = $this->words->clauseOf($at);
            $upTo = substr($this->words->clauses[$clause][1], 0, max(0, $at - $this->words->clauses[$clause][0]));
            $mentions[] = new Mention(
                mb_strtolower($name),
                $name,
                $text,
                $item->amountText,
                [$at, $at + strlen($text)],
                MentionPurpose::of($upTo, $this->words->clauses[$clause][1], $item, '', $upTo),
                $clause,
            );
        }
        usort($mentions, static fn(Mention $a, Mention $b): int => $a->span[0] <=> $b->span[0]);

        return $mentions;
    }

    /** The words of a name, as far as they may be one. */
    private function ownWords(string $words): string
    {
        $own = [];
        foreach (preg_split('/\s+/u', trim($words)) ?: [] as $word) {
            if (TellingWords::have($word, 'no-name')) {
                break;
            }
            $own[] = $word;
        }

        return implode(' ', $own);
    }

}
