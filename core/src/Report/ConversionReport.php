<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Quantity\Measures;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Substitution\Conversion;

/**
 * A whole recipe made fit for someone: every swap, what nothing could be done about, and the recipe as it then reads.
 */
final readonly class ConversionReport extends Report
{
    /**
     * @param list<ConvertedLineReport>            $swaps
     * @param list<array{line: int, text: string}> $stuck       lines from 1 for which nothing does
     * @param list<string>                         $lines       the recipe as it then reads
     * @param array<value-of<Axis>, AxisReport>            $after       by axis
     * @param array<value-of<Axis>, float>                 $changeSteps by axis
     */
    private function __construct(
        public array $swaps,
        public array $stuck,
        public array $lines,
        public array $after,
        public array $changeSteps,
        public float $residualSteps,
    ) {}

    public static function of(Formula $formula, Conversion $conversion, ?Target $target, Measures $measures): self
    {
        [$swaps, $now] = [[], $formula];
        foreach ($conversion->swaps as $swap) {
            $swaps[] = ConvertedLineReport::of($swap, $now, $target, $measures);
            $now = $swap->applied($now);
        }

        return new self(
            $swaps,
            array_map(
                static fn(int $line): array => ['line' => $line + 1, 'text' => $formula->lines[$line]->ownText()],
                $conversion->stuck,
            ),
            $conversion->written($formula, $measures),
            AxisReport::all(Balance::of($conversion->formula)->axes, $target),
            $conversion->changeSteps,
            $conversion->residual,
        );
    }
}
