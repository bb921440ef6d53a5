<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Kitchen\Sauce;
use Vinculum\Substitution\StandIn;
use Vinculum\Substitution\Swap;

/** What can take the place of one line, the best first. */
final readonly class SwapsReport extends Report
{
    /**
     * @param int $line from 1
     * @param string|null $mind what to mind where it is replaced
     * @param list<SwapReport> $candidates
     */
    private function __construct(
        public int $line,
        public ?string $ingredient,
        public ?string $name,
        public float $grams,
        public ?string $mind,
        public array $candidates,
    ) {}

    /**
     * @param int $line from 0
     * @param list<Swap> $swaps
     */
    public static function of(Sauce $sauce, int $line, array $swaps): self
    {
        $old = $sauce->formula->lines[$line];

        return new self(
            $sauce->formula->numbers()[$line],
            $old->ingredient?->key,
            $old->ingredient?->name,
            $old->grams->value ?? 0.0,
            $old->ingredient === null ? null : StandIn::mind($old->ingredient),
            array_map(static fn(Swap $swap): SwapReport => SwapReport::of($swap, $sauce), $swaps),
        );
    }
}
