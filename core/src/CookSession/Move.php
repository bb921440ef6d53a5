<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\Cooking\MethodStep;
use Vinculum\CookSession\Event\Finished;
use Vinculum\CookSession\Event\HeatOff;
use Vinculum\CookSession\Event\Measured;
use Vinculum\CookSession\Event\PanEmptyWeighed;
use Vinculum\CookSession\Event\PanRead;
use Vinculum\CookSession\Event\PhMeasured;
use Vinculum\CookSession\Event\SolidsMeasured;
use Vinculum\CookSession\Event\StepDone;
use Vinculum\Keeping\Caution;
use Vinculum\Keeping\StepCautions;

/** One thing to do at the stove. */
final readonly class Move
{
    /**
     * @param 'pan-empty'|'measure'|'step'|'pan-reads'|'cool'|'readings'|'fill' $kind
     * @param string|null $stage that it belongs to
     * @param MeasureTask|null $measure what is measured out
     * @param string|null $take the spoon that is taken up for it
     * @param MethodStep|null $step of the method
     * @param int|null $number of that step, from 0
     * @param list<Caution> $cautions
     * @param list<MeasureTask> $needs what stands ready for it, where all was measured before
     */
    private function __construct(
        public string $kind,
        public ?string $stage,
        public bool $isDone,
        public ?MeasureTask $measure = null,
        public ?string $take = null,
        public ?MethodStep $step = null,
        public ?int $number = null,
        public array $cautions = [],
        public array $needs = [],
    ) {}

    /**
     * What has to happen for it to be done: one of these kinds of event, with these figures (lines from 1, steps of the
     * method from 0).
     *
     * @return array{kinds: non-empty-list<string>, figures: array<string, int>}
     */
    public function doneBy(): array
    {
        return match ($this->kind) {
            'measure' => ['kinds' => [Measured::KIND], 'figures' => ['line' => ($this->measure->line ?? 0) + 1]],
            'step' => ['kinds' => [StepDone::KIND], 'figures' => ['step' => $this->number ?? 0]],
            'pan-empty' => ['kinds' => [PanEmptyWeighed::KIND], 'figures' => []],
            'pan-reads' => ['kinds' => [PanRead::KIND], 'figures' => []],
            'cool' => ['kinds' => [HeatOff::KIND], 'figures' => []],
            'readings' => ['kinds' => [PhMeasured::KIND, SolidsMeasured::KIND], 'figures' => []],
            'fill' => ['kinds' => [Finished::KIND], 'figures' => []],
        };
    }

    /**
     * A cook from beginning to end. A pan that is boiled down is weighed empty first, and again when the heat goes off:
     * after the last step at the hob, or before the jars where there is a yield but no method.
     *
     * @return list<self>
     */
    public static function all(CookPlan $plan, CookRecord $record): array
    {
        // who has no scale stops by the words and the minutes
        $isBoiled = $plan->isBoiledDown() && $plan->hasScale;
        $moves = $isBoiled ? [new self('pan-empty', null, $record->weighings->panEmpty !== null)] : [];
        $steps = $plan->steps();
        $hot = array_keys(array_filter($steps, static fn(MethodStep $step): bool => $step->isAtTheHob()));
        $lastHot = $hot === [] ? ($isBoiled ? count($steps) : null) : max($hot);
        $off = [
            ...($isBoiled ? [new self('pan-reads', null, $record->weighings->panReads !== null)] : []),
            new self('cool', null, $record->readings->heatOff !== null),
        ];
        [$at, $isHot, $contents, $said, $needs] = [0, false, '', [], $plan->needs()];
        $moves = $plan->readiesFirst ? [...$moves, ...self::measuring($plan->items, null, $record)] : $moves;
        foreach ($plan->stages as $number => $cooked) {
            $title = $cooked->stage->title;
            $ofStage = array_values(array_filter(
                $plan->items,
                static fn(MeasureTask $item): bool => $item->stage === $number,
            ));
            $contents .= implode('', array_map(static fn(MeasureTask $item): string => ", {$item->name}", $ofStage));
            $moves = $plan->readiesFirst ? $moves : [...$moves, ...self::measuring($ofStage, $title, $record)];
            foreach ($cooked->stage->steps as $step) {
                $isDone = $record->times->ofStep($at)['done'] !== null;
                // a caution is said where it is first called for, of what is in the pot by then
                $cautions = array_values(array_filter(
                    StepCautions::for($step->text, $isHot, $contents),
                    static fn(Caution $one): bool => !isset($said[$one->code]),
                ));
                $said += array_fill_keys(array_map(static fn(Caution $one): string => $one->code, $cautions), true);
                $moves[] = new self(
                    'step',
                    $title,
                    $isDone,
                    step: $step,
                    number: $at,
                    cautions: $cautions,
                    needs: $needs[$at] ?? [],
                );
                $isHot = $isHot || $step->isAtTheHob();
                $moves = $at === $lastHot ? [...$moves, ...$off] : $moves;
                ++$at;
            }
        }

        return [
            ...$moves,
            ...($lastHot === $at ? $off : []),
            new self('readings', null, $record->readings->ph !== null || $record->readings->solids !== null),
            new self('fill', null, $record->readings->finished !== null),
        ];
    }

    /**
     * One after the other, a spoon taken up where another is needed than before.
     *
     * @param list<MeasureTask> $items
     *
     * @return list<self>
     */
    private static function measuring(array $items, ?string $stage, CookRecord $record): array
    {
        [$moves, $spoon] = [[], null];
        foreach ($items as $item) {
            $needed = MeasuringOrder::spoon($item->measure);
            $moves[] = new self(
                'measure',
                $stage,
                isset($record->weighings->actual[$item->line]),
                measure: $item,
                take: $needed === $spoon ? null : $needed,
            );
            $spoon = $needed;
        }

        return $moves;
    }
}
