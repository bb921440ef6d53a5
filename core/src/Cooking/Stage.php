<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Recipe\Resolution\ResolvedLine;

/** A part of a cook: what goes in together, and what is then done with all that is in the pot. */
final readonly class Stage
{
    /**
     * @param string|null $title as the heading has it; null for what stands before the first
     * @param array<int, ResolvedLine> $lines by their place in the formula
     * @param list<MethodStep> $steps
     * @param bool $isOffTheHeat its lines go in once the heat is off
     */
    public function __construct(
        public ?string $title,
        public array $lines,
        public array $steps,
        public bool $isOffTheHeat,
    ) {}

    public function with(MethodStep ...$steps): self
    {
        return new self($this->title, $this->lines, [...$this->steps, ...array_values($steps)], $this->isOffTheHeat);
    }
}
