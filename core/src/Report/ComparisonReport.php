<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Comparison\Comparison;
use Vinculum\Comparison\LineChange;
use Vinculum\Kitchen\Sauce;
use Vinculum\Sensory\Axis;

/** Two states of a sauce side by side: which lines changed, and how the taste moved with them. */
final readonly class ComparisonReport extends Report
{
    /**
     * @param list<string> $changes
     * @param list<array{ingredient: string|null, name: string|null, before: string|null, after: string|null, grams_before: float, grams_after: float, says: string|null}> $lines
     * @param array<value-of<Axis>, float> $steps by axis
     * @param array<value-of<Axis>, AxisReport> $axesBefore by axis
     * @param array<value-of<Axis>, AxisReport> $axesAfter by axis
     * @param array{grams: float} $batchBefore
     * @param array{grams: float} $batchAfter
     */
    private function __construct(
        public string $says,
        public array $changes,
        public array $lines,
        public array $steps,
        public array $axesBefore,
        public array $axesAfter,
        public array $batchBefore,
        public array $batchAfter,
    ) {}

    public static function of(Sauce $was, Sauce $is): self
    {
        $isOneSauce = $was->recipe->sauce !== null && $was->recipe->sauce === $is->recipe->sauce;
        $comparison = Comparison::of($was->formula, $is->formula, $is->spoons(), $isOneSauce);
        [$before, $after] = [$was->balance(), $is->balance()];

        return new self(
            $comparison->words(),
            $comparison->says,
            array_map(static fn(LineChange $line): array => [
                'ingredient' => $line->ingredient?->key,
                'name' => $line->ingredient?->name,
                'before' => $line->before,
                'after' => $line->after,
                'grams_before' => $line->gramsBefore,
                'grams_after' => $line->gramsAfter,
                'says' => $line->says,
            ], $comparison->lines),
            $comparison->steps,
            AxisReport::all($before->axes, $is->aim),
            AxisReport::all($after->axes, $is->aim),
            ['grams' => $before->mixture->grams()],
            ['grams' => $after->mixture->grams()],
        );
    }
}
