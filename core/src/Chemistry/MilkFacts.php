<?php

declare(strict_types=1);

namespace Vinculum\Chemistry;

/** How far above the model soured milk may stand. */
final readonly class MilkFacts
{
    public function __construct(public float $upward) {}
}
