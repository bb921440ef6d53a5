<?php

declare(strict_types=1);

namespace Vinculum\Instrument;

/**
 * How a kitchen scale behaves, for a stand-in: it lags, jitters, shows whole steps, can be set to nothing, and
 * overloads.
 */
final class SimulatedScale
{
    private const LAG_SECONDS = 0.25;
    private const SETTLED_AFTER_SECONDS = 0.6;
    private const NOISE_STEPS = 0.25;

    private float $load = 0.0;
    private float $shown = 0.0;
    private float $tare = 0.0;
    private float $rate = 0.0;
    private float $left = 0.0;
    private float $quiet = 10.0;

    public function __construct(public readonly float $resolution = 1.0, public readonly float $most = 5000.0) {}

    /** Something is poured on at an even rate; taken off where it is negative. */
    public function pour(float $grams, float $seconds): void
    {
        $this->left += $grams;
        $this->rate = $this->left / max(0.05, $seconds);
    }

    /** Everything is taken off at once. */
    public function clear(): void
    {
        [$this->load, $this->left, $this->quiet] = [0.0, 0.0, 0.0];
    }

    public function tare(): void
    {
        $this->tare = $this->shown;
    }

    public function pass(float $seconds): void
    {
        $moved = $this->left === 0.0 ? 0.0 : max(-abs($this->left), min(abs($this->left), $this->rate * $seconds));
        $this->load += $moved;
        $this->left = abs($this->left - $moved) < 1e-9 ? 0.0 : $this->left - $moved;
        $this->shown += ($this->load - $this->shown) * (1.0 - exp(-$seconds / self::LAG_SECONDS));
        $isQuiet = $this->left === 0.0 && abs($this->load - $this->shown) < $this->resolution / 2.0;
        $this->quiet = $isQuiet ? $this->quiet + $seconds : 0.0;
    }

    /**
     * @param float $noise a draw from the standard normal distribution
     *
     * @return array{grams: float, settled: bool, overload: bool, resolution: float}
     */
    public function reading(float $noise): array
    {
        $isSettled = $this->quiet >= self::SETTLED_AFTER_SECONDS;
        $grams = $this->shown - $this->tare + ($isSettled ? 0.0 : $noise * self::NOISE_STEPS * $this->resolution);
        $steps = round($grams / $this->resolution) * $this->resolution;

        return [
            'grams' => $steps === 0.0 ? 0.0 : $steps,
            'settled' => $isSettled,
            'overload' => $this->shown > $this->most,
            'resolution' => $this->resolution,
        ];
    }
}
