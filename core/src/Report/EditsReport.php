<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Kitchen\Sauce;
use Vinculum\Substitution\Swap;

/** The lines of a recipe that a swap writes. */
final readonly class EditsReport extends Report
{
    /**
     * @param list<array{id: int, text: string}> $edits lines of the recipe as they then read, by their own number; empty where one goes
     * @param list<string> $added new lines
     */
    private function __construct(public array $edits, public array $added) {}

    public static function of(Swap $swap, Sauce $sauce): self
    {
        [$edits, $added] = $swap->written($sauce->formula, $sauce->measures(), $sauce->kitchen->hasScale);
        $edits = $sauce->formula->edited($edits);

        return new self(
            edits: array_map(
                static fn(int $id, string $text): array => ['id' => $id, 'text' => $text],
                array_keys($edits),
                $edits,
            ),
            added: $added,
        );
    }
}
