<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\CookSession\CookPlan;
use Vinculum\CookSession\CookRecord;
use Vinculum\CookSession\MeasureTask;
use Vinculum\CookSession\Move;
use Vinculum\CookSession\Rebalance;

/**
 * A cook as it stands: one move after another, what runs, what the pan should read. Grams, minutes, seconds since the
 * epoch.
 *
 * @phpstan-type PanWeights array{
 *     empty_grams: float|null,
 *     sauce_grams: float,
 *     reads_grams: float|null,
 *     read_grams: float|null,
 *     weighed_sauce_grams: float|null,
 *     tolerance_grams: float,
 *     water_grams: float,
 *     minutes: array{value: float, low: float, high: float}|null,
 * }
 */
final readonly class CookReport extends Report
{
    public const INLINE = ['cooled', 'clock'];

    /**
     * @param list<array{container_ml: float, count: int, filled_ml: float, left_over_ml: float}> $fill
     * @param list<string> $notes
     * @param list<MoveReport> $moves
     * @param list<TimerReport> $timers
     * @param PanWeights $pan what it weighs, and should weigh
     * @param list<RebalancingReport> $rebalancing
     * @param list<CookEventReport> $events
     */
    private function __construct(
        public float $factor,
        public array $fill,
        public array $notes,
        public array $moves,
        public array $timers,
        public array $pan,
        public array $rebalancing,
        public CooledReport $cooled,
        public CookClockReport $clock,
        public array $events,
    ) {}

    public static function of(CookPlan $plan, CookRecord $record, float $now): self
    {
        $spoons = $plan->spoons();
        $water = $plan->toBoilOff();
        $sauce = $plan->stopAt($record);

        return new self(
            factor: $plan->scale->factor,
            fill: $plan->scale->fill,
            notes: $plan->scale->notes,
            moves: array_map(
                static fn(Move $move): MoveReport => MoveReport::of($move, $plan, $record, $spoons),
                Move::all($plan, $record),
            ),
            timers: array_map(TimerReport::of(...), $record->times->timers),
            pan: [
                'empty_grams' => $record->weighings->panEmpty,
                'sauce_grams' => $sauce,
                'reads_grams' => $record->weighings->panEmpty === null ? null : $sauce + $record->weighings->panEmpty,
                'read_grams' => $record->weighings->panReads,
                'weighed_sauce_grams' => $record->weighings->sauceGrams(),
                'tolerance_grams' => MeasureTask::tolerance($sauce + ($record->weighings->panEmpty ?? 0.0)),
                'water_grams' => $water['grams'],
                'minutes' => $water['minutes'],
            ],
            rebalancing: array_map(
                static fn(Rebalance $way): RebalancingReport => RebalancingReport::of($way, $plan, $spoons),
                $plan->rebalancing($record),
            ),
            cooled: CooledReport::of($record, $now),
            clock: CookClockReport::of($record, $now),
            events: array_map(CookEventReport::of(...), $record->events),
        );
    }
}
