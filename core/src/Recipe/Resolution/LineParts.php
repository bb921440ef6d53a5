<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Words;
use Vinculum\Ingredient\NameWords;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Recipe\Parser\LeadIn;
use Vinculum\Recipe\Parser\LineGrammar;
use Vinculum\Recipe\Parser\ParsedLine;
use Vinculum\Recipe\Parser\WritingFacts;
use Vinculum\Recipe\Parser\WrittenText;

/**
 * Takes a line apart that names several ingredients: each part is a line of its own, as a cook would have written it
 * alone. "1 tsp each cumin and paprika" is "1 tsp cumin" and "1 tsp paprika".
 */
final readonly class LineParts
{
    private const LONGEST = 800;
    private const MOST = 30;
    /** What every line of several holds; whatever holds none of them is one. */
    private const HINT = '/,|;|&|\+|:|\band\b|\bwith\b|\bplus\b|\beach\b|\bparts?\b|\bhalf\b|\bin\b/iu';
    private const STIRRED_IN = '(?:mixed|dissolved|soaked|slaked|blended|whisked|stirred|steeped|bloomed|infused|let down)'
        . '(?:\s+(?:together|overnight)|\s+to an?\s+(?:\w+\s+)?paste)?\s+(?:with|in|into)';
    private const OF_FRUIT = '(?:finely |coarsely |freshly )*(?:grated |squeezed )?(zest|rind|juice|zested|juiced)(?: only)?';

    private LineItems $items;

    public function __construct(private LineGrammar $grammar, private NameReading $names)
    {
        $this->items = new LineItems($grammar, $names);
    }

    /** @return non-empty-list<string> the text of each part in order; the text itself where it names one thing */
    public function of(string $text): array
    {
        if (strlen($text) > self::LONGEST || preg_match(self::HINT, $text) !== 1) {
            return [$text];
        }
        $line = LeadIn::without(WrittenText::line($text));
        [$line, $tags] = self::tags($line);
        if ($this->isOneName($line) || $this->isOneAmount($line)) {
            return [$text];
        }
        foreach (
            [
                $this->zestAndJuice(...),
                $this->ratio(...),
                $this->shares(...),
                $this->each(...),
                $this->theSame(...),
                $this->amounts(...),
                $this->added(...),
                $this->names(...),
                $this->oneAmount(...),
            ] as $way
        ) {
            $parts = $way($line);
            if ($parts !== null && count($parts) > 1 && count($parts) <= self::MOST) {
                return array_map(static fn(string $part): string => trim("{$part} {$tags}"), $parts);
            }
        }

        return [$text];
    }

    /** @return array{string, string} the line, and the tags at its end */
    private static function tags(string $line): array
    {
        return preg_match('/^(.*?)\s{0,8}(?<!\])((?:\[\w+\]\s*)+)$/u', $line, $found) === 1 ? [$found[1], $found[2]] : [$line, ''];
    }

    /** "a kilo and a half of ripe tomatoes": the "and" belongs to the amount, and nothing else joins two things. */
    private function isOneAmount(string $line): bool
    {
        $amount = $this->grammar->read($line)->amountText;
        $at = preg_match('/\band (?:a |one |three )?(?:half|quarters?|third)\b/iu', $amount) === 1
            ? strpos($line, $amount)
            : false;

        return $at !== false && preg_match(self::HINT, substr($line, $at + strlen($amount))) !== 1;
    }

    /** "half and half", "sweet and sour sauce": one thing whose name joins two words. */
    private function isOneName(string $line): bool
    {
        $parsed = $this->grammar->read($line);
        $match = $this->names->match($parsed)[0] ?? null;
        $isWhole = $match !== null
            && $match->score > 0.95
            && $match->missed === []
            && preg_match('/\bplus\b|\+/iu', $parsed->preparation) !== 1
            && preg_match('/\band\b|&|\bin\b/iu', $parsed->name) === 1
            && preg_match('/\band\b|\bin\b/iu', $match->alias) === 1;

        return $isWhole || FactsFile::named('writing')['one-thing']->isSaidIn($line, 'words');
    }

    /**
     * "zest and juice of 1 lime", "2 lemons, juice and finely grated zest".
     *
     * @return list<string>|null
     */
    private function zestAndJuice(string $line): ?array
    {
        if (!FactsFile::named('writing')['zested']->isSaidIn($line, 'words')) {
            return null;
        }
        $of = self::OF_FRUIT;
        $joined = '\s*(?:and|&|\+|,)\s*';
        $found = [];
        if (preg_match("/^(?:the\s+)?{$of}{$joined}{$of}\s+(?:of|from)\s+(?:the\s+)?(?P<of>\S.*)$/iu", $line, $found) === 1) {
            [$first, $second, $rest] = [$found[1], $found[2], $found['of']];
        } elseif (preg_match("/^(?P<of>.*?\pL)\s*[,(–-]\s*(?:the\s+)?{$of}{$joined}{$of}\)?$/iu", $line, $found) === 1) {
            [$first, $second, $rest] = [$found[2], $found[3], $found['of']];
        } else {
            return null;
        }
        $name = static fn(string $word): string => str_starts_with(mb_strtolower($word), 'j') ? 'juice' : 'zest';

        return $name($first) === $name($second)
            ? null
            : [$name($first) . " of {$rest}", $name($second) . " of {$rest}"];
    }

    /**
     * "3:1:1 oil, vinegar, mustard", "olive oil and lemon juice, 3:1".
     *
     * @return list<string>|null
     */
    private function ratio(string $line): ?array
    {
        $ratio = '\d+(?:\.\d+)?(?:\s*:\s*\d+(?:\.\d+)?)+';
        if (
            preg_match("/^(?P<ratio>{$ratio})(?:\s+(?:ratio|mix|mixture))?(?:\s+of)?\s+(?P<list>\pL.*)$/iu", $line, $found) !== 1
            && preg_match("/^(?P<list>\pL.*?),?\s*\(?(?P<ratio>{$ratio})\)?(?:\s+ratio)?$/iu", $line, $found) !== 1
        ) {
            return null;
        }
        $items = LineItems::listed((string) preg_replace('~\s{0,8}[:/]\s{0,8}~u', ', ', $found['list']));
        $numbers = preg_split('/\s*:\s*/', $found['ratio']) ?: [];

        return count($items) === count($numbers) && $this->items->areKnown($items)
            ? array_map(static fn(string $number, string $item): string => "{$number} part {$item}", $numbers, $items)
            : null;
    }

    /**
     * "equal parts soy, mirin and sake", "half and half mayo and ketchup", "two parts oil to one part vinegar".
     *
     * @return list<string>|null
     */
    private function shares(string $line): ?array
    {
        if (
            preg_match('/^(?:equal|the same)\s+(?:parts?|quantit(?:y|ies)|amounts?|measures?)\s*(?:of\s+)?(?:each\s+)?(?:of\s+)?:?\s*(\S.*)$/iu', $line, $found) === 1
            || preg_match('/^half[\s-]and[\s-]half\s+(?:of\s+)?(\S.*)$/iu', $line, $found) === 1
        ) {
            $items = LineItems::listed($found[1]);

            return count($items) > 1 && $this->items->areKnown($items) ? LineItems::withEach('1 part', $items) : null;
        }
        if (preg_match('/^half\s+(\pL[^,]*?)(?:,|\s+and)\s+half\s+(\pL.*)$/iu', $line, $found) === 1) {
            $items = [$found[1], $found[2]];

            return $this->items->areKnown($items) ? LineItems::withEach('1 part', $items) : null;
        }
        if (preg_match('/\bparts?\b.*\bparts?\b/iu', $line) === 1) {
            return $this->amounts((string) preg_replace('/\s+to\s+(?=\S+\s+parts?\b)/iu', ', ', $line));
        }

        return null;
    }

    /**
     * "1 tsp each cumin, coriander and paprika", "cumin and paprika, 1 tsp each", "1 red and 1 green pepper".
     *
     * @return list<string>|null
     */
    private function each(string $line): ?array
    {
        if (preg_match('/^(?P<amount>.*?\S)\s+each(?:\s+of)?\s*:?\s+(?P<list>\pL.*)$/iu', $line, $found) !== 1
            && preg_match('/^(?P<list>\pL.*?)\s*[,(–:-]+\s*(?P<amount>[^,(]*?\S)\s+(?:of\s+)?each\)?$/iu', $line, $found) !== 1
        ) {
            return null;
        }
        if (mb_strlen($found['amount']) > 40) {
            return null;
        }
        $items = $this->items->leaningOnTheLast(LineItems::listed($found['list']));
        $amount = self::isAmount($this->grammar->read("{$found['amount']} salt")) ? $found['amount'] : null;

        return $amount !== null && count($items) > 1 ? LineItems::withEach($amount, $items) : null;
    }

    /**
     * "100 g ginger and the same of garlic".
     *
     * @return array{string, string}|null
     */
    private function theSame(string $line): ?array
    {
        $same = '(?:the )?same(?: (?:amount|weight|quantity))?(?: again)?(?: of)?';
        if (preg_match("/^(?P<first>.+?),? (?:and|&|plus|with) {$same} (?P<second>\pL.*)$/iu", $line, $found) !== 1) {
            return null;
        }
        $first = $this->grammar->read($found['first']);

        return self::isAmount($first) && $this->items->areKnown([$found['first'], $found['second']])
            ? [$found['first'], "{$first->amountText} {$found['second']}"]
            : null;
    }

    /**
     * "2 tbsp soy sauce + 1 tbsp rice vinegar + 1 tsp sugar": each with an amount of its own.
     *
     * @return list<string>|null
     */
    private function amounts(string $line): ?array
    {
        $line = (string) preg_replace('/,?\s{0,8}\b' . self::STIRRED_IN . '\s+(?=[\d½¼¾⅓⅔⅛]|an?\s)/iu', ' + ', $line);
        $line = (string) preg_replace('/\s+with\s+(?=[\d½¼¾⅓⅔⅛]|an?\s)/iu', ' + ', $line);
        $items = LineItems::listed($line);
        if (count($items) < 2) {
            return null;
        }
        $parts = $this->items->leaningOnTheLast($items, true);
        foreach ($parts as $number => $part) {
            $parsed = $this->grammar->read($part);
            $isGiven = self::isAmount($parsed) || $parsed->part !== null;
            $mayBeBare = $number > 0 && self::isCounted($this->grammar->read($parts[0]));
            if ((!$isGiven && !$mayBeBare) || !$this->items->isKnown($part)) {
                return null;
            }
        }

        return $parts;
    }

    /**
     * "1 cup sugar, plus 2 tbsp", "200 g olives plus 2 tbsp of their brine": what comes on top counts too, and where it is
     * not understood it stands there as unknown.
     *
     * @return array{string, string}|null
     */
    private function added(string $line): ?array
    {
        $ofIts = preg_match('/\bof (?:its|their|the)\b/iu', $line) === 1 ? '|and|with' : '';
        if (preg_match("/^(?P<first>\\S.*?),?\\s{1,8}(?:plus|\\+{$ofIts})\\s{1,8}(?P<more>\\S.*)$/iu", $line, $found) !== 1) {
            return null;
        }
        $first = $this->grammar->read($found['first']);
        $more = $this->grammar->read($found['more']);
        $isVague = $more->amountText === '' || $more->measured?->unit?->isVague() === true;
        if ($isVague || !self::isAmount($first) || !$this->items->isKnown($found['first'])) {
            return null;
        }

        return [$found['first'], trim("{$more->amountText} " . $this->onTop($first->name, $more->name))];
    }

    /** What is added to a thing: more of it, what comes from it, or another. */
    private function onTop(string $thing, string $more): string
    {
        $own = FactsFile::named('writing')['its-own'];
        $says = array_filter(
            NameWords::of($more),
            static fn(string $word): bool => !NameWords::isDescriptor($word),
        );
        if ($says === [] || preg_match('/^(?:more|extra|for\b.*|(?:of )?(?:it|them|these|those))$/iu', $more) === 1) {
            return $thing;
        }
        if (
            preg_match('/^(?:of\s+)?(?:(?:its|their|the)\s+)?(?:own\s+)?(?P<own>\pL+)$/iu', $more, $found) !== 1
            || !$own->isSaidIn($found['own'], 'words')
        ) {
            return $more;
        }
        $isItself = $own->isSaidIn($found['own'], 'itself');
        $key = fn(string $name): ?string
            => $this->names->understood($line = $this->grammar->read($name), $this->names->match($line))?->key;
        $from = $key("{$thing} {$found['own']}");

        return $from !== null && ($isItself || $from !== $key($thing)) ? "{$thing} {$found['own']}" : $more;
    }

    /**
     * "salt and pepper", "parsley, mint and dill to garnish": names without an amount.
     *
     * @return list<string>|null
     */
    private function names(string $line): ?array
    {
        if (preg_match('/[\d½¼¾⅓⅔⅛]/u', $line) === 1) {
            return null;
        }
        $plain = (string) preg_replace('/,?\s{0,8}(?:\(?' . self::purposes() . '\)?)\s{0,8}$/iu', '', $line);
        $items = LineItems::listed($plain);
        if (count($items) < 2 || !$this->items->areKnown($items)) {
            return null;
        }
        foreach ($items as $item) {
            if (self::isAmount($this->grammar->read($item))) {
                return null;
            }
        }

        return $items;
    }

    /**
     * "a pinch of salt and pepper" is a pinch of each; "2 tbsp butter and oil" is shared out.
     *
     * @return list<string>|null
     */
    private function oneAmount(string $line): ?array
    {
        $whole = $this->grammar->read($line);
        if ($whole->measured === null || $whole->second !== null || $whole->isNonsense || $whole->part !== null) {
            return null;
        }
        $at = $whole->amountText === '' ? false : strpos($line, $whole->amountText);
        if ($at === false) {
            return null;
        }
        $after = (string) preg_replace('/^\s*(?:of\s+)?/iu', '', substr($line, $at + strlen($whole->amountText)));
        if (preg_match('/^([^,;(]{1,200}?)\s{1,8}(?:and|&)\s{1,8}([^,;(]{1,80}?)(?=,|$|\s{0,8}\(|' . self::purposes() . ')/iu', $after, $found) !== 1) {
            return null;
        }
        $items = $this->items->leaningOnTheLast([trim($found[1]), trim($found[2])]);
        if (!$this->items->areKnown($items)) {
            return null;
        }
        $some = FactsFile::named('writing')['some'];
        $behind = substr($after, strlen($found[0]));
        $isToTaste = preg_match('/^\s{0,8},?\s{0,8}\(?' . $some->pattern('behind') . '/iu', $behind) === 1;
        if ($isToTaste || preg_match('/^' . $some->pattern('before') . '\s{1,8}\S/iu', $items[1]) === 1) {
            return [trim("{$whole->amountText} {$items[0]}"), $items[1] . ($isToTaste ? ' to taste' : '')];
        }
        $unit = $whole->measured->unit;
        if ($unit?->isVague() === true) {
            return LineItems::withEach(trim($whole->amountText), $items);
        }
        if ($unit === null) {
            return null;
        }

        $half = KitchenNumber::plain($whole->measured->middle() / 2.0, 3);

        return LineItems::withEach("{$half} {$unit->name}", $items);
    }

    private static function purposes(): string
    {
        return WritingFacts::purposes();
    }

    private static function isAmount(ParsedLine $line): bool
    {
        return $line->measured !== null;
    }

    private static function isCounted(ParsedLine $line): bool
    {
        return $line->measured !== null && $line->measured->unit === null;
    }
}
