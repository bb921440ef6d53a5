<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\CookSession\CookPlan;
use Vinculum\CookSession\CookRecord;
use Vinculum\CookSession\MeasureTask;
use Vinculum\CookSession\Move;
use Vinculum\Quantity\Spoons;

/**
 * One thing to do at the stove, told in full.
 *
 * @phpstan-type MeasureMove array{
 *     line: int,
 *     name: string,
 *     grams: float|null,
 *     measure: string,
 *     says: string,
 *     take: string|null,
 *     notes: list<string>,
 *     actual_grams: float|null,
 *     tolerance_grams: float,
 *     is_weighed: bool,
 * }
 */
final readonly class MoveReport extends Report
{
    /**
     * @param 'pan-empty'|'measure'|'step'|'pan-reads'|'cool'|'readings'|'fill' $kind
     * @param MeasureMove|null $measure
     * @param list<CautionReport> $cautions
     * @param list<string> $needs what stands ready for it, where all was measured before
     * @param array{kinds: list<string>, figures: Named<int>} $doneBy the kinds of event that do it, with the figures of each
     */
    private function __construct(
        public string $kind,
        public ?string $stage,
        public bool $done,
        public ?array $measure,
        public ?MoveStepReport $step,
        public array $cautions,
        public array $needs,
        public array $doneBy,
    ) {}

    public static function of(Move $move, CookPlan $plan, CookRecord $record, Spoons $spoons): self
    {
        $doneBy = $move->doneBy();

        return new self(
            $move->kind,
            $move->stage,
            $move->isDone,
            $move->measure === null ? null : self::measure($move->measure, $move->take, $plan, $record, $spoons),
            $move->step === null ? null : MoveStepReport::of(
                $move->step,
                $move->number ?? 0,
                $record,
                array_slice($plan->steps(), ($move->number ?? 0) + 1),
            ),
            CautionReport::all($move->cautions),
            array_map(
                static fn(MeasureTask $item): string => $item->says($item->measure),
                $move->needs,
            ),
            ['kinds' => $doneBy['kinds'], 'figures' => new Named($doneBy['figures'])],
        );
    }

    /** @return MeasureMove */
    private static function measure(
        MeasureTask $task,
        ?string $take,
        CookPlan $plan,
        CookRecord $record,
        Spoons $spoons,
    ): array {
        $grams = $plan->target($task->line, $record);
        $isChanged = isset($record->weighings->changed[$task->line]);
        $measure = $isChanged && $grams !== null ? $plan->words($task->line, $grams, $spoons) : $task->measure;

        return [
            'line' => $task->line + 1,
            'name' => $task->name,
            'grams' => $grams,
            'measure' => $measure,
            'says' => $task->says($measure),
            'take' => $take,
            'notes' => $task->notes($grams, $measure, $isChanged),
            'actual_grams' => $record->weighings->actual[$task->line] ?? null,
            'tolerance_grams' => MeasureTask::tolerance($grams),
            'is_weighed' => $task->isWeighed,
        ];
    }
}
