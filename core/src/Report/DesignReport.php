<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Formula;
use Vinculum\Correction\Design;
use Vinculum\Correction\DesignedLine;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Sensory\Axis;

/**
 * The amounts found for the free lines of a formula, and the recipe as it then reads.
 *
 * @phpstan-import-type NumberedLine from RecipeLine
 */
final readonly class DesignReport extends Report
{
    /**
     * @param list<NumberedLine> $recipeLines the whole recipe's
     * @param list<array{ingredient: string, name: string, grams: float, measure: string, reason: string}> $lines the
     *     free ones
     * @param float $distance from the target, in steps
     * @param array<value-of<Axis>, float> $tastes by axis, in its unit
     * @param list<string> $hindrances
     * @param string|null $yield what it is cooked down to
     */
    private function __construct(
        public array $recipeLines,
        public array $lines,
        public float $distance,
        public array $tastes,
        public array $hindrances,
        public ?string $yield,
    ) {}

    public static function of(Design $design, Formula $formula, Measures $measures): self
    {
        return new self(
            array_map(static fn(RecipeLine $line): array => $line->written(), $design->written($formula, $measures)),
            array_map(
                static fn(DesignedLine $line): array => [
                    'ingredient' => $line->ingredient->key,
                    'name' => $line->ingredient->name,
                    'grams' => $line->grams,
                    'measure' => $line->measure->words(),
                    'reason' => $line->reason,
                ],
                $design->lines,
            ),
            $design->distance,
            $design->taste->byAxis(),
            $design->hindrances,
            $design->yield,
        );
    }
}
