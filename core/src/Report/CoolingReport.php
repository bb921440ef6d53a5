<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Cooking\Cooling;

/** How far a pan has cooled, and how long it may still take: °C, minutes. */
final readonly class CoolingReport extends Report
{
    /** @param float $limit that it has to be below, in °C */
    private function __construct(
        public string $stage,
        public ?float $celsius,
        public float $limit,
        public float $minutesLeft,
        public ?float $expectedMinutes,
        public string $says,
    ) {}

    public static function of(Cooling $cooling): self
    {
        return new self(
            $cooling->stage,
            $cooling->celsius,
            $cooling->limit,
            $cooling->minutesLeft,
            $cooling->expected,
            $cooling->says,
        );
    }
}
