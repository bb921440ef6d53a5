<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** How alcohol leaves: its volatility, and what is left after so many minutes. */
final readonly class EthanolFacts
{
    /**
     * @param list<float> $minutes
     * @param list<float> $left share, for each of the minutes
     */
    public function __construct(public float $volatility, public array $minutes, public array $left) {}
}
