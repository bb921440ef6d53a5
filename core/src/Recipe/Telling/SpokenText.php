<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

/**
 * What was said, without the stamps and the numbers of subtitles, as one running text; every byte of it knows where it
 * stands in what was pasted.
 */
final readonly class SpokenText
{
    /** Lines of subtitles that nobody says. */
    private const NOT_SAID = '/^\s*(?:WEBVTT\b.*|\d{1,6}|NOTE\b.*|(?:Kind|Language):.*|STYLE|(?:\d{1,2}:)?\d{1,2}:\d{2}(?:[.,]\d{1,3})?\s*-->.*)\s*$/u';
    /** Stamps, tags and sounds among what is said. */
    private const AMONG = '/<[^<>]{1,80}>|[\[(](?:\d{1,2}:)?\d{1,2}:\d{2}(?:[.,]\d{1,3})?[\])]|^\s*(?:\d{1,2}:)?\d{1,2}:\d{2}(?:[.,]\d{1,3})?\s*[-–:]?\s|[\[(](?:music|laugh\w*|applause|inaudible|sizzling|chopping|sighs?)[\])]|^\s*(?:>>+|[-–]\s)|♪/iu';

    /** A line that the next one finishes. */
    private const GOES_ON = '/(?:[.,!?;:–-]|\b(?:of|a|an|the|my|some|and|or|with|in|into|to|about|half|quarter|just|like|then|so|is|are|i|we|you|it))\s*$/iu';
    private const LEAST_SAID = 3;
    private const LINES_OF_A_LIST = 5;
    private const WORDS_OF_A_LINE = 5.5;
    private const LONGEST_LINE = 10;

    /** @param list<int> $places of each byte of the text in what was pasted, in bytes */
    private function __construct(public string $text, private string $pasted, private array $places) {}

    public static function of(string $pasted): self
    {
        [$text, $places, $at, $last] = ['', [], 0, ''];
        [$isListed, $isStamped] = [self::isListed($pasted), self::isStamped($pasted)];
        $lines = preg_split('/(?<=\n)/', $pasted) ?: [];
        foreach ($lines as $number => $line) {
            $said = rtrim($line, "\r\n");
            $isBlank = trim($said) === '';
            // subtitles say a line twice while it rolls up
            if (preg_match(self::NOT_SAID, $said) === 1 || !$isBlank && trim($said) === $last) {
                $at += strlen($line);
                continue;
            }
            $last = $isBlank ? $last : trim($said);
            $kept = (string) preg_replace_callback(
                self::AMONG,
                static fn(array $found): string => str_repeat(' ', strlen($found[0])),
                $said,
            );
            // of short lines each says a thing of its own
            $next = self::nextOf($lines, $number);
            $goesOn = preg_match(self::GOES_ON, $kept) === 1 || preg_match('/^(?:of|and a)\b/iu', $next) === 1;
            $isLong = str_word_count($kept) >= self::LEAST_SAID;
            $isNew = !$goesOn && ($isListed
                || $isStamped && $isLong && (self::beginsAnew($next) || self::isMeasuredTwice($kept, $next)));
            $end = $isNew ? ".\n" : "\n";
            foreach (str_split($kept . $end) as $offset => $byte) {
                $isSpace = $byte === ' ' || $byte === "\n" || $byte === "\t";
                if ($isSpace && ($text === '' || str_ends_with($text, ' '))) {
                    continue;
                }
                $text .= $isSpace ? ' ' : $byte;
                $places[] = $at + min($offset, strlen($line) - 1);
            }
            $at += strlen($line);
        }

        return new self($text, $pasted, $places);
    }

    /**
     * What is said after a line of what was pasted.
     *
     * @param list<string> $lines
     */
    private static function nextOf(array $lines, int $number): string
    {
        for ($at = $number + 1; isset($lines[$at]); ++$at) {
            if (trim($lines[$at]) !== '' && preg_match(self::NOT_SAID, rtrim($lines[$at])) !== 1) {
                return trim((string) preg_replace(self::AMONG, ' ', $lines[$at]));
            }
        }

        return '';
    }

    /** Whether a line of a recording begins with an amount, with what is done next, or with somebody else. */
    private static function beginsAnew(string $line): bool
    {
        [$numbers, $measures, $does] = array_map(TellingWords::pattern(...), ['numbers', 'counted', 'begins']);

        return preg_match("/^(?:{$numbers}|\\d+|[½¼¾⅓⅔])(?:\\s+\\pL+){0,2}?\\s+{$measures}\\b/iu", $line) === 1
            || preg_match("/^(?:{$does}|he|she|they|(?:it )?keeps)\\b/iu", $line) === 1;
    }

    /** "olive oil in the pan two tablespoons / one red onion": an amount at the end, and another in the next line. */
    private static function isMeasuredTwice(string $line, string $next): bool
    {
        [$numbers, $measures] = array_map(TellingWords::pattern(...), ['numbers', 'counted']);

        return preg_match("/\\b{$measures}\s*$/iu", $line) === 1
            && preg_match("/^(?:{$numbers}|\d+|[½¼¾⅓⅔])(?!\pL)/iu", $next) === 1;
    }

    /** Whether a recording is told in short lines: "[0:05] one cup mayo". */
    private static function isListed(string $pasted): bool
    {
        $lines = array_filter(
            preg_split('/\R/u', $pasted) ?: [],
            static fn(string $line): bool => trim($line) !== '' && preg_match(self::NOT_SAID, $line) !== 1,
        );
        $words = array_map(
            static fn(string $line): int => str_word_count((string) preg_replace(self::AMONG, ' ', $line)),
            $lines,
        );

        return self::isStamped($pasted) && count($words) >= self::LINES_OF_A_LIST
            && array_sum($words) / count($words) <= self::WORDS_OF_A_LINE && max($words) <= self::LONGEST_LINE;
    }

    /**
     * Where a part of it stands in what was pasted.
     *
     * @return array{int, int} from and to, in characters
     */
    public function origin(int $from, int $to): array
    {
        if ($this->places === []) {
            return [0, 0];
        }
        $last = count($this->places) - 1;
        $begins = $this->places[min($from, $last)];
        $ends = $this->places[max(0, min($to - 1, $last))] + 1;

        return [
            mb_strlen(substr($this->pasted, 0, $begins)),
            mb_strlen(substr($this->pasted, 0, $ends)),
        ];
    }

    /** Whether stamps of a recording stood in it. */
    public static function isStamped(string $pasted): bool
    {
        return preg_match_all(
            '/^\s*(?:WEBVTT\b|[\[(]?(?:\d{1,2}:)?\d{1,2}:\d{2}(?:[.,]\d{1,3})?(?:[\])]|\s*-->|\s))/mu',
            $pasted,
        ) >= 3;
    }
}
