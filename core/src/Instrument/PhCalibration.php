<?php

declare(strict_types=1);

namespace Vinculum\Instrument;

use Vinculum\Facts\Facts;
use Vinculum\Facts\InstrumentFacts;

/**
 * A pH meter set by two buffers: the electrode's slope and where it stands at pH 7. The slope grows with the absolute
 * temperature, as Nernst's equation has it.
 */
final readonly class PhCalibration
{
    /** R·ln 10/F, millivolts for each unit of pH and kelvin. */
    private const NERNST = 0.198416;
    private const KELVIN = 273.15;
    private const NEUTRAL = 7.0;

    /**
     * @param float $slope as a share of Nernst's
     * @param float $offset millivolts at pH 7
     * @param float $at seconds since the epoch
     */
    private function __construct(public float $slope, public float $offset, public float $at) {}

    /**
     * @param array{ph: float, millivolts: float, celsius: float} $one
     * @param array{ph: float, millivolts: float, celsius: float} $other
     * @param float $at seconds since the epoch
     *
     * @throws InstrumentFault when no sound electrode reads like that
     */
    public static function between(array $one, array $other, float $at): self
    {
        $facts = Facts::of(InstrumentFacts::class)->phMeter;
        if (abs($one['ph'] - $other['ph']) < 1.0) {
            throw InstrumentFault::badCalibration('the two buffers are too near to one another.');
        }
        $ideal = self::ideal(...);
        // two points, two unknowns: millivolts = offset + slope · ideal
        $slope = ($one['millivolts'] - $other['millivolts']) / ($ideal($one) - $ideal($other));
        $offset = $one['millivolts'] - $slope * $ideal($one);
        if (!is_finite($slope) || $slope < $facts->leastSlope || $slope > $facts->mostSlope) {
            throw InstrumentFault::badCalibration(
                sprintf('the electrode gives %.0f %% of the slope it should.', 100.0 * $slope),
            );
        }
        if (abs($offset) > $facts->mostOffset) {
            throw InstrumentFault::badCalibration(sprintf('it stands %.0f mV off at pH 7.', $offset));
        }

        return new self($slope, $offset, $at);
    }

    public static function kept(float $slope, float $offset, float $at): self
    {
        return new self($slope, $offset, $at);
    }

    /** @param array{millivolts: float, celsius: float} $sensed */
    public function ph(array $sensed): float
    {
        return self::NEUTRAL
            - ($sensed['millivolts'] - $this->offset)
                / ($this->slope * self::NERNST * ($sensed['celsius'] + self::KELVIN));
    }

    /** One standard deviation of a reading at a moment: an electrode drifts from its calibration on. */
    public function deviation(float $now): float
    {
        $facts = Facts::of(InstrumentFacts::class)->phMeter;

        return hypot($facts->deviation, $facts->drift * max(0.0, $now - $this->at) / 3600.0);
    }

    /**
     * Millivolts of a faultless electrode.
     *
     * @param array{ph: float, celsius: float} $point
     */
    private static function ideal(array $point): float
    {
        return -self::NERNST * ($point['celsius'] + self::KELVIN) * ($point['ph'] - self::NEUTRAL);
    }

    public function isStale(float $now): bool
    {
        return $now - $this->at > 3600.0 * Facts::of(InstrumentFacts::class)->phMeter->calibrateAfter;
    }
}
