<?php

declare(strict_types=1);

namespace Vinculum\Planning;

/** A plan that cannot be met; the message says the earliest that can. */
final class PlanFault extends \InvalidArgumentException
{
    private const WORDS = 'l j F, H:i';

    public static function nothingToDo(): self
    {
        return new self('Choose at least one sauce.');
    }

    public static function inThePast(\DateTimeImmutable $ready, \DateTimeImmutable $earliest): self
    {
        return new self(
            "{$ready->format(self::WORDS)} is over. The earliest possible is {$earliest->format(self::WORDS)}.",
        );
    }

    public static function tooSoon(\DateTimeImmutable $start, \DateTimeImmutable $earliest): self
    {
        return new self(
            "That would have had to begin on {$start->format(self::WORDS)}. The earliest possible is {$earliest->format(self::WORDS)}.",
        );
    }

    public static function noDay(string $said): self
    {
        return new self("\"{$said}\" is no day and time.");
    }
}
