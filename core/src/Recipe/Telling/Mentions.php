<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Item;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\LineGrammar;
use Vinculum\Recipe\Parser\Token;
use Vinculum\Recipe\Resolution\NameReading;

/** Finds what a telling names, how much of it, and why it names it. */
final class Mentions
{
    /** An amount begins no further before its thing, in tokens. */
    private const AHEAD = 9;
    /** So many small words may stand between a thing and its amount. */
    private const GLUE = 8;
    private const LONGEST_AMOUNT = 7;
    private const UNIT = '/^(?:tea|table)?spoons?|^(?:tsps?|tbsps?|cups?|g|grams?|kilos?|kg|mils?|ml|millilit(?:er|re)s?|lit(?:er|re)s?|ounces?|oz|pounds?|lbs?|pints?|cloves?|tins?|cans?|sprigs?|handfuls?|pinch(?:es)?|hundred|minutes?|hours?|days?|weeks?|months?|years?|degrees?|people|times|parts|steps)$/u';
    /** Words that no amount holds. */
    private const NO_AMOUNT = '/\b(?:i|i\'m|i\'ve|we|we\'re|you|it|it\'s|using|use|that|that\'s|so|then|now|plus|put|goes|go|with|is|are|or|but|because|this|for|in|into|to|my|minutes?|hours?|days?|weeks?|degrees?)\b|[.!?]\s/iu';

    private const OF_ITS_STATE = '/\b(?:till|until|when|once|if|because|than|of)\s+(?:the|your|its|all the)?\s*$/iu';
    private const SEASONED = '/\bsalt and (?:black )?pepper\b/iu';

    private NameReading $names;
    private LineGrammar $grammar;

    /** @var list<Token> */
    private array $tokens = [];
    /** @var array<int, int> how many tokens the name takes that begins at a token */
    private array $named = [];
    /** @var list<array{int, string}> */
    private array $clauses = [];
    private string $text = '';

    public function __construct(Catalogue $catalogue)
    {
        $this->names = new NameReading($catalogue);
        $this->grammar = new LineGrammar(Measures::Us, $this->names);
    }

    /**
     * @param list<array{int, string}> $clauses
     *
     * @return list<Mention> in the order in which they are said
     */
    public function in(string $text, array $clauses): array
    {
        [$this->text, $this->clauses] = [$text, $clauses];
        $this->tokens = Lexer::tokens($text);
        $this->named = $this->named();
        /** @var list<Mention> $mentions */
        [$mentions, $before] = [[], -1];
        $starts = array_keys($this->named);
        foreach ($starts as $nth => $at) {
            $next = $starts[$nth + 1] ?? count($this->tokens);
            $mention = $this->mention($at, $before, $next);
            // an amount that was said behind it is no other thing's
            $before = $at + $this->named[$at] - 1;
            while (($this->tokens[$before + 1]->end ?? INF) <= $mention->span[1]) {
                ++$before;
            }
            $last = array_pop($mentions);
            if ($last !== null && $mention->use === MentionUse::Named && $this->goesOn($last, $mention)) {
                $mention = $mention->putIn();
            }
            if ($last !== null && $mention->amount === '' && $this->isChoiceOf($last, $mention)) {
                $mentions[] = $last->choosing($mention->name, $mention->span[1]);
                continue;
            }
            if ($last !== null) {
                $mentions[] = $last;
            }
            $mentions[] = $mention;
        }

        return $this->withUnknown($mentions);
    }

    /** @return array<int, int> */
    private function named(): array
    {
        $named = [];
        for ($at = 0; $at < count($this->tokens);) {
            $token = $this->tokens[$at];
            $length = $token->isWord() ? $this->names->longestAt($this->tokens, $at) : 0;
            $said = $length === 0 ? '' : mb_strtolower($this->between($at, $at + $length));
            // a clove of garlic is no spice
            if ($length === 1 && $token->isWord('clove', 'cloves') && $this->isCounted($at + 1)) {
                ++$at;
                continue;
            }
            if ($length === 0 || in_array($said, FactsFile::named('telling')['no-things']->list('words'), true) || $this->isVerb($at, $length)) {
                ++$at;
                continue;
            }
            $named[$at] = $length;
            $at += $length;
        }

        return $named;
    }

    /** Whether what follows is what is counted: "of garlic", "garlic". */
    private function isCounted(int $at): bool
    {
        $token = $this->tokens[$at] ?? null;

        return $token !== null && ($token->isWord('of') || $token->isWord() && $this->names->longestAt($this->tokens, $at) > 0);
    }

    /** "salt the water", "oil the tin", "to season it", "cream it": what one does is no thing. */
    private function isVerb(int $at, int $length): bool
    {
        if ($length !== 1) {
            return false;
        }
        $before = $this->tokens[$at - 1]->lower ?? '';
        $after = $this->tokens[$at + 1]->lower ?? '';

        return in_array($after, ['it', 'them', 'the'], true)
            && in_array($before, ['to', 'and', 'then', 'you', 'i', 'we', 'just', ''], true);
    }

    private function mention(int $at, int $before, int $next): Mention
    {
        $end = $at + $this->named[$at];
        $name = $this->between($at, $end);
        [$from, $ahead] = $this->amountAhead($at, $end, $before);
        [$to, $behind] = $this->amountBehind($end, $next, $name);
        // "half a cup of ketchup, 128 grams", "a little ginger, say a teaspoon": of two amounts the surer
        $isSurer = $behind?->measured?->unit?->grams !== null
            || $behind?->measured?->unit !== null
                && preg_match('/^(?:some|a few|few|a bit|a little|lots|enough)\b/iu', $ahead->text ?? '') === 1;
        $item = $ahead === null || $isSurer ? $behind ?? $ahead : $ahead;
        $begins = $this->tokens[$ahead === null ? $at : $from]->offset;
        $clause = $this->clauseOf($this->tokens[$at]->offset);
        [$clauseAt, $told] = $this->clauses[$clause] ?? [0, ''];
        $upTo = substr($told, 0, max(0, $begins - $clauseAt));

        return new Mention(
            $this->names->keyOf($item->name ?? $name) ?? $this->names->keyOf($name) ?? mb_strtolower($name),
            $name,
            $item->text ?? $name,
            $item->amountText ?? '',
            [$begins, $this->tokens[($item !== null && $item === $behind ? $to : $end) - 1]->end],
            $this->use($upTo, $told, $item, substr($this->text, $this->tokens[$end - 1]->end, 20)),
            $clause,
            $this->endsWithMore($upTo, $item),
            $this->isOptionalHere($clause, $at, $next),
            isCorrection: $this->endsIn('sorry', $upTo),
        );
    }

    /** "a little more honey", "another two tablespoons". */
    private function endsWithMore(string $upTo, ?Item $item): bool
    {
        return preg_match('/\b(?:more|another|extra|additional|again)\b/iu', mb_substr($upTo, -24) . ' ' . ($item->amountText ?? '')) === 1;
    }

    /** "you can leave it out", said of this one and no other. */
    private function isOptionalHere(int $clause, int $at, int $next): bool
    {
        [$begins, $told] = $this->clauses[$clause];
        $offset = $this->tokens[$at]->offset;
        $behind = substr($told, $offset - $begins) . ' ' . ($this->clauses[$clause + 1][1] ?? '');
        $name = mb_strtolower($this->between($at, $at + $this->named[$at]));
        $following = isset($this->named[$next]) ? $this->between($next, $next + $this->named[$next]) : '';
        if ($following !== '' && !str_ends_with($name, mb_strtolower($following))) {
            $behind = substr($behind, 0, max(0, $this->tokens[$next]->offset - $offset));
        }
        $pattern = FactsFile::named('telling')['optional']->pattern('words');

        return preg_match("/^.{0,60}{$pattern}/iu", $behind) === 1;
    }

    /** @return array{int, Item|null} the first token of the amount, and the thing as it is then written */
    private function amountAhead(int $at, int $end, int $before): array
    {
        $least = max($before + 1, $at - self::AHEAD, $this->firstOf($at));
        for ($from = $least; $from < $at; ++$from) {
            if (!$this->mayBegin($from)) {
                continue;
            }
            $said = $this->corrected($this->between($from, $end));
            $item = preg_match(self::NO_AMOUNT, $this->between($from, $at)) === 1
                ? null
                : $this->read($said) ?? $this->readPlainly($said, $this->between($at, $end));
            if ($item !== null) {
                return [$from, $item];
            }
        }

        return [$at, null];
    }

    /** @return array{int, Item|null} the token behind the amount, and the thing as it is then written */
    private function amountBehind(int $end, int $next, string $name): array
    {
        $glue = FactsFile::named('telling')['glue']->list('words');
        for ($from = $end; $from < min($next, $end + self::GLUE); ++$from) {
            $token = $this->tokens[$from];
            if ($this->mayBegin($from)) {
                for ($to = min($next, $from + self::LONGEST_AMOUNT); $to > $from; --$to) {
                    $follows = $this->tokens[$to] ?? null;
                    $isEnd = preg_match('/[.,;!?]$/', $this->tokens[$to - 1]->text) === 1
                        || $follows?->isMark('.', ',', ';', '!', '?') === true;
                    $isOfNext = $to === $next && !$isEnd || $follows?->isWord('of') === true
                        && !(($this->tokens[$to + 1] ?? null)?->isWord('it', 'that', 'those', 'them', 'this') ?? false);
                    $isCut = $follows?->isWord('and') === true && $this->tokens[$to - 1]->isWord('hundred', 'thousand')
                        || $follows !== null
                        && ($follows->isNumber() || $follows->isWord('a', 'an') || preg_match(self::UNIT, $follows->lower) === 1)
                        && !$isEnd;
                    if ($isOfNext || $isCut || $this->tokens[$to - 1]->isWord('of', 'and', 'or', 'the')) {
                        continue;
                    }
                    $amount = $this->corrected($this->between($from, $to));
                    $item = preg_match(self::NO_AMOUNT, $amount) === 1 ? null : $this->read("{$amount} {$name}");
                    if ($item?->measured !== null && preg_match('/^an?$/iu', $item->amountText) !== 1) {
                        return [$to, $item];
                    }
                }
            }
            if (!$token->isMark(',', '.', '-', '–', '…', ':', '?') && !in_array($token->lower, $glue, true)) {
                break;
            }
        }

        return [$end, null];
    }

    /** One thing with an amount and no word left over; null where the words are not that. */
    private function read(string $text): ?Item
    {
        // "twenty five grams"
        $text = (string) preg_replace('/\b((?:twen|thir|for|fif|six|seven|eigh|nine)ty) (one|two|three|four|five|six|seven|eight|nine)\b/iu', '$1-$2', $text);
        $line = $this->grammar->read($text);
        $item = $line->first();

        return count($line->items) === 1 && $line->unread === [] && !$item->isNonsense
            && ($item->amountText !== '' || $item->isSome)
            && $item->name !== '' && $this->names->knows($item)
            ? $item
            : null;
    }

    /** "a slice of old bread": without what is only said of it. */
    private function readPlainly(string $said, string $name): ?Item
    {
        $of = strripos($said, ' of ');

        return $of === false ? null : $this->read(substr($said, 0, $of) . " of {$name}");
    }

    /** "two tablespoons, sorry, teaspoons of": what was meant. */
    private function corrected(string $text): string
    {
        $sorry = FactsFile::named('telling')['sorry']->pattern('words');
        if (preg_match("/^(.*?)[\s,.–-]*{$sorry}[\s,.–-]*(.+)$/iu", $text, $found) !== 1) {
            return $text;
        }
        $meant = trim($found[2]);
        $number = preg_match('/^([\d½¼¾⅓⅔.,\/]+|an?|one|two|three|four|five|six|seven|eight|nine|ten|half an?)\s/iu', $found[1], $said) === 1
            ? $said[1]
            : '';

        return preg_match('/^(?:tea|table)?spoons?|^(?:tsp|tbsp|cups?|grams?|mils?|ml|g)\b/iu', $meant) === 1
            ? "{$number} {$meant}"
            : $meant;
    }

    /**
     * @param string $upTo what is said in its clause before it and its amount
     * @param string $told the whole clause
     * @param string $behind the next few letters behind its name
     */
    private function use(string $upTo, string $told, ?Item $item, string $behind): MentionUse
    {
        $isToTaste = preg_match('/^\s*(?:to taste|as you like|for seasoning)\b/iu', $behind) === 1;
        $hasAmount = $item !== null || $isToTaste;
        $isOne = $item !== null && $item->measured?->unit === null && preg_match('/^an?\b/iu', $item->amountText) === 1;
        // what is said of others ends where one speaks of oneself
        $own = (string) preg_replace('/^.*(?:[,;]|\bbut\b|\bso\b)\s*(?=(?:i|we|you)\b)/iu', '', $upTo);
        // "my aunt's relish" is told of, and made here
        $own = (string) preg_replace('/\bmy (?:\pL+ ){0,2}\pL+[\'’]s\b/iu', '', $own);
        $optional = FactsFile::named('telling')['optional']->pattern('words');
        $plain = (string) preg_replace("/{$optional}/iu", '', $upTo);

        return match (true) {
            $hasAmount && $this->endsIn('sorry', $upTo) => MentionUse::PutIn,
            $isOne && $this->endsIn('makes', $upTo) => MentionUse::TalkedAbout,
            !$hasAmount && $this->says('served', mb_substr($upTo, -60)) => MentionUse::ServedWith,
            $this->says('other', $own),
            $this->endsIn('like', $plain),
            $this->endsIn('not', mb_substr($upTo, -60), $hasAmount ? 0 : 4) => MentionUse::TalkedAbout,
            $hasAmount => MentionUse::PutIn,
            // "until the water is gone"
            preg_match(self::OF_ITS_STATE, $upTo) === 1 => MentionUse::Named,
            $this->endsIn('puts', $upTo),
            $this->beginsAList($told),
            self::isSaltAndPepper($told, strlen($upTo)) => MentionUse::PutIn,
            default => MentionUse::Named,
        };
    }

    /** Whether it is one of "salt and pepper", which nobody says of anything else. */
    private static function isSaltAndPepper(string $told, int $at): bool
    {
        return preg_match('/^\W*(?:and\W+)?(?:salt\b|(?:black )?pepper\b)/iu', substr($told, $at)) === 1
            && preg_match(self::SEASONED, $told) === 1;
    }

    /** "salt, pepper, a bit of sugar": nothing but things. */
    private function beginsAList(string $told): bool
    {
        return substr_count($told, ',') >= 2 && str_word_count($told) <= 3 * (1 + substr_count($told, ','));
    }

    /** Whether words of a kind stand right before, with at most a few small ones between. */
    private function endsIn(string $row, string $upTo, int $between = 4): bool
    {
        $pattern = FactsFile::named('telling')[$row]->pattern('words');

        return preg_match("/{$pattern}(?:\W+[\pL']+){0,{$between}}\W*$/iu", $upTo) === 1;
    }

    private function says(string $row, string $text): bool
    {
        return FactsFile::named('telling')[$row]->isSaidIn($text, 'words');
    }

    /** "a teaspoon of salt, black pepper and thyme": what is listed behind a thing goes in as it does. */
    private function goesOn(Mention $first, Mention $second): bool
    {
        $between = substr($this->text, $first->span[1], max(0, $second->span[0] - $first->span[1]));

        return $first->use === MentionUse::PutIn
            && preg_match('/^[\s,]*(?:(?:finely|roughly|freshly|grated|chopped|crushed|sliced|peeled|minced|diced|mashed|up|drained|melted)\s)*(?:and|plus|then|and then|with|as well as)?[\s,]*$/iu', $between) === 1;
    }

    /** "cider vinegar or red wine vinegar will do": another way, no other thing. */
    private function isChoiceOf(Mention $first, Mention $second): bool
    {
        $between = substr($this->text, $first->span[1], max(0, $second->span[0] - $first->span[1]));

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
        $pattern = '/\b(?:(?:an?|one|two|three|four|five|six|half an?|quarter|about|\d+(?:[.\/]\d+)?|[½¼¾⅓⅔])\s+)+(?:teaspoons?|tablespoons?|cups?|tsps?|tbsps?|grams?|g|ml|mils?|pinch|handful|dash|splash|knob|cloves?|tins?|cans?|jars?|sprigs?|bunch)\s+of\s+((?:[\pL\'’-]+\s?){1,3})/iu';
        preg_match_all($pattern, $this->text, $found, PREG_OFFSET_CAPTURE);
        foreach ($found[0] ?? [] as $nth => [$said, $at]) {
            $isTaken = array_filter(
                $taken,
                static fn(array $span): bool => $span[0] < $at + strlen($said) && $at < $span[1],
            ) !== [];
            $name = $this->ownWords($found[1][$nth][0]);
            if ($isTaken || $name === '') {
                continue;
            }
            $text = substr($said, 0, $found[1][$nth][1] - $at) . $name;
            $item = $this->grammar->read($text)->first();
            $clause = $this->clauseOf($at);
            $upTo = substr($this->clauses[$clause][1], 0, max(0, $at - $this->clauses[$clause][0]));
            $mentions[] = new Mention(
                mb_strtolower($name),
                $name,
                $text,
                $item->amountText,
                [$at, $at + strlen($text)],
                $this->use($upTo, $this->clauses[$clause][1], $item, ''),
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
            if (preg_match('/^(?:it|that|this|them|these|those|the|your|my|our|and|or|in|on|into|to|for|with|if|so|then|now|you|i|we|is|are|goes|because|just|about|time|water)$/iu', $word) === 1) {
                break;
            }
            $own[] = $word;
        }

        return implode(' ', $own);
    }

    private function mayBegin(int $at): bool
    {
        return $this->tokens[$at]->isNumber()
            || in_array($this->tokens[$at]->lower, FactsFile::named('telling')['starts']->list('words'), true);
    }

    /** The first token of the clause that a token stands in. */
    private function firstOf(int $at): int
    {
        $begins = $this->clauses[$this->clauseOf($this->tokens[$at]->offset)][0] ?? 0;
        while ($at > 0 && $this->tokens[$at - 1]->offset >= $begins) {
            --$at;
        }

        return $at;
    }

    private function clauseOf(int $offset): int
    {
        [$low, $high] = [0, count($this->clauses) - 1];
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            [$low, $high] = $this->clauses[$middle][0] <= $offset ? [$middle, $high] : [$low, $middle - 1];
        }

        return max(0, $low);
    }

    private function between(int $from, int $to): string
    {
        $begins = $this->tokens[$from]->offset;

        return rtrim(substr($this->text, $begins, $this->tokens[$to - 1]->end - $begins), '.,');
    }
}
