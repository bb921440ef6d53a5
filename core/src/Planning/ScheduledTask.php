<?php

declare(strict_types=1);

namespace Vinculum\Planning;

/** A task with its time. */
final readonly class ScheduledTask
{
    public function __construct(
        public int $job,
        public Task $task,
        public \DateTimeImmutable $start,
        public \DateTimeImmutable $end,
    ) {}

    public function overlaps(\DateTimeImmutable $start, \DateTimeImmutable $end): bool
    {
        return $this->start < $end && $start < $this->end;
    }
}
