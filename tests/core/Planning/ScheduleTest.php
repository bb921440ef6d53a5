<?php

declare(strict_types=1);

namespace Tests\core\Planning;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Vinculum\Planning\PlanFault;
use Vinculum\Planning\SauceTasks;
use Vinculum\Planning\Schedule;
use Vinculum\Planning\ScheduledTask;
use Vinculum\Planning\Task;

final class ScheduleTest extends TestCase
{
    use TestTrait;

    private const ZONE = 'Europe/Berlin';

    public function test_a_sauce_is_laid_out_backwards_from_its_day(): void
    {
        $schedule = Schedule::backwards(
            [self::job('Relish', 20, 40, 480)],
            self::moment('2026-11-28 18:00'),
            self::moment('2026-11-23 08:00'),
            1,
        );

        self::assertSame(
            ['prepare', 'cook', 'rest', 'fill'],
            array_map(static fn(ScheduledTask $one): string => $one->task->kind, $schedule->tasks),
        );
        self::assertSame('2026-11-28 18:00', $schedule->tasks[3]->end->format('Y-m-d H:i'));
        self::assertSame(
            '2026-11-28 09:45',
            $schedule->tasks[2]->start->format('Y-m-d H:i'),
            'eight hours before the jars',
        );
    }

    public function test_nobody_works_at_night(): void
    {
        $schedule = Schedule::backwards(
            [self::job('Relish', 20, 40, 720)],
            self::moment('2026-11-28 12:00'),
            self::moment('2026-11-23 08:00'),
            1,
        );

        self::assertSame(
            '2026-11-27 22:00',
            $schedule->tasks[1]->end->format('Y-m-d H:i'),
            'it is cooked the evening before, and rests longer',
        );
        $early = Schedule::backwards(
            [self::job('Dip', 30, 30, 0)],
            self::moment('2026-11-28 07:20'),
            self::moment('2026-11-23 08:00'),
            1,
        );
        self::assertSame('2026-11-27', $early->starts()->format('Y-m-d'));
    }

    public function test_what_cannot_be_met_says_the_earliest_that_can(): void
    {
        $jobs = [self::job('Relish', 20, 40, 2880)];
        foreach ([
            '2026-11-24 18:00' => 'would have had to begin',
            '2026-11-20 18:00' => 'is over',
        ] as $wished => $says) {
            try {
                Schedule::backwards($jobs, self::moment($wished), self::moment('2026-11-23 08:00'), 1);
                self::fail($wished);
            } catch (PlanFault $fault) {
                self::assertStringContainsString($says, $fault->getMessage());
                self::assertSame(
                    1,
                    preg_match('/earliest possible is \w+ (\d+ \w+, \d\d:\d\d)/', $fault->getMessage(), $found),
                );
                $earliest = \DateTimeImmutable::createFromFormat(
                    'j F, H:i Y',
                    "{$found[1]} 2026",
                    new \DateTimeZone(self::ZONE),
                );
                self::assertNotFalse($earliest);
                self::assertGreaterThanOrEqual(
                    self::moment('2026-11-23 08:00'),
                    Schedule::backwards($jobs, $earliest, self::moment('2026-11-23 07:59'), 1)->starts(),
                );
            }
        }
    }

    public function test_a_hot_sauce_cools_at_once_and_the_rest_grows_instead(): void
    {
        $job = new SauceTasks(
            'Relish',
            [
                new Task('cook', 'Simmer', 40.0, true, true),
                new Task('cool', 'Cool it', 60.0, false, false),
                new Task('rest', 'Rest overnight', 600.0, false, false),
                new Task('fill', 'Fill', 15.0, false, true),
            ],
        );
        [$cook, $cool, $rest, $fill] = Schedule::backwards(
            [$job],
            self::moment('2026-11-28 11:00'),
            self::moment('2026-11-23 08:00'),
            1,
        )->tasks;

        self::assertSame('22:00', $cook->end->format('H:i'), 'cooked before bedtime');
        self::assertEquals([$cook->end, $cool->end, $rest->end], [$cool->start, $rest->start, $fill->start]);
    }

    public function test_what_takes_no_time_keeps_its_place(): void
    {
        $schedule = Schedule::backwards(
            [self::job('Dip', 15, 20, 0)],
            self::moment('2026-11-28 12:00'),
            self::moment('2026-11-23 08:00'),
            1,
        );

        self::assertSame(
            ['prepare', 'cook', 'rest', 'fill'],
            array_map(static fn(ScheduledTask $one): string => $one->task->kind, $schedule->tasks),
        );
    }

    /**
     * Clocks go back on 25 October 2026 and forward on 29 March 2026 in Berlin: a rest of 12 hours is 12 hours either
     * way.
     */
    public function test_a_night_in_which_clocks_change_is_as_long_as_it_is(): void
    {
        foreach (['2026-10-25 12:00', '2026-03-29 12:00'] as $ready) {
            $schedule = Schedule::backwards(
                [self::job('Relish', 20, 40, 840)],
                self::moment($ready),
                self::moment('2026-01-01 08:00'),
                1,
            );
            $rest = $schedule->tasks[2];
            self::assertGreaterThanOrEqual(840 * 60, $rest->end->getTimestamp() - $rest->start->getTimestamp(), $ready);
            self::assertEquals($schedule->tasks[1]->end, $rest->start);
        }
    }

    public function test_on_any_day_no_two_are_at_one_ring_and_nothing_is_late(): void
    {
        $this->limitTo(120)->forAll(
            Generators::vector(5, Generators::choose(5, 240)),
            Generators::vector(5, Generators::choose(0, 2000)),
            Generators::choose(1, 2),
            Generators::choose(0, 60 * 24 * 20),
        )->then(static function (array $cooks, array $rests, int $rings, int $minute): void {
            $jobs = array_values(
                array_map(
                    static fn(int $cook, int $rest): SauceTasks => self::job("Sauce {$cook}", 15, $cook, $rest),
                    $cooks,
                    $rests,
                ),
            );
            $ready = self::moment('2026-10-15 00:00')->modify("+{$minute} minutes");
            $schedule = Schedule::backwards($jobs, $ready, self::moment('2026-06-01 08:00'), $rings);

            self::assertCount(20, $schedule->tasks);
            foreach ($schedule->tasks as $one) {
                self::assertLessThanOrEqual($ready, $one->end);
                [$wanted, $found] = [
                    (int) round(60.0 * $one->task->minutes),
                    $one->end->getTimestamp() - $one->start->getTimestamp(),
                ];
                $one->task->kind === 'rest'
                    ? self::assertGreaterThanOrEqual($wanted, $found)
                    : self::assertSame($wanted, $found);
                $atOnce = array_filter(
                    $schedule->tasks,
                    static fn(ScheduledTask $other): bool => $other->task->needsHob
                        && $other->start <= $one->start
                        && $other->end > $one->start,
                );
                if ($one->task->needsHob) {
                    self::assertLessThanOrEqual($rings, count($atOnce));
                }
            }
            foreach (array_keys($jobs) as $job) {
                $own = array_values(
                    array_filter($schedule->tasks, static fn(ScheduledTask $one): bool => $one->job === $job),
                );
                for ($index = 1; $index < count($own); ++$index) {
                    self::assertGreaterThanOrEqual(
                        $own[$index - 1]->end,
                        $own[$index]->start,
                        'nothing begins before what it needs is done',
                    );
                }
                self::assertSame(
                    array_map(static fn(Task $task): string => $task->kind, $jobs[$job]->tasks),
                    array_map(static fn(ScheduledTask $one): string => $one->task->kind, $own),
                );
            }
        });
    }

    private static function job(string $title, float $prepare, float $cook, float $rest): SauceTasks
    {
        return new SauceTasks(
            $title,
            [
                new Task('prepare', 'Prepare', $prepare, false, true),
                new Task('cook', 'Simmer', $cook, true, true),
                new Task('rest', 'Rest', $rest, false, false),
                new Task('fill', 'Fill', 15.0, false, true),
            ],
        );
    }

    private static function moment(string $when): \DateTimeImmutable
    {
        return new \DateTimeImmutable($when, new \DateTimeZone(self::ZONE));
    }
}
