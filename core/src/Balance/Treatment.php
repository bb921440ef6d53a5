<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Facts\Facts;
use Vinculum\Facts\InstrumentFacts;
use Vinculum\Quantity\Amount;

/**
 * What was done with a sauce and measured of it. What was measured takes the place of what is estimated, everywhere.
 */
final readonly class Treatment
{
    /**
     * @param bool $isCooked it was brought to a simmer
     * @param list<float> $phReadings measured, in order
     * @param float|null $waterActivity measured
     * @param bool $isMeterStale the meter was calibrated too long ago
     * @param bool $isFermented it is left to ferment
     * @param float|null $solids measured, g in 100 g of the water phase
     * @param list<string> $method in the recipe's words
     * @param list<string> $said what else the recipe says: title, notes, stages
     */
    public function __construct(
        public bool $isCooked = false,
        public array $phReadings = [],
        public ?float $waterActivity = null,
        public bool $isMeterStale = false,
        public ?float $solids = null,
        public bool $isFermented = false,
        public array $method = [],
        public array $said = [],
    ) {}

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

    /** The measured pH with the band of a calibrated home meter; null where none was measured. */
    public function measuredPh(): ?Estimate
    {
        $ph = $this->ph();
        $half = Amount::NINETY_PERCENT * Facts::of(InstrumentFacts::class)->phMeter->deviation;

        return $ph === null ? null : new Estimate($ph, $ph - max($half, $this->spread()), $ph + $half);
    }

    /** The measured water activity; null where none was measured. */
    public function measuredWaterActivity(): ?Estimate
    {
        return $this->waterActivity === null
            ? null
            : new Estimate($this->waterActivity, $this->waterActivity, $this->waterActivity);
    }

    /** The measured solids with the band of a hand refractometer; null where none were measured. */
    public function measuredSolids(): ?Estimate
    {
        $half = Amount::NINETY_PERCENT * Facts::of(InstrumentFacts::class)->refractometer->deviation;

        return $this->solids === null
            ? null
            : new Estimate($this->solids, max(0.0, $this->solids - $half), $this->solids + $half);
    }
}
