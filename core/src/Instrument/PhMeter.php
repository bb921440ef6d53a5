<?php

declare(strict_types=1);

namespace Vinculum\Instrument;

/** A glass electrode with its own thermometer. */
interface PhMeter
{
    /**
     * What the electrode gives, before any calibration.
     *
     * @return array{millivolts: float, celsius: float}
     *
     * @throws InstrumentFault
     */
    public function sense(): array;
}
