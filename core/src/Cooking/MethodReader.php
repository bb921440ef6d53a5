<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Facts\FactsFile;
use Vinculum\Reading\Cursor;
use Vinculum\Reading\Lexer;
use Vinculum\Reading\NumberGrammar;

/** Reads the steps of a method: "simmer 15 to 20 minutes", "overnight", "an hour and a quarter", "until it halves". */
final class MethodReader
{
    private const LONGEST_STEP = 2000;
    private const SHARES = ['half' => 0.5, 'third' => 1 / 3, 'quarter' => 0.25, 'two thirds' => 2 / 3, 'three quarters' => 0.75];

    /**
     * A line of text may hold several steps: each sentence that names a time is one.
     *
     * @param list<string> $lines
     *
     * @return list<MethodStep>
     */
    public static function steps(array $lines): array
    {
        $steps = [];
        $isCovered = false;
        foreach ($lines as $line) {
            foreach (preg_split('/(?<=[.;!])\s+(?=\pL|\d)|,?\s+then\s+/u', mb_substr(trim(mb_scrub($line)), 0, self::LONGEST_STEP)) ?: [] as $sentence) {
                $sentence = trim($sentence);
                if ($sentence === '') {
                    continue;
                }
                // a lid stays where it was put until it is said to be off
                $isCovered = self::says($sentence, 'uncovered') ? false : ($isCovered || self::says($sentence, 'covered'));
                $steps[] = self::step($sentence, $isCovered);
            }
        }

        return $steps;
    }

    private static function step(string $text, bool $isCovered): MethodStep
    {
        $heat = Heat::namedIn($text);
        $isRest = self::says($text, 'rests');
        $left = self::left($text);
        $kind = match (true) {
            $heat !== null && (!$isRest || $left !== null) => 'reduce',
            $isRest => 'rest',
            self::says($text, 'cooks') => 'cook',
            default => 'do',
        };

        return new MethodStep($text, $kind, self::minutes($text), $kind === 'reduce' ? $heat : null, $isCovered, $left);
    }

    /** @return array{float, float}|null minutes from and to: the times named in a step, one after another */
    private static function minutes(string $text): ?array
    {
        foreach (FactsFile::named('times')['vague']->fields() as $words) {
            if (preg_match('/\b' . preg_quote($words, '/') . '\b/iu', $text) === 1) {
                [$from, $to] = FactsFile::named('times')['vague']->numbers($words);
                $before = self::measured(preg_replace('/\b' . preg_quote($words, '/') . '\b.*$/iu', '', $text) ?? '');

                // "4 hours to overnight" runs from the one to the other
                return [$before === null ? $from : min($before[0], $from), $to];
            }
        }

        return self::measured($text);
    }

    /** @return array{float, float}|null */
    private static function measured(string $text): ?array
    {
        $tokens = Lexer::tokens($text);
        $sum = null;
        for ($index = 0; $index < count($tokens); ++$index) {
            $cursor = new Cursor(array_slice($tokens, $index));
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
            $sum = [($sum[0] ?? 0.0) + $unit * ($range[0] + $portion), ($sum[1] ?? 0.0) + $unit * ($range[1] + $portion)];
            $index += $cursor->position() - 1;
        }

        return $sum;
    }

    /** "an hour and a half", "an hour and a quarter". */
    private static function andAPortion(Cursor $cursor): float
    {
        $start = $cursor->position();
        if ($cursor->skipWord('and')) {
            $cursor->skipWord('a');
            foreach (['half' => 0.5, 'quarter' => 0.25, 'third' => 1 / 3] as $word => $share) {
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
        if (preg_match('/\b(?:reduc\w*|boil\w* down|cook\w* down|simmer\w*)\b.*?\b(by|to)\s+(?:about\s+)?(?:a\s+|an\s+|one\s+)?(two thirds|three quarters|half|third|quarter)\b/iu', $text, $found) === 1) {
            $share = self::SHARES[mb_strtolower($found[2])];

            return mb_strtolower($found[1]) === 'by' ? 1.0 - $share : $share;
        }

        return null;
    }

    private static function says(string $text, string $row): bool
    {
        foreach (FactsFile::named('times')[$row]->list('words') as $word) {
            if (preg_match('/\b' . preg_quote($word, '/') . '\b/iu', $text) === 1) {
                return true;
            }
        }

        return false;
    }
}
