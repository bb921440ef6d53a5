<?php

declare(strict_types=1);

namespace Vinculum\Instrument;

/** A thermometer that is stuck into the sauce. */
interface Probe
{
    /**
     * @return float degrees Celsius
     *
     * @throws InstrumentFault
     */
    public function celsius(): float;
}
