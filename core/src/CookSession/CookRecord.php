<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\CookSession\Event\Undone;

/** How a cook stands: what its events add up to. */
final readonly class CookRecord
{
    /** @param list<CookEvent> $events those that stand */
    private function __construct(
        public array $events,
        public CookWeighings $weighings,
        public CookTimes $times,
        public CookReadings $readings,
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

        return new self(
            $standing,
            CookWeighings::of($standing),
            CookTimes::of($standing),
            CookReadings::of($standing),
        );
    }

    /** @return list<CookEvent> what happened from a moment on, and stands */
    public function since(float $moment): array
    {
        return array_values(array_filter($this->events, static fn(CookEvent $event): bool => $event->at >= $moment));
    }
}
