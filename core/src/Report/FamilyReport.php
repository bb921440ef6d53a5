<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Family\Family;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TargetWindow;

/** A style family with its windows. */
final readonly class FamilyReport extends Report
{
    public const INLINE = ['make'];

    /**
     * @param array<value-of<Axis>, array{float, float}> $windows by axis, in its unit
     */
    private function __construct(
        public string $key,
        public string $name,
        public array $windows,
        public int $references,
        public string $source,
        public FamilyMakeReport $make,
        public string $body,
        public string $schools,
        public TypicalReport $typical,
    ) {}

    public static function of(Family $style): self
    {
        return new self(
            key: $style->key,
            name: $style->name,
            windows: array_map(
                static fn(TargetWindow $window): array => [$window->low, $window->high],
                array_filter(Axis::each($style->target->window(...))),
            ),
            references: $style->references,
            source: $style->source,
            make: FamilyMakeReport::of($style),
            body: $style->usage->body,
            schools: $style->usage->schools,
            typical: TypicalReport::of($style),
        );
    }
}
