<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** What pans are measured in: centimetres. */
final readonly class PanFacts
{
    public function __construct(public float $inch) {}
}
