<?php

declare(strict_types=1);

namespace Tests\core\CookSession;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\CookSession\CookEvent;
use Vinculum\CookSession\CookRecord;

/** What the events of a cook add up to. Nothing is rubbed out: an event is taken back by a later one. */
final class CookRecordTest extends TestCase
{
    private int $next = 0;

    public function test_the_last_word_on_a_line_counts_and_taking_it_back_brings_the_one_before(): void
    {
        $events = [
            $this->event('measured', ['line' => 2, 'grams' => 100]),
            $this->event('measured', ['line' => 2, 'grams' => 120]),
        ];
        self::assertSame([2 => 120.0], CookRecord::of($events)->weighings->actual);

        $back = CookRecord::of([...$events, $this->event('undone', ['event' => 2])]);
        self::assertSame([2 => 100.0], $back->weighings->actual);
        self::assertSame(
            [1],
            array_map(static fn(CookEvent $one): int => $one->id, $back->events),
            'what was taken back, and the taking back, are not among those that stand',
        );
    }

    /** @return iterable<string, array{string, array<string, float|int>, callable(CookRecord): mixed, mixed}> */
    public static function kinds(): iterable
    {
        yield 'the empty pan' => [
            'pan-empty',
            ['grams' => 812],
            static fn(CookRecord $one): mixed => $one->weighings->panEmpty,
            812.0,
        ];
        yield 'the pan at the end' => [
            'pan-reads',
            ['grams' => 1500],
            static fn(CookRecord $one): mixed => $one->weighings->panReads,
            1500.0,
        ];
        yield 'off the heat' => ['heat-off', [], static fn(CookRecord $one): mixed => $one->readings->heatOff, 60.0];
        yield 'a pH' => ['ph', ['ph' => 3.71], static fn(CookRecord $one): mixed => $one->readings->ph, 3.71];
        yield 'dissolved solids' => [
            'solids',
            ['percent' => 31.5],
            static fn(CookRecord $one): mixed => $one->readings->solids,
            31.5,
        ];
        yield 'into the jars' => ['finished', [], static fn(CookRecord $one): mixed => $one->readings->finished, 60.0];
        yield 'a temperature' => [
            'temperature',
            ['celsius' => 64],
            static fn(CookRecord $one): mixed => $one->readings->temperatures,
            [[60.0, 64.0]],
        ];
        yield 'a step that began' => [
            'step-started',
            ['step' => 3],
            static fn(CookRecord $one): mixed => $one->times->steps,
            [3 => ['started' => 60.0, 'done' => null]],
        ];
        yield 'a step that is done' => [
            'step-done',
            ['step' => 3],
            static fn(CookRecord $one): mixed => $one->times->steps,
            [3 => ['started' => null, 'done' => 60.0]],
        ];
        yield 'a note changes nothing of the cook' => [
            'note',
            [],
            static fn(CookRecord $one): mixed => [$one->weighings->actual, $one->times->steps, $one->times->timers, $one->weighings->isSettled],
            [[], [], [], true],
        ];
    }

    /**
     * @param array<string, float|int> $figures
     * @param callable(CookRecord): mixed $read
     */
    #[DataProvider('kinds')]
    public function test_each_kind_of_event_is_found_where_it_belongs_and_can_be_taken_back(
        string $kind,
        array $figures,
        callable $read,
        mixed $expected,
    ): void {
        $event = $this->event($kind, $figures);
        self::assertSame($expected, $read(CookRecord::of([$event])));
        self::assertSame(
            $read(CookRecord::of([])),
            $read(CookRecord::of([$event, $this->event('undone', ['event' => 1])])),
        );
    }

    public function test_every_kind_that_can_happen_is_taken(): void
    {
        self::assertCount(15, CookEvent::kinds());
        foreach (CookEvent::kinds() as $kind => $class) {
            $event = $this->event($kind, array_fill_keys($class::NEEDS, 1.0));
            self::assertSame([$kind, $class], [$event::KIND, $event::class]);
            self::assertSame($class::NEEDS, array_keys($event->figures()), "{$kind} is stored with what it needs");
            self::assertCount($kind === 'undone' ? 0 : 1, CookRecord::of([$event])->events, $kind);
        }
        $this->expectExceptionMessage('exploded');
        CookEvent::of('exploded', 1, 0.0, []);
    }

    public function test_what_was_poured_asks_for_a_choice_until_one_is_taken(): void
    {
        $poured = $this->event('measured', ['line' => 0, 'grams' => 300]);
        $chosen = CookEvent::of('rebalanced', ++$this->next, 90.0, [], [1 => 40.0, 2 => 7.5], 'solved');
        self::assertFalse(CookRecord::of([$poured])->weighings->isSettled);
        $settled = CookRecord::of([$poured, $chosen]);
        self::assertTrue($settled->weighings->isSettled);
        self::assertSame([1 => 40.0, 2 => 7.5], $settled->weighings->changed);
        $again = CookRecord::of([$poured, $chosen, $this->event('measured', ['line' => 1, 'grams' => 90])]);
        self::assertFalse($again->weighings->isSettled, 'the next over-pour asks again');
        self::assertSame([1 => 40.0, 2 => 7.5], $again->weighings->changed);
    }

    public function test_two_timers_run_beside_one_another_and_each_stops_for_itself(): void
    {
        $events = [$this->timer('Onions', 10, 100.0, 'key-one'), $this->timer('Jars', 20, 160.0, null)];
        $stopped = CookEvent::of('timer-stopped', 3, 400.0, ['timer' => 1.0]);
        [$onions, $jars] = CookRecord::of([...$events, $stopped])->times->timers;

        self::assertSame(
            ['Onions', 700.0, 400.0, 'key-one'],
            [$onions->name, $onions->ends(), $onions->stopped, $onions->key],
        );
        self::assertSame(['Jars', 1360.0, null, null], [$jars->name, $jars->ends(), $jars->stopped, $jars->key]);
        $twice = CookRecord::of([...$events, $stopped, CookEvent::of('timer-stopped', 4, 900.0, ['timer' => 1.0])]);
        self::assertSame(400.0, $twice->times->timers[0]->stopped, 'it stopped when it was stopped first');
        self::assertCount(
            2,
            CookRecord::of([...$events, CookEvent::of('timer-stopped', 5, 900.0, ['timer' => 77.0])])->times->timers,
            'a timer that is not there stops nothing',
        );
    }

    public function test_a_step_begun_twice_began_the_first_time(): void
    {
        $record = CookRecord::of([
            $this->event('step-started', ['step' => 0], 10.0),
            $this->event('step-started', ['step' => 0], 50.0),
            $this->event('step-done', ['step' => 0], 90.0),
        ]);
        self::assertSame(['started' => 10.0, 'done' => 90.0], $record->times->steps[0]);
    }

    public function test_the_sauce_alone_is_what_the_pan_reads_less_the_pan(): void
    {
        $empty = $this->event('pan-empty', ['grams' => 800]);
        self::assertSame(700.0, CookRecord::of([$empty, $this->event('pan-reads', ['grams' => 1500])])->weighings->sauceGrams());
        self::assertSame(
            1500.0,
            CookRecord::of([$this->event('pan-reads', ['grams' => 1500])])->weighings->sauceGrams(),
            'a pan that was set to nothing',
        );
        self::assertNull(CookRecord::of([$empty, $this->event('pan-reads', ['grams' => 600])])->weighings->sauceGrams());
        self::assertNull(CookRecord::of([$empty])->weighings->sauceGrams());
    }

    public function test_the_cooling_is_watched_from_the_moment_the_heat_went_off(): void
    {
        $before = $this->event('temperature', ['celsius' => 95], 100.0);
        self::assertNull(CookRecord::of([$before])->readings->cooling(500.0));
        $off = $this->event('heat-off', [], 200.0);
        self::assertNull(
            CookRecord::of([$before, $off])->readings->cooling(300.0)?->celsius,
            'what was read while it boiled says nothing of the way down',
        );
        $cooling = CookRecord::of([
            $before,
            $off,
            $this->event('temperature', ['celsius' => 60], 1400.0),
        ])->readings->cooling(1400.0);
        self::assertSame(['first', 60.0], [$cooling?->stage, $cooling?->celsius]);
        self::assertEqualsWithDelta(100.0, $cooling->minutesLeft ?? 0.0, 1e-9, '120 minutes, of which 20 have gone');
    }

    /** @param array<string, float|int> $figures */
    private function event(string $kind, array $figures, float $at = 60.0): CookEvent
    {
        return CookEvent::of($kind, ++$this->next, $at, array_map(floatval(...), $figures));
    }

    private function timer(string $name, float $minutes, float $at, ?string $key): CookEvent
    {
        return CookEvent::of('timer-started', ++$this->next, $at, ['minutes' => $minutes], [], $name, $key);
    }
}
