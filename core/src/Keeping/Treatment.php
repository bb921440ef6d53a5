<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

/** What was done with a sauce and measured of it, as far as keeping depends on it. */
final readonly class Treatment
{
    /**
     * @param bool        $isCooked      it was brought to a simmer
     * @param list<float> $phReadings    measured, in order
     * @param bool        $isMeterStale  the meter was calibrated too long ago
     */
    public function __construct(public bool $isCooked, public array $phReadings = [], public ?float $waterActivity = null, public bool $isMeterStale = false) {}

    /** The pH that counts: of several readings the highest, which is the cautious one. */
    public function ph(): ?float
    {
        return $this->phReadings === [] ? null : max($this->phReadings);
    }

    /** How far the readings are apart. */
    public function spread(): float
    {
        return $this->phReadings === [] ? 0.0 : max($this->phReadings) - min($this->phReadings);
    }
}
