<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

/** Cuts what was said into things said: at its marks, and where it has none, at the words that begin something new. */
final class Clauses
{
    /** Words after which something without a mark is cut at a word that begins something new. */
    private const LONG = 14;
    private const ENDLESS = 35;

    /** @return list<array{int, string}> where each begins, in bytes, and its text */
    public static function of(string $text): array
    {
        $clauses = [];
        foreach (preg_split('/(?<=[.!?;])\s+(?=\S)/u', $text, -1, PREG_SPLIT_OFFSET_CAPTURE | PREG_SPLIT_NO_EMPTY) ?: [] as [$part, $at]) {
            foreach (self::cut($part) as [$offset, $clause]) {
                $clauses[] = [$at + $offset, $clause];
            }
        }

        return $clauses;
    }

    /** @return list<array{int, string}> */
    private static function cut(string $sentence): array
    {
        if (str_word_count($sentence) <= self::LONG) {
            return [[0, $sentence]];
        }
        $breaks = TellingWords::pattern('breaks');
        $does = TellingWords::pattern('does');
        // who says no full stop begins anew with what is done next
        $isEndless = str_word_count($sentence) > self::ENDLESS;
        $begins = TellingWords::pattern('begins');
        $more = $isEndless
            ? "|\\b(?:now|then|so)\\b|\\band (?={$does})|" . TellingWords::pattern('others-begin')
                . "|{$begins}(?= (?:it|them|that|for|until|till|everything|the|gently|in)\\b)"
            : '';
        preg_match_all("/(?<!now )(?:{$breaks}{$more})/iu", $sentence, $found, PREG_OFFSET_CAPTURE);
        [$clauses, $from] = [[], 0];
        foreach ($found[0] as [, $at]) {
            if ($at - $from > 12) {
                $clauses[] = [$from, substr($sentence, $from, $at - $from)];
                $from = $at;
            }
        }
        $clauses[] = [$from, substr($sentence, $from)];

        return $clauses;
    }
}
