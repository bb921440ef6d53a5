<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** Reads numbers as cooks write them: "1 1/2", "one and a half", "half a", "2 to 3", "a couple of". */
final class NumberGrammar
{
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
        $word = $cursor->peek()->lower ?? '';
        $portion = $first->isFraction || $value < 1.0 ? null : Vocabulary::valueOf('portions', $word);
        if ($portion !== null && $portion < 1.0 && str_ends_with($word, 's')) {
            // "2 thirds of a cup"
            $cursor->move();
            self::skipConnectives($cursor);

            return $value * $portion;
        }
        $value += self::andAPortion($cursor);
        $isOfOne = $value < 1.0 && $cursor->peek()?->isWord('of') === true;
        if ($isOfOne && $cursor->peek(1)?->isWord('a', 'an', 'the', 'one') === true) {
            // "¼ of an onion"
            $cursor->move(2);

            return $value;
        }
        $power = Vocabulary::valueOf('powers', $cursor->peek()->lower ?? '');
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
        $joined = explode('-', $cursor->peek()->lower ?? '');
        $times = count($joined) === 2 ? Vocabulary::valueOf('numbers', $joined[0]) : null;
        $portion = $times === null ? null : Vocabulary::valueOf('portions', $joined[1]);
        if ($times !== null && $portion !== null) {
            $cursor->move();
            self::skipConnectives($cursor);

            return $times * $portion;
        }
        $first = $cursor->peek()->lower ?? '';
        $word = $cursor->peek()?->kind === TokenKind::Word ? self::whole($first) : null;
        if ($word === null) {
            return null;
        }
        $isArticle = $cursor->peek()?->isWord('a', 'an') === true;
        $value = (float) $word;
        $cursor->move();
        $portion = Vocabulary::valueOf('portions', $cursor->peek()->lower ?? '');
        if ($portion !== null && $cursor->peek()?->kind === TokenKind::Word && $value >= 1.0) {
            $cursor->move();
            $value *= $portion;
            $isArticle = false;
        } elseif ($isArticle && $cursor->peek()?->isWord('couple', 'few', 'dozen', 'good', 'generous') === true) {
            $counted = Vocabulary::valueOf('numbers', $cursor->peek()->lower);
            if ($counted !== null) {
                $cursor->move();
                $value = (float) $counted;
            }
            $isArticle = false;
        } elseif (Vocabulary::valueOf('powers', $cursor->peek()->lower ?? '') !== null) {
            $value *= (float) Vocabulary::valueOf('powers', $cursor->peek()->lower ?? '');
            $cursor->move();
            $value += self::andTens($cursor);
        } elseif (
            $cursor->peek()?->isMark('-') === true
            && Vocabulary::valueOf('portions', $cursor->peek(1)->lower ?? '') !== null
        ) {
            $value *= (float) Vocabulary::valueOf('portions', $cursor->peek(1)->lower ?? '');
            $cursor->move(2);
        }
        if (!$isArticle) {
            $value += self::andAPortion($cursor);
        }
        // "two of sugar": behind a plain number "of" is no part of the amount
        $isPlain = $value === (float) $word && $value >= 1.0 && $cursor->position() === $start + 1;
        $isFew = preg_match('/^(?:couple|few|doz)/u', $first) === 1;
        $isOf = $isPlain && !$isArticle && !$isFew && $cursor->peek()?->isWord('of') === true;
        if (!$isOf || $cursor->peek(1)?->isWord('the', 'those', 'these') === true) {
            self::skipConnectives($cursor);
        }
        if ($value < 1.0 && $cursor->skipWord('dozen')) {
            $value *= 12.0;
        }

        return $cursor->position() > $start ? $value : null;
    }

    /** "one", "twenty", "twenty-five". */
    private static function whole(string $word): ?float
    {
        [$first, $second] = [...explode('-', mb_strtolower($word), 2), ''];
        $tens = Vocabulary::valueOf('numbers', $first);
        if ($tens === null || $second === '') {
            return $tens === null ? null : (float) $tens;
        }
        $ones = Vocabulary::valueOf('numbers', $second);

        return $tens >= 20 && $ones !== null && $ones >= 1 && $ones < 10 ? (float) ($tens + $ones) : null;
    }

    /** "… and fifty" after a hundred. */
    private static function andTens(Cursor $cursor): float
    {
        $start = $cursor->position();
        $cursor->skipWord('and');
        $more = $cursor->peek()?->kind === TokenKind::Word ? self::whole($cursor->peek()->lower) : null;
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
            $portion = Vocabulary::valueOf('portions', $cursor->peek()->lower ?? '');
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
