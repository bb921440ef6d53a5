<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Texture;
use Vinculum\Quantity\SpokenNumber;
use Vinculum\Recipe\Parser\Item;
use Vinculum\Recipe\Parser\LineGrammar;
use Vinculum\Recipe\Parser\Vocabulary;
use Vinculum\Recipe\Resolution\NameReading;

/** How much of a thing is said: before its name, behind it, or both. */
final readonly class SpokenAmounts
{
    /** An amount begins no further before its thing, in tokens. */
    private const AHEAD = 9;
    /** So many small words may stand between a thing and its amount. */
    private const GLUE = 8;
    private const LONGEST_AMOUNT = 7;
    private const UNTIL = 7;
    /** So many bytes back a unit is still in everyone's ear. */
    private const LATELY = 120;
    /** A number from which nobody counts pieces: "two hundred and fifty sugar" are grams, of what is poured millilitres. */
    private const IN_GRAMS_FROM = 50.0;
    /** Of what comes behind a thing this alone is no amount. */
    private const BARE = '/^(?:an?|some|one|another|little|whole|good|an? (?:good|little|big|small|bit|whole|nice))$/iu';

    public function __construct(
        private SpokenWords $words,
        private NameReading $names,
        private LineGrammar $grammar,
        private Catalogue $catalogue,
    ) {}

    /**
     * The thing at a token as it is written with its amount, and the tokens from and to which that was said.
     *
     * @param int $end the token behind its name
     * @param int $before the last token of the thing before it
     * @param int $next the token where the next thing begins
     *
     * @return array{Item|null, int, int} null where no amount is said
     */
    public function of(int $at, int $end, int $before, int $next, string $name): array
    {
        [$from, $ahead] = $this->amountAhead($at, $end, $before);
        $sized = $this->sized($from, $at, $end, $name);
        [$to, $behind] = $sized ?? $this->amountBehind($end, $next, $name);
        // "half a cup of ketchup, 128 grams", "a little ginger, say a teaspoon": of two amounts the surer
        $isLoose = $ahead?->measured?->unit?->isVague() === true && $behind?->measured?->unit?->isVague() === false
            || preg_match('/^(?:some|a few|few|a bit|a little|lots|enough)\b/iu', $ahead->text ?? '') === 1;
        $isSurer = $sized !== null || self::isMetric($behind) && !self::isMetric($ahead)
            || $isLoose && $behind?->measured !== null && ($behind->measured->unit !== null
                || !in_array($behind->measured->counted, [null, 'whole'], true));
        $item = $ahead === null || $isSurer ? $behind ?? $ahead : $ahead;
        $isBehind = $item !== null && $item === $behind;
        [$item, $corrected] = $this->anotherNumber($item, $isBehind ? $to : $end, $next, $name);
        if ($corrected > 0) {
            [$isBehind, $to] = [true, $corrected];
        }
        $item = $this->inTheSameUnit($item, $name, $at)
            ?? $this->inTheLastUnit($item, $name, $at)
            ?? $this->squeezed($item, $name, $at)
            ?? $item;

        return [$item, $ahead === null ? $at : $from, $isBehind ? $to : $end];
    }

    /**
     * "A tablespoon of horseradish, no, two": so many of the same.
     *
     * @return array{Item|null, int} and the token behind what says so, 0 where nothing does
     */
    private function anotherNumber(?Item $item, int $end, int $next, string $name): array
    {
        $behind = substr($this->words->text, $this->words->tokens[$end - 1]->end, 60);
        $sorry = TellingWords::pattern('sorry');
        if ($item?->measured === null || preg_match("/^[\\s,.–-]*(?:no|{$sorry})[\\s,]/iu", $behind) !== 1) {
            return [$item, 0];
        }
        $number = SpokenNumber::pattern();
        $units = TellingWords::pattern('spoons') . '|(?:' . implode('|', TellingWords::list('metric')) . ')';
        $first = "(?:(?:no|less|more)[\\s,]+)?(?:say\\s+|about\\s+|maybe\\s+|make (?:that|it)\\s+|it was\\s+)?";
        $count = "(?:{$number})(?:\\s+hundred(?:\\s+and\\s+\\pL+)?)?";
        $said = "/^[\\s,.–-]*(?:no|{$sorry})[\\s,]+{$first}({$count})(?:\\s+({$units})\\b|\\s*(?:[,.;!?]|$))/iu";
        if ($item->measured->isRange() || preg_match($said, $behind, $found) !== 1) {
            return [$item, 0];
        }
        $meant = ($found[2] ?? '') === ''
            ? (string) preg_replace('/^\S+/u', $found[1], trim($item->amountText))
            : "{$found[1]} {$found[2]} of";
        $ends = $this->words->tokens[$end - 1]->end + strlen(rtrim($found[0], ' ,.;!?'));
        for ($to = $end; $to < $next && $this->words->tokens[$to]->offset < $ends; ++$to);

        return [$this->read("{$meant} {$name}") ?? $item, $to];
    }

    /**
     * "two tins of good tomatoes, the four hundred gram ones", "galangal the size of a thumb": how large each is, or it is.
     *
     * @return array{int, Item|null}|null the token behind what says so; null where nothing does
     */
    private function sized(int $from, int $at, int $end, string $name): ?array
    {
        $behind = substr($this->words->text, $this->words->tokens[$end - 1]->end, 60);
        $number = SpokenNumber::pattern() . '|(?:\pL+ )?hundred(?: and \pL+)?';
        $name = (string) preg_replace('/^(?:tins?|cans?|jars?) of /iu', '', $name);
        $item = match (true) {
            preg_match("/^[\s,]*(?:about |roughly )?the size of (?:a|an|my|your) (thumb|walnut|egg)\b/iu", $behind, $said) === 1
                => $this->read("a {$said[1]}-sized piece of {$name}") ?? $this->read("1 {$said[1]} of {$name}"),
            preg_match("/^[\s,]*the ({$number})[\s-](g|grams?|ml|mils?)\b (?:ones?|tins?|cans?|jars?|kind|size)\b/iu", $behind, $said) === 1
                && preg_match('/^(\S+) (tins?|cans?|jars?)\b/iu', $this->words->between($from, $end), $packs) === 1
                => $this->read("{$packs[1]} " . self::figure($said[1]) . " {$said[2]} {$packs[2]} of {$name}"),
            // "eight onions, big ones"
            preg_match('/^(?:\s+(?:here|there))?[\s,]*(?:really |quite |good |nice )?(big|large|small|little|medium)(?:[- ]sized)? ones?\b/iu', $behind, $said) === 1
                && $from < $at
                => $this->read("{$this->words->between($from, $at)} {$said[1]} {$name}"),
            // "a tin of plum tomatoes four hundred grams"
            preg_match("/^[\\s,]*(?:about |around )?({$number}) (g|grams?|ml|mils?)\\b/iu", $behind, $said) === 1
                && preg_match('/^(\S+) (?:\pL+ )?(tins?|cans?|jars?)\b/iu', $this->words->between($from, $end), $packs) === 1
                => $this->read("{$packs[1]} " . self::figure($said[1]) . " {$said[2]} {$packs[2]} of {$name}"),
            default => null,
        };
        if ($item === null) {
            return null;
        }
        $ends = $this->words->tokens[$end - 1]->end + strlen($said[0]);
        for ($to = $end; isset($this->words->tokens[$to]) && $this->words->tokens[$to]->offset < $ends; ++$to);

        return [$to, $item];
    }

    /** "four hundred" as figures. */
    private static function figure(string $said): string
    {
        if (preg_match('/^(\pL+) hundred(?: and (\pL+))?$/iu', $said, $found) !== 1) {
            return (string) (SpokenNumber::value($said) ?? $said);
        }

        return (string) (100 * (SpokenNumber::value($found[1]) ?? 1) + (SpokenNumber::value($found[2] ?? '') ?? 0));
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
        // "500 grams of onions and a couple of Bramleys"
        $isCounted = preg_match('/^(?:an?\s+)?(?:couple|few|dozen)\b/iu', trim($item->amountText ?? '')) === 1;
        if (!$isBare || $isCounted || !$this->words->isWord($at - 1, 'of')) {
            return null;
        }
        $said = substr($this->words->text, 0, $this->words->tokens[$at]->offset);
        $units = TellingWords::pattern('spoons');

        return preg_match("/.*\\b({$units})\\s+(?:of\\s+)?[^.!?]{2,160}?(?:\\band\\s+|,\\s+|\\s)[\\pL\\d½¼¾]+\\s+of\\s*$/isu", $said, $found) === 1
            ? $this->read(preg_replace('/\s+of$/iu', '', $item->amountText) . " {$found[1]} {$name}")
            : null;
    }

    /** "Parsley 80 g. Basil 20.": a number of what nobody counts is of the last unit said. */
    private function inTheLastUnit(?Item $item, string $name, int $at): ?Item
    {
        $key = $item === null ? null : $this->names->keyOf($item->name);
        $isBare = $item?->measured !== null && $item->measured->unit === null
            && in_array($item->measured->counted, [null, 'whole'], true)
            && !$item->measured->isRange() && preg_match(self::BARE, trim($item->amountText)) !== 1;
        $units = $key === null ? [] : $this->catalogue->get($key)->portions->units;
        if ($key === null || !$isBare || isset($units['whole']) || isset($units['fruit']) || isset($units['clove'])) {
            return null;
        }
        $offset = $this->words->tokens[$at]->offset;
        $before = substr($this->words->text, max(0, $offset - self::LATELY), min(self::LATELY, $offset));
        $said = TellingWords::pattern('spoons') . '|(?:' . implode('|', TellingWords::list('metric')) . ')';
        if (preg_match_all("/(?<!\\pL)(?:{$said})(?!\\pL)/iu", $before, $found) < 1) {
            return null;
        }
        $unit = $this->unitFor((string) end($found[0]), $key);
        $number = preg_replace('/\s+of$/iu', '', $item->amountText);

        return $this->read("{$number} {$unit} {$name}");
    }

    /** What is not poured is weighed: after "six hundred mil of vinegar" "twenty of mustard powder" are grams. */
    private function unitFor(string $said, string $key): string
    {
        $isMetric = preg_match('/^(?:' . implode('|', TellingWords::list('metric')) . ')$/iu', $said) === 1;
        $isPoured = $this->catalogue->get($key)->portions->texture === Texture::Liquid;

        $isVolume = $isMetric && preg_match('/^(?:ml|mils?|millilit|l$|lit)/iu', $said) === 1;

        return $isVolume && !$isPoured ? 'g' : $said;
    }

    /** "I squeeze in half a lime": its juice. */
    private function squeezed(?Item $item, string $name, int $at): ?Item
    {
        // "squeeze half a lime in"
        $number = SpokenNumber::pattern();
        if (
            preg_match("/^squeeze (?:in )?(half an?|{$number})\\b/iu", $item->text ?? '', $said) === 1
            && $this->names->keyOf("{$name} juice") !== null
        ) {
            return $this->read("juice of {$said[1]} {$name}");
        }
        $isFruit = $item?->measured !== null && $item->measured->unit === null && $item->part === null
            && $this->names->keyOf("{$name} juice") !== null;
        $offset = $this->words->tokens[$at]->offset;
        $before = substr($this->words->text, max(0, $offset - 40), min(40, $offset));

        return $isFruit && preg_match('/\bsqueez\w{1,3}\b(?:\s+[\pL\d½¼]+){0,5}\s*$/iu', $before) === 1
            ? $this->read("juice of {$item->amountText} {$name}")
            : null;
    }

    /** @return array{int, Item|null} the first token of the amount, and the thing as it is then written */
    private function amountAhead(int $at, int $end, int $before): array
    {
        $least = $this->words->isMeasuredBehind($at)
            ? $at
            : max($before + 1, $at - self::AHEAD, $this->words->firstOf($at));
        for ($from = $least; $from < $at; ++$from) {
            $isPeeled = $this->words->isWord($from, 'peel', 'rind') && !$this->words->isWord($from + 1, 'of', 'from');
            if (!$this->words->mayBegin($from) || $isPeeled) {
                continue;
            }
            $said = $this->corrected($this->words->between($from, $end));
            // "six hundred grams of that dark sugar"
            $howMuch = preg_replace('/\bof (?:that|this|my|our)$/iu', 'of', $this->words->between($from, $at));
            $item = self::isNoAmount((string) $howMuch)
                ? null
                : $this->readAsMetric($said, $from)
                    ?? $this->read($said)
                    ?? $this->readPlainly($said, $this->words->between($at, $end));
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
        for ([$from, $most] = [$end, $end + self::GLUE]; $from < min($next, $most); ++$from) {
            $skipped = $this->atATime($from, $next);
            [$from, $most] = [$from + $skipped, $most + $skipped];
            // "a bottle of ketchup, the small one, four hundred grams", "oil till it's loose, about a hundred"
            $from += match (true) {
                $this->isWhichOne($from) => 3,
                // "red peppers from a jar, so about two hundred grams"
                $this->words->isWord($from, 'from', 'out') && $this->isVessel($from + 1) => 3,
                default => $this->untilWhen($from, $next),
            };
            $aside = $this->byTheWay($from, $next);
            [$from, $most] = [$from + $aside, $most + $aside];
            $token = $this->words->tokens[$from] ?? null;
            if ($token === null || $this->isOfTheNext($from)) {
                break;
            }
            // "and pepper. In a jar, lid on"
            if ($token->isWord('in', 'into') && $this->isVessel($from + 1)) {
                // "olive oil in the pan two tablespoons"
                if (!$this->isMeasuredIn($from)) {
                    break;
                }
                [$from, $most] = [$from + 3, $most + 3];
            }
            if ($this->words->mayBegin($from)) {
                for ($to = min($next, $from + self::LONGEST_AMOUNT); $to > $from; --$to) {
                    $follows = $this->words->tokens[$to] ?? null;
                    $isEnd = preg_match('/[.,;!?]$/', $this->words->tokens[$to - 1]->text) === 1
                        || $follows?->isMark('.', ',', ';', '!', '?') === true;
                    $isOfNext = $to === $next && !$isEnd || $follows?->isWord('of') === true
                        && !$this->words->isWord($to + 1, 'it', 'that', 'those', 'them', 'em', 'this', 'each');
                    $isWhole = TellingWords::have($this->words->tokens[$to - 1]->lower, 'metric');
                    $isCut = $follows?->isWord('and') === true && $this->words->tokens[$to - 1]->isWord('hundred', 'thousand')
                        || $follows?->isWord('and') === true && $this->isAHalf($to + 1)
                        || $follows !== null && !$isWhole
                        && ($follows->isNumber() || $follows->isWord('a', 'an')
                            || TellingWords::have($follows->lower, 'counted'))
                        && !$isEnd;
                    if ($isOfNext || $isCut || $this->words->tokens[$to - 1]->isWord('of', 'and', 'or', 'the', 'if')) {
                        continue;
                    }
                    // "in three goes", "yoghurt one"
                    $counted = preg_replace("/['’]s?$/u", '', $follows->lower ?? '');
                    $isOften = $follows !== null && !$isEnd && TellingWords::have((string) $counted, 'times');
                    // "cauliflower, one, broken up"
                    $isOne = $isEnd && $to === $from + 1 && $token->isWord('one')
                        && ($this->isBehindAComma($from) || $this->words->isWord($from - 1, 'just', 'only'));
                    $isAlone = $to === $from + 1 && TellingWords::have($token->lower, 'one-of-them');
                    if ($isOften || $isAlone && !$isOne) {
                        continue;
                    }
                    $amount = rtrim(self::ranged($this->corrected($this->words->between($from, $to))), ' ),;');
                    // "gherkins, four small ones, chopped"
                    $amount = (string) preg_replace('/^(\S+ (?:small|little|big|large|medium))(?:[- ]sized)? ones\b.*$/iu', '$1', $amount);
                    $item = self::isNoAmount($amount) ? null : $this->read("{$amount} {$name}");
                    $isBare = !$isOne && preg_match(self::BARE, trim($item->amountText ?? '')) === 1;
                    if ($item?->measured !== null && !$isBare) {
                        return [$to, $item];
                    }
                }
            }
            // "brown sugar and it's half a cup"
            $isJoined = $token->isWord('and')
                && $this->words->isWord($from + 1, 'it\'s', 'its', 'that\'s', 'thats');
            // "two peppers, so about two hundred grams"
            $isJoined = $isJoined || $token->isWord('so') && str_ends_with(rtrim(substr($this->words->text, 0, $token->offset)), ',')
                && ($this->words->isWord($from + 1, 'about', 'around', 'roughly', 'that\'s', 'say') || isset($this->words->tokens[$from + 1]) && $this->words->mayBegin($from + 1));
            // "a pinch of salt, well, more like a teaspoon"
            $isJoined = $isJoined || $token->isWord('more') && $this->words->isWord($from + 1, 'like');
            if (!$isJoined && !$token->isMark(',', '.', '-', '–', '…', ':', '?', '(') && !in_array($token->lower, $glue, true)) {
                break;
            }
        }

        return [$end, null];
    }

    /** "… then half that of honey" */
    private function isOfTheNext(int $at): bool
    {
        foreach (Vocabulary::row('times-as-much')->fields() as $field) {
            if (Vocabulary::phraseAt('times-as-much', $this->words->tokens, $at, $field) > 0) {
                return true;
            }
        }

        return false;
    }

    private function isBehindAComma(int $at): bool
    {
        return str_ends_with(rtrim(substr($this->words->text, 0, $this->words->tokens[$at]->offset)), ',');
    }

    /** How many tokens say something by the way: "mayonnaise, homemade if you can be bothered, two hundred grams". */
    private function byTheWay(int $at, int $next): int
    {
        $isApart = $this->words->isWord($at) && $this->isBehindAComma($at);
        for ($to = $at; $isApart && $to < min($next, $at + self::UNTIL); ++$to) {
            if ($this->words->tokens[$to]->isMark(',')) {
                return $to < $next - 1 && $this->words->mayBegin($to + 1) ? $to - $at : 0;
            }
            $isThing = $this->words->isWord($to, 'one', 'ones') && $to > $at;
            if (!$isThing && $this->words->mayBegin($to) || !$this->words->isWord($to)) {
                break;
            }
        }

        return 0;
    }

    /** How many tokens say how far: "till it's loose", up to the mark behind. */
    private function untilWhen(int $at, int $next): int
    {
        // "enough water to get the blades moving, 100 ml"
        $isPurpose = $this->words->isWord($at, 'to') && $this->words->isWord($at + 1);
        if (!$isPurpose && !$this->words->isWord($at, 'till', 'until')) {
            return 0;
        }
        for ($to = $at + 1; $to < min($next, $at + self::UNTIL); ++$to) {
            if (preg_match('/[,]$/', $this->words->tokens[$to - 1]->text) === 1 || $this->words->tokens[$to]->isMark(',')) {
                $isBefore = isset($this->words->tokens[$to + 1]) && $this->words->mayBegin($to + 1);

                return $isPurpose && !$isBefore ? 0 : $to - $at;
            }
        }

        return 0;
    }

    /** How many tokens say how it goes in: ", a tablespoon at a time," is no amount of it. */
    private function atATime(int $at, int $next): int
    {
        $howMuch = substr($this->words->text, $this->words->tokens[$at]->offset ?? 0, 80);
        if (preg_match('/^,?\s*(?:just )?enough to (?:\pL+ ){1,5}?(?=(?:like|about|say|maybe|roughly) )/iu', $howMuch, $said) === 1) {
            return $this->tokensIn($at, $next, strlen($said[0]));
        }
        $text = substr($this->words->text, $this->words->tokens[$at]->offset ?? 0, 60);
        if (preg_match('/^,?\s*(?:an?|one|\pL+) (?:\pL+ )?(?:at a time|by (?:the )?\pL+)\b[,.]?/iu', $text, $said) !== 1) {
            return 0;
        }
        return $this->tokensIn($at, $next, strlen($said[0]));
    }

    /** How many tokens so many letters take, up to the next thing. */
    private function tokensIn(int $at, int $next, int $letters): int
    {
        $ends = ($this->words->tokens[$at]->offset ?? 0) + $letters;
        for ($to = $at; $to < $next && $this->words->tokens[$to]->offset < $ends; ++$to);

        return $to - $at;
    }

    /** "a jar", "the big pan": where it goes, and not how much. */
    private function isVessel(int $at): bool
    {
        $behind = substr($this->words->text, $this->words->tokens[$at]->offset ?? 0, 30);

        return preg_match('/^(?:an?|the|my|your|that)\s+(?:\pL+\s+)?(?:jar|tin|bottle|bowl|pan|pot|cup|jug|glass|blender|dish|tub|box)\b/iu', $behind) === 1;
    }

    private function isMeasuredIn(int $at): bool
    {
        $behind = substr($this->words->text, $this->words->tokens[$at]->offset, 60);
        [$numbers, $measures] = [TellingWords::pattern('numbers'), TellingWords::pattern('counted')];

        return preg_match("/^in(?:to)? \\pL+ \\pL+ (?:about )?(?:{$numbers}|\\d+)\\s+{$measures}\s*(?:[.,;!?]|$)/iu", $behind) === 1;
    }

    private function isWhichOne(int $at): bool
    {
        return $this->words->isWord($at, 'the', 'a')
            && $this->words->isWord($at + 1)
            && $this->words->isWord($at + 2, 'one', 'ones', 'kind', 'sort', 'stuff', 'type');
    }

    /** "a teaspoon and a half" goes on. */
    private function isAHalf(int $at): bool
    {
        return $this->words->isWord($at, 'a')
            && $this->words->isWord($at + 1, 'half', 'quarter', 'third', 'bit');
    }

    /** One thing with an amount and no word left over; null where the words are not that. */
    private function read(string $text): ?Item
    {
        // "hundred mil of oil"
        $text = (string) preg_replace('/^(hundred|thousand)\b/iu', 'a $1', SpokenNumber::joined($text));
        // "the juice of the orange", "half the juice of the lemon"
        $text = (string) preg_replace(
            ['/\bhalf the juice of the\b/iu', '/\b(?:the )?juice of the\b/iu', '/\bof (?:that|this|these|those|your|our|my)\s+(?=\pL)/iu'],
            ['juice of half a', 'juice of 1', 'of '],
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

        // "three of them, four garlic cloves" is no three of cloves
        $isApart = $of === false
            || preg_match('/[,.;:!?]|\d|\b(?:them|it|those|these|which|us)\b/iu', substr($said, $of, -strlen($name))) === 1;

        return $isApart ? null : $this->read(substr($said, 0, $of) . " of {$name}");
    }

    /** "two hundred millilitres of stock … a hundred and fifty of cream": so much of what was measured in before. */
    private function readAsMetric(string $said, int $from): ?Item
    {
        $metric = TellingWords::pattern('metric');
        $before = substr($this->words->text, 0, $this->words->tokens[$from]->offset);
        // what is said in a unit needs none: "fifty grams of flour"
        $isInUnits = preg_match("/{$metric}/iu", strstr($said, ' of ', true) ?: $said) === 1;
        if (
            $isInUnits
            || preg_match('/^(?:an?\s+|\pL+\s+)?(?:hundred|\d{2,4}|\pL+ty)\b[^.,;!?]*?\sof\s/iu', $said) !== 1
            || preg_match_all("/{$metric}/iu", $before, $units) < 1
        ) {
            return null;
        }
        $named = $this->read((string) preg_replace('/\sof\s/iu', ' g of ', $said, 1));
        $key = $named === null ? null : $this->names->keyOf($named->name);
        $unit = $key === null ? end($units[0]) : $this->unitFor((string) end($units[0]), $key);
        $item = $this->read((string) preg_replace('/\sof\s/iu', " {$unit} of ", $said, 1));

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

    /** Whether words stand among it that no amount holds. */
    private static function isNoAmount(string $text): bool
    {
        return TellingWords::areIn($text, 'no-amount') || preg_match('/[.!?]\s/u', $text) === 1;
    }
}
