<?php

declare(strict_types=1);

namespace Vinculum\Planning;

/** One thing to do for a sauce. */
final readonly class Task
{
    /**
     * @param 'prepare'|'cook'|'cool'|'rest'|'fill' $kind
     * @param bool $needsHob a ring of the hob is taken
     * @param bool $needsHands somebody has to be there
     */
    public function __construct(
        public string $kind,
        public string $name,
        public float $minutes,
        public bool $needsHob,
        public bool $needsHands,
    ) {}
}
