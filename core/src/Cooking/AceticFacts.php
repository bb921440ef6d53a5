<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** How acetic acid leaves, with one relative standard deviation. */
final readonly class AceticFacts
{
    public function __construct(public float $volatility, public float $doubt) {}
}
