<?php

declare(strict_types=1);

namespace Tests\core;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Balance\Treatment;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;

/** Sauces as the shipped kitchen weighs them, of what a test has in hand. */
final class Weighed
{
    /**
     * A formula as it is written, not cooked.
     *
     * @param list<string> $method
     */
    public static function formula(
        Formula $formula,
        ?string $style = null,
        Measures $measures = Measures::Us,
        ?string $pan = null,
        array $method = [],
    ): Sauce {
        return Kitchen::shipped()->asItIs(
            new Recipe(style: $style, method: $method, measures: $measures, pan: $pan),
            $formula,
            new Treatment(),
        );
    }

    public static function balance(Balance $balance, ?string $style = null, Measures $measures = Measures::Us): Sauce
    {
        return Kitchen::shipped()->asItIs(
            new Recipe(style: $style, measures: $measures),
            $balance->formula,
            $balance->treatment,
        );
    }
}
