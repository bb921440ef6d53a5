<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** How sure weighed cooks make a pan and hob. */
final readonly class CalibrationFacts
{
    public function __construct(public float $once, public float $least, public float $samePan) {}
}
