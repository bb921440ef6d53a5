<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Formula;
use Vinculum\Quantity\Measures;
use Vinculum\Sensory\Target;
use Vinculum\Substitution\Swap;

/** One swap of several in a recipe: the line it is for, and the name of what it replaces. */
final readonly class ConvertedLineReport extends Report
{
    /**
     * @param int         $line       from 1
     * @param string|null $ingredient key of what is replaced
     * @param string|null $replaced   its name
     */
    private function __construct(
        public int $line,
        public ?string $ingredient,
        public ?string $replaced,
        public SwapReport $candidate,
    ) {}

    public static function of(Swap $swap, Formula $formula, ?Target $target, Measures $measures): self
    {
        return new self(
            $swap->line + 1,
            $formula->lines[$swap->line]->ingredient?->key,
            $formula->lines[$swap->line]->ingredient?->name,
            SwapReport::of($swap, $formula, $target, $measures),
        );
    }
}
