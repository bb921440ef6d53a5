<?php

declare(strict_types=1);

namespace Vinculum\Chemistry;

/** How foods buffer, and what is taken where their pH is not known (acidity.ini). */
final readonly class AcidityFacts
{
    public const FILE = 'acidity';

    public function __construct(
        public ProteinFacts $protein,
        public PhosphorusFacts $phosphorus,
        public PhFacts $ph,
        public UnknownPhFacts $unknown,
        public MilkFacts $milk,
        public PlantSaltFacts $plantSalts,
    ) {}
}
