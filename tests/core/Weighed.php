<?php

declare(strict_types=1);

namespace Tests\core;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Balance\Treatment;
use Vinculum\Cooking\Hob;
use Vinculum\Ingredient\Catalogue;
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
        ?Hob $hob = null,
        bool $hasScale = true,
    ): Sauce {
        $kitchen = new Kitchen(
            Catalogue::shipped(),
            $hob ?? Hob::unknown(),
            keepsHeadings: false,
            hasScale: $hasScale,
        );

        return $kitchen->asItIs(
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
