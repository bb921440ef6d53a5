<?php

declare(strict_types=1);

namespace Vinculum\Sensory;

/** What a gram of each counts. */
final readonly class UmamiWeights
{
    /** @param array<string, float> $weights by component */
    public function __construct(public array $weights) {}
}
