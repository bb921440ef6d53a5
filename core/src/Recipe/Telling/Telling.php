<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\SpokenNumber;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\RecipeLine;

/** A recipe that somebody has told: what goes in, in the order of its use, and what is done; the rest is set aside. */
final class Telling
{
    /** Of what is told elsewhere how much. */
    private const VAGUE = '/^(?:(?:a|the|another) (?:little )?(?:bit|little|splash|drop)(?: of(?: the)?)?|some|half(?: of the)?|more)?$/iu';
    /** The share of words by which somebody speaks. */
    private const SPOKEN = 0.02;
    private const LEAST_WORDS = 25;
    /** Amounts in words from which talk is known by them alone. */
    private const AMOUNTS = 4;
    /** Talk runs on: so many words a line, where a list has few. */
    private const RUNS_ON = 15;
    private const QUESTIONS = 3;
    /** Words a line, and sentences that tell what to do, of prose. */
    private const PROSE = 30.0;
    private const SENTENCES = 4;
    /** A list of things stands in short lines. */
    private const SHORT = 9;
    private const MOST_SHORT = 0.5;
    private const MOST_LETTERS = 300_000;

    /** Words alone in a line that only what is written has. */
    private const LIST_HEADING
        = '/^\W*(?:ingredients|method|directions|instructions)\b\W*(?:$|:)|\bingredients:/imu';

    /** Whether a text is somebody's talk, and no list. */
    public static function isOne(string $pasted): bool
    {
        if (strlen($pasted) > self::MOST_LETTERS) {
            return false;
        }
        // times beside the chapters of a film, with the list below them
        $isChapters = !str_contains($pasted, '-->') && preg_match(self::LIST_HEADING, $pasted) === 1;
        $isStamped = !$isChapters && SpokenText::isStamped($pasted);
        $text = $isStamped ? SpokenText::of($pasted)->text : $pasted;
        $words = preg_split('/[^\pL\']+/u', mb_strtolower($text), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        if (count($words) < self::LEAST_WORDS) {
            return false;
        }
        $marks = array_flip(TellingWords::list('marks'));
        $spoken = count(array_filter($words, static fn(string $word): bool => isset($marks[$word]))) / count($words);

        $lines = max(1, preg_match_all('/^.*\S.*$/mu', $pasted));
        $isTalk = $isStamped || count($words) / $lines >= self::RUNS_ON && !self::isList($pasted);

        // what has the time beside it was spoken, however few words tell
        return $isStamped || $isTalk && $spoken >= self::SPOKEN && TellingWords::areIn($text, 'person')
            || $isTalk && self::amountsInWords($text) >= self::AMOUNTS
            || self::isOfTwo($pasted)
            || self::isProse($pasted, count($words) / $lines);
    }

    /** One asks and another answers: "And the garlic? - One clove." */
    private static function isOfTwo(string $pasted): bool
    {
        return preg_match_all('/\?[\s"”\']*$/mu', $pasted) >= self::QUESTIONS && self::amountsInWords($pasted) >= 1;
    }

    /** "two cups of vinegar one cup of water": amounts as they are said, and seldom written. */
    private static function amountsInWords(string $text): int
    {
        $numbers = TellingWords::pattern('numbers');
        $counted = TellingWords::pattern('counted');

        return (int) preg_match_all("/{$numbers}\\s+(?:\\pL+\\s+)?{$counted}/iu", $text);
    }

    /** Whether words run on, of which a listener may write something down where no list was found. */
    public static function mayBeOne(string $pasted): bool
    {
        return str_word_count($pasted) >= self::LEAST_WORDS && !self::isList($pasted);
    }

    /** Sentences that run on and tell what to do, whoever speaks: no list of things, and no page. */
    private static function isProse(string $pasted, float $wordsALine): bool
    {
        return $wordsALine >= self::PROSE && !self::isList($pasted)
            && preg_match_all('/[.!?](?:\s|$)/u', $pasted) >= self::SENTENCES
            && preg_match_all('/' . TellingWords::pattern('does') . '/iu', $pasted) >= self::SENTENCES;
    }

    /** Many short lines that begin with a figure or a mark are a list, however somebody chats above it. */
    private static function isList(string $pasted): bool
    {
        $lines = array_values(array_filter(
            preg_split('/\R/u', $pasted) ?: [],
            static fn(string $line): bool => trim($line) !== '',
        ));
        $short = array_filter(
            $lines,
            static fn(string $line): bool => str_word_count($line) <= self::SHORT
                && preg_match('/^\s*(?:[-*•]|\d|[½¼¾⅓⅔]|an?\s|juice|salt\b)/iu', $line) === 1,
        );

        return preg_match(self::LIST_HEADING, $pasted) === 1
            || count($short) >= 3 && count($short) / count($lines) > self::MOST_SHORT;
    }

    public static function read(string $pasted, Catalogue $catalogue): Recipe
    {
        $spoken = SpokenText::of($pasted);
        [$title, $spokenFrom] = self::heading($spoken->text, $pasted);
        $clauses = Clauses::of($spoken->text);
        $title ??= self::saidTitle($clauses);
        $mentions = (new Mentions($catalogue))->in($spoken->text, $clauses);
        $mentions = self::exactly(array_values(array_filter(
            $mentions,
            static fn(Mention $one): bool => $one->span[0] >= $spokenFrom && !self::isDish($one, $title ?? ''),
        )), $spoken->text);
        [$lines, $passed] = self::lines($mentions, $title ?? '', $spoken, $clauses);
        $steps = ToldSteps::in($clauses, $spokenFrom);

        return new Recipe(
            $title ?? '',
            lines: $lines,
            method: array_values($steps),
            yield: self::yield($spoken->text),
            setAside: self::aside($clauses, $steps, self::besides($passed, $mentions, $title ?? ''), $spokenFrom),
        );
    }

    /** @return array{string|null, int} the first line where it is a title, and where the talk begins behind it, in bytes */
    private static function heading(string $text, string $pasted): array
    {
        $pasted = ltrim($pasted);
        $first = trim((string) (preg_split('/\R/u', $pasted)[0] ?? ''));
        $plain = trim($first, "#* \t");
        $isSaid = preg_match('/[.,!?:]|\d:\d\d|\b(?:i|so|we|okay|you)\b|^WEBVTT/iu', $plain) === 1;
        $standsAlone = preg_match('/\R\s*\R|\R\s*[\[(]?\d/u', $pasted) === 1 && preg_match('/^\p{Lu}/u', $plain) === 1;
        $isTitle = str_starts_with($first, '#')
            || !$isSaid && $standsAlone && str_word_count($plain) <= self::SHORT;
        $at = $isTitle ? strpos($text, $plain) : false;

        return $at === false ? [null, 0] : [$plain, $at + strlen($plain)];
    }

    /** @param list<array{int, string}> $clauses */
    private static function saidTitle(array $clauses): ?string
    {
        $dish = "((?:[\\pL'’-]+\\s){0,4}?[\\pL'’-]*\\s?" . TellingWords::pattern('dishes') . ')';
        [$made, $before] = [TellingWords::pattern('made'), TellingWords::pattern('before-a-title')];
        // "Apple sauce. Four apples …"
        if (preg_match("/^\\W*((?:[\\pL'’-]+\\s){0,3}" . TellingWords::pattern('dishes') . ')[.!:]\s*$/iu', $clauses[0][1] ?? '', $found) === 1) {
            return mb_strtoupper(mb_substr($found[1], 0, 1)) . mb_substr($found[1], 1);
        }
        // "a really quick tomato relish"
        if (preg_match("/^\\W*(?:(?:so|ok|okay|right)\\W+)?(?:a|an|my|our)\\s+(?:really |very |quick |easy |simple |lovely |nice )+((?:[\\pL'’-]+\\s){0,3}" . TellingWords::pattern('dishes') . ')\b/iu', $clauses[0][1] ?? '', $found) === 1) {
            return mb_strtoupper(mb_substr($found[1], 0, 1)) . mb_substr($found[1], 1);
        }
        // "hot honey, three ingredients"
        $fillers = TellingWords::pattern('fillers');
        $counted = "/^\\W*(?:{$fillers}\\W+)*((?:[\\pL'’-]+\\s){0,3}[\\pL'’-]+)\\W+(?:" . SpokenNumber::pattern() . ')\s+ingredients\b/iu';
        if (preg_match($counted, $clauses[0][1] ?? '', $found) === 1) {
            return mb_strtoupper(mb_substr($found[1], 0, 1)) . mb_substr($found[1], 1);
        }
        foreach (array_slice($clauses, 0, 6) as [, $clause]) {
            $named = "/{$made}\\s+(?:u[mh]\\s+|er\\s+)?(?:so\\s+)?(?:you\\s+)?(?:my|a|an|some|the|our|this|i make)?\\s*{$dish}/iu";
            if (preg_match($named, mb_substr($clause, 0, 160), $found) === 1) {
                $title = trim((string) preg_replace("/^(?:{$before}\\s+)+/iu", '', trim($found[1])));

                return mb_strtoupper(mb_substr($title, 0, 1)) . mb_substr($title, 1);
            }
        }

        return null;
    }

    /**
     * "The vinegar, that's two thirds of a cup, I'm using cider vinegar": what is named twice, once more exactly, is one.
     *
     * @param list<Mention> $mentions
     *
     * @return list<Mention>
     */
    private static function exactly(array $mentions, string $text): array
    {
        for ($at = 0; $at + 1 < count($mentions); ++$at) {
            [$one, $next] = [$mentions[$at], $mentions[$at + 1]];
            if ($one->use === MentionUse::TalkedAbout || $next->use === MentionUse::TalkedAbout) {
                continue;
            }
            // "one orange … the juice of the orange"
            if (self::isGivenBack($one, array_slice($mentions, $at + 1))) {
                array_splice($mentions, $at, 1);
                $at = max(-1, $at - 2);
                continue;
            }
            // "three tablespoons of lime juice, that's about two limes"
            if ($one->amount !== '' && self::isSourceOf($next, $one, $text)) {
                array_splice($mentions, $at + 1, 1);
                --$at;
                continue;
            }
            $merged = match (true) {
                // "a tablespoon of oil, mustard oil if you have it"
                $one->isOneOf($next) && $next->amount === '' && $next->isOptional && !$one->isOptional
                    => $one->choosing($next->name, $next->span[1]),
                $one->isOneOf($next) && $next->amount === '' && $one->amount !== '' => $one->named($next),
                $one->isOneOf($next) && $one->amount === '' => $next,
                $next->isOneOf($one) && $next->amount === '' => $one,
                $next->isOneOf($one) && $one->amount === '' => $next->named($one),
                default => null,
            };
            if ($merged !== null) {
                array_splice($mentions, $at, 2, [$merged]);
                $at = max(-1, $at - 2);
            }
        }

        return $mentions;
    }

    /**
     * Whether a fruit is named only to take something of it later: of which its juice then goes in.
     *
     * @param list<Mention> $later
     */
    private static function isGivenBack(Mention $fruit, array $later): bool
    {
        return $fruit->amount !== '' && preg_match('/^(?:juice|zest)\b/iu', $fruit->amount) !== 1 && array_filter(
            $later,
            static fn(Mention $one): bool => mb_strtolower($one->name) === mb_strtolower($fruit->name)
                && preg_match('/^juice of (?:1|half a) /iu', $one->line) === 1,
        ) !== [];
    }

    /** Whether one thing is only where another comes from, told to say how much: limes of lime juice. */
    private static function isSourceOf(Mention $source, Mention $of, string $text): bool
    {
        $stem = preg_replace('/s$/u', '', mb_strtolower($source->name));
        $between = substr($text, $of->span[1], max(0, $source->span[0] - $of->span[1]));

        return $source->key !== $of->key
            && str_starts_with(mb_strtolower($of->name), "{$stem} ")
            && preg_match('/^[\s,.–-]*(?:that\'s|thats|that is|which is|so|from|it\'s|about)(?:\s+(?:the juice of|about|around|from))*\s*$/iu', $between) === 1;
    }

    /**
     * One line a thing, with its amounts added up; what is only named counts where nothing more is said of it.
     *
     * @param list<Mention> $mentions
     * @param list<array{int, string}> $clauses
     *
     * @return array{list<RecipeLine>, list<Mention>} lines in the order of their use, and what went into none
     */
    private static function lines(array $mentions, string $title, SpokenText $spoken, array $clauses): array
    {
        $parts = ToldParts::in($clauses);
        /** @var array<string, list<Mention>> $things */
        $things = [];
        $passed = [];
        foreach ($mentions as $one) {
            if ($one->use !== MentionUse::PutIn || self::isDish($one, $title)) {
                $passed[] = $one;
                continue;
            }
            // the sugar of the sauce is not that of the relish
            $things[$parts->at($one->span[0]) . $one->key][] = $one;
        }
        $places = array_map(static fn(array $of): int => self::placeOfUse($of[0], $mentions, $clauses), $things);
        uksort($things, static fn(string $a, string $b): int => $places[$a] <=> $places[$b]);
        $lines = [];
        foreach ($things as $key => $of) {
            if (self::isMeantBefore($of, array_diff_key($things, [$key => true]))) {
                array_push($passed, ...$of);
                continue;
            }
            $measured = array_values(array_filter($of, static fn(Mention $one): bool => $one->amount !== ''));
            $first = $measured[0] ?? $of[0];
            $line = $first->line;
            [$measured, $apart] = self::ofTheSameMeasure($measured);
            foreach (array_slice($measured, 1) as $again) {
                if ($again->isCorrection) {
                    [$first, $line] = [$again, $again->line];
                    continue;
                }
                // told twice it is one; more of it is added up
                $line .= $again->amount !== $first->amount ? " + {$again->amount}" : '';
            }
            if (str_contains($line, ' + ')) {
                $line = $first->amount . mb_substr($line, mb_strlen($first->line)) . ' ' . $first->name;
            }
            $choices = array_merge(...array_map(static fn(Mention $one): array => $one->choices, $of));
            $isOptional = array_filter($of, static fn(Mention $one): bool => $one->isOptional) !== [];
            $lines[] = [
                $parts->at($first->span[0]),
                implode(' or ', [$line, ...$choices]) . ($isOptional ? ' [optional]' : ''),
                $spoken->origin(...$first->span),
            ];
            foreach ($apart as $one) {
                $lines[] = [$parts->at($one->span[0]), $one->line, $spoken->origin(...$one->span)];
            }
        }

        return [$parts->titled($lines, $spoken), $passed];
    }

    /**
     * "You want a tin of tomatoes. Heat the oil … in with the tomatoes": where a thing goes in that was only got ready.
     *
     * @param list<Mention> $mentions
     * @param list<array{int, string}> $clauses
     *
     * @return int a byte of the text
     */
    private static function placeOfUse(Mention $first, array $mentions, array $clauses): int
    {
        $isAlone = count(array_filter(
            $mentions,
            static fn(Mention $one): bool => $one->clause === $first->clause && $one->use === MentionUse::PutIn,
        )) === 1;
        $said = $clauses[$first->clause][1] ?? '';
        if (!$isAlone || !TellingWords::areIn($said, 'gets-ready') || TellingWords::areIn($said, 'goes-in')) {
            return $first->span[0];
        }
        foreach ($mentions as $one) {
            $isLater = $one->key === $first->key && $one->clause > $first->clause;
            if ($isLater && TellingWords::areIn($clauses[$one->clause][1] ?? '', 'goes-in')) {
                return $one->span[0];
            }
        }

        return $first->span[0];
    }

    /**
     * "Two chipotles, and a tablespoon of the chipotles": pieces and spoons add up to nothing that can be read.
     *
     * @param list<Mention> $measured
     *
     * @return array{list<Mention>, list<Mention>} those measured as the first is, and the others
     */
    private static function ofTheSameMeasure(array $measured): array
    {
        $counted = TellingWords::pattern('counted');
        $isInUnits = static fn(Mention $one): bool => preg_match("/{$counted}/iu", $one->amount) === 1;
        $same = static fn(Mention $one): bool => $one->isCorrection || $isInUnits($one) === $isInUnits($measured[0]);

        return [
            array_values(array_filter($measured, $same)),
            array_values(array_filter($measured, static fn(Mention $one): bool => !$same($one))),
        ];
    }

    /** Whether it only says what is made: "a peanut sauce". */
    private static function isDish(Mention $one, string $title): bool
    {
        return $title !== '' && preg_match('/^(?:an?)?$/iu', $one->amount) === 1
            && str_ends_with(mb_strtolower($title), mb_strtolower($one->name));
    }

    /**
     * "Mixed in a bit of the vinegar": a thing without an amount, where a kind of it went in by its own name.
     *
     * @param list<Mention> $of
     * @param array<string, list<Mention>> $others
     */
    private static function isMeantBefore(array $of, array $others): bool
    {
        $name = mb_strtolower($of[0]->name);
        $isMeasured = array_filter(
            $of,
            static fn(Mention $one): bool => preg_match(self::VAGUE, trim($one->amount)) !== 1,
        ) !== [];

        return !$isMeasured && array_filter(
            $others,
            static fn(array $other): bool => str_ends_with(mb_strtolower($other[0]->name), " {$name}")
                // the mushrooms that were soaked
                || str_ends_with($other[0]->key, "-{$of[0]->key}")
                // the lemon whose juice went in
                || str_starts_with($other[0]->key, "{$of[0]->key} ")
                // "a bit of oil, a bit of lemon" of the lemon juice
                || str_starts_with(mb_strtolower($other[0]->name), "{$name} ") && $other[0]->amount !== '',
        ) !== [];
    }

    private static function yield(string $text): ?string
    {
        $yields = TellingWords::pattern('yields');
        $number = '[\d½¼¾.]+|half an?|' . SpokenNumber::pattern();

        return preg_match(
            "/{$yields}\s+((?:about |around |roughly )?(?:{$number})\s+(?:small |big |little )?(?:and a half )?(?:cups?|jars?|bottles?|pints?|quarts?|litres?|liters?|ml|mils?|grams?|kilos?)(?: of \d+ ?(?:ml|mils?|grams?|g))?)/iu",
            $text,
            $found,
        ) === 1 ? $found[count($found) - 1] : null;
    }

    /**
     * What is only talked about: the dish itself, and what goes in elsewhere, are no news.
     *
     * @param list<Mention> $passed
     * @param list<Mention> $mentions
     *
     * @return list<Mention>
     */
    private static function besides(array $passed, array $mentions, string $title): array
    {
        $in = [];
        foreach ($mentions as $one) {
            $in[$one->key] = ($in[$one->key] ?? false) || $one->use === MentionUse::PutIn;
        }

        return array_values(array_filter(
            $passed,
            static fn(Mention $one): bool => !($one->use === MentionUse::Named && $in[$one->key])
                && !str_contains(mb_strtolower($title), mb_strtolower($one->name)),
        ));
    }

    /**
     * Everything that became neither a line nor a step: nothing that was said is lost.
     *
     * @param list<array{int, string}> $clauses
     * @param array<int, string> $steps
     * @param list<Mention> $passed
     *
     * @return list<array{text: string, why: string}>
     */
    private static function aside(array $clauses, array $steps, array $passed, int $from): array
    {
        $why = [];
        foreach ($passed as $one) {
            $isServed = $one->use === MentionUse::ServedWith;
            $why[$one->clause] = $isServed ? 'served-with' : $why[$one->clause] ?? 'talked-about';
        }
        $aside = [];
        foreach ($clauses as $number => [$at, $clause]) {
            if ($at < $from || isset($steps[$number]) && !isset($why[$number])) {
                continue;
            }
            $aside[] = ['text' => trim($clause), 'why' => $why[$number] ?? 'note'];
        }

        return $aside;
    }
}
