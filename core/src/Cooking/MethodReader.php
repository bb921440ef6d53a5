<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Balance\Treatment;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Words;
use Vinculum\Recipe\Parser\Cursor;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\NumberGrammar;

/** Reads the steps of a method: "simmer 15 to 20 minutes", "overnight", "an hour and a quarter", "until it halves". */
final class MethodReader
{
    private const LONGEST_STEP = 2000;
    /** Letters and sentences of a method after which its steps are kept, and not read. */
    private const MOST_LETTERS = 12_000;
    private const MOST_SENTENCES = 500;
    private const LONGEST_TAG = 40;
    private const SHARES = [
        'half' => 0.5,
        'third' => 1 / 3,
        'quarter' => 0.25,
        'two thirds' => 2 / 3,
        'three quarters' => 0.75,
    ];

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
        $steps = [];
        $isCovered = false;
        foreach (self::budgeted($lines) as $number => [$line, $sentences, $tags]) {
            if ($sentences === null) {
                $steps[] = new MethodStep($line, 'do', null, null, $isCovered, null, line: $number);
                continue;
            }
            foreach ($sentences as $sentence) {
                // a lid stays where it was put until it is said to be off
                $said = $tags !== '' && (self::says($tags, 'covered') || self::says($tags, 'uncovered'))
                    ? $tags
                    : $sentence;
                $isCovered = self::says($said, 'uncovered') ? false : ($isCovered || self::says($said, 'covered'));
                $steps[] = self::step($sentence, $tags, $isCovered, $number);
            }
        }

        return $steps;
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
     * @return \Generator<int, array{string, list<string>|null, string}>
     */
    private static function budgeted(array $lines): \Generator
    {
        [$letters, $count] = [0, 0];
        foreach ($lines as $number => $line) {
            $line = mb_substr(trim(mb_scrub($line)), 0, self::LONGEST_STEP);
            $letters += mb_strlen($line);
            if ($letters > self::MOST_LETTERS || $count > self::MOST_SENTENCES) {
                yield $number => [$line, null, ''];
                continue;
            }
            [$words, $tags] = self::tagged($line);
            $sentences = $tags !== '' ? [$words] : self::sentences($words);
            $count += count($sentences);
            yield $number => [$line, $count > self::MOST_SENTENCES ? null : $sentences, $tags];
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
     */
    public static function treatment(array $lines, ?Treatment $measured = null): Treatment
    {
        $ferments = Words::areIn(implode(' ', $lines), FactsFile::named('times')['ferments']->list('words'));

        return new Treatment(
            self::cooks($lines),
            $measured->phReadings ?? [],
            $measured?->waterActivity,
            $measured->isMeterStale ?? false,
            $measured?->solids,
            $ferments,
        );
    }

    /** @return list<string> */
    private static function sentences(string $line): array
    {
        $parts = preg_split('/(?<=[.;!])\s+(?=\pL|\d)|,?\s+then\s+/u', $line) ?: [];

        return array_values(array_filter(array_map(trim(...), $parts), static fn(string $part): bool => $part !== ''));
    }

    /** @return array{string, string} the words, and what the tags at their end say */
    private static function tagged(string $line): array
    {
        [$words, $tags] = [rtrim($line), ''];
        while (str_ends_with($words, ']')) {
            $open = strrpos($words, '[');
            $tag = $open === false ? '' : substr($words, $open + 1, -1);
            if (
                $open === false
                || str_contains($tag, ']')
                || mb_strlen($tag) < 1
                || mb_strlen($tag) > self::LONGEST_TAG
            ) {
                break;
            }
            [$words, $tags] = [rtrim(substr($words, 0, $open)), "{$tag}  {$tags}"];
        }

        return [trim($words), trim($tags)];
    }

    private static function step(string $text, string $tags, bool $isCovered, int $line): MethodStep
    {
        // what boiling water is poured over does not boil
        $heat = Heat::namedIn($tags) ?? Heat::namedIn(
            (string) preg_replace('/\b(?:boiling|boiled)(?: hot)? water\b/iu', '', $text),
        );
        // "stir in the rest" waits for nothing
        $isRest = self::says((string) preg_replace('/\bthe rest\b/iu', '', $text), 'rests');
        $left = self::left($text);
        $kind = match (true) {
            $heat !== null && (!$isRest || $left !== null) => 'reduce',
            $isRest => 'rest',
            self::says($text, 'cooks') => 'cook',
            default => 'do',
        };
        $until = preg_match('/\buntil\b\s*(.+?)[.;!]*$/iu', $text, $found) === 1 ? $found[1] : null;

        return new MethodStep(
            $text,
            $kind,
            self::minutes($tags) ?? self::minutes($text),
            $kind === 'reduce' ? $heat : null,
            $isCovered,
            $left,
            self::celsius($text),
            $until,
            self::says($text, 'sieves'),
            self::pan($text),
            $line,
        );
    }

    /** "to 82 °C", "at 180C", "165 °F". */
    private static function celsius(string $text): ?float
    {
        if (preg_match('/(-?\d{1,3}(?:[.,]\d)?)\s*(?:°\s*|degrees?\s*)?([CF])\b/u', $text, $found) !== 1) {
            return null;
        }
        $degrees = (float) str_replace(',', '.', $found[1]);

        return $found[2] === 'F' ? ($degrees - 32.0) / 1.8 : $degrees;
    }

    /** "in a 28 cm pan". */
    private static function pan(string $text): ?Pan
    {
        return preg_match('/\d[\d.,]*\s*(?:cm|inch|in|l|litre)\b[^.;]{0,20}\bpan\b|\bpan of\s+\d/iu', $text) === 1
            ? Pan::parse($text)
            : null;
    }

    /** @return array{float, float}|null minutes from and to: the times named in a step, one after another */
    private static function minutes(string $text): ?array
    {
        foreach (FactsFile::named('times')['vague']->fields() as $words) {
            if (Words::areIn($text, [$words])) {
                [$from, $to] = FactsFile::named('times')['vague']->numbers($words);
                $before = self::measured(preg_replace('/' . Words::pattern([$words]) . '.*$/iu', '', $text) ?? '');

                // "4 hours to overnight" runs from the one to the other
                return [$before === null ? $from : min($before[0], $from), $to];
            }
        }

        return self::measured($text);
    }

    /** @return array{float, float}|null */
    private static function measured(string $text): ?array
    {
        $cursor = new Cursor(Lexer::tokens($text));
        $sum = null;
        for ($index = 0; !$cursor->isAtEnd(); ++$index) {
            $cursor->backTo($index);
            $range = NumberGrammar::range($cursor);
            if ($range === null || is_nan($range[0]) || $range[1] <= 0.0) {
                continue;
            }
            $cursor->skipMark('-');
            $cursor->skipWord('more', 'good', 'whole', 'full');
            $cursor->skipWord('a', 'an', 'of');
            $unit = self::unit($cursor->peek()->text ?? '');
            if ($unit === null) {
                continue;
            }
            $cursor->move();
            $portion = self::andAPortion($cursor);
            $sum = [
                ($sum[0] ?? 0.0) + $unit * ($range[0] + $portion),
                ($sum[1] ?? 0.0) + $unit * ($range[1] + $portion),
            ];
            $index = $cursor->position() - 1;
        }

        return $sum;
    }

    /** "an hour and a half", "an hour and a quarter". */
    private static function andAPortion(Cursor $cursor): float
    {
        $start = $cursor->position();
        if ($cursor->skipWord('and')) {
            $cursor->skipWord('a');
            foreach (self::SHARES as $word => $share) {
                if ($cursor->skipWord($word) && self::unit($cursor->peek()->text ?? '') === null) {
                    return $share;
                }
            }
        }
        $cursor->backTo($start);

        return 0.0;
    }

    /** Minutes of a unit of time; null where the word is none. */
    private static function unit(string $word): ?float
    {
        $word = rtrim(mb_strtolower($word), '.');
        $units = FactsFile::named('times')['units'];
        foreach ([$word, rtrim($word, 's')] as $name) {
            if ($name !== '' && $units->has($name)) {
                return $units->number($name);
            }
        }

        return null;
    }

    /** "until it halves", "reduce by a third", "boil down to a quarter": the share of the volume that is left. */
    private static function left(string $text): ?float
    {
        if (preg_match('/\b(?:halves|halved|by half|to half)\b/iu', $text) === 1) {
            return 0.5;
        }
        if (preg_match(
            '/\b(?:reduc\w*|boil\w* down|cook\w* down|simmer\w*)\b.*?\b(by|to)\s+(?:about\s+)?(?:a\s+|an\s+|one\s+)?(two thirds|three quarters|half|third|quarter)\b/iu',
            $text,
            $found,
        ) === 1) {
            $share = self::SHARES[mb_strtolower($found[2])];

            return mb_strtolower($found[1]) === 'by' ? 1.0 - $share : $share;
        }

        return null;
    }

    private static function says(string $text, string $row): bool
    {
        return Words::areIn($text, FactsFile::named('times')[$row]->list('words'));
    }
}
