<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\Cooking\Cooling;
use Vinculum\CookSession\Event\Finished;
use Vinculum\CookSession\Event\HeatOff;
use Vinculum\CookSession\Event\Measured;
use Vinculum\CookSession\Event\PanEmptyWeighed;
use Vinculum\CookSession\Event\PanRead;
use Vinculum\CookSession\Event\PhMeasured;
use Vinculum\CookSession\Event\Rebalanced;
use Vinculum\CookSession\Event\SolidsMeasured;
use Vinculum\CookSession\Event\StepDone;
use Vinculum\CookSession\Event\StepStarted;
use Vinculum\CookSession\Event\TemperatureRead;
use Vinculum\CookSession\Event\TimerStarted;
use Vinculum\CookSession\Event\TimerStopped;
use Vinculum\CookSession\Event\Undone;

/** How a cook stands: what its events add up to. */
final readonly class CookRecord
{
    /**
     * @param list<CookEvent>                                     $events   those that stand
     * @param array<int, float>                                   $actual   grams that went in, by line
     * @param array<int, bool> $asPlanned lines that went in without being weighed, as they were planned
     * @param array<int, float> $changed grams to take instead of those planned, by line, after rebalancing
     * @param bool $isSettled nothing was poured since the last rebalancing
     * @param array<int, array{started: float|null, done: float|null}> $steps by step, in seconds
     * @param list<CookTimer>                                     $timers
     * @param list<array{float, float}>                           $temperatures seconds, °C
     */
    private function __construct(
        public array $events,
        public array $actual,
        public array $asPlanned,
        public array $changed,
        public bool $isSettled,
        public array $steps,
        public array $timers,
        public ?float $panEmpty,
        public ?float $panReads,
        public ?float $heatOff,
        public array $temperatures,
        public ?float $ph,
        public ?float $solids,
        public ?float $finished,
    ) {}

    /** @param list<CookEvent> $events in order */
    public static function of(array $events): self
    {
        $undone = [];
        foreach ($events as $event) {
            if ($event instanceof Undone) {
                $undone[$event->event] = true;
            }
        }
        $standing = array_values(
            array_filter(
                $events,
                static fn(CookEvent $event): bool => !$event instanceof Undone && !isset($undone[$event->id]),
            ),
        );
        [$actual, $asPlanned, $changed, $isSettled, $steps, $timers, $temperatures] = [[], [], [], true, [], [], []];
        [$panEmpty, $panReads, $heatOff, $ph, $solids, $finished] = [null, null, null, null, null, null];
        foreach ($standing as $event) {
            match (true) {
                $event instanceof Measured => [
                    $actual[$event->line],
                    $asPlanned[$event->line],
                    $isSettled,
                ] = [$event->grams, $event->isPlanned, false],
                $event instanceof Rebalanced => [$changed, $isSettled] = [array_replace($changed, $event->grams), true],
                $event instanceof StepStarted => $steps[$event->step] = [
                    'started' => $steps[$event->step]['started'] ?? $event->at,
                    'done' => null,
                ],
                $event instanceof StepDone => $steps[$event->step] = [
                    'started' => $steps[$event->step]['started'] ?? null,
                    'done' => $event->at,
                ],
                $event instanceof TimerStarted => $timers[$event->id] = new CookTimer(
                    $event->id,
                    $event->words ?? '',
                    $event->minutes,
                    $event->at,
                    null,
                    $event->key,
                ),
                $event instanceof TimerStopped => $timers = self::stopped($timers, $event->timer, $event->at),
                $event instanceof TemperatureRead => $temperatures[] = [$event->at, $event->celsius],
                $event instanceof PanEmptyWeighed => $panEmpty = $event->grams,
                $event instanceof PanRead => $panReads = $event->grams,
                $event instanceof HeatOff => $heatOff = $event->at,
                $event instanceof PhMeasured => $ph = $event->ph,
                $event instanceof SolidsMeasured => $solids = $event->percent,
                $event instanceof Finished => $finished = $event->at,
                default => null,
            };
        }

        return new self(
            $standing,
            $actual,
            array_filter($asPlanned),
            $changed,
            $isSettled,
            $steps,
            array_values($timers),
            $panEmpty,
            $panReads,
            $heatOff,
            $temperatures,
            $ph,
            $solids,
            $finished,
        );
    }

    /** @return list<CookEvent> what happened from a moment on, and stands */
    public function since(float $moment): array
    {
        return array_values(array_filter($this->events, static fn(CookEvent $event): bool => $event->at >= $moment));
    }

    /**
     * Grams of the sauce alone, as weighed at the end; null while it was not, or where the pan is heavier than both.
     */
    public function sauceGrams(): ?float
    {
        $grams = $this->panReads === null ? null : $this->panReads - ($this->panEmpty ?? 0.0);

        return $grams !== null && $grams > 0.0 ? $grams : null;
    }

    /** How the cooling goes at a moment; null while the heat is on. */
    public function cooling(float $now): ?Cooling
    {
        if ($this->heatOff === null) {
            return null;
        }
        $off = $this->heatOff;
        $since = array_values(array_filter($this->temperatures, static fn(array $one): bool => $one[0] >= $off));

        return Cooling::at(
            array_map(static fn(array $one): array => [($one[0] - $off) / 60.0, $one[1]], $since),
            ($now - $off) / 60.0,
        );
    }

    /**
     * @param array<int, CookTimer> $timers
     *
     * @return array<int, CookTimer>
     */
    private static function stopped(array $timers, int $timer, float $at): array
    {
        return isset($timers[$timer]) ? array_replace($timers, [$timer => $timers[$timer]->stoppedAt($at)]) : $timers;
    }
}
