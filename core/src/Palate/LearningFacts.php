<?php

declare(strict_types=1);

namespace Vinculum\Palate;

/** What a point on the just-about-right scale is worth in steps, and how much it wavers (palate.ini). */
final readonly class LearningFacts
{
    public const FILE = 'palate';
    public const SECTION = 'learning';

    /** @param list<float> $prior one standard deviation, least and most */
    public function __construct(public float $point, public float $noise, public array $prior) {}
}
