<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** What stays in a sieve: a share of the fibre, grams that cling to each gram of it. */
final readonly class SieveFacts
{
    public function __construct(public float $keeps, public float $clings, public float $doubt) {}
}
