<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Estimate;
use Vinculum\Quantity\Amount;

/** A figure with its 90 % band. */
final readonly class BandReport extends Report
{
    private function __construct(public float $value, public float $low, public float $high) {}

    public static function of(Amount|Estimate $figure): self
    {
        return $figure instanceof Amount
            ? new self($figure->value, $figure->low(), $figure->high())
            : new self($figure->value, $figure->low, $figure->high);
    }
}
