<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Kitchen\Sauce;
use Vinculum\Substitution\Swap;
use Vinculum\Substitution\SwapAddition;

/**
 * What can take a line's place: how much, what makes up for the rest, how the sauce changes, and the lines as they then
 * read.
 */
final readonly class SwapReport extends Report
{
    public const INLINE = ['substitute', 'taste', 'suitability', 'written'];

    /** @param list<array{ingredient: string, grams: float, measure: string, name: string}> $compensations */
    private function __construct(
        public SubstituteReport $substitute,
        public array $compensations,
        public TasteChangeReport $taste,
        public SuitabilityChangeReport $suitability,
        public ?string $note,
        public EditsReport $written,
    ) {}

    public static function of(Swap $swap, Sauce $sauce): self
    {
        return new self(
            substitute: SubstituteReport::of($swap),
            compensations: array_map(
                static fn(SwapAddition $one): array => [
                    'ingredient' => $one->ingredient->key,
                    'grams' => $one->grams,
                    'measure' => $one->measure->words(),
                    'name' => $one->ingredient->name,
                ],
                $swap->compensations,
            ),
            taste: TasteChangeReport::of($swap, $sauce),
            suitability: SuitabilityChangeReport::of($swap),
            note: $swap->notes === [] ? null : implode('; ', $swap->notes),
            written: EditsReport::of($swap, $sauce),
        );
    }
}
