<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** Reads numbers as cooks write them: "1 1/2", "one and a half", "half a", "2 to 3", "a couple of". */
final class NumberGrammar
{
    private const WORDS = [
        'a' => 1, 'an' => 1, 'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6,
        'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10,
        'eleven' => 11, 'twelve' => 12, 'thirteen' => 13, 'fourteen' => 14, 'fifteen' => 15, 'sixteen' => 16,
        'seventeen' => 17, 'eighteen' => 18, 'nineteen' => 19, 'twenty' => 20, 'thirty' => 30, 'forty' => 40,
        'fifty' => 50, 'sixty' => 60, 'seventy' => 70, 'eighty' => 80, 'ninety' => 90, 'dozen' => 12, 'doz' => 12,
        'couple' => 2, 'few' => 3, 'several' => 4,
        'half' => 0.5, 'third' => 1 / 3, 'quarter' => 0.25, 'eighth' => 0.125, 'another' => 1,
    ];
    private const PORTIONS = [
        'half' => 0.5,
        'halves' => 0.5,
        'third' => 1 / 3,
        'thirds' => 1 / 3,
        'quarter' => 0.25,
        'quarters' => 0.25,
        'eighth' => 0.125,
        'eighths' => 0.125,
        'fifth' => 0.2,
        'fifths' => 0.2,
    ];
    private const POWERS = [
        'hundred' => 100, 'thousand' => 1000, 'million' => 1e6, 'billion' => 1e9, 'dozen' => 12, 'doz' => 12,
    ];

    /**
     * A number or a range, or null with the cursor where it was.
     *
     * @return array{float, float}|null lower and upper end
     */
    public static function range(Cursor $cursor): ?array
    {
        $between = $cursor->skipWord('between');
        $low = self::number($cursor);
        if ($low === null) {
            if ($between) {
                $cursor->move(-1);
            }

            return null;
        }
        $before = $cursor->position();
        if (
            $cursor->skipMark('-', '–', '—', '~')
            || $cursor->skipWord('to', 'or')
            || ($between && $cursor->skipWord('and'))
        ) {
            $next = $cursor->peek();
            $isNumeral = $next !== null
                && (
                    $next->isNumber()
                    || (
                        $next->isWord()
                        && self::whole($next->text) !== null
                        && !$next->isWord('a', 'an', 'another')
                    )
                );
            $high = $isNumeral ? self::number($cursor) : null;
            if ($high !== null) {
                return is_nan($low) || is_nan($high) ? [NAN, NAN] : [min($low, $high), max($low, $high)];
            }
        }
        $cursor->backTo($before);

        return [$low, $low];
    }

    private static function number(Cursor $cursor): ?float
    {
        return $cursor->peek()?->isNumber() === true ? self::numeral($cursor) : self::spelled($cursor);
    }

    /** "2", "1 1/2", "1-1/2", "1½", "1 and a half", "1 million". */
    private static function numeral(Cursor $cursor): float
    {
        $first = $cursor->peek();
        assert($first !== null);
        $cursor->move();
        $value = $first->number;
        $next = $cursor->peek();
        $afterNext = $cursor->peek(1);
        if (!$first->isFraction) {
            if ($next?->isNumber() === true && $next->isFraction && ($next->number < 1.0 || is_nan($next->number))) {
                $cursor->move();

                return $value + $next->number;
            }
            if (
                $next?->isMark('-') === true
                && $next->isGlued
                && $afterNext?->isNumber() === true
                && $afterNext->isGlued
                && $afterNext->isFraction
                && $afterNext->number < 1.0
                && floor($value) === $value
            ) {
                $cursor->move(2);

                return $value + $afterNext->number;
            }
        }
        $value += self::andAPortion($cursor);
        $power = self::POWERS[mb_strtolower($cursor->peek()->text ?? '')] ?? null;
        if ($power !== null) {
            $cursor->move();

            return $value * $power;
        }

        return $value;
    }

    /** "half a", "a quarter of a", "three quarters of", "one and a half", "a couple of", "a dozen", "a few". */
    private static function spelled(Cursor $cursor): ?float
    {
        $start = $cursor->position();
        $joined = explode('-', mb_strtolower($cursor->peek()->text ?? ''));
        if (count($joined) === 2 && isset(self::WORDS[$joined[0]], self::PORTIONS[$joined[1]])) {
            $cursor->move();
            self::skipConnectives($cursor);

            return self::WORDS[$joined[0]] * self::PORTIONS[$joined[1]];
        }
        $word = $cursor->peek()?->kind === TokenKind::Word ? self::whole($cursor->peek()->text) : null;
        if ($word === null) {
            return null;
        }
        $isArticle = $cursor->peek()?->isWord('a', 'an') === true;
        $value = (float) $word;
        $cursor->move();
        $portion = self::PORTIONS[mb_strtolower($cursor->peek()->text ?? '')] ?? null;
        if ($portion !== null && $cursor->peek()?->kind === TokenKind::Word && $value >= 1.0) {
            $cursor->move();
            $value *= $portion;
            $isArticle = false;
        } elseif ($isArticle && $cursor->peek()?->isWord('couple', 'few', 'dozen', 'good', 'generous') === true) {
            $counted = self::WORDS[mb_strtolower($cursor->peek()->text)] ?? null;
            if ($counted !== null) {
                $cursor->move();
                $value = (float) $counted;
            }
            $isArticle = false;
        } elseif (isset(self::POWERS[mb_strtolower($cursor->peek()->text ?? '')])) {
            $value *= self::POWERS[mb_strtolower($cursor->peek()->text ?? '')];
            $cursor->move();
            $value += self::andTens($cursor);
        } elseif (
            $cursor->peek()?->isMark('-') === true
            && isset(self::PORTIONS[mb_strtolower($cursor->peek(1)->text ?? '')])
        ) {
            $value *= self::PORTIONS[mb_strtolower($cursor->peek(1)->text ?? '')];
            $cursor->move(2);
        }
        if (!$isArticle) {
            $value += self::andAPortion($cursor);
        }
        self::skipConnectives($cursor);
        if ($value < 1.0 && $cursor->skipWord('dozen')) {
            $value *= 12.0;
        }

        return $cursor->position() > $start ? $value : null;
    }

    /** "one", "twenty", "twenty-five". */
    private static function whole(string $word): ?float
    {
        [$first, $second] = [...explode('-', mb_strtolower($word), 2), ''];
        $tens = self::WORDS[$first] ?? null;
        if ($tens === null || $second === '') {
            return $tens === null ? null : (float) $tens;
        }
        $ones = self::WORDS[$second] ?? null;

        return $tens >= 20 && $ones !== null && $ones >= 1 && $ones < 10 ? (float) ($tens + $ones) : null;
    }

    /** "… and fifty" after a hundred. */
    private static function andTens(Cursor $cursor): float
    {
        $start = $cursor->position();
        $cursor->skipWord('and');
        $more = $cursor->peek()?->kind === TokenKind::Word ? self::whole($cursor->peek()->text) : null;
        if ($more !== null && $more >= 10.0 && !$cursor->peek()?->isWord('dozen', 'doz')) {
            $cursor->move();

            return $more;
        }
        $cursor->backTo($start);

        return 0.0;
    }

    /** "… and a half", "… and three quarters", "… & ½". */
    public static function andAPortion(Cursor $cursor): float
    {
        $start = $cursor->position();
        if ($cursor->skipWord('and') || $cursor->skipMark('&')) {
            $next = $cursor->peek();
            if ($next?->isNumber() === true && $next->isFraction && $next->number < 1.0) {
                $cursor->move();

                return $next->number;
            }
            $times = $cursor->skipWord('a', 'an', 'one')
                ? 1.0
                : ($cursor->skipWord('two') ? 2.0 : ($cursor->skipWord('three') ? 3.0 : 0.0));
            $portion = self::PORTIONS[mb_strtolower($cursor->peek()->text ?? '')] ?? null;
            if ($portion !== null) {
                $cursor->move();

                return max(1.0, $times) * $portion;
            }
        }
        $cursor->backTo($start);

        return 0.0;
    }

    private static function skipConnectives(Cursor $cursor): void
    {
        $start = $cursor->position();
        if ($cursor->skipWord('of')) {
            $cursor->skipWord('a', 'an', 'the', 'one');
        } elseif (!$cursor->skipWord('a', 'an')) {
            $cursor->backTo($start);
        }
    }
}
