<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** What heat does to a sauce (cooking.ini): its sources stand beside the figures. */
final readonly class CookingFacts
{
    public const FILE = 'cooking';

    public function __construct(
        public EvaporationFacts $evaporation,
        public PanFacts $pan,
        public ReductionFacts $reduction,
        public ThickeningFacts $thickening,
        public EthanolFacts $ethanol,
        public AceticFacts $acetic,
        public PungencyFacts $pungency,
        public SieveFacts $sieve,
        public CalibrationFacts $calibration,
        public CoolingFacts $cooling,
    ) {}
}
