<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

/** What is left of a pack that is drained, where the ingredient itself does not say (sizes.ini). */
final readonly class DrainedFacts
{
    public const FILE = 'sizes';
    public const SECTION = 'drained';

    public function __construct(public float $share, public float $doubt) {}
}
