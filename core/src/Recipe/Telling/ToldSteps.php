<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

use Vinculum\Quantity\SpokenNumber;

/** What is done, of what somebody tells: with heat, a tool or time. */
final class ToldSteps
{
    private const KEEPS_BEHIND = '/[,;]?\s+and (?:it|they|that|this)(?:\'ll|’ll| will| should)? (?:keeps?|lasts?)\b.*$/isu';
    private const A_TIME = '/\b(?:minutes?|mins?|hours?|overnight)\b/iu';

    /**
     * @param list<array{int, string}> $clauses
     *
     * @return array<int, string> by clause
     */
    public static function in(array $clauses, int $from): array
    {
        $steps = [];
        foreach ($clauses as $number => [$at, $clause]) {
            // "twenty minutes, and it keeps for months"
            $clause = (string) preg_replace(self::KEEPS_BEHIND, '', $clause);
            $isTimed = self::isTimed($clause);
            $isDone = $isTimed || self::tellsWhatWasDone($clause);
            if ($at < $from || !$isDone && !TellingWords::areIn($clause, 'does')) {
                continue;
            }
            $unserved = '/\b(?:cover|covered|brush|top|fill|toss) (?:it|them|that) with\b/iu';
            $isTalk = TellingWords::areIn($clause, 'other')
                // "that's for a kilo of cucumbers, which you've salted for two hours"
                || !($isTimed && (TellingWords::areIn($clause, 'does') || TellingWords::areIn($clause, 'did')))
                && TellingWords::areIn((string) preg_replace($unserved, '', $clause), 'served')
                // "ten minutes, don't let it boil" is done all the same
                || TellingWords::areIn($clause, 'no-step') && preg_match(self::A_TIME, $clause) !== 1;
            $step = self::asAStep($clause);
            $isOfThings = !$isTimed && preg_match('/^(?:an?|some|about|\d|half|one|two|three|four|five|six)\b/iu', $step) === 1;
            if (!$isTalk && !$isOfThings && str_word_count($step) >= 2 && ($isDone || self::tellsTo($step))) {
                $steps[$number] = $step;
            }
        }

        return $steps;
    }

    /** Whether something takes a time in it: "it bubbled for about twelve minutes", "one tomato, roasted for 20 minutes". */
    private static function isTimed(string $clause): bool
    {
        $number = SpokenNumber::pattern() . '|half|quarters?|hundred|\pL+(?:ty|teen)';
        $time = "(?:{$number})\\b[\\pL\\s-]{0,20}?\\b(?:minutes?|mins?|hours?|seconds?)\\b";
        $elsewhen = TellingWords::pattern('elsewhen');

        return preg_match("/{$time}|\bovernight\b/iu", $clause) === 1
            && preg_match("/{$time}['’]?\s+(?:\pL+\s+)?{$elsewhen}/iu", $clause) !== 1
            && preg_match('/\b(?:keeps?|lasts?|takes? (?:me|us)|took me)\b/iu', $clause) !== 1;
    }

    /** "I toasted the peanuts", "fried three shallots", "it bubbled away". */
    private static function tellsWhatWasDone(string $clause): bool
    {
        $did = TellingWords::pattern('did');
        $number = SpokenNumber::pattern();

        $what = "(?:it|them|that|those|the|everything|all|in|for|until|till|{$number})";

        return preg_match(
            "/^\W*(?:(?:and|then|so|first)\s+)*(?:(?:i|we|it|they|that)\s+{$did}\b|{$did}\s+{$what}\b)/iu",
            $clause,
        ) === 1;
    }

    /** Whether it begins with what is to be done, or a time or a heat stands in it. */
    private static function tellsTo(string $step): bool
    {
        $does = TellingWords::pattern('does');

        return preg_match("/^(?:\W*[\pL']+){0,4}\W*{$does}/iu", $step) === 1
            || preg_match('/\d+\s*(?:minutes?|mins?|hours?|degrees)|\b(?:minutes?|hours?|overnight)\b/iu', $step) === 1;
    }

    /** "and then i'm just going to simmer that" as a cook writes it: "Simmer that." */
    private static function asAStep(string $clause): string
    {
        $fillers = TellingWords::pattern('fillers');
        $step = SpokenNumber::joined(trim($clause));
        do {
            $before = $step;
            $step = (string) preg_replace("/^[\s,.–-]*{$fillers}[\s,]*/iu", '', $step, 1);
        } while ($step !== $before);
        $number = SpokenNumber::pattern();
        // "eight minutes, flip, five more"
        $more = "/(\bminutes?\b[^.]{0,30}?\b(?:{$number}))\s+more\b(?!\s+(?:minutes?|of)\b)/iu";
        $step = (string) preg_replace($more, '$1 minutes more', $step);
        $step = trim($step, " ,;.-");

        return $step === '' ? '' : mb_strtoupper(mb_substr($step, 0, 1)) . mb_substr($step, 1) . '.';
    }
}
