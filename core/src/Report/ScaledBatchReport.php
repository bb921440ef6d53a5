<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Balance\MeasuredYield;
use Vinculum\Chemistry\Volume;
use Vinculum\Scaling\Scale;

/** How much comes of a scaled recipe, and which jars it fills. */
final readonly class ScaledBatchReport extends Report
{
    /**
     * @param array{grams: float, millilitres: float} $batch before cooking
     * @param list<array{container_ml: float, count: int, filled_ml: float, left_over_ml: float}> $fill
     * @param array{evaporate_grams: float, minutes: array{value: float, low: float, high: float}, pan_reads_grams: float}|null $cook
     * @param array{grams: float, millilitres: float} $finished
     * @param string|null $yield as it then reads; null where nothing is cooked
     */
    private function __construct(
        public array $batch,
        public array $fill,
        public ?array $cook,
        public array $finished,
        public ?string $yield,
    ) {}

    public static function of(Scale $scale, Balance $after): self
    {
        return new self(
            batch: ['grams' => $scale->mixed->grams(), 'millilitres' => Volume::millilitres($scale->mixed)],
            fill: $scale->fill,
            cook: $scale->cook,
            finished: ['grams' => $after->mixture->grams(), 'millilitres' => Volume::millilitres($after->mixture)],
            yield: $after->isFinished ? MeasuredYield::written($after->mixture->grams()) : null,
        );
    }
}
