<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Texture;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\SpokenNumber;
use Vinculum\Recipe\Parser\Item;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\LineGrammar;
use Vinculum\Recipe\Parser\Token;
use Vinculum\Recipe\Resolution\NameReading;

/** Finds what a telling names, how much of it, and why it names it. */
final class Mentions
{
    /** An amount begins no further before its thing, in tokens. */
    private const HOW_SOMEONE_DOES = '/\b(?:this|here|that)(?: is|\'s|s)? (?:how|the way|what|the one) (?:my|our|his|her|the) (?:\pL+ ){1,3}?(?:makes?|does|did|made|taught|cooks?)\b/iu';
    private const AHEAD = 9;
    /** So many small words may stand between a thing and its amount. */
    private const GLUE = 8;
    private const LONGEST_AMOUNT = 7;
    private const UNTIL = 7;
    /** A number from which nobody counts pieces: "two hundred and fifty sugar" are grams, of what is poured millilitres. */
    private const IN_GRAMS_FROM = 50.0;
    /** Of what comes behind a thing this alone is no amount. */
    private const BARE = '/^(?:an?|some|one|another|little|whole|good|an? (?:good|little|big|small|bit|whole|nice))$/iu';

    private const OF_ITS_STATE = '/\b(?:till|until|when|once|if|because|than|of)\s+(?:the|your|its|all the)?\s*$/iu';
    /** "Salt right at the end", "pepper but no salt". */
    private const AT_THE_END = '/^\W*(?:and\W+)?(?:salt|(?:black )?pepper)\b[^,.]{0,20}\b(?:at the end|at the last|last|to taste|to finish|no salt)\b/iu';
    private const SEASONED = '/\bsalt(?:,| and|, and) (?:black )?pepper\b/iu';

    private NameReading $names;
    private LineGrammar $grammar;

    /** @var list<Token> */
    private array $tokens = [];
    /** @var array<int, int> how many tokens the name takes that begins at a token */
    private array $named = [];
    /** @var list<array{int, string}> */
    private array $clauses = [];
    private string $text = '';

    public function __construct(private readonly Catalogue $catalogue)
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
            if ($last !== null && $mention->isCorrection && str_starts_with($last->key, "{$mention->key} ")) {
                $mention = $mention->partOf($last);
            }
            if ($last !== null) {
                $mentions[] = $this->isOfEach($last, $mention) ? $last->asMuchAs($mention) : $last;
            }
            $mentions[] = $mention;
        }

        return $this->withUnknown($mentions);
    }

    /** "soy sauce and sake, say a hundred millilitres each" */
    private function isOfEach(Mention $first, Mention $second): bool
    {
        $between = substr($this->text, $first->span[1], max(0, $second->span[0] - $first->span[1]));

        return $first->amount === '' && $second->amount !== ''
            && preg_match('/^[\s,]*(?:and|plus|,)\s*$/iu', $between) === 1
            && preg_match('/\beach\b/iu', $second->line . substr($this->text, $second->span[1], 8)) === 1;
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
            if ($length === 0 || TellingWords::have($said, 'no-things') || $this->isVerb($at, $length)) {
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

        return $token !== null
            && ($token->isWord('of') || $token->isWord() && $this->names->longestAt($this->tokens, $at) > 0);
    }

    /** "salt the water", "oil the tin", "to season it", "cream it": what one does is no thing. */
    private function isVerb(int $at, int $length): bool
    {
        if ($length !== 1) {
            return false;
        }
        $before = $this->tokens[$at - 1]->lower ?? '';
        $after = $this->tokens[$at + 1]->lower ?? '';

        return in_array($after, ['it', 'them', 'the'], true) && !$this->isMeasuredBehind($at)
            && in_array($before, ['to', 'and', 'then', 'you', 'i', 'we', 'just', '', ','], true);
    }

    /** "salt them, a good tablespoon": how much of it is told. */
    private function isMeasuredBehind(int $at): bool
    {
        return ($this->tokens[$at + 1] ?? null)?->isWord('it', 'them') === true
            && ($this->tokens[$at + 2] ?? null)?->isMark(',') === true
            && isset($this->tokens[$at + 3]) && $this->mayBegin($at + 3);
    }

    private function mention(int $at, int $before, int $next): Mention
    {
        $end = $at + $this->named[$at];
        $name = $this->between($at, $end);
        [$from, $ahead] = $this->amountAhead($at, $end, $before);
        [$to, $behind] = $this->amountBehind($end, $next, $name);
        // "half a cup of ketchup, 128 grams", "a little ginger, say a teaspoon": of two amounts the surer
        $isLoose = $ahead?->measured?->unit?->isVague() === true && $behind?->measured?->unit?->isVague() === false
            || preg_match('/^(?:some|a few|few|a bit|a little|lots|enough)\b/iu', $ahead->text ?? '') === 1;
        $isSurer = self::isMetric($behind) && !self::isMetric($ahead)
            || $behind?->measured?->unit !== null && $isLoose;
        $item = $ahead === null || $isSurer ? $behind ?? $ahead : $ahead;
        $item = $this->inTheSameUnit($item, $name, $at) ?? $this->squeezed($item, $name, $at) ?? $item;
        $begins = $this->tokens[$ahead === null ? $at : $from]->offset;
        $clause = $this->clauseOf($this->tokens[$at]->offset);
        [$clauseAt, $told] = $this->clauses[$clause] ?? [0, ''];
        $upTo = substr($told, 0, max(0, $begins - $clauseAt));

        $isPart = preg_match('/^(?:half )?(?:the )?(juice|zest|peel) of\b/iu', $item->text ?? '', $of) === 1;
        $key = $this->names->keyOf($item->name ?? $name) ?? $this->names->keyOf($name) ?? mb_strtolower($name);

        return new Mention(
            $isPart ? "{$key} {$of[1]}" : $key,
            $name,
            $item->text ?? $name,
            $item->amountText ?? '',
            [$begins, $this->tokens[($item !== null && $item === $behind ? $to : $end) - 1]->end],
            $this->use(
                $upTo,
                $told,
                $item,
                substr($this->text, $this->tokens[$end - 1]->end, 20),
                // what was said since the thing before it
                substr($upTo, max(0, ($this->tokens[$before]->end ?? 0) - $clauseAt)),
            ),
            $clause,
            $this->endsWithMore($upTo, $item),
            $this->isOptionalHere($clause, $at, $next)
                || preg_match('/' . TellingWords::pattern('may-put') . '\W*$/iu', $upTo) === 1,
            isCorrection: $this->endsIn('sorry', $upTo),
        );
    }

    /** Weighed, or measured in millilitres: surer than a glass or a bottle. */
    private static function isMetric(?Item $item): bool
    {
        $metric = implode('|', TellingWords::list('metric'));

        return $item !== null && preg_match("/(?:^|[\\s\\d-])(?:{$metric})(?:\\s+of)?$/iu", trim($item->amountText)) === 1;
    }

    /** "two teaspoons of ginger and one of mustard seeds": one what? What was said right before. */
    private function inTheSameUnit(?Item $item, string $name, int $at): ?Item
    {
        $isBare = $item?->measured !== null && $item->measured->unit === null;
        if (!$isBare || ($this->tokens[$at - 1] ?? null)?->isWord('of') !== true) {
            return null;
        }
        $said = substr($this->text, 0, $this->tokens[$at]->offset);
        $units = TellingWords::pattern('spoons');

        return preg_match("/\\b({$units})\\s+(?:of\\s+)?[^.!?]{2,40}?(?:\\band|,)\\s+[\\pL\\d½¼¾]+\\s+of\\s*$/iu", $said, $found) === 1
            ? $this->read(preg_replace('/\s+of$/iu', '', $item->amountText) . " {$found[1]} {$name}")
            : null;
    }

    /** "I squeeze in half a lime": its juice. */
    private function squeezed(?Item $item, string $name, int $at): ?Item
    {
        $isFruit = $item?->measured !== null && $item->measured->unit === null && $item->part === null
            && $this->names->keyOf("{$name} juice") !== null;
        $before = substr($this->text, max(0, $this->tokens[$at]->offset - 40), min(40, $this->tokens[$at]->offset));

        return $isFruit && preg_match('/\bsqueez\w{1,3}\b(?:\s+[\pL\d½¼]+){0,5}\s*$/iu', $before) === 1
            ? $this->read("juice of {$item->amountText} {$name}")
            : null;
    }

    /** "a little more honey", "another two tablespoons". */
    private function endsWithMore(string $upTo, ?Item $item): bool
    {
        return TellingWords::areIn(mb_substr($upTo, -24) . ' ' . ($item->amountText ?? ''), 'more-of-it');
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
        $pattern = TellingWords::pattern('optional');

        return preg_match("/^.{0,60}{$pattern}/iu", $behind) === 1;
    }

    /** @return array{int, Item|null} the first token of the amount, and the thing as it is then written */
    private function amountAhead(int $at, int $end, int $before): array
    {
        $least = $this->isMeasuredBehind($at) ? $at : max($before + 1, $at - self::AHEAD, $this->firstOf($at));
        for ($from = $least; $from < $at; ++$from) {
            if (!$this->mayBegin($from)) {
                continue;
            }
            $said = $this->corrected($this->between($from, $end));
            $item = self::isNoAmount($this->between($from, $at))
                ? null
                : $this->readAsMetric($said, $from)
                    ?? $this->read($said)
                    ?? $this->readPlainly($said, $this->between($at, $end));
            if ($item !== null) {
                return [$from, $item];
            }
        }

        return [$at, null];
    }

    /** @return array{int, Item|null} the token behind the amount, and the thing as it is then written */
    private function amountBehind(int $end, int $next, string $name): array
    {
        $glue = TellingWords::list('glue');
        for ($from = $end; $from < min($next, $end + self::GLUE); ++$from) {
            // "a bottle of ketchup, the small one, four hundred grams", "oil till it's loose, about a hundred"
            $from += $this->isWhichOne($from) ? 3 : $this->untilWhen($from, $next);
            $token = $this->tokens[$from] ?? null;
            if ($token === null) {
                break;
            }
            if ($this->mayBegin($from)) {
                for ($to = min($next, $from + self::LONGEST_AMOUNT); $to > $from; --$to) {
                    $follows = $this->tokens[$to] ?? null;
                    $isEnd = preg_match('/[.,;!?]$/', $this->tokens[$to - 1]->text) === 1
                        || $follows?->isMark('.', ',', ';', '!', '?') === true;
                    $isOfNext = $to === $next && !$isEnd || $follows?->isWord('of') === true
                        && !(($this->tokens[$to + 1] ?? null)?->isWord('it', 'that', 'those', 'them', 'this') ?? false);
                    $isWhole = TellingWords::have($this->tokens[$to - 1]->lower, 'metric');
                    $isCut = $follows?->isWord('and') === true && $this->tokens[$to - 1]->isWord('hundred', 'thousand')
                        || $follows?->isWord('and') === true && $this->isAHalf($to + 1)
                        || $follows !== null && !$isWhole
                        && ($follows->isNumber() || $follows->isWord('a', 'an')
                            || TellingWords::have($follows->lower, 'counted'))
                        && !$isEnd;
                    if ($isOfNext || $isCut || $this->tokens[$to - 1]->isWord('of', 'and', 'or', 'the')) {
                        continue;
                    }
                    // "in three goes", "yoghurt one"
                    $isOften = $follows !== null && !$isEnd && TellingWords::have($follows->lower, 'times');
                    if ($isOften || $to === $from + 1 && TellingWords::have($token->lower, 'one-of-them')) {
                        continue;
                    }
                    $amount = self::ranged($this->corrected($this->between($from, $to)));
                    $item = self::isNoAmount($amount) ? null : $this->read("{$amount} {$name}");
                    if ($item?->measured !== null && preg_match(self::BARE, trim($item->amountText)) !== 1) {
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

    /** How many tokens say how far: "till it's loose", up to the mark behind. */
    private function untilWhen(int $at, int $next): int
    {
        if (($this->tokens[$at] ?? null)?->isWord('till', 'until') !== true) {
            return 0;
        }
        for ($to = $at + 1; $to < min($next, $at + self::UNTIL); ++$to) {
            if (preg_match('/[,]$/', $this->tokens[$to - 1]->text) === 1 || $this->tokens[$to]->isMark(',')) {
                return $to - $at;
            }
        }

        return 0;
    }

    private function isWhichOne(int $at): bool
    {
        return ($this->tokens[$at] ?? null)?->isWord('the', 'a') === true
            && ($this->tokens[$at + 1] ?? null)?->isWord('small', 'big', 'large', 'little', 'medium', 'tall') === true
            && ($this->tokens[$at + 2] ?? null)?->isWord('one', 'ones') === true;
    }

    /** "a teaspoon and a half" goes on. */
    private function isAHalf(int $at): bool
    {
        return ($this->tokens[$at] ?? null)?->isWord('a') === true
            && ($this->tokens[$at + 1] ?? null)?->isWord('half', 'quarter', 'third', 'bit') === true;
    }

    /** One thing with an amount and no word left over; null where the words are not that. */
    private function read(string $text): ?Item
    {
        // "twenty five grams"
        $ones = 'one|two|three|four|five|six|seven|eight|nine';
        $text = (string) preg_replace("/\\b((?:twen|thir|for|fif|six|seven|eigh|nine)ty) ({$ones})\\b/iu", '$1-$2', $text);
        // "hundred mil of oil"
        $text = (string) preg_replace('/^(hundred|thousand)\b/iu', 'a $1', $text);
        // "the juice of the orange", "half the juice of the lemon"
        $text = (string) preg_replace(
            ['/\bhalf the juice of the\b/iu', '/\b(?:the )?juice of the\b/iu'],
            ['juice of half a', 'juice of 1'],
            $text,
        );
        $line = $this->grammar->read(self::ranged($text));
        $item = $line->first();
        $isOfGrams = $item->measured?->unit === null && $item->measured?->counted === 'whole'
            && $item->measured->middle() >= self::IN_GRAMS_FROM && $item->name !== '';
        if ($isOfGrams) {
            $key = $this->names->keyOf($item->name);
            $isPoured = $key !== null && $this->catalogue->get($key)->portions->texture === Texture::Liquid;
            $line = $this->grammar->read("{$item->amountText} " . ($isPoured ? 'ml' : 'g') . " {$item->name}");
            $item = $line->first();
        }

        return count($line->items) === 1 && $line->unread === [] && !$item->isNonsense
            && ($item->amountText !== '' || $item->isSome)
            && $item->name !== '' && $this->names->knows($item)
            ? $item
            : null;
    }

    /** "five or six tablespoons" is a range. */
    private static function ranged(string $text): string
    {
        $number = '(' . SpokenNumber::pattern() . ')';

        return (string) preg_replace_callback(
            "/\\b{$number} or {$number}\\b/iu",
            static fn(array $found): string => SpokenNumber::value($found[1]) . '-' . SpokenNumber::value($found[2]),
            $text,
        );
    }

    /** "a slice of old bread": without what is only said of it. */
    private function readPlainly(string $said, string $name): ?Item
    {
        $of = strripos($said, ' of ');

        return $of === false ? null : $this->read(substr($said, 0, $of) . " of {$name}");
    }

    /** "two hundred millilitres of stock … a hundred and fifty of cream": so much of what was measured in before. */
    private function readAsMetric(string $said, int $from): ?Item
    {
        $metric = TellingWords::pattern('metric');
        $before = substr($this->text, 0, $this->tokens[$from]->offset);
        if (
            preg_match('/^(?:an?\s+|\pL+\s+)?(?:hundred|\d{2,4}|\pL+ty)\b[^.,;!?]*?\sof\s/iu', $said) !== 1
            || preg_match_all("/{$metric}/iu", $before, $units) < 1
        ) {
            return null;
        }
        $item = $this->read((string) preg_replace('/\sof\s/iu', ' ' . end($units[0]) . ' of ', $said, 1));

        return self::isMetric($item) ? $item : null;
    }

    /** "two tablespoons, sorry, teaspoons of": what was meant. */
    private function corrected(string $text): string
    {
        $sorry = TellingWords::pattern('sorry');
        if (preg_match("/^(.*?)[\s,.–-]*{$sorry}[\s,.–-]*(.+)$/iu", $text, $found) !== 1) {
            return $text;
        }
        $meant = trim($found[2]);
        $numbers = TellingWords::pattern('numbers');
        $number = preg_match("/^([\\d½¼¾⅓⅔.,\\/]+|{$numbers})\\s/iu", $found[1], $said) === 1
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
     * @param string $since what is said in its clause since the thing before it
     */
    private function use(string $upTo, string $told, ?Item $item, string $behind, string $since): MentionUse
    {
        $isToTaste = preg_match('/^\s*(?:to taste|as you like|for seasoning)\b/iu', $behind) === 1;
        $hasAmount = $item !== null || $isToTaste;
        $isOne = $item !== null && $item->measured?->unit === null && preg_match('/^an?\b/iu', $item->amountText) === 1
            && in_array($item->measured->counted ?? 'whole', ['whole'], true);
        // what is said of others ends where one speaks of oneself
        $own = (string) preg_replace('/^.*(?:[,;]|\bbut\b|\bso\b)\s*(?=(?:i|we|you)\b)/iu', '', $upTo);
        // "this is how my dad makes his mop sauce": his way is what is told
        $own = (string) preg_replace(self::HOW_SOMEONE_DOES, '', $own);
        // "my aunt's relish" is told of, and made here
        $own = (string) preg_replace('/\bmy (?:\pL+ ){0,2}\pL+[\'’]s\b/iu', '', $own);
        $optional = TellingWords::pattern('optional');
        $plain = (string) preg_replace("/{$optional}/iu", '', $since);
        // "I like to throw in a spoon of" compares nothing
        if ($item?->measured?->unit !== null) {
            // "and like a pinch of": said and not meant
            $plain = (string) preg_replace('/\b(?<!looks |look |tastes |taste |smells )like\s*$/iu', '', $plain);
        }
        $plain = (string) preg_replace('/\b(?:i|we|you|they|to|i\'d|we\'d)\s+(?:would\s+|do\s+|really\s+)?like\b/iu', '', $plain);

        $from = substr($told, strlen($upTo));
        $beside = TellingWords::pattern('beside');

        return match (true) {
            // "you pour that water off"
            !$hasAmount && preg_match('/^\s*(?:off|away)\b/iu', $behind) === 1 => MentionUse::TalkedAbout,
            // "Pepper."
            !$hasAmount && trim($upTo) === '' && preg_match('/^[\pL\s]{2,24}[.!]?\s*$/u', $told) === 1
                && preg_match('/^[.!]?\s*(?:\p{Lu}|$)/u', $behind) === 1 => MentionUse::PutIn,
            // "that's your sausage gravy"
            !$hasAmount && preg_match('/\b(?:that\'s|thats|there\'s|that is|here\'s)\s+(?:your|the|my|our|a)\s+(?:\pL+\s){0,2}$/iu', $upTo) === 1,
            // "you pour boiling water on them"
            !$hasAmount && preg_match('/^\W*(?:boiling|hot)\s+water\s+(?:on|over) (?:it|them|those|that)\b/iu', $from) === 1 => MentionUse::Named,
            // "pound it to a cream"
            $item?->measured?->unit === null
                && preg_match('/\bto\s*$/iu', $upTo) === 1 && $isOne => MentionUse::Named,
            // "With duck, with cheese", "Under a chocolate cake"
            $item?->measured?->unit === null
                && preg_match("/^\\W*{$beside}[^.!?]*$/iu", $upTo) === 1 => MentionUse::ServedWith,
            $hasAmount && $this->endsIn('sorry', $upTo),
            // "don't always, and pepper but no salt"
            preg_match('/\band\s+$/iu', $upTo) === 1
                && preg_match('/^\s*but no salt\b/iu', $behind) === 1 => MentionUse::PutIn,
            $isOne && preg_match('/:\s*$/u', $upTo) !== 1 && $this->endsIn('makes', $upTo) => MentionUse::TalkedAbout,
            !$hasAmount && $this->says('served', mb_substr($upTo, -60)) => MentionUse::ServedWith,
            $this->says('other', $own),
            $this->isOfOthers($own, $from),
            $this->endsIn('like', $plain, $item?->measured?->unit === null ? 4 : 0),
            $this->endsIn('not', mb_substr($upTo, -60), $hasAmount && !$isOne ? 0 : 4) => MentionUse::TalkedAbout,
            // "half olive, half sunflower"
            preg_match('/^half$/iu', trim($item->amountText ?? '')) === 1
                && preg_match('/^\W*(?:and\s+)?half\b/iu', $behind) === 1 => MentionUse::Named,
            $hasAmount => MentionUse::PutIn,
            // "until the water is gone"
            preg_match(self::OF_ITS_STATE, $upTo) === 1 => MentionUse::Named,
            $this->endsIn('puts', $upTo),
            // "Shallot only on the day"
            trim($upTo) === '' && TellingWords::areIn(mb_substr($behind, 0, 20), 'last') => MentionUse::PutIn,
            $this->beginsAList($told),
            self::isSaltAndPepper($told, strlen($upTo)) => MentionUse::PutIn,
            default => MentionUse::Named,
        };
    }

    /** "My mother put curry powder in hers", "the stall next to ours put coconut milk in theirs". */
    private function isOfOthers(string $upTo, string $from): bool
    {
        [$who, $does] = [TellingWords::pattern('relations'), TellingWords::pattern('others-do')];

        $someone = "(?:my|his|her|our|their|the)\\s+(?:\\pL+\\s+){0,2}?{$who}";

        return preg_match("/\\b{$someone}\\s+(?:\\pL+\\s+){0,2}?{$does}\\b[^.!?]{0,40}$/iu", $upTo) === 1
            || preg_match('/^[^.!?]{0,60}\bin (?:hers|his|theirs)\b/iu', $from) === 1;
    }

    /** Whether it is one of "salt and pepper", which nobody says of anything else. */
    private static function isSaltAndPepper(string $told, int $at): bool
    {
        $from = substr($told, $at);

        return preg_match('/^\W*(?:and\W+)?(?:salt\b|(?:black )?pepper\b)/iu', $from) === 1
            && (preg_match(self::SEASONED, $told) === 1 || preg_match(self::AT_THE_END, $from) === 1);
    }

    /** "salt, pepper, a bit of sugar": nothing but things. */
    private function beginsAList(string $told): bool
    {
        return substr_count($told, ',') >= 2 && str_word_count($told) <= 3 * (1 + substr_count($told, ','));
    }

    /** Whether words stand among it that no amount holds. */
    private static function isNoAmount(string $text): bool
    {
        return TellingWords::areIn($text, 'no-amount') || preg_match('/[.!?]\s/u', $text) === 1;
    }

    /** Whether words of a kind stand right before, with at most a few small ones between. */
    private function endsIn(string $row, string $upTo, int $between = 4): bool
    {
        $pattern = TellingWords::pattern($row);

        return preg_match("/{$pattern}(?:\W+[\pL']+){0,{$between}}\W*$/iu", $upTo) === 1;
    }

    private function says(string $row, string $text): bool
    {
        return TellingWords::areIn($text, $row);
    }

    /** "a teaspoon of salt, black pepper and thyme": what is listed behind a thing goes in as it does. */
    private function goesOn(Mention $first, Mention $second): bool
    {
        $between = substr($this->text, $first->span[1], max(0, $second->span[0] - $first->span[1]));

        $states = TellingWords::pattern('states');

        return $first->use === MentionUse::PutIn
            && preg_match("/^[\\s,]*(?:{$states}\\s)*(?:and|plus|then|and then|with|as well as)?[\\s,]*$/iu", $between) === 1;
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
        [$numbers, $measures] = [TellingWords::pattern('numbers'), TellingWords::pattern('counted')];
        $number = "(?:{$numbers}|\\d+(?:[.\\/]\\d+)?|[½¼¾⅓⅔])";
        $pattern = "/\\b(?:{$number}\\s+)+{$measures}\\s+of\\s+(?=((?:[\\pL'’-]+\\s?){1,3}))/iu";
        preg_match_all($pattern, $this->text, $found, PREG_OFFSET_CAPTURE);
        foreach ($found[0] ?? [] as $nth => [$said, $at]) {
            $name = $this->ownWords($found[1][$nth][0]);
            $text = $said . $name;
            $isTaken = array_filter(
                $taken,
                static fn(array $span): bool => $span[0] < $at + strlen($text) && $at < $span[1],
            ) !== [];
            if ($isTaken || $name === '') {
                continue;
            }
            $item = $this->grammar->read($text)->first();
            $clause = $this->clauseOf($at);
            $upTo = substr($this->clauses[$clause][1], 0, max(0, $at - $this->clauses[$clause][0]));
            $mentions[] = new Mention(
                mb_strtolower($name),
                $name,
                $text,
                $item->amountText,
                [$at, $at + strlen($text)],
                $this->use($upTo, $this->clauses[$clause][1], $item, '', $upTo),
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

    private function mayBegin(int $at): bool
    {
        return $this->tokens[$at]->isNumber()
            || in_array($this->tokens[$at]->lower, TellingWords::list('starts'), true);
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
