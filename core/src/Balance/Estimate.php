<?php

declare(strict_types=1);

namespace Vinculum\Balance;

/** A figure with its 90 % interval. */
final readonly class Estimate
{
    /**
     * @param array<int, float> $shares       share of the doubt that each line brings, by line number from 0
     * @param array<int, float> $amountShares the part of it that weighing the line would take away
     */
    public function __construct(public float $value, public float $low, public float $high, public array $shares = [], public array $amountShares = []) {}
}
