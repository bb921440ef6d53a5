<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Amount;

/** What an ingredient weighs by the millilitre and by the piece. */
final readonly class PortionsReport extends Report
{
    /**
     * @param float|null $density g/ml
     * @param Named<float> $forms g/ml by form
     * @param Named<array{grams: float, sd: float}> $units grams of one, by its word
     */
    private function __construct(
        public ?float $density,
        public Named $forms,
        public Named $units,
    ) {}

    public static function of(Ingredient $ingredient): self
    {
        return new self(
            density: $ingredient->portions->density,
            forms: new Named($ingredient->portions->forms),
            units: new Named(array_map(
                static fn(Amount $unit): array => ['grams' => $unit->value, 'sd' => $unit->deviation],
                $ingredient->portions->units,
            )),
        );
    }
}
