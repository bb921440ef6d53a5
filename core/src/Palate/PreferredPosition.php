<?php

declare(strict_types=1);

namespace Vinculum\Palate;

/** Where a cook likes an axis to stand, as far as tastings tell: a normal distribution over positions in steps. */
final readonly class PreferredPosition
{
    /**
     * @param float $prior the middle of the family's window, in steps
     * @param float $mean after the tastings
     * @param float $deviation one standard deviation after the tastings
     */
    public function __construct(
        public float $prior,
        public float $mean,
        public float $deviation,
        public int $tastings,
    ) {}

    /** How far the cook's own ideal lies from the family's, in steps: positive is more of it. */
    public function shift(): float
    {
        return $this->mean - $this->prior;
    }
}
