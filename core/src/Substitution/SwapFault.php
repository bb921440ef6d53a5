<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

/** There is nothing to replace. */
final class SwapFault extends \InvalidArgumentException
{
    public static function noSuchLine(int $line, int $of): self
    {
        return new self(
            $of === 0
                ? 'There is no ingredient line to replace.'
                : "There is no line {$line}: the ingredient lines run from 1 to {$of}.",
        );
    }

    /** @param int $things that the line names */
    public static function noSuchThing(int $line, int $thing, int $things): self
    {
        return new self(sprintf(
            'Line %d names %s, so there is no thing %d in it.',
            $line,
            $things === 1 ? 'one thing' : "{$things} things",
            $thing,
        ));
    }

    public static function notKnown(int $line, string $text): self
    {
        return new self(
            sprintf(
                'Line %d, "%s", names no ingredient that is known, so nothing can be found that does its work. Write it more plainly first.',
                $line,
                mb_strimwidth($text, 0, 60, '…'),
            ),
        );
    }

    public static function noAmountOf(string $name, int $line): self
    {
        return new self("No amount of {$name} does the work of line {$line}.");
    }

    public static function tooLong(int $lines, int $most): self
    {
        return new self("Nothing is looked for in {$lines} lines at once; up to {$most} are. Do it in parts.");
    }
}
