<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Recipe\RecipeLine;
use Vinculum\Sensory\Axis;
use Vinculum\Substitution\Conversion;

/**
 * A whole recipe made fit for someone: every swap, what nothing could be done about, and the recipe as it then reads.
 *
 * @phpstan-import-type NumberedLine from RecipeLine
 */
final readonly class ConversionReport extends Report
{
    /**
     * @param list<ConvertedLineReport> $swaps
     * @param list<array{line: int, text: string, why: string}> $stuck lines from 1 for which nothing does
     * @param list<string> $text the recipe as it then reads
     * @param list<NumberedLine> $recipeLines its lines as they then read
     * @param array<value-of<Axis>, AxisReport> $after by axis
     * @param array<value-of<Axis>, float> $changeSteps by axis
     * @param list<string> $allergens of the whole, afterwards
     * @param list<string> $diets that the whole fits, afterwards
     * @param list<string> $notes what to ask about before somebody eats it
     */
    private function __construct(
        public array $swaps,
        public array $stuck,
        public array $text,
        public array $recipeLines,
        public array $after,
        public array $changeSteps,
        public float $residualSteps,
        public array $allergens,
        public array $diets,
        public array $notes,
    ) {}

    public static function of(Conversion $conversion): self
    {
        [$sauce, $now, $swaps] = [$conversion->before, $conversion->before, []];
        $lines = $conversion->written();
        $after = $conversion->after->balance();
        foreach ($conversion->swaps as $swap) {
            $swaps[] = ConvertedLineReport::of($swap, $now);
            $now = $now->having($swap->applied($now->formula));
        }

        return new self(
            $swaps,
            array_map(
                static fn(int $line, string $why): array => [
                    'line' => $line + 1,
                    'text' => $sauce->formula->lines[$line]->written->text,
                    'why' => $why,
                ],
                array_keys($conversion->stuck),
                $conversion->stuck,
            ),
            RecipeLine::texts($lines),
            array_map(static fn(RecipeLine $line): array => $line->written(), $lines),
            AxisReport::all($after->axes, $sauce->aim),
            $conversion->changeSteps,
            $conversion->residual,
            $after->allergens(),
            $after->diets(),
            $conversion->notes,
        );
    }
}
