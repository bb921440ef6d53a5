<?php

declare(strict_types=1);

namespace Vinculum\Sensory;

/** How amino acids and nucleotides make umami together (umami.ini). */
final readonly class UmamiFacts
{
    public const FILE = 'umami';

    public function __construct(
        public UmamiWeights $aminoAcids,
        public UmamiWeights $nucleotides,
        public SynergyFacts $synergy,
    ) {}
}
