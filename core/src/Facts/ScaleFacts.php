<?php

declare(strict_types=1);

namespace Vinculum\Facts;

/** Grams below nothing that are more than a scale's unrest. */
final readonly class ScaleFacts
{
    public function __construct(public float $belowZero) {}
}
