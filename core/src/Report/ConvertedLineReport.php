<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Kitchen\Sauce;
use Vinculum\Substitution\Swap;

/** One swap of several in a recipe: the line it is for, and the name of what it replaces. */
final readonly class ConvertedLineReport extends Report
{
    /**
     * @param int $line from 1
     * @param string|null $ingredient key of what is replaced
     * @param string|null $replaced its name
     */
    private function __construct(
        public int $line,
        public ?string $ingredient,
        public ?string $replaced,
        public SwapReport $candidate,
    ) {}

    public static function of(Swap $swap, Sauce $sauce): self
    {
        $replaced = $sauce->formula->lines[$swap->line]->ingredient;

        return new self(
            $swap->line + 1,
            $replaced?->key,
            $replaced?->name,
            SwapReport::of($swap, $sauce),
        );
    }
}
