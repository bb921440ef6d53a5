<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Estimate;

/** What the model estimates, with its 90 % band. */
final readonly class EstimateReport extends Report
{
    private function __construct(public float $estimate, public float $low, public float $high) {}

    public static function of(?Estimate $estimate): ?self
    {
        return $estimate === null ? null : new self($estimate->value, $estimate->low, $estimate->high);
    }
}
