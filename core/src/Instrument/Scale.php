<?php

declare(strict_types=1);

namespace Vinculum\Instrument;

/** A kitchen scale. A real one is one more class that does this. */
interface Scale
{
    /** @throws InstrumentFault */
    public function weigh(): Weight;

    /**
     * Takes what is on it now as nothing.
     *
     * @throws InstrumentFault
     */
    public function tare(): void;
}
