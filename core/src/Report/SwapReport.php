<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Kitchen\Sauce;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Verdict;
use Vinculum\Substitution\Swap;
use Vinculum\Substitution\SwapAddition;

/**
 * What can take a line's place: how much, what makes up for the rest, how the sauce changes, and the lines as they then
 * read.
 */
final readonly class SwapReport extends Report
{
    /**
     * @param list<array{ingredient: string, grams: float, measure: string, name: string}> $compensations
     * @param array<value-of<Axis>, float> $changeSteps by axis
     * @param int $class 1 the same thing, 2 what cooks usually take, 3 the same work, 4 by numbers only
     * @param list<string> $allergensAdded
     * @param list<string> $allergensRemoved
     * @param list<string> $dietsGained
     * @param list<string> $dietsLost
     * @param float $kinship of aroma, 0 to 1
     * @param array<value-of<Axis>, AxisReport> $after by axis
     * @param list<array{line: int, text: string}> $edits rows of the recipe, from 1, as they then read
     * @param list<string> $added new lines
     * @param string $says what becomes of the taste; nothing where no amount is known
     */
    private function __construct(
        public string $ingredient,
        public float $grams,
        public string $measure,
        public array $compensations,
        public array $changeSteps,
        public float $residualSteps,
        public int $class,
        public array $allergensAdded,
        public array $allergensRemoved,
        public array $dietsGained,
        public ?string $note,
        public string $name,
        public array $dietsLost,
        public float $kinship,
        public ?string $mainAxis,
        public array $after,
        public array $edits,
        public array $added,
        public string $says,
    ) {}

    public static function of(Swap $swap, Sauce $sauce): self
    {
        $formula = $sauce->formula;
        [$edits, $added] = $swap->written($formula, $sauce->measures(), $sauce->kitchen->hasScale);
        $edits = $formula->rowsWith($edits);

        return new self(
            $swap->ingredient->key,
            $swap->grams,
            $swap->measure->words(),
            array_map(
                static fn(SwapAddition $one): array => [
                    'ingredient' => $one->ingredient->key,
                    'grams' => $one->grams,
                    'measure' => $one->measure->words(),
                    'name' => $one->ingredient->name,
                ],
                $swap->compensations,
            ),
            $swap->taste->steps,
            $swap->taste->residual,
            $swap->class,
            $swap->suitability->allergensAdded,
            $swap->suitability->allergensRemoved,
            $swap->suitability->dietsGained,
            $swap->notes === [] ? null : implode('; ', $swap->notes),
            $swap->ingredient->name,
            $swap->suitability->dietsLost,
            $swap->aromaSimilarity,
            $swap->taste->main?->value,
            AxisReport::all(Balance::axesOf($swap->applied($formula)), $sauce->aim),
            array_map(
                static fn(int $line, string $text): array => ['line' => $line + 1, 'text' => $text],
                array_keys($edits),
                $edits,
            ),
            $added,
            $swap->grams === 0.0 ? '' : Verdict::ofChange($swap->taste->steps, $swap->taste->residual),
        );
    }
}
