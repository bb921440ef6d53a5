<?php

declare(strict_types=1);

namespace Vinculum\Chemistry;

/** The groups of protein that take up acid: mmol in a gram, with their relative spread. */
final readonly class ProteinFacts
{
    public function __construct(public float $proteinCarboxyl, public float $imidazole, public float $spread) {}
}
