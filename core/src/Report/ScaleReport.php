<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Kitchen\Sauce;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\ScaledLine;

/**
 * A recipe at another size: what to measure, what it fills, how it is cooked down, and how little the rounding moves
 * it.
 *
 * @phpstan-import-type NumberedLine from RecipeLine
 */
final readonly class ScaleReport extends Report
{
    public const INLINE = ['batch', 'taste'];

    /**
     * @param list<array{ingredient: string|null, text: string, grams: float|null, exact_grams: float|null, measure: string|null, error_percent: float|null, note: string|null}> $lines
     * @param list<NumberedLine> $recipeLines the recipe's, as they read at that size
     * @param list<string> $notes
     */
    private function __construct(
        public float $factor,
        public ?string $limitedBy,
        public array $lines,
        public array $recipeLines,
        public ScaledBatchReport $batch,
        public TasteMovedReport $taste,
        public array $notes,
    ) {}

    /** @param list<string> $notes on how the recipe was read; those on the scaling follow */
    public static function of(Scale $scale, Sauce $sauce, array $notes = []): self
    {
        [$before, $after] = $scale->balances();

        return new self(
            factor: $scale->factor,
            limitedBy: $scale->limitedBy,
            lines: array_map(static fn(ScaledLine $line): array => [
                'ingredient' => $line->line->ingredient?->key,
                'text' => $line->line->written->text,
                'grams' => $line->grams,
                'exact_grams' => $line->exactGrams,
                'measure' => $line->measure,
                'error_percent' => $line->errorPercent,
                'note' => $line->note,
            ], $scale->lines),
            recipeLines: array_map(
                static fn(RecipeLine $line): array => $line->written(),
                $scale->written($sauce->measures()),
            ),
            batch: ScaledBatchReport::of($scale, $after),
            taste: TasteMovedReport::of($before, $after, $sauce),
            notes: [...$notes, ...$scale->notes],
        );
    }
}
