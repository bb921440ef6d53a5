<?php

declare(strict_types=1);

namespace Vinculum\Contract;

use Vinculum\Cooking\Cooling;
use Vinculum\Cooking\MethodStep;
use Vinculum\CookSession\CookEvent;
use Vinculum\CookSession\CookPlan;
use Vinculum\CookSession\CookRecord;
use Vinculum\CookSession\CookTimer;
use Vinculum\CookSession\MeasureTask;
use Vinculum\CookSession\MeasuringOrder;
use Vinculum\CookSession\Rebalance;
use Vinculum\Keeping\StepCautions;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;

/** A cook from beginning to end, one move after another: grams, minutes, seconds since the epoch. */
final class CookShape
{
    /** @return array<string, mixed> */
    public static function of(CookPlan $plan, CookRecord $record, Measures $measures, float $now): array
    {
        $spoons = Spoons::of($measures);
        $water = $plan->toBoilOff();
        $isBoiled = $water['grams'] >= 1.0;

        return [
            'factor' => Figure::round($plan->scale->factor),
            'fill' => ScaleShape::fill($plan->scale),
            'notes' => $plan->scale->notes,
            'moves' => self::moves($plan, $record, $spoons, $isBoiled),
            'timers' => array_map(static fn(CookTimer $timer): array => ['id' => $timer->id, 'name' => $timer->name, 'minutes' => $timer->minutes, 'started' => $timer->started, 'ends' => $timer->ends(), 'stopped' => $timer->stopped, 'key' => $timer->key], $record->timers),
            'pan' => [
                'empty_grams' => Figure::roundOrNull($record->panEmpty),
                'sauce_grams' => Figure::round($plan->stopAt($record)),
                'reads_grams' => $record->panEmpty === null ? null : Figure::round($plan->stopAt($record) + $record->panEmpty),
                'read_grams' => Figure::roundOrNull($record->panReads),
                'weighed_sauce_grams' => Figure::roundOrNull($record->sauceGrams()),
                'water_grams' => Figure::round($water['grams']),
                'minutes' => $water['minutes'] === null ? null : array_map(Figure::round(...), $water['minutes']),
            ],
            'rebalancing' => array_map(static fn(Rebalance $way): array => self::way($way, $plan, $spoons), $plan->rebalancing($record)),
            'cooling' => self::cooling($record->cooling($now)),
            'cooling_rule' => Cooling::rule(),
            'heat_off' => $record->heatOff,
            'finished' => $record->finished,
            'events' => array_map(static fn(CookEvent $event): array => ['id' => $event->id, 'kind' => $event->kind, 'figures' => (object) $event->figures, 'words' => $event->words, 'at' => $event->at], $record->events),
            'now' => $now,
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function moves(CookPlan $plan, CookRecord $record, Spoons $spoons, bool $isBoiled): array
    {
        $moves = $isBoiled ? [self::move('pan-empty', null, $record->panEmpty !== null)] : [];
        [$at, $spoon, $isHot] = [0, null, false];
        $contents = implode(', ', array_map(static fn(MeasureTask $item): string => $item->name, $plan->items));
        $hot = array_keys(array_filter($plan->steps(), static fn(MethodStep $step): bool => $step->isAtTheHob()));
        $lastHot = $hot === [] ? null : max($hot);
        if ($lastHot === null && $isBoiled) {
            // a yield without a method: it is weighed before the jars
            $lastHot = count($plan->steps());
        }
        $off = [...($isBoiled ? [self::move('pan-reads', null, $record->panReads !== null)] : []), self::move('cool', null, $record->heatOff !== null)];
        foreach ($plan->stages as $number => $cooked) {
            foreach (array_filter($plan->items, static fn(MeasureTask $item): bool => $item->stage === $number) as $item) {
                $needed = MeasuringOrder::spoon($item->measure);
                $moves[] = self::move('measure', $cooked->stage->title, isset($record->actual[$item->line]), ['measure' => self::item($item, $plan, $record, $spoons, $needed !== $spoon ? $needed : null)]);
                $spoon = $needed;
            }
            foreach ($cooked->stage->steps as $step) {
                $times = $record->steps[$at] ?? ['started' => null, 'done' => null];
                $moves[] = self::move('step', $cooked->stage->title, $times['done'] !== null, ['step' => [...StageShape::asRead($step), 'number' => $at, 'started' => $times['started'], 'done' => $times['done']], 'cautions' => array_map(KeepShape::caution(...), StepCautions::for($step->text, $isHot, $contents))]);
                $isHot = $isHot || $step->isAtTheHob();
                $moves = $at === $lastHot ? [...$moves, ...$off] : $moves;
                ++$at;
            }
        }

        return [...$moves, ...($lastHot === $at ? $off : []), self::move('readings', null, $record->ph !== null || $record->solids !== null), self::move('fill', null, $record->finished !== null)];
    }

    /**
     * @param array<string, mixed> $what
     *
     * @return array<string, mixed>
     */
    private static function move(string $kind, ?string $stage, bool $isDone, array $what = []): array
    {
        return ['kind' => $kind, 'stage' => $stage, 'done' => $isDone, 'measure' => null, 'step' => null, 'cautions' => [], ...$what];
    }

    /** @return array<string, mixed> */
    private static function item(MeasureTask $item, CookPlan $plan, CookRecord $record, Spoons $spoons, ?string $spoon): array
    {
        $target = $plan->target($item->line, $record);
        $isChanged = isset($record->changed[$item->line]);

        return [
            'line' => $item->line + 1,
            'name' => $item->name,
            'grams' => Figure::roundOrNull($target),
            'measure' => $isChanged && $target !== null ? self::words($target, $item->line, $plan, $spoons) : $item->measure,
            'says' => self::says($item, $isChanged && $target !== null ? self::words($target, $item->line, $plan, $spoons) : $item->measure),
            'take' => $spoon,
            'note' => $item->note,
            'actual_grams' => Figure::roundOrNull($record->actual[$item->line] ?? null),
            'changed' => $isChanged,
        ];
    }

    /** What to measure in one sentence; a measure that names the thing needs no name after it. */
    private static function says(MeasureTask $item, string $measure): string
    {
        return str_contains($measure, ' of ') ? $measure : trim("{$measure} " . mb_strtolower($item->name));
    }

    /** @return array<string, mixed> */
    private static function way(Rebalance $way, CookPlan $plan, Spoons $spoons): array
    {
        $lines = [];
        foreach ($way->grams as $line => $grams) {
            $lines[] = ['line' => $line + 1, 'name' => $plan->scale->lines[$line]->line->ingredient->name ?? $plan->scale->lines[$line]->line->text, 'planned_grams' => Figure::roundOrNull($plan->scale->lines[$line]->grams), 'grams' => Figure::round($grams), 'measure' => self::words($grams, $line, $plan, $spoons)];
        }

        return ['way' => $way->way, 'lines' => $lines, 'change_steps' => array_map(Figure::round(...), $way->changeSteps), 'away_steps' => Figure::round($way->away)];
    }

    private static function words(float $grams, int $line, CookPlan $plan, Spoons $spoons): string
    {
        $density = $plan->scale->lines[$line]->line->ingredient?->density;

        return $grams < 0.05 ? 'none' : $spoons->words($spoons->nearest($grams, $density), $density);
    }

    /** @return array<string, mixed>|null */
    private static function cooling(?Cooling $cooling): ?array
    {
        return $cooling === null ? null : ['stage' => $cooling->stage, 'celsius' => Figure::roundOrNull($cooling->celsius), 'limit' => $cooling->limit, 'minutes_left' => Figure::round($cooling->minutesLeft), 'expected_minutes' => Figure::roundOrNull($cooling->expected), 'says' => $cooling->says];
    }
}
