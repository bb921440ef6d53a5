<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\MeasuredYield;
use Vinculum\Chemistry\Volume;
use Vinculum\Kitchen\Sauce;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\ScaledLine;
use Vinculum\Sensory\Axis;

/**
 * A recipe at another size: what to measure, what it fills, how it is cooked down, and how little the rounding moves
 * it.
 */
final readonly class ScaleReport extends Report
{
    /**
     * @param list<array{ingredient: string|null, text: string, grams: float|null, exact_grams: float|null, measure: string|null, error_percent: float|null, note: string|null, scaled_text: string}> $lines
     * @param array{grams: float, millilitres: float} $batch before cooking
     * @param list<array{container_ml: float, count: int, filled_ml: float, left_over_ml: float}> $fill
     * @param array{evaporate_grams: float, minutes: array{value: float, low: float, high: float}, pan_reads_grams: float}|null $cook
     * @param array<value-of<Axis>, AxisReport> $axesBefore by axis
     * @param array<value-of<Axis>, AxisReport> $axesAfter by axis
     * @param list<string> $notes
     * @param array<value-of<Axis>, float> $changeSteps by axis
     * @param array{grams: float, millilitres: float} $finished
     * @param string|null $yield as it then reads; null where nothing is cooked
     */
    private function __construct(
        public float $factor,
        public ?string $limitedBy,
        public array $lines,
        public array $batch,
        public array $fill,
        public ?array $cook,
        public array $axesBefore,
        public array $axesAfter,
        public array $notes,
        public array $changeSteps,
        public array $finished,
        public ?string $yield,
    ) {}

    /** @param list<string> $notes on how the recipe was read; those on the scaling follow */
    public static function of(Scale $scale, Sauce $sauce, array $notes = []): self
    {
        [$before, $after] = $scale->balances();

        return new self(
            $scale->factor,
            $scale->limitedBy,
            array_map(static fn(ScaledLine $line): array => [
                'ingredient' => $line->line->ingredient?->key,
                'text' => $line->line->written->text,
                'grams' => $line->grams,
                'exact_grams' => $line->exactGrams,
                'measure' => $line->measure,
                'error_percent' => $line->errorPercent,
                'note' => $line->note,
                'scaled_text' => $line->written($sauce->measures()),
            ], $scale->lines),
            ['grams' => $scale->mixed->grams(), 'millilitres' => Volume::millilitres($scale->mixed)],
            $scale->fill,
            $scale->cook,
            AxisReport::all($before->axes, $sauce->aim),
            AxisReport::all($after->axes, $sauce->aim),
            [...$notes, ...$scale->notes],
            $before->taste->stepsTo($after->taste),
            ['grams' => $after->mixture->grams(), 'millilitres' => Volume::millilitres($after->mixture)],
            $after->isFinished ? MeasuredYield::written($after->mixture->grams()) : null,
        );
    }
}
