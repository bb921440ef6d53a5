<?php

declare(strict_types=1);

namespace Vinculum\Correction;

/** How far an addition may take a thing (correcting.ini). */
final readonly class DoseLimits
{
    public const FILE = 'correcting';
    public const SECTION = 'doses';

    public function __construct(public float $pastLargest, public float $pastThere, public float $grows) {}
}
