<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Words;
use Vinculum\Recipe\Parser\Cursor;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\NumberGrammar;
use Vinculum\Recipe\Parser\Token;

/** How long a step takes in all, from and to in minutes: "an hour and a half", "1h30", "at least 4 hours or up to 2 days". */
final class StepTime
{
    private const PORTIONS = ['half' => 0.5, 'quarter' => 0.25, 'third' => 1 / 3];
    private const UP_TO = '/\b(?:within|no more than|not more than|at most|up to|less than|under|no longer than|in under)\s*$/iu';
    private const OR_UP_TO = '/^\s*+,?\s*+(?:or |and )?(?:up to|as long as|even)\b/iu';
    /** One time or the other, not both. */
    private const OTHERWISE = '/\bor\s+(?:[\pL]+\s+){0,2}$|\bif\b[^.;]{0,40}$/iu';
    private const IF = '/^\s*\(?if\b/iu';
    private const LATER = '/^\s*(?:before the end|before it is done|later|beforehand|earlier|ahead|from the end)\b/iu';

    /** @return array{float, float}|null null where no time is named */
    public static function in(string $text): ?array
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

    /** @return array{float, float}|null the times of its own that a step names, one after another */
    private static function measured(string $text): ?array
    {
        $text = self::apart($text);
        $sum = null;
        $end = 0;
        foreach (self::times($text) as [$at, $until, $low, $high]) {
            [$before, $after] = [substr($text, $end, $at - $end), substr($text, $until)];
            $end = $until;
            if (self::isAside($before) || preg_match(self::LATER, $after) === 1) {
                continue;
            }
            if ($sum !== null && (preg_match(self::OTHERWISE, $before) === 1 || preg_match(self::IF, $after) === 1)) {
                // "5 minutes if frozen, 8 if fresh"
                $sum = [min($sum[0], $low), max($sum[1], $high)];
                continue;
            }
            if ($sum !== null && preg_match(self::OR_UP_TO, $before) === 1) {
                // "at least 4 hours or up to 2 days"
                $sum = [$sum[0], max($sum[1], $high)];
                continue;
            }
            $low = preg_match(self::UP_TO, $before) === 1 ? 0.0 : $low;
            $sum = [($sum[0] ?? 0.0) + $low, ($sum[1] ?? 0.0) + $high];
        }

        return $sum;
    }

    /** "1h30", "20m", "2hrs": a number and its unit apart. */
    private static function apart(string $text): string
    {
        $text = (string) preg_replace('/\b(\d+)\s?h(?:rs?)?\s?(\d{1,2})\s?(?:m(?:ins?)?)?\b/iu', '$1 hours $2 minutes', $text);

        return (string) preg_replace(['/\b(\d+)m\b/u', '/\b(\d+)\s?h\b/u'], ['$1 minutes', '$1 hours'], $text);
    }

    /**
     * @return list<array{int, int, float, float}> where each time begins and ends in the text, and its minutes
     */
    private static function times(string $text): array
    {
        $tokens = Lexer::tokens($text);
        $cursor = new Cursor($tokens);
        $times = [];
        $last = 1.0;
        for ($index = 0; $index < count($tokens); ++$index) {
            $cursor->backTo($index);
            $range = NumberGrammar::range($cursor);
            if ($range === null || is_nan($range[0]) || $range[1] <= 0.0) {
                continue;
            }
            $cursor->skipMark('-');
            $cursor->skipWord('more', 'good', 'whole', 'full', 'further', 'another', 'extra');
            $cursor->skipWord('a', 'an', 'of');
            $unit = self::unit($cursor->peek()->text ?? '');
            if ($unit === null) {
                // "simmer 5", "for the last 5", "8 if fresh": minutes, as those before it
                if (self::isBareMinutes($tokens, $index, $cursor)) {
                    // "4 hours on low, or high for 2": of the unit before
                    $isOr = preg_match('/\bor\b[^,.;]*$/iu', substr($text, 0, $tokens[$index]->offset)) === 1;
                    $each = $isOr ? $last : 1.0;
                    $end = $tokens[$cursor->position() - 1]->end;
                    $times[] = [$tokens[$index]->offset, $end, $each * $range[0], $each * $range[1]];
                    $index = $cursor->position() - 1;
                }
                continue;
            }
            $last = $unit;
            $cursor->move();
            $portion = self::andAPortion($cursor);
            $until = $cursor->isAtEnd() ? strlen($text) : (int) $cursor->peek()?->offset;
            $minutes = [$unit * ($range[0] + $portion), $unit * ($range[1] + $portion)];
            $times[] = [$tokens[$index]->offset, $until, ...$minutes];
            $index = $cursor->position() - 1;
        }

        return $times;
    }

    /**
     * Whether a number without a unit can only be minutes: behind a word of cooking, and nothing follows that it counts.
     *
     * @param list<Token> $tokens
     */
    private static function isBareMinutes(array $tokens, int $at, Cursor $behind): bool
    {
        $before = $tokens[$at - 1] ?? null;
        $next = $behind->peek();
        $isAlone = $next === null
            || $next->isMark(',', '.', ';', ')', ':')
            || $next->isWord('more', 'then', 'if', 'or');
        $isLed = $before?->isWord('for', 'last', 'first', 'final') === true
            || ($before?->isWord() === true && MethodWords::place($before->lower, 'timed') === 0);

        return $tokens[$at]->isNumber() && (($isAlone && $isLed) || $next?->isWord('if') === true);
    }

    /** Whether what stands before a time makes it one of what is done meanwhile: "stirring every 10 minutes". */
    private static function isAside(string $before): bool
    {
        return preg_match(
            '/' . MethodWords::pattern('aside') . '(?:\s+(?:of|the|a|about|couple|few))*\s*$/iu',
            $before,
        ) === 1;
    }

    /** "an hour and a half", "an hour and a quarter". */
    private static function andAPortion(Cursor $cursor): float
    {
        $start = $cursor->position();
        if ($cursor->skipWord('and')) {
            $cursor->skipWord('a');
            foreach (self::PORTIONS as $word => $share) {
                $next = $cursor->peek();
                if ($next?->isWord() === true && rtrim(mb_strtolower($next->text), '.') === $word) {
                    $cursor->move();
                    if (self::unit($cursor->peek()->text ?? '') === null) {
                        return $share;
                    }
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
}
