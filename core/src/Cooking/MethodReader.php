<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Balance\Treatment;

/** Reads the steps of a method: "simmer 15 to 20 minutes", "overnight", "an hour and a quarter", "until it halves". */
final class MethodReader
{
    private const LONGEST_STEP = 2000;
    /** Letters and sentences of a method after which its steps are kept, and not read. */
    private const MOST_LETTERS = 12_000;
    private const MOST_SENTENCES = 500;
    private const LONGEST_TAG = 40;
    /** "[with lime juice; salt]": what goes in at a step, said by hand. */
    private const WITH = 'with ';
    private const LONGEST_WITH = 400;
    /** "Add the pods, then simmer" is two steps, "the pods and then the onions" one. */
    private const THEN = '/,?(?: and)? then (?!(?:the|an?|half|some|all|your|more|each|\d+)\b)|(?<=;) /iu';
    private const AND_HEAT = '/,? and (?:simmer|boil|bubble|reduce|cook)\b/iu';
    /** A sentence ends, or a lid goes on or off between two times. */
    private const BETWEEN_SENTENCES = '/(?<=[.!]) (?=\pL|\d)|(?<=\d|mins|minutes|min), (?=(?:un)?cover\b)|(?<=, cover), (?=simmer|cook|boil)/iu';

    /**
     * A line of text may hold several steps: each sentence that names a time is one. A line that ends in tags
     * ("[20 min] [boiling] [covered]") is one step, and the tags win over its words.
     *
     * @param array<int, string> $lines by their place in the method
     *
     * @return list<MethodStep>
     */
    public static function steps(array $lines): array
    {
        // one answer asks for the same method several times
        /** @var array{array<int, string>, list<MethodStep>}|null $last */
        static $last = null;
        if ($last === null || $last[0] !== $lines) {
            $last = [$lines, self::read($lines)];
        }

        return $last[1];
    }

    /**
     * How long it is at the hob in all, as far as its steps name times.
     *
     * @param array<int, string> $lines by their place in the method
     */
    public static function minutesAtTheHob(array $lines): float
    {
        $minutes = 0.0;
        foreach (self::steps($lines) as $step) {
            $minutes += $step->isAtTheHob() && $step->minutes !== null ? array_sum($step->minutes) / 2.0 : 0.0;
        }

        return $minutes;
    }

    /**
     * @param array<int, string> $lines
     *
     * @return list<MethodStep>
     */
    private static function read(array $lines): array
    {
        $steps = [];
        $lid = Lid::NotSaid;
        foreach (self::budgeted($lines) as $number => [$line, $sentences, $tags, $with]) {
            if ($sentences === null) {
                $steps[] = new MethodStep($line, 'do', null, null, $lid, null, line: $number);
                continue;
            }
            foreach ($sentences as $sentence) {
                // what the cook claims of keeping, or says that it comes to, is not done
                if ($tags === '' && $with === [] && (KeepingClaim::isWhole($sentence) || YieldClaim::isWhole($sentence))) {
                    continue;
                }
                // a lid stays where it was put until it is said to be off
                $said = Lid::saidIn($tags);
                $lid = ($said === Lid::NotSaid ? Lid::saidIn($sentence) : $said)->after($lid);
                $steps[] = self::step($sentence, $tags, $lid, $number, $with);
            }
        }

        return $steps;
    }

    /**
     * Each line in its sentences as they are read, claims among them, so that a line can be parted and nothing of it is
     * lost; a line that is one step, or is not read, whole.
     *
     * @param array<int, string> $lines by their place in the method
     *
     * @return list<list<string>>
     */
    public static function parted(array $lines): array
    {
        $parted = [];
        foreach (self::budgeted($lines) as [$line, $sentences]) {
            $parted[] = $sentences === null || count($sentences) < 2 ? [$line] : $sentences;
        }

        return $parted;
    }

    /**
     * @param array<int, string> $lines
     *
     * @return int|null the first line, from 0, that is too far on to be read; null where all are
     */
    public static function firstUnread(array $lines): ?int
    {
        foreach (self::budgeted($lines) as $number => [, $sentences]) {
            if ($sentences === null) {
                return $number;
            }
        }

        return null;
    }

    /**
     * Each line with its sentences and what its tags say; without sentences once the budget is spent.
     *
     * @param array<int, string> $lines
     *
     * @return \Generator<int, array{string, list<string>|null, string, list<string>}>
     */
    private static function budgeted(array $lines): \Generator
    {
        [$letters, $count] = [0, 0];
        foreach ($lines as $number => $line) {
            $line = mb_substr(trim(mb_scrub($line)), 0, self::LONGEST_STEP);
            $letters += mb_strlen($line);
            if ($letters > self::MOST_LETTERS || $count > self::MOST_SENTENCES) {
                yield $number => [$line, null, '', []];
                continue;
            }
            [$words, $tags, $with] = self::tagged($line);
            $sentences = $tags !== '' || $with !== [] ? [$words] : self::sentences($words);
            $count += count($sentences);
            yield $number => [$line, $count > self::MOST_SENTENCES ? null : $sentences, $tags, $with];
        }
    }

    /**
     * Whether anything in a method is brought to the hob.
     *
     * @param list<string> $lines
     */
    public static function cooks(array $lines): bool
    {
        foreach (self::steps($lines) as $step) {
            if ($step->kind === 'reduce') {
                return true;
            }
        }

        return false;
    }

    /**
     * What a method does to a sauce, as far as keeping depends on it.
     *
     * @param list<string> $lines
     * @param list<string> $besides what else the recipe says: its title, notes and stages
     */
    public static function treatment(array $lines, ?Treatment $measured = null, array $besides = []): Treatment
    {
        $ferments = MethodWords::areIn(implode(' ', $lines), 'ferments');

        return new Treatment(
            self::cooks($lines),
            $measured->phReadings ?? [],
            $measured?->waterActivity,
            $measured->isMeterStale ?? false,
            $measured?->solids,
            $ferments,
            $lines,
            $besides,
        );
    }

    /** @return list<string> */
    private static function sentences(string $line): array
    {
        $line = (string) preg_replace(['/\s+/u', '/^\d{1,2}[.)] /u'], [' ', ''], $line);
        $parts = preg_split(self::BETWEEN_SENTENCES, $line) ?: [];
        foreach ([self::byTime(...), self::byDeed(...)] as $cut) {
            $parts = array_merge([], ...array_map($cut, $parts));
        }

        return array_values(array_filter(array_map(trim(...), $parts), static fn(string $part): bool => $part !== ''));
    }

    /**
     * "Boil for 5 minutes, then simmer for 20" is two steps: each has a heat or a time of its own. "Cool, then jar" is one.
     *
     * @return list<string>
     */
    private static function byTime(string $sentence): array
    {
        preg_match_all(self::THEN, $sentence, $found, PREG_OFFSET_CAPTURE);
        [$steps, $from, $cut] = [[], 0, 0];
        $owns = null;
        foreach ([...$found[0], ['', strlen($sentence)]] as [$then, $to]) {
            $hasOwn = self::hasItsOwn(substr($sentence, $cut, $to - $cut));
            if ($owns === true && $hasOwn) {
                $steps[] = rtrim(substr($sentence, $from, $cut - $from), ', ');
                $from = $cut;
            }
            $owns = $owns === true || $hasOwn;
            $cut = $to + strlen($then);
        }
        $steps[] = substr($sentence, $from);

        return array_map(self::withoutThen(...), $steps);
    }

    /** A step that begins where two were joined does not begin with the joint. */
    private static function withoutThen(string $step): string
    {
        return (string) preg_replace('/,? then$/iu', '', $step);
    }

    private static function hasItsOwn(string $part): bool
    {
        return StepTime::in($part) !== null
            || in_array(StepDeed::of($part, '', false, null)->kind, ['heat', 'reduce'], true);
    }

    /**
     * "Blend with the rest and simmer 10 minutes" is two steps: what is done without heat, and what at the hob.
     *
     * @return list<string>
     */
    private static function byDeed(string $sentence): array
    {
        if (preg_match(self::AND_HEAT, $sentence, $found, PREG_OFFSET_CAPTURE) !== 1) {
            return [$sentence];
        }
        $before = substr($sentence, 0, $found[0][1]);
        foreach (['blends', 'strains', 'rests', 'cools'] as $row) {
            if (MethodWords::place($before, $row) !== null) {
                return [$before, (string) preg_replace('/^,? and /iu', '', substr($sentence, $found[0][1]))];
            }
        }

        return [$sentence];
    }

    /** @return array{string, string, list<string>} the words, what the tags at their end say, and what goes in by them */
    private static function tagged(string $line): array
    {
        [$words, $tags, $with] = [rtrim($line), '', []];
        while (str_ends_with($words, ']')) {
            $open = strrpos($words, '[');
            $tag = $open === false ? '' : substr($words, $open + 1, -1);
            $isWith = stripos($tag, self::WITH) === 0;
            if (
                $open === false
                || str_contains($tag, ']')
                || mb_strlen($tag) < 1
                || mb_strlen($tag) > ($isWith ? self::LONGEST_WITH : self::LONGEST_TAG)
            ) {
                break;
            }
            $words = rtrim(substr($words, 0, $open));
            if ($isWith) {
                $named = explode(ToldLinks::BETWEEN, substr($tag, strlen(self::WITH)));
                $with = [...array_values(array_filter(array_map(trim(...), $named))), ...$with];
            } else {
                $tags = "{$tag}  {$tags}";
            }
        }

        return [trim($words), trim($tags), $with];
    }

    /** @param list<string> $with */
    private static function step(string $text, string $tags, Lid $lid, int $line, array $with): MethodStep
    {
        $end = StepEnd::of($text);
        $minutes = StepTime::in($tags) ?? (KeepingClaim::isIn($text) ? null : StepTime::in($text));
        $deed = StepDeed::of($text, $tags, $end->left !== null || $end->millilitres !== null, $minutes);
        $until = preg_match('/\buntil\b\s*(.+?)[.;!]*$/iu', $text, $found) === 1 ? $found[1] : null;

        return new MethodStep(
            $text,
            $deed->kind,
            $minutes,
            $deed->heat,
            $lid,
            $end->left,
            StepTemperature::in($text),
            $until,
            self::says($text, 'sieves'),
            self::pan($text),
            $line,
            $end->millilitres,
            ThickEnd::in($text),
            $with,
        );
    }

    /** "in a 28 cm pan". */
    private static function pan(string $text): ?Pan
    {
        return preg_match('/(?<![\d.,])\d[\d.,]{0,9}\s{0,3}(?:cm|inch|in|l|litre)\b[^.;]{0,20}\bpan\b|\bpan of\s+\d/iu', $text) === 1
            ? Pan::parse($text)
            : null;
    }

    private static function says(string $text, string $row): bool
    {
        return MethodWords::areIn($text, $row);
    }
}
