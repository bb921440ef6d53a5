<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** The two stages of cooling: °C and minutes. */
final readonly class CoolingFacts
{
    public function __construct(
        public float $first,
        public float $firstMinutes,
        public float $second,
        public float $secondMinutes,
        public float $room,
        public float $cold,
        public string $source,
    ) {}
}
