<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** How the bite of mustard and horseradish leaves: minutes, with one relative standard deviation. */
final readonly class PungencyFacts
{
    public function __construct(public float $halfLife, public float $doubt, public float $usualMinutes) {}
}
