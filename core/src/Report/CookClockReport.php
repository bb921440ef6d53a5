<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\CookSession\CookRecord;

/** When the heat went off, when the cook ended, and what time it is. */
final readonly class CookClockReport extends Report
{
    /**
     * @param Exact<float|null> $heatOff when, null while it is on
     * @param Exact<float|null> $finished when, null while it is not
     * @param Exact<float> $now
     */
    private function __construct(
        public Exact $heatOff,
        public Exact $finished,
        public Exact $now,
    ) {}

    public static function of(CookRecord $record, float $now): self
    {
        return new self(
            heatOff: new Exact($record->readings->heatOff),
            finished: new Exact($record->readings->finished),
            now: new Exact($now),
        );
    }
}
