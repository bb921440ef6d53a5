<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Facts\Facts;

/** A cook whose pan was weighed before and after: what really left it. */
final readonly class WeighedCook
{
    /**
     * @param float $squareMetres open surface of the pan
     * @param string $heat key of the heat it was cooked at
     * @param float $minutes with the lid off; covered minutes count as a tenth
     *
     * @throws CookFault where a figure cannot be weighed
     */
    public function __construct(
        public float $squareMetres,
        public string $heat,
        public float $minutes,
        public float $gramsLost,
    ) {
        if (
            !is_finite($squareMetres * $minutes * $gramsLost)
            || $squareMetres <= 0.0
            || $minutes <= 0.0
            || $gramsLost < 0.0
        ) {
            throw CookFault::notANumber();
        }
    }

    /** Square metres times hours. */
    public function openHours(): float
    {
        return $this->squareMetres * $this->minutes / 60.0;
    }

    public function kilogramsLost(): float
    {
        return $this->gramsLost / 1000.0;
    }

    public function isInPanOf(float $squareMetres): bool
    {
        return abs($this->squareMetres / $squareMetres - 1.0) <= Facts::of(CookingFacts::class)->calibration->samePan;
    }
}
