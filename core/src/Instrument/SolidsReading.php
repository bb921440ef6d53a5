<?php

declare(strict_types=1);

namespace Vinculum\Instrument;

use Vinculum\Facts\Facts;
use Vinculum\Facts\InstrumentFacts;

/** What a refractometer reads, put right for the temperature of the drop. */
final class SolidsReading
{
    /**
     * Dissolved solids, g per 100 g, as it would read at the temperature it was set at.
     *
     * @throws InstrumentFault when that is none
     */
    public static function corrected(float $percent, float $celsius): float
    {
        $facts = Facts::of(InstrumentFacts::class)->refractometer;
        $found = $percent <= 0.0 ? $percent : $percent + $facts->perDegree * ($celsius - $facts->setAt);
        if (!is_finite($found) || $found < 0.0 || $found > 95.0) {
            throw InstrumentFault::outOfRange(
                'refractometer',
                is_finite($found) ? sprintf('%.1f %%', $found) : 'no number',
            );
        }

        return $found;
    }
}
