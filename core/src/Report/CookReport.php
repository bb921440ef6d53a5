<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Cooking\Cooling;
use Vinculum\CookSession\CookEvent;
use Vinculum\CookSession\CookPlan;
use Vinculum\CookSession\CookRecord;
use Vinculum\CookSession\CookTimer;
use Vinculum\CookSession\MeasureTask;
use Vinculum\CookSession\Move;
use Vinculum\CookSession\Rebalance;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;

/**
 * A cook as it stands: one move after another, what runs, what the pan should read. Grams, minutes, seconds since the
 * epoch.
 */
final readonly class CookReport extends Report
{
    /**
     * @param list<array{container_ml: float, count: int, filled_ml: float, left_over_ml: float}> $fill
     * @param list<string>                                                                        $notes
     * @param list<MoveReport>                                                                    $moves
     * @param list<array<string, mixed>>                                                          $timers
     * @param array<string, mixed> $pan what it weighs, and should weigh
     * @param list<array<string, mixed>> $rebalancing ways on after something was poured over or under
     * @param array<string, mixed>|null                                                           $cooling
     * @param Exact $heatOff when, null while it is on
     * @param Exact $finished when, null while it is not
     * @param list<array<string, mixed>>                                                          $events
     */
    private function __construct(
        public float $factor,
        public array $fill,
        public array $notes,
        public array $moves,
        public array $timers,
        public array $pan,
        public array $rebalancing,
        public ?array $cooling,
        public string $coolingRule,
        public Exact $heatOff,
        public Exact $finished,
        public array $events,
        public Exact $now,
    ) {}

    public static function of(CookPlan $plan, CookRecord $record, Measures $measures, float $now): self
    {
        $spoons = Spoons::of($measures);
        $water = $plan->toBoilOff();
        $sauce = $plan->stopAt($record);

        return new self(
            $plan->scale->factor,
            $plan->scale->fill,
            $plan->scale->notes,
            array_map(
                static fn(Move $move): MoveReport => MoveReport::of($move, $plan, $record, $spoons),
                Move::all($plan, $record),
            ),
            array_map(self::timer(...), $record->timers),
            [
                'empty_grams' => $record->panEmpty,
                'sauce_grams' => $sauce,
                'reads_grams' => $record->panEmpty === null ? null : $sauce + $record->panEmpty,
                'read_grams' => $record->panReads,
                'weighed_sauce_grams' => $record->sauceGrams(),
                'tolerance_grams' => MeasureTask::tolerance($sauce + ($record->panEmpty ?? 0.0)),
                'water_grams' => $water['grams'],
                'minutes' => $water['minutes'],
            ],
            array_map(static fn(Rebalance $way): array => self::way($way, $plan, $spoons), $plan->rebalancing($record)),
            self::cooling($record->cooling($now)),
            Cooling::rule(),
            new Exact($record->heatOff),
            new Exact($record->finished),
            array_map(self::event(...), $record->events),
            new Exact($now),
        );
    }

    /** @return array<string, mixed> */
    private static function timer(CookTimer $timer): array
    {
        return [
            'id' => $timer->id,
            'name' => $timer->name,
            'minutes' => new Exact($timer->minutes),
            'started' => new Exact($timer->started),
            'ends' => new Exact($timer->ends()),
            'stopped' => new Exact($timer->stopped),
            'key' => $timer->key,
        ];
    }

    /** @return array<string, mixed> */
    private static function event(CookEvent $event): array
    {
        return [
            'id' => $event->id,
            'kind' => $event::KIND,
            'figures' => new Exact((object) $event->figures()),
            'words' => $event->words,
            'at' => new Exact($event->at),
        ];
    }

    /** @return array<string, mixed> */
    private static function way(Rebalance $way, CookPlan $plan, Spoons $spoons): array
    {
        $lines = [];
        foreach ($way->grams as $line => $grams) {
            $planned = $plan->scale->lines[$line];
            $lines[] = [
                'line' => $line + 1,
                'name' => $planned->line->ingredient->name ?? $planned->line->text,
                'planned_grams' => $planned->grams,
                'grams' => $grams,
                'measure' => $plan->words($line, $grams, $spoons),
            ];
        }

        return ['way' => $way->way, 'lines' => $lines, 'change_steps' => $way->changeSteps, 'away_steps' => $way->away];
    }

    /** @return array<string, mixed>|null */
    private static function cooling(?Cooling $cooling): ?array
    {
        return $cooling === null
            ? null
            : [
                'stage' => $cooling->stage,
                'celsius' => $cooling->celsius,
                'limit' => $cooling->limit,
                'minutes_left' => $cooling->minutesLeft,
                'expected_minutes' => $cooling->expected,
                'says' => $cooling->says,
            ];
    }
}
