<?php

declare(strict_types=1);

namespace Vinculum\Correction;

/** What stands in every kitchen, and what of a family is asked for besides (correcting.ini). */
final readonly class KitchenBasics
{
    public const FILE = 'correcting';
    public const SECTION = 'basics';

    /**
     * @param array<string, float> $of most of each in 100 g of sauce, by ingredient key
     * @param list<string> $acids works of which a recipe has its own
     * @param string $acid key of the one to take where the family has none
     * @param list<string> $fats
     * @param list<string> $sweeteners
     * @param list<string> $salters
     * @param list<string> $heats
     * @param float $usual share of a family's references
     * @param float $most candidates
     * @param float $carries share of a sauce from which a thing carries it
     * @param float $smells the same for an aroma
     * @param float $loosens most of the water in 100 g of sauce, of a family that is not made with it
     * @param float $thins share of what there is too much of that a thinner holds at most
     */
    public function __construct(
        public array $of,
        public array $acids,
        public string $acid,
        public array $fats,
        public array $sweeteners,
        public array $salters,
        public array $heats,
        public float $usual,
        public float $most,
        public float $carries,
        public float $smells,
        public float $loosens,
        public float $thins,
    ) {}
}
