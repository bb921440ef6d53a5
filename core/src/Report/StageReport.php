<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Chemistry\Volume;
use Vinculum\Cooking\CookedStage;

/** A stage of a cook and what each of its steps takes: grams, millilitres, per cent that stays. */
final readonly class StageReport extends Report
{
    /**
     * @param list<int> $lines from 1
     * @param list<CookedStepReport> $steps
     */
    private function __construct(
        public ?string $title,
        public bool $offTheHeat,
        public array $lines,
        public float $gramsWith,
        public float $gramsAfter,
        public float $millilitresAfter,
        public array $steps,
    ) {}

    public static function of(CookedStage $cooked): self
    {
        return new self(
            $cooked->stage->title,
            $cooked->stage->isOffTheHeat,
            array_map(static fn(int $number): int => $number + 1, array_keys($cooked->stage->lines)),
            $cooked->with->grams(),
            $cooked->after->grams(),
            Volume::millilitres($cooked->after),
            array_map(CookedStepReport::of(...), $cooked->stage->steps, $cooked->steps),
        );
    }
}
