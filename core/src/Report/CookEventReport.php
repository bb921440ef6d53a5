<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\CookSession\CookEvent;

/** Something that happened, as it is kept: the figures that came with it, and when, in seconds since the epoch. */
final readonly class CookEventReport extends Report
{
    /**
     * @param Named<Exact<float>> $figures lines counted from 0
     * @param Exact<float> $at
     */
    private function __construct(
        public int $id,
        public string $kind,
        public Named $figures,
        public ?string $words,
        public Exact $at,
    ) {}

    public static function of(CookEvent $event): self
    {
        return new self(
            $event->id,
            $event::KIND,
            new Named(array_map(static fn(float $figure): Exact => new Exact($figure), $event->figures())),
            $event->words,
            new Exact($event->at),
        );
    }
}
