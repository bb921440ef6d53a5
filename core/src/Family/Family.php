<?php

declare(strict_types=1);

namespace Vinculum\Family;

use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;

/** A kind of sauce: where its references stand on the axes, and what its cooks reach for. */
final readonly class Family
{
    /**
     * @param string $base ingredient key of what usually carries or thins it
     * @param list<string> $correctors ingredient keys
     * @param list<string> $titled words of a title that name it
     * @param int $references how many formulas the windows were derived from
     */
    public function __construct(
        public string $key,
        public string $name,
        public Target $target,
        public string $base,
        public array $correctors,
        public FamilyUsage $usage,
        public array $titled,
        public int $references,
        public string $source,
    ) {}

    /**
     * The same family without windows on axes that do not count for a sauce.
     *
     * @param list<string> $axes
     */
    public function ignoring(array $axes): self
    {
        $target = $this->target;
        foreach ($axes as $axis) {
            $target = $target->without(Axis::from($axis));
        }

        return new self(
            $this->key,
            $this->name,
            $target,
            $this->base,
            $this->correctors,
            $this->usage,
            $this->titled,
            $this->references,
            $this->source,
        );
    }
}
