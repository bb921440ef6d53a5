<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Cursor;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\NumberGrammar;
use Vinculum\Recipe\Parser\QuantityGrammar;
use Vinculum\Recipe\Parser\Token;

/**
 * How far a step boils a sauce down: to a share of the volume in the pan ("by a third", "until a quarter is left"), or to
 * a volume ("to 200 ml"). Only what is said behind a word of reducing counts: "simmer the lemon halves" says no share.
 */
final readonly class StepEnd
{
    private const MOST_PERCENT = 100.0;

    /**
     * @param float|null $left the share of the volume in the pan that stays
     * @param float|null $millilitres the volume that stays, where no share is said
     */
    private function __construct(public ?float $left = null, public ?float $millilitres = null) {}

    public static function of(string $text): self
    {
        $tokens = Lexer::tokens($text);
        $from = null;
        foreach ($tokens as $at => $token) {
            $from ??= $token->isWord() && MethodWords::place($token->lower, 'reduces') === 0 ? $at : null;
        }
        if ($from === null) {
            return new self();
        }
        for ($at = $from + 1; $at < count($tokens); ++$at) {
            $end = self::at($tokens, $at);
            if ($end !== null) {
                return $end;
            }
        }

        return new self();
    }

    /** @param list<Token> $tokens */
    private static function at(array $tokens, int $at): ?self
    {
        $token = $tokens[$at];
        if ($token->isWord('halves', 'halved') && self::isSaidOfIt($tokens, $at)) {
            return new self(0.5);
        }
        if (!$token->isWord('by', 'to', 'until', 'till')) {
            return null;
        }
        $cursor = new Cursor($tokens, $at + 1);
        $cursor->skipWord('about', 'around', 'roughly', 'nearly', 'almost', 'only', 'just', 'you', 'approximately');
        $cursor->skipWord('have', 'only');
        $cursor->skipWord('about', 'around', 'roughly');
        $start = $cursor->position();
        $volume = $token->isWord('by') ? null : self::volume($cursor);
        if ($volume !== null) {
            return self::toVolume($tokens, $volume, $cursor->position());
        }
        $cursor->backTo($start);
        $share = self::share($cursor);
        if ($share === null) {
            return null;
        }
        if ($token->isWord('by')) {
            return new self(1.0 - $share);
        }

        return $token->isWord('to') ? new self($share) : self::untilLeft($cursor, $share);
    }

    /**
     * "until it halves", "until the sauce has halved", not "the lemon halves".
     *
     * @param list<Token> $tokens
     */
    private static function isSaidOfIt(array $tokens, int $at): bool
    {
        for ($before = $at - 1; $before >= 0 && $before >= $at - 5; --$before) {
            if ($tokens[$before]->isWord('until', 'till', 'has', 'have', 'is')) {
                return true;
            }
        }

        return false;
    }

    /** "a quarter is left", "two thirds remain", "half has gone". */
    private static function untilLeft(Cursor $cursor, float $share): ?self
    {
        for ($words = 0; $words < 8 && !$cursor->isAtEnd(); ++$words) {
            if ($cursor->peek()?->isWord('left', 'remain', 'remains', 'remaining', 'stays', 'behind') === true) {
                return new self($share);
            }
            if ($cursor->peek()?->isWord('gone', 'evaporated', 'disappeared', 'lost', 'boiled') === true) {
                return new self(1.0 - $share);
            }
            $cursor->move();
        }

        return null;
    }

    /** @param list<Token> $tokens */
    private static function toVolume(array $tokens, float $to, int $at): self
    {
        $before = self::volumeBefore($tokens);
        for ($next = $at; $next < count($tokens); ++$next) {
            if ($tokens[$next]->isWord('from')) {
                $cursor = new Cursor($tokens, $next + 1);
                $cursor->skipWord('about', 'around');
                $before = self::volume($cursor) ?? self::bare($tokens, $next + 1, $to) ?? $before;
            }
        }

        return $before !== null && $before > $to ? new self($to / $before) : new self(null, $to);
    }

    /**
     * "from 500": of the unit before.
     *
     * @param list<Token> $tokens
     */
    private static function bare(array $tokens, int $at, float $to): ?float
    {
        $number = $tokens[$at] ?? null;

        return $number?->isNumber() === true && $number->number > $to ? $number->number : null;
    }

    /**
     * "boil 1 litre down to 250 ml": the volume that it begins with.
     *
     * @param list<Token> $tokens
     */
    private static function volumeBefore(array $tokens): ?float
    {
        foreach ($tokens as $at => $token) {
            if ($token->isWord('to')) {
                return null;
            }
            $volume = $token->isNumber() ? self::volume(new Cursor($tokens, $at)) : null;
            if ($volume !== null) {
                return $volume;
            }
        }

        return null;
    }

    /** Millilitres, a gram taken as one. */
    private static function volume(Cursor $cursor): ?float
    {
        $amount = (new QuantityGrammar(Measures::Metric))->quantity($cursor);

        return $amount?->unit === null || $amount->unit->isVague()
            ? null
            : $amount->middle() * (float) ($amount->unit->millilitres ?? $amount->unit->grams);
    }

    /** "a third", "1/3", "two thirds", "30 %". */
    private static function share(Cursor $cursor): ?float
    {
        $range = NumberGrammar::range($cursor);
        if ($range === null || is_nan($range[0])) {
            return null;
        }
        $share = ($range[0] + $range[1]) / 2.0;
        if ($cursor->skipMark('%') || $cursor->skipWord('percent', 'per')) {
            return $share < self::MOST_PERCENT ? $share / self::MOST_PERCENT : null;
        }

        return $share > 0.0 && $share < 1.0 ? $share : null;
    }
}
