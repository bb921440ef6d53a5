<?php

declare(strict_types=1);

namespace Vinculum\Scaling;

/** A recipe cannot be scaled that way; the message says what would be possible. */
final class ScaleFault extends \InvalidArgumentException
{
    public static function notAFactor(string $asked): self
    {
        return new self("\"{$asked}\" is no factor: use a number above 0 and up to " . Scale::MOST . ', such as 2.5');
    }

    public static function nothingIn(): self
    {
        return new self('nothing in the recipe has an amount yet, so there is nothing to scale');
    }

    public static function notAnAmount(string $asked): self
    {
        return new self("\"{$asked}\" names no volume or weight: write it as \"6 x 250 ml\", \"1.5 l\" or \"2 kg\"");
    }

    /** @param string $part of what is asked */
    public static function withoutASize(string $asked, string $part): self
    {
        return new self("\"{$part}\" does not say how much one holds: write it as \"6 x 250 ml\" or \"6 jars of 250 ml\"");
    }

    /** @param list<string> $there what the recipe has */
    public static function notInTheRecipe(string $asked, array $there): self
    {
        return new self(
            "\"{$asked}\" is not in the recipe with an amount. It has " . implode(', ', array_slice($there, 0, 12)),
        );
    }

    public static function nothingToHave(string $asked): self
    {
        return new self("\"{$asked}\" says no amount of anything: write it as \"gooseberries 340 g\"");
    }
}
