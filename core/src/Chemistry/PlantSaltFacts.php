<?php

declare(strict_types=1);

namespace Vinculum\Chemistry;

/**
 * How much of a plant's minerals, K + Na + 2 Ca + 2 Mg − Cl, is its strong ion difference: shares, and mEq that a gram
 * of protein adds by its basic groups.
 */
final readonly class PlantSaltFacts
{
    public function __construct(
        public float $least,
        public float $centre,
        public float $most,
        public float $mostByKind,
        public float $basicGroups,
        public float $mostBasicGroups,
    ) {}
}
