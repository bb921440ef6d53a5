<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\Cooking\Cooling;

/** How a cook stands: what its events add up to. */
final readonly class CookRecord
{
    /**
     * @param list<CookEvent>                                     $events   those that stand
     * @param array<int, float>                                   $actual   grams that went in, by line
     * @param array<int, bool>                                    $asPlanned lines that went in without being weighed, as they were planned
     * @param array<int, float>                                   $changed  grams to take instead of those planned, by line, after rebalancing
     * @param bool                                                $isSettled nothing was poured since the last rebalancing
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
            if ($event->kind === 'undone') {
                $undone[(int) $event->figure('event')] = true;
            }
        }
        $standing = array_values(array_filter($events, static fn(CookEvent $event): bool => $event->kind !== 'undone' && !isset($undone[$event->id])));
        [$actual, $asPlanned, $changed, $isSettled, $steps, $timers, $temperatures] = [[], [], [], true, [], [], []];
        $last = [];
        foreach ($standing as $event) {
            $last[$event->kind] = $event;
            $step = (int) $event->figure('step');
            match ($event->kind) {
                'measured' => [$actual[(int) $event->figure('line')], $asPlanned[(int) $event->figure('line')], $isSettled] = [$event->figure('grams'), $event->figure('planned') > 0.0, false],
                'rebalanced' => [$changed, $isSettled] = [array_replace($changed, $event->grams), true],
                'step-started' => $steps[$step] = ['started' => $steps[$step]['started'] ?? $event->at, 'done' => null],
                'step-done' => $steps[$step] = ['started' => $steps[$step]['started'] ?? null, 'done' => $event->at],
                'timer-started' => $timers[$event->id] = new CookTimer($event->id, $event->words ?? '', $event->figure('minutes'), $event->at, null, $event->key),
                'timer-stopped' => $timers = self::stopped($timers, (int) $event->figure('timer'), $event->at),
                'temperature' => $temperatures[] = [$event->at, $event->figure('celsius')],
                default => null,
            };
        }
        $figure = static fn(string $kind, string $name): ?float => isset($last[$kind]) ? $last[$kind]->figure($name) : null;

        return new self(
            $standing,
            $actual,
            array_filter($asPlanned),
            $changed,
            $isSettled,
            $steps,
            array_values($timers),
            $figure('pan-empty', 'grams'),
            $figure('pan-reads', 'grams'),
            ($last['heat-off'] ?? null)?->at,
            $temperatures,
            $figure('ph', 'ph'),
            $figure('solids', 'percent'),
            ($last['finished'] ?? null)?->at,
        );
    }

    /** Grams of the sauce alone, as weighed at the end; null while it was not, or where the pan is heavier than both. */
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

        return Cooling::at(array_map(static fn(array $one): array => [($one[0] - $off) / 60.0, $one[1]], $since), ($now - $off) / 60.0);
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
