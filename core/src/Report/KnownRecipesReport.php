<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Family\KnownPlaces;
use Vinculum\Sensory\Axis;

/** Where the known recipes of a family stand on each axis. */
final readonly class KnownRecipesReport extends Report
{
    /** @param array<value-of<Axis>, list<array{title: string, steps: float}>> $axes by axis */
    private function __construct(public array $axes) {}

    public static function of(string $family): self
    {
        $known = KnownPlaces::of($family);

        return new self(Axis::each(static fn(Axis $axis): array => array_map(
            static fn(string $title, float $steps): array => ['title' => $title, 'steps' => $steps],
            $known->titles,
            $known->steps[$axis->value],
        )));
    }
}
