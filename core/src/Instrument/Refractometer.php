<?php

declare(strict_types=1);

namespace Vinculum\Instrument;

/** Reads dissolved solids from how far light bends. */
interface Refractometer
{
    /**
     * The bare reading and the temperature of the drop.
     *
     * @return array{percent: float, celsius: float}
     *
     * @throws InstrumentFault
     */
    public function sense(): array;
}
