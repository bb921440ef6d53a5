<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Volume;
use Vinculum\Cooking\CookedStage;
use Vinculum\Cooking\MethodStep;
use Vinculum\Cooking\StepLosses;

/** A stage of a cook and what each of its steps takes: grams, millilitres, per cent that stays. */
final readonly class StageReport extends Report
{
    /**
     * @param list<int>                  $lines from 1
     * @param list<array<string, mixed>> $steps each as it was understood, with the water it takes and what stays of
     *     alcohol, acetic acid and nose heat
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
            array_map(self::step(...), $cooked->stage->steps, $cooked->steps),
        );
    }

    /** @return array<string, mixed> */
    private static function step(MethodStep $step, StepLosses $gone): array
    {
        return [
            ...StepReport::of($step)->toArray(),
            'water' => ['value' => $gone->water, 'low' => $gone->band['low'], 'high' => $gone->band['high']],
            'alcohol_left_percent' => $gone->had(Component::Ethanol)
                ? [100.0 * min($gone->alcohol), 100.0 * max($gone->alcohol)]
                : null,
            'acetic_left_percent' => $gone->had(Component::Acetic) ? 100.0 * $gone->acetic : null,
            'nose_heat_left_percent' => $gone->had(Component::Pungency) ? 100.0 * $gone->nose : null,
        ];
    }
}
