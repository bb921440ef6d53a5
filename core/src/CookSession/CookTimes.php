<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\CookSession\Event\StepDone;
use Vinculum\CookSession\Event\StepStarted;
use Vinculum\CookSession\Event\TimerStarted;
use Vinculum\CookSession\Event\TimerStopped;

/** When the steps of a cook began and ended, and its timers. */
final readonly class CookTimes
{
    /**
     * @param array<int, array{started: float|null, done: float|null}> $steps by step, in seconds
     * @param list<CookTimer> $timers
     */
    private function __construct(public array $steps, public array $timers) {}

    /** @param list<CookEvent> $events those that stand, in order */
    public static function of(array $events): self
    {
        [$steps, $timers] = [[], []];
        foreach ($events as $event) {
            match (true) {
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
                $event instanceof TimerStopped && isset($timers[$event->timer]) => $timers[
                    $event->timer
                ] = $timers[$event->timer]->stoppedAt($event->at),
                default => null,
            };
        }

        return new self($steps, array_values($timers));
    }

    /** @return array{started: float|null, done: float|null} seconds */
    public function ofStep(int $number): array
    {
        return $this->steps[$number] ?? ['started' => null, 'done' => null];
    }
}
