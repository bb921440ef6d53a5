<?php

declare(strict_types=1);

namespace Vinculum\Planning;

use Vinculum\Facts\Facts;

/**
 * When to do what, so that all is ready on the day: each sauce is laid out backwards from its end, the longest first;
 * what needs the hob or a pair of hands moves earlier until it is free, and nobody is asked to work at night.
 *
 * Durations are of real time, so that a night in which clocks change is as long as it is.
 */
final readonly class Schedule
{
    private const QUARTER_OF_AN_HOUR = 900;
    private const MOST_MOVES = 4000;
    private const MOST_TRIES = 400;

    /** @param list<ScheduledTask> $tasks the first to begin first */
    private function __construct(public array $tasks, public \DateTimeImmutable $ready) {}

    /**
     * @param list<SauceTasks> $jobs
     * @param int $rings of the hob
     *
     * @throws PlanFault when it would have had to begin before now; it names the earliest that can be met
     */
    public static function backwards(array $jobs, \DateTimeImmutable $ready, \DateTimeImmutable $now, int $rings): self
    {
        if ($jobs === []) {
            throw PlanFault::nothingToDo();
        }
        if ($ready <= $now) {
            throw PlanFault::inThePast($ready, self::earliest($jobs, $now, $now, $rings)->ready);
        }
        $schedule = self::layOut($jobs, $ready, $rings);

        return $schedule->starts() >= $now
            ? $schedule
            : throw PlanFault::tooSoon($schedule->starts(), self::earliest($jobs, $ready, $now, $rings)->ready);
    }

    public function starts(): \DateTimeImmutable
    {
        return $this->tasks[0]->start;
    }

    /** @param list<SauceTasks> $jobs */
    private static function earliest(array $jobs, \DateTimeImmutable $ready, \DateTimeImmutable $now, int $rings): self
    {
        for ($try = 0; $try < self::MOST_TRIES; ++$try) {
            $schedule = self::layOut($jobs, $ready, $rings);
            $late = $now->getTimestamp() - $schedule->starts()->getTimestamp();
            if ($late <= 0) {
                return $schedule;
            }
            $ready = self::at($ready, max(self::QUARTER_OF_AN_HOUR, intdiv($late, 4)));
        }

        return self::layOut($jobs, $ready, $rings);
    }

    /** @param list<SauceTasks> $jobs */
    private static function layOut(array $jobs, \DateTimeImmutable $ready, int $rings): self
    {
        $order = array_keys($jobs);
        usort($order, static fn(int $one, int $other): int => $jobs[$other]->minutes() <=> $jobs[$one]->minutes());
        $placed = [];
        foreach ($order as $number) {
            [$end, $own] = [$ready, []];
            foreach (array_reverse($jobs[$number]->tasks) as $task) {
                $end = self::free($task, $end, $placed, $rings);
                $start = self::at($end, -(int) round(60.0 * $task->minutes));
                $own[] = new ScheduledTask($number, $task, $start, $end);
                $placed[] = $own[count($own) - 1];
                $end = $start;
            }
            $placed = [
                ...array_slice($placed, 0, count($placed) - count($own)),
                ...self::withoutWaiting(array_reverse($own)),
            ];
        }
        usort(
            $placed,
            static fn(
                ScheduledTask $one,
                ScheduledTask $other,
            ): int => [$one->start, $one->end] <=> [$other->start, $other->end],
        );

        return new self($placed, $ready);
    }

    /**
     * What waits begins as soon as what was done before it ends: a hot sauce cools at once, and a rest may be longer.
     *
     * @param list<ScheduledTask> $own tasks of one sauce, in order
     *
     * @return list<ScheduledTask>
     */
    private static function withoutWaiting(array $own): array
    {
        $shifted = [];
        foreach ($own as $index => $one) {
            $before = $shifted[$index - 1] ?? null;
            if ($before === null || $one->task->needsHands || $one->task->needsHob) {
                $shifted[] = $one;
                continue;
            }
            $end = $one->task->kind === 'rest'
                ? $one->end
                : self::at($before->end, (int) round(60.0 * $one->task->minutes));
            $shifted[] = new ScheduledTask($one->job, $one->task, $before->end, $end);
        }

        return $shifted;
    }

    /**
     * The latest end at or before the one wished for at which nothing is in the way.
     *
     * @param list<ScheduledTask> $placed
     */
    private static function free(Task $task, \DateTimeImmutable $end, array $placed, int $rings): \DateTimeImmutable
    {
        for ($move = 0; $move < self::MOST_MOVES; ++$move) {
            $start = self::at($end, -(int) round(60.0 * $task->minutes));
            $asleep = $task->needsHands || $task->needsHob ? self::bedtimeBefore($start, $end) : null;
            if ($asleep !== null && $asleep < $end) {
                $end = $asleep;
                continue;
            }
            $inTheWay = array_values(
                array_filter(
                    $placed,
                    static fn(ScheduledTask $other): bool => $other->overlaps($start, $end)
                        && (
                            ($task->needsHob && $other->task->needsHob)
                            || (
                                $task->needsHands
                                && $other->task->needsHands
                                && !$task->needsHob
                                && !$other->task->needsHob
                            )
                        ),
                ),
            );
            $isHobFull = $task->needsHob && count($inTheWay) >= $rings;
            if ($inTheWay === [] || ($task->needsHob && !$isHobFull)) {
                return $end;
            }
            // the least that must give way: the one of them that begins last
            $end = max(array_map(static fn(ScheduledTask $other): \DateTimeImmutable => $other->start, $inTheWay));
        }

        return $end;
    }

    /** When somebody would have to be up at night for it: the bedtime before. Null where it lies within a day. */
    private static function bedtimeBefore(\DateTimeImmutable $start, \DateTimeImmutable $end): ?\DateTimeImmutable
    {
        $usual = Facts::of(PlanningFacts::class);
        [$wakes, $sleeps] = [(int) $usual->wakes, (int) $usual->sleeps];
        if ((int) $end->format('G') >= $sleeps && $end > $end->setTime($sleeps, 0)) {
            return $end->setTime($sleeps, 0);
        }
        // a task longer than a day is awake cannot be helped
        if (
            $end->getTimestamp() - $start->getTimestamp() > 3600 * ($sleeps - $wakes)
            || $start >= $end->setTime($wakes, 0)
        ) {
            return null;
        }

        return $end->modify('-1 day')->setTime($sleeps, 0);
    }

    /** So many seconds later, of real time, on the same clock. */
    private static function at(\DateTimeImmutable $moment, int $seconds): \DateTimeImmutable
    {
        return $moment->setTimestamp($moment->getTimestamp() + $seconds);
    }
}
