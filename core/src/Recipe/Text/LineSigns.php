<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Text;

use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\AllergenWords;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\NameWords;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Item;
use Vinculum\Recipe\Parser\Line;
use Vinculum\Recipe\Parser\LineGrammar;
use Vinculum\Recipe\Resolution\Equipment;
use Vinculum\Recipe\Resolution\NameReading;

/** The signs by which a line of a page tells what it is: its wording, its shape, where it stands. */
final class LineSigns
{
    private const HEADINGS = ['ingredients', 'method', 'notes'];
    /** Words of a name that may stand behind a number. */
    /** Words of a line of one thing, and of a line that lists them all. */
    private const LONGEST_LINE = 25;
    private const LONGEST_LIST = 150;
    private const LONGEST_NAME = 4;
    private const DURATION = '(?:(?<!\d)\d{1,5}\s?(?:½|¼|¾|1\/2)?|[½¼¾]|an?|one|two|three|half an?)\s{0,3}(?:-|–|to)?\s{0,3}(?:\d{1,5}\s{0,3})?(?:hours?|hrs?|h|minutes?|mins?|m|days?|weeks?|overnight)\b\.?';
    private const MEASURE = '/[\d½¼¾⅓⅔]\s{0,2}-?\s?(?:ml|l|litres?|liters?|cl|dl|g|kg|grams?|kilos?|oz|ounces?|lbs?|pounds?|cups?|pints?|quarts?|jars?|bottles?|gallons?)\b|\b(?:jars?|bottles?)\b/iu';
    private const LAYOUT = '/^(?:#{1,6}\s+|>\s+)|^[\s*_~=]+(?=\S)|(?<=\S)[\s*_~=]+$/u';
    private const TITLE_AND_YIELD = '/^(\pL[^()]{2,60}?)\s*\((?:serves|makes|yields?|enough)\b[^()]*\)$/iu';
    private const BULLET = '/^\s*(?:[•·▪◦‣➤☐✅✓*]|[-–—]\s)/u';

    /** Where a cue may stand. */
    private const PLACES = [
        'starts' => '^\W{0,20}%s',
        'has' => '%s',
        'is' => '^\W{0,20}%s\W{0,20}$',
        'ends' => '%s\W{0,20}$',
    ];

    private LineGrammar $grammar;
    private NameReading $names;

    public function __construct(Catalogue $catalogue)
    {
        $this->names = new NameReading($catalogue);
        $this->grammar = new LineGrammar(Measures::Us, $this->names);
    }

    /** A line without marks of layout: "## Method", "**For the sauce**", "=== Spice blend ===". */
    public static function plain(string $line): string
    {
        $line = trim(mb_scrub($line));
        if (preg_match('/^\*?[^*]+\*$/u', $line) === 1 && !str_starts_with($line, '*')) {
            return $line;
        }
        // a row of a table
        $line = str_starts_with($line, '|') ? trim($line, "| \t") : $line;
        $plain = (string) preg_replace(self::LAYOUT, '', $line);
        // "**Yield:** 250 ml"
        $plain = (string) preg_replace('/\*\*|__/', '', $plain);

        return trim((string) preg_replace('/\s+/u', ' ', $plain));
    }

    /** "1 Warm the oil", where "1 Onion" is one onion: a number without a dot counts a step only before what is done. */
    public static function countsAStep(string $line): bool
    {
        return preg_match('/^\s*\d{1,2}\s+(?<says>\p{Lu}\p{Ll}.*)$/u', $line, $found) === 1
            && (preg_match(self::cues()['verb'], mb_strtolower($found['says'])) === 1
                || count(preg_split('/\s+/u', $found['says']) ?: []) > self::LONGEST_NAME);
    }

    /** Whether a line says what is to be done: "Warm it through". */
    public static function tellsToDo(string $line): bool
    {
        return preg_match(self::cues()['verb'], mb_strtolower(self::plain($line))) === 1;
    }

    /**
     * @param int $at the place among the lines that say something, from 0
     * @param bool $isFile it is written as a file for the command line is, where every line is an ingredient unless it
     *     says otherwise
     *
     * @return list<string>
     */
    public function of(string $line, int $at, bool $isFile): array
    {
        $plain = self::plain($line);
        if ($at === 0 && preg_match(self::TITLE_AND_YIELD, $plain, $found) === 1) {
            // "Chimichurri (serves 4-6)"
            $plain = $found[1];
        }
        $lower = mb_strtolower($plain);
        $words = preg_split('/\s+/u', $plain, -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $count = count($words);
        $isShape = $plain !== trim($line) && preg_match(self::BULLET, $line) !== 1;
        $signs = array_keys(array_filter([
            'any' => true,
            'lower' => preg_match('/^\p{Ll}/u', $plain) === 1,
            'trailing-comma' => str_ends_with($plain, ','),
            'for-number' => preg_match('/^for\s+(?:\d|two|four|six|eight)/iu', $plain) === 1,
            'first' => $at === 0,
            'second' => $at === 1,
            'third' => $at === 2,
            'very-short' => $count <= 2,
            'short' => $count <= 7,
            'long' => $count > 13,
            'very-long' => $count > 24,
            'sentence' => preg_match('/[.!]["\')]?$/u', $plain) === 1 && $count > 2,
            'question' => str_ends_with($plain, '?'),
            'colon' => str_ends_with($plain, ':'),
            'caps' => preg_match('/\pL{3}/u', $plain) === 1 && $plain === mb_strtoupper($plain),
            'title-case' => self::isTitleCase($words),
            'bullet' => preg_match(self::BULLET, $line) === 1,
            'numbered' => preg_match('/^\s*\d{1,2}\s*[.)]\s+\S/u', $line) === 1 || self::countsAStep($line),
            'step-word' => preg_match('/^(?:step|day|stage)\s*\d+/iu', $plain) === 1,
            'timestamp' => preg_match('/^\d{1,2}:\d{2}\b/u', $plain) === 1,
            'heading-shape' => $isShape && $count <= 6 || self::isBetweenRules($line),
            'for-the' => preg_match('/^(?:for|to) (?:the |a |an )?[\pL -]{3,40}:?$/iu', $plain) === 1 && $count <= 6,
            'rule' => preg_match('/^[^\pL\d]*$/u', $plain) === 1,
            'digits' => preg_match('/\d/', $plain) === 1,
            'percent' => str_contains($plain, '%'),
            'degrees' => preg_match('/\d\s*(?:°|º)|\bgas\s*(?:mark)?\s*\d|\b\d{2,3}\s?[CF]\b/u', $plain) === 1,
            'price' => preg_match('/[£€$]\s?\d|\d\s?[£€]/u', $plain) === 1,
            'url' => preg_match('~https?://|\bwww\.|\.(?:com|org|net)\b|^@\w~iu', $plain) === 1
                || preg_match('/^\s*(?:[#@][\pL\d_]+[\s,]*){2,}$/u', $line) === 1,
            'stars' => preg_match('/[★☆⭐]|\b\d(?:\.\d+)?\s*(?:from|out of)\s*\d|\b\d(?:\.\d+)?\s*\(\s*\d[\d,]{0,8}\s*(?:\)|votes|ratings|reviews)|\b\d+ (?:votes|ratings|reviews|comments)\b/iu', $plain) === 1,
            'date' => preg_match('/\b(?:19|20)\d\d\b|\b\d{1,2}\/\d{2,4}\b(?!\s*(?:cup|tsp|tbsp))|\b(?:january|february|march|april|june|july|august|september|october|november|december)\b/iu', $plain) === 1 && !str_contains($lower, ' g'),
            'duration' => preg_match('/^\W*(?:about |under )?' . self::DURATION . '(?:[,+\s]{0,4}(?:plus |and )?' . self::DURATION . '){0,4}(?:\s*[,(+\/|·–-].{0,30}|\s+(?:plus|or|and|in|on|depending|until|total|approx|of)\b.{0,24})?$/iu', $plain) === 1,
            'has-duration' => preg_match('/' . self::DURATION . '/iu', $plain) === 1,
            'has-measure' => preg_match(self::MEASURE, $plain) === 1,
            'tagged' => preg_match('/\[(?:cold|steeped|optional|lock|roasted|drained)\]/u', $line) === 1,
            'marked-title' => preg_match('/^#\s+\S/u', $line) === 1,
        ]));
        if (!in_array('has-duration', $signs, true)) {
            $signs[] = 'has-no-duration';
        }
        $unnumbered = in_array('numbered', $signs, true) || in_array('step-word', $signs, true)
            ? (string) preg_replace('/^(?:step\s*)?\d{1,2}\s*[.):]?\s+/iu', '', $lower)
            : $lower;
        // "Ingredients (makes 500 ml)", "Method (20 minutes)"
        $unbracketed = (string) preg_replace('/\s*\([^)]*\)\s*:?$/u', '', $unnumbered);
        foreach (self::cues() as $cue => $pattern) {
            $says = in_array($cue, self::HEADINGS, true) ? $unbracketed : $unnumbered;
            if (preg_match($pattern, $says) === 1) {
                $signs[] = $cue;
            }
        }
        if (in_array('verb', $signs, true) && in_array('sentence', $signs, true)) {
            $signs[] = 'imperative';
        }
        if (in_array('note', $signs, true) && preg_match('/^\W*[\pL’\' ]{2,24}:\s+\S/u', $plain) === 1) {
            $signs[] = 'labelled-note';
        }
        if ($count <= self::LONGEST_LINE) {
            array_push($signs, ...$this->ofAnIngredient($line, $plain, $words));
        } elseif (
            $count <= self::LONGEST_LIST && !in_array('verb', $signs, true)
            && preg_match_all('/[\d½⅓⅔¼¾⅛]+/u', $plain) > 2
        ) {
            // all that goes in, in one line
            array_push($signs, ...($this->listsThings($this->grammar->read($plain)) ? ['listed'] : []));
        }
        if ($isFile) {
            $signs[] = 'file';
        }

        return array_values(array_unique($signs));
    }

    /**
     * @param list<string> $words
     *
     * @return list<string>
     */
    private function ofAnIngredient(string $line, string $plain, array $words): array
    {
        $line = $this->grammar->read((string) preg_replace('/^\d{1,2}[.)]\s+/u', '', $plain));
        $parsed = $line->first();
        $match = $this->names->understood($parsed, $this->names->match($parsed));
        $isKnown = $match !== null && $match->score >= 0.6;
        $said = array_filter(
            NameWords::of($parsed->name),
            static fn(string $word): bool => !NameWords::isDescriptor($word),
        );
        $amount = $parsed->measured;
        $signs = [];
        $isOfSomething = $amount !== null
            && (
                $isKnown
                || ($amount->unit !== null && !$amount->unit->isVague())
                || !in_array($amount->counted, [null, 'whole'], true)
            );
        // "a sauce for ducks, and I love it": an article is a number only before a thing
        $isArticle = in_array(mb_strtolower(trim($parsed->amountText)), ['a', 'an'], true) && count($words) > 5;
        if ($isOfSomething && !$isArticle && trim($parsed->amountText) !== '') {
            $isAtStart = ($parsed->amountSpan[0] ?? 0) <= $line->begins;
            $signs[] = $isAtStart || $parsed->part !== null ? 'amount' : 'ends-in-amount';
            if ($isAtStart && $amount?->unit !== null && !$amount->unit->isVague()) {
                $signs[] = 'measured';
            }
            if ($amount?->unit === null && $amount?->counted === 'whole') {
                $signs[] = 'count-only';
            }
        }
        if ($isOfSomething && $isKnown && $line->isLedUpTo) {
            $signs[] = 'lead-in';
        }
        if ($isKnown) {
            $isAll = $this->areKnown(array_slice($line->items, 1)) && count($line->unread) < 2;
            $signs[] = count($said) <= 4 && $isAll ? 'known' : 'half-known';
        }
        if ($this->listsThings($line)) {
            $signs[] = 'listed';
        }
        if (Equipment::isOne($parsed)) {
            return ['equipment'];
        }
        if ($isOfSomething && preg_match('/^for\s+(?:about\s+)?[\d½¼¾]/iu', $plain) === 1) {
            return ['for-food'];
        }
        if (!$isKnown && $amount === null && count($words) > 2 && !$this->holdsFood($line)) {
            $signs[] = 'foodless';
        }
        if ($isKnown && $amount === null && count($words) <= 4) {
            $signs[] = 'bare-name';
        }
        if (!$isKnown && $amount === null && count($words) <= 3 && preg_match('/^\p{Lu}[\pL \'’-]*$/u', $plain) === 1) {
            $signs[] = 'nameless';
        }
        if (preg_match('/\bto taste\b|\bas needed\b|\bfor (?:frying|garnish|serving)\b|\bto (?:serve|garnish)\b/iu', $plain) === 1 && count($words) <= 9) {
            $signs[] = 'to-taste';
        }
        $isSentence = preg_match('/[.!]$/u', $plain) === 1;
        $areSeveral = count($line->items) > 1 && $this->areKnown($line->items);
        if (!$isSentence && ($parsed->part !== null || $areSeveral)) {
            $signs[] = 'several';
        }

        return $signs;
    }

    /** "Soy sauce 100 ml, mirin 50 ml, sugar 2 tbsp" */
    private function listsThings(Line $line): bool
    {
        $things = array_filter(
            $line->items,
            fn(Item $one): bool => $one->measured !== null && $this->names->knows($one),
        );

        return count($things) > 2 && 2 * count($things) > count($line->items);
    }

    /** @param array<Item> $items */
    private function areKnown(array $items): bool
    {
        return array_filter($items, fn(Item $one): bool => !$this->names->knows($one)) === [];
    }

    /** Whether any word of a line names something that goes into a sauce. */
    private function holdsFood(Line $line): bool
    {
        foreach (array_keys($line->tokens) as $at) {
            if ($this->names->longestAt($line->tokens, $at) > 0) {
                return true;
            }
        }

        return AllergenWords::in($line->text) !== [];
    }

    /** "=== Spice blend ===" */
    private static function isBetweenRules(string $line): bool
    {
        return preg_match('/^\s*[~=*_-]{2}/u', $line) === 1
            && preg_match('/[~=*_-]{2}\s{0,8}$/u', $line) === 1
            && preg_match('/\pL/u', $line) === 1;
    }

    /** @param list<string> $words */
    private static function isTitleCase(array $words): bool
    {
        [$large, $long] = [0, 0];
        foreach ($words as $word) {
            if (mb_strlen($word) > 3 && preg_match('/^\pL/u', $word) === 1) {
                ++$long;
                $large += preg_match('/^\p{Lu}/u', $word);
            }
        }

        return $long > 0 && $large === $long && preg_match('/^\W*\p{Lu}/u', $words[0] ?? '') === 1;
    }

    /** @return array<string, string> a pattern for each cue */
    private static function cues(): array
    {
        /** @var array<string, string>|null $cues */
        static $cues = null;
        if ($cues !== null) {
            return $cues;
        }
        $cues = [];
        foreach (FactsFile::named('page') as $name => $row) {
            if (!str_starts_with($name, 'cue-')) {
                continue;
            }
            $any = [];
            foreach (self::PLACES as $where => $shape) {
                $list = $row->list($where);
                if ($list !== []) {
                    usort($list, static fn(string $one, string $other): int => strlen($other) <=> strlen($one));
                    $quoted = array_map(static fn(string $one): string => preg_quote($one, '~'), $list);
                    $any[] = sprintf($shape, '(?<![\pL\d])(?:' . implode('|', $quoted) . ')(?![\pL])');
                }
            }
            $cues[substr($name, 4)] = '~' . implode('|', $any) . '~iu';
        }
        foreach (['nutrition', 'portions'] as $cue) {
            $list = FactsFile::named('page')["cue-{$cue}"]->list('starts');
            $cues["{$cue}-start"] = '~^\W{0,20}(?:' . implode('|', array_map(static fn(string $one): string => preg_quote($one, '~'), $list)) . ')(?![\pL])~iu';
        }

        return $cues;
    }
}
