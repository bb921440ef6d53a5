<?php

declare(strict_types=1);

namespace Tests\http;

use App\Batches\StoredCookEvent;
use Illuminate\Support\Carbon;
use PHPUnit\Framework\Attributes\DataProvider;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;

/** Batches remembered, kept, labelled and planned over HTTP. */
final class LogTest extends HttpTestCase
{
    private const SAUCE = [
        'title' => 'Plum ketchup',
        'style' => 'fruit-ketchup',
        'measures' => 'metric',
        'lines' => ['1 kg plums', '200 ml cider vinegar', '200 g sugar', '10 g salt', '20 g honey'],
        'pan' => '24 cm',
        'method' => ['Simmer 40 minutes', 'Blend until smooth', 'Rest overnight'],
    ];

    private int $sauce;

    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow('2026-11-23 09:00:00');
        $this->sauce = (int) $this->postJson('/api/sauces', self::SAUCE)->json('id');
    }

    protected function tearDown(): void
    {
        Carbon::setTestNow();
        parent::tearDown();
    }

    public function test_the_record_of_a_batch(): void
    {
        $batch = $this->postJson("/api/sauces/{$this->sauce}/cooks", ['factor' => 1])->json('id');
        $record = $this->getJson("/api/batches/{$batch}/record")->assertOk();

        self::assertSame("PK261123-{$batch}", $record->json('code'));
        self::assertSame('2026-11-23', $record->json('made_on'));
        self::assertSame(
            Carbon::parse('2026-11-23')->addDays((int) $record->json('keep.days.high'))->toDateString(),
            $record->json('use_by'),
        );
        self::assertSame('plum', $record->json('label.ingredients.0.parts.0.text'));
        self::assertStringContainsString(
            '12 months',
            implode(' ', (array) $record->json('label.warnings')),
            'honey and infants stand on the label',
        );
        self::assertContains('Plum', $record->json('cost.unpriced'));
    }

    public function test_corrections_are_added_and_nothing_is_edited_away(): void
    {
        $batch = $this->postJson("/api/sauces/{$this->sauce}/batches", [])->json('id');
        $this->postJson(
            "/api/batches/{$batch}/record",
            ['kind' => 'note', 'words' => 'the plums were very ripe'],
        )->assertCreated();
        $this->postJson(
            "/api/batches/{$batch}/record",
            ['kind' => 'ph', 'figures' => ['ph' => 5.1]],
        )->assertCreated()->assertJsonPath('keep.days.high', 4);
        $wrong = StoredCookEvent::query()->where('kind', 'ph')->firstOrFail()->id;
        $this->postJson(
            "/api/batches/{$batch}/record",
            ['kind' => 'undone', 'figures' => ['event' => $wrong]],
        )->assertCreated();
        $after = $this->postJson(
            "/api/batches/{$batch}/record",
            ['kind' => 'ph', 'figures' => ['ph' => 3.4]],
        )->assertCreated();

        self::assertSame(30, $after->json('keep.days.high'));
        self::assertSame(
            ['note', 'ph', 'undone', 'ph'],
            array_column((array) $after->json('events'), 'kind'),
            'all of it stands in the record',
        );
        self::assertSame('the plums were very ripe', $after->json('events.0.says'));
        self::assertEqualsWithDelta(3.4, $after->json('measured.ph.value'), 1e-9);
        $second = $this->postJson("/api/batches/{$batch}/record", ['kind' => 'ph', 'figures' => ['ph' => 4.0]]);
        self::assertStringContainsString('the higher one counts', implode(' ', (array) $second->json('keep.asks')));
    }

    public function test_jars_have_codes_go_somewhere_and_are_finished(): void
    {
        $batch = $this->postJson("/api/sauces/{$this->sauce}/batches", ['pan_grams' => 1000])->json('id');
        $filled = $this->postJson(
            "/api/batches/{$batch}/jars",
            ['ml' => 200, 'count' => 3, 'went_to' => 'the cool box'],
        )->assertCreated();
        self::assertSame(
            ["PK261123-{$batch}-1", "PK261123-{$batch}-2", "PK261123-{$batch}-3"],
            array_column((array) $filled->json('jars'), 'code'),
        );
        $jar = $filled->json('jars.1.id');
        $this->putJson(
            "/api/jars/{$jar}",
            ['went_to' => 'a neighbour', 'finished' => true],
        )->assertOk()->assertJsonPath('jars.1.went_to', 'a neighbour')->assertJsonPath('jars.0.finished_at', null);
        $this->postJson("/api/batches/{$batch}/jars", ['ml' => 500, 'count' => 40])->assertStatus(422)->assertJsonPath(
            'fields.ml.0',
            fn(string $says): bool => str_contains($says, 'more than is left'),
        );
    }

    public function test_a_batch_is_split_before_it_is_used(): void
    {
        $batch = $this->postJson("/api/sauces/{$this->sauce}/batches", ['pan_grams' => 1000])->json('id');
        $split = $this->postJson(
            "/api/batches/{$batch}/split",
            ['uses' => ['basting', 'table'], 'kilograms' => 2, 'people' => 6],
        )->assertOk();

        self::assertEqualsWithDelta(180.0, $split->json('parts.0.grams'), 1e-6);
        self::assertStringContainsString('last ten', $split->json('parts.1.timing'));
        $this->postJson("/api/batches/{$batch}/split", ['uses' => ['soup']])->assertStatus(422);
    }

    public function test_batches_over_time_what_changed_and_what_measurements_teach(): void
    {
        $ids = [];
        foreach ([-4.0, -4.4, -3.8] as $gap) {
            $batch = (int) $this->postJson("/api/sauces/{$this->sauce}/cooks", ['factor' => 1])->json('id');
            $estimate = $this->getJson("/api/batches/{$batch}")->json('balance.batch.dissolved_solids_percent');
            $this->postJson(
                "/api/batches/{$batch}/record",
                ['kind' => 'solids', 'figures' => ['percent' => $estimate + $gap]],
            )->assertCreated();
            $ids[] = $batch;
        }
        $this->postJson(
            "/api/batches/{$ids[1]}/cook",
            ['kind' => 'measured', 'figures' => ['line' => 3, 'grams' => 300]],
        )->assertCreated();
        $this->postJson(
            "/api/batches/{$ids[1]}/tastings",
            ['good' => true, 'scores' => ['sweet' => 1], 'words' => 'sweeter'],
        )->assertCreated();
        $log = $this->getJson("/api/sauces/{$this->sauce}/log")->assertOk();

        self::assertSame($ids, array_column((array) $log->json('batches'), 'id'));
        self::assertGreaterThan($log->json('batches.0.axes.sweet.steps'), $log->json('batches.1.axes.sweet.steps'));
        self::assertSame('solids', $log->json('learned.0.figure'));
        self::assertEqualsWithDelta(-4.5, $log->json('learned.0.gap'), 1.5);
        $against = $this->getJson("/api/batches/{$ids[0]}/against/{$ids[1]}")->assertOk();
        self::assertStringContainsString('sugar', $against->json('says'));
        self::assertSame('sweeter', $against->json('tasted.after.0.words'));
    }

    public function test_a_plan_is_laid_out_with_what_to_buy_and_kept(): void
    {
        $this->postJson(
            '/api/products',
            [
                'name' => 'Orchard plums',
                'like' => 'plum',
                'stands_in' => true,
                'in_stock' => false,
                'price' => 3,
                'pack_grams' => 1500,
                'label' => [],
            ],
        )->assertCreated();
        $wish = [
            'title' => 'Saturday',
            'ready' => '2026-11-28 18:00',
            'zone' => 'Europe/Berlin',
            'rings' => 1,
            'items' => [['sauce' => $this->sauce, 'size' => '4 x 250 ml'], ['sauce' => $this->sauce, 'size' => '2']],
        ];
        $kept = $this->postJson('/api/plans', $wish)->assertCreated();
        $tasks = (array) $kept->json('draft.tasks');

        self::assertSame('2026-11-28T18:00:00+01:00', $kept->json('draft.ready'));
        self::assertContains('cook', array_column($tasks, 'kind'));
        $cooks = array_values(array_filter($tasks, static fn(array $task): bool => $task['kind'] === 'cook'));
        self::assertLessThanOrEqual($cooks[1]['start'], $cooks[0]['end'], 'one ring, one pan at a time');
        $plums = array_column((array) $kept->json('draft.shopping'), null, 'name')['Orchard plums'];
        self::assertSame((int) ceil($plums['need_grams'] / 1500.0), $plums['packs']);
        self::assertEqualsWithDelta(3.0 * $plums['packs'], $plums['cost'], 1e-9);
        self::assertGreaterThan(0.0, $kept->json('draft.sauces.0.cost_per_jar'));
        $this->getJson('/api/plans')->assertJsonPath('plans.0.title', 'Saturday')->assertJsonPath('next', $kept->json('plan.id'));
        // of two that are due, the earlier day, whichever was kept last; what is over is none
        $later = $this->postJson('/api/plans', [...$wish, 'ready' => now()->addDays(30)->format('Y-m-d H:i')])->assertCreated();
        $this->getJson('/api/plans')->assertJsonPath('plans.0.id', $later->json('plan.id'))->assertJsonPath('next', $kept->json('plan.id'));
        $this->deleteJson("/api/plans/{$later->json('plan.id')}")->assertNoContent();
        $id = $kept->json('plan.id');
        Carbon::setTestNow('2026-12-24 09:00:00');
        self::assertStringContainsString(
            'is over',
            (string) $this->getJson("/api/plans/{$id}")->assertOk()->json('says'),
        );
        $this->deleteJson("/api/plans/{$id}")->assertNoContent();
    }

    /** RFC 5545, read back with the library; Berlin is an hour from UTC in winter and two in summer. */
    public function test_the_calendar_is_read_back_with_its_zones_and_summer_time(): void
    {
        foreach ([
            '2026-11-28 18:00' => '2026-11-28T17:00:00+00:00',
            '2027-04-03 18:00' => '2027-04-03T16:00:00+00:00',
        ] as $ready => $utc) {
            $id = $this->postJson(
                '/api/plans',
                ['ready' => $ready, 'zone' => 'Europe/Berlin', 'items' => [['sauce' => $this->sauce]]],
            )->assertCreated()->json('plan.id');
            $answer = $this->get("/api/plans/{$id}/calendar")->assertOk();
            self::assertStringStartsWith('text/calendar', (string) $answer->headers->get('Content-Type'));
            $calendar = Reader::read((string) $answer->getContent());
            self::assertInstanceOf(VCalendar::class, $calendar);
            self::assertSame([], $calendar->validate());
            $ends = [];
            foreach ($calendar->select('VEVENT') as $event) {
                self::assertLessThan($event->DTEND->getDateTime(), $event->DTSTART->getDateTime());
                $ends[] = $event->DTEND->getDateTime()->format(DATE_ATOM);
            }
            self::assertSame($utc, max($ends), $ready);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function plans(): iterable
    {
        yield 'a day that is over' => [['ready' => '2026-11-20 18:00'], 'is over'];
        yield 'too soon' => [['ready' => '2026-11-23 12:00'], 'earliest possible'];
        yield 'no day' => [['ready' => 'Saturday'], 'day and time'];
        yield 'no zone' => [['zone' => 'Atlantis/Center'], 'time zone'];
        yield 'nothing to make' => [['items' => []], 'Choose one'];
        yield 'no size' => [['items' => [['sauce' => 1, 'size' => 'plenty']]], 'plenty'];
        yield 'no such sauce' => [['items' => [['sauce' => 999]]], 'no longer on the shelf'];
    }

    /** @param array<string, mixed> $wish */
    #[DataProvider('plans')]
    public function test_a_plan_that_cannot_be_says_why(array $wish, string $says): void
    {
        $wish = [
            ...['ready' => '2026-11-28 18:00', 'zone' => 'Europe/Berlin', 'items' => [['sauce' => $this->sauce]]],
            ...$wish,
        ];
        if (($wish['items'][0]['sauce'] ?? null) === 1) {
            $wish['items'][0]['sauce'] = $this->sauce;
        }

        self::assertStringContainsString(
            $says,
            (string) $this->postJson('/api/plans/draft', $wish)->assertStatus(422)->json('message'),
        );
    }

    public function test_the_trainer_draws_on_and_learns_the_tongue(): void
    {
        $axis = fn(): array => array_column(
            (array) $this->getJson('/api/trainer')->assertOk()->json('axes'),
            null,
            'axis',
        )['salt'];
        self::assertSame([4, 0, null], [$axis()['next'], $axis()['trials'], $axis()['own_step']]);
        foreach ([
            [4, true],
            [4, true],
            [2, true],
            [2, true],
            [1, false],
            [2, true],
            [2, true],
            [1, false],
            [2, true],
            [2, true],
            [1, false],
        ] as [$level, $right]) {
            $this->postJson('/api/trainer', ['axis' => 'salt', 'level' => $level, 'right' => $right])->assertOk();
        }
        self::assertEqualsWithDelta(sqrt(2.0), $axis()['own_step'], 0.2);
        $this->postJson('/api/trainer', ['axis' => 'salt', 'level' => 3, 'right' => true])->assertStatus(422);
        $this->deleteJson('/api/trainer/salt')->assertOk();
        self::assertSame(0, $axis()['trials']);
    }

    public function test_a_cook_is_warned_before_hot_sauce_is_blended(): void
    {
        $cook = $this->postJson("/api/sauces/{$this->sauce}/cooks", []);
        $blend = array_values(
            array_filter(
                (array) $cook->json('moves'),
                static fn(array $move): bool => str_contains($move['step']['text'] ?? '', 'Blend'),
            ),
        )[0];

        self::assertSame('hot-blender', $blend['cautions'][0]['code']);
    }

    public function test_keeping_on_the_bench_and_from_the_terminal_agree(): void
    {
        $http = $this->postJson('/api/keep', self::SAUCE)->assertOk();
        $file = tempnam(sys_get_temp_dir(), 'keep');
        file_put_contents(
            $file,
            "# Plum ketchup\nPan: 24 cm\n\n" . implode("\n", self::SAUCE['lines']) . "\n\nMethod:\n" . implode(
                "\n",
                self::SAUCE['method'],
            ) . "\n",
        );
        $terminal = json_decode(
            (string) shell_exec(
                escapeshellarg(
                    dirname(__DIR__, 2) . '/vinculum',
                ) . ' keep ' . escapeshellarg($file) . ' --measures metric --json',
            ),
            true,
        );
        unlink($file);

        self::assertSame(
            ['storage', 'days', 'freezer_months', 'reasons', 'cautions'],
            array_slice(array_keys($terminal), 0, 5),
        );
        self::assertEquals($http->json(), $terminal);
    }
}
