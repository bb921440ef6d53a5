<?php

declare(strict_types=1);

namespace Vinculum\Instrument;

/**
 * What a stand-in's electrode, refractometer and probe are dipped into, and how they read it: late, and not quite
 * right.
 */
final class SimulatedSample
{
    private const NERNST = 0.198416;
    /** An electrode that is neither new nor worn out. */
    private const SLOPE = 0.96;
    private const OFFSET = 6.0;
    private const DRIFT_MILLIVOLTS_AN_HOUR = 0.5;
    private const PROBE_LAG_SECONDS = 2.0;

    private float $probe = 20.0;
    private float $age = 0.0;

    public function __construct(private float $ph = 7.0, private float $percent = 0.0, private float $celsius = 20.0) {}

    /** Dips everything into something else. */
    public function dip(float $ph, float $percent, float $celsius): void
    {
        [$this->ph, $this->percent, $this->celsius] = [$ph, $percent, $celsius];
    }

    public function pass(float $seconds): void
    {
        $this->age += $seconds;
        $this->probe += ($this->celsius - $this->probe) * (1.0 - exp(-$seconds / self::PROBE_LAG_SECONDS));
    }

    /** @return array{millivolts: float, celsius: float} */
    public function electrode(float $noise): array
    {
        $drift = self::DRIFT_MILLIVOLTS_AN_HOUR * $this->age / 3600.0;

        return [
            'millivolts' => round(
                self::OFFSET
                    + $drift
                    - self::SLOPE * self::NERNST * ($this->celsius + 273.15) * ($this->ph - 7.0)
                    + 0.3 * $noise,
                1,
            ),
            'celsius' => round($this->celsius, 1),
        ];
    }

    /** @return array{percent: float, celsius: float} a bare reading: too low when the drop is warm */
    public function refractometer(float $noise): array
    {
        return [
            'percent' => round(max(0.0, $this->percent - 0.07 * ($this->celsius - 20.0) + 0.1 * $noise), 1),
            'celsius' => round($this->celsius, 1),
        ];
    }

    public function thermometer(float $noise): float
    {
        return round($this->probe + 0.1 * $noise, 1);
    }
}
