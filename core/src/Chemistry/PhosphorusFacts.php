<?php

declare(strict_types=1);

namespace Vinculum\Chemistry;

/** Grams of phosphoric acid in a gram of phosphorus. */
final readonly class PhosphorusFacts
{
    public function __construct(public float $phosphoric) {}
}
