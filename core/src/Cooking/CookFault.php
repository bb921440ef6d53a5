<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Quantity\KitchenNumber;

/** A sauce cannot be cooked to that; the message says what is the nearest possible. */
final class CookFault extends \InvalidArgumentException
{
    public static function nothingIn(): self
    {
        return new self('There is no water in it yet, so nothing can boil off.');
    }

    public static function aboveTheStart(string $wanted, string $start): self
    {
        return new self(
            "It stands at {$start} already, and boiling only takes away: {$wanted} is more. Add water, or ask for less.",
        );
    }

    public static function moreWaterThanThereIs(float $wanted, float $there, string $nearest): self
    {
        return new self(
            sprintf(
                '%s of water would have to leave and there are %s. The nearest possible is %s.',
                KitchenNumber::grams($wanted),
                KitchenNumber::grams($there),
                $nearest,
            ),
        );
    }

    public static function neverThatThick(string $class): self
    {
        return new self(
            "Boiling alone never makes this {$class}: there is too little in it that thickens. Add starch, crumbs, nuts or an emulsion.",
        );
    }

    public static function notANumber(): self
    {
        return new self('Say how far as a number above zero.');
    }
}
