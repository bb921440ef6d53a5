<?php

declare(strict_types=1);

namespace Vinculum\Contract;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Volume;
use Vinculum\Cooking\CookedStage;
use Vinculum\Cooking\MethodStep;
use Vinculum\Cooking\StagedCook;
use Vinculum\Cooking\StepLosses;

/** The stages of a cook and what each takes: grams, minutes, per cent that stays. */
final class StageShape
{
    /** @return list<array<string, mixed>> */
    public static function all(StagedCook $cook): array
    {
        return array_map(self::of(...), $cook->stages);
    }

    /** @return array<string, mixed> */
    private static function of(CookedStage $cooked): array
    {
        return [
            'title' => $cooked->stage->title,
            'off_the_heat' => $cooked->stage->isOffTheHeat,
            'lines' => array_map(static fn(int $number): int => $number + 1, array_keys($cooked->stage->lines)),
            'grams_with' => Figure::round($cooked->with->grams()),
            'grams_after' => Figure::round($cooked->after->grams()),
            'millilitres_after' => Figure::round(Volume::millilitres($cooked->after)),
            'steps' => array_map(self::step(...), $cooked->stage->steps, $cooked->steps),
        ];
    }

    /** @return array<string, mixed> */
    private static function step(MethodStep $step, StepLosses $gone): array
    {
        return [
            ...self::asRead($step),
            'water' => ['value' => Figure::round($gone->water), 'low' => Figure::round($gone->band['low']), 'high' => Figure::round($gone->band['high'])],
            'alcohol_left_percent' => $gone->had(Component::Ethanol) ? [Figure::round(100.0 * min($gone->alcohol)), Figure::round(100.0 * max($gone->alcohol))] : null,
            'acetic_left_percent' => $gone->had(Component::Acetic) ? Figure::round(100.0 * $gone->acetic) : null,
            'nose_heat_left_percent' => $gone->had(Component::NoseHeat) ? Figure::round(100.0 * $gone->nose) : null,
        ];
    }

    /** @return array<string, mixed> a step as it was understood */
    public static function asRead(MethodStep $step): array
    {
        return [
            'text' => $step->text,
            'line' => $step->line,
            'kind' => $step->kind,
            'minutes' => $step->minutes === null ? null : array_map(Figure::round(...), $step->minutes),
            'heat' => $step->heat?->key,
            'covered' => $step->isCovered,
            'left' => Figure::roundOrNull($step->left),
            'celsius' => Figure::roundOrNull($step->celsius),
            'until' => $step->until,
            'sieved' => $step->isSieved,
        ];
    }
}
