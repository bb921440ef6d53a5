<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** As much of a thing as of another, or so many times as much: "half as much sugar as honey". */
final readonly class AsMuch
{
    /** @param string $of the thing whose amount it has too; empty for the one before */
    public function __construct(public string $of, public float $times = 1.0) {}

    /** So many times the amount of that thing. */
    public function applied(WrittenAmount $amount): WrittenAmount
    {
        return $this->times === 1.0 ? $amount : $amount->times($this->times);
    }
}
