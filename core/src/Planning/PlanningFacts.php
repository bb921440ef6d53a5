<?php

declare(strict_types=1);

namespace Vinculum\Planning;

/** What usual work takes, in minutes, and when a cook is up (planning.ini). */
final readonly class PlanningFacts
{
    public const FILE = 'planning';
    public const SECTION = 'usual';

    public function __construct(
        public float $prepareLine,
        public float $prepareLeast,
        public float $step,
        public float $cook,
        public float $cool,
        public float $fill,
        public float $fillJar,
        public int $wakes,
        public int $sleeps,
    ) {}
}
