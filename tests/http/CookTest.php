<?php

declare(strict_types=1);

namespace Tests\http;

use App\Batches\StoredCookEvent;
use App\Hob\StoredWeighedCook;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;

/** A cook over HTTP: the sheet, what happened, and what the batch remembers of it. */
final class CookTest extends HttpTestCase
{
    private const SAUCE = [
        'title' => 'Pot',
        'style' => 'ketchup',
        'measures' => 'metric',
        'lines' => [
            '1 kg tomatoes',
            '120 ml cider vinegar',
            '100 g sugar',
            '2 tsp salt',
            '1 tsp paprika',
            '20 g basil [cold]',
        ],
        'pan' => '24 cm',
        'method' => ['Simmer 30 minutes, lid off', 'Stir in the basil'],
    ];

    private int $sauce;

    protected function setUp(): void
    {
        parent::setUp();
        $this->sauce = (int) $this->postJson('/api/sauces', self::SAUCE)->json('id');
    }

    public function test_pan_and_method_are_kept_with_the_sauce_and_give_a_finished_basis(): void
    {
        $this->getJson("/api/sauces/{$this->sauce}")->assertJsonPath('pan', '24 cm')->assertJsonPath(
            'method.1',
            'Stir in the basil',
        );
        $balance = $this->postJson('/api/balance', self::SAUCE);
        $balance->assertJsonPath('basis', 'finished')->assertJsonPath('stages.0.steps.0.minutes', [30, 30]);

        self::assertGreaterThan($balance->json('batch.grams'), $balance->json('mixed.grams'));
        self::assertGreaterThan($balance->json('mixed.axes.salt.value'), $balance->json('axes.salt.value'));
    }

    public function test_a_sheet_from_the_empty_pan_to_the_jars(): void
    {
        $cook = $this->cook(['to' => '4 x 250 ml']);

        self::assertSame(
            [
                'pan-empty',
                'measure',
                'measure',
                'measure',
                'measure',
                'measure',
                'step',
                'pan-reads',
                'cool',
                'measure',
                'step',
                'readings',
                'fill',
            ],
            array_column((array) $cook->json('moves'), 'kind'),
        );
        $taken = array_values(
            array_filter(
                array_map(
                    static fn(array $move): ?string => $move['measure']['take'] ?? null,
                    (array) $this->cook()->json('moves'),
                ),
            ),
        );
        self::assertSame(['teaspoon'], $taken, 'salt and paprika share a spoon, which is named once');
        self::assertSame(4, $cook->json('fill.0.count'));
        self::assertGreaterThan(100.0, $cook->json('pan.water_grams'));
    }

    public function test_who_has_no_scale_gets_a_sheet_in_spoons_cups_and_pieces(): void
    {
        $told = static fn(mixed $cook): array => array_values(array_filter(
            array_map(static fn(array $move): ?string => $move['measure']['measure'] ?? null, (array) $cook->json('moves')),
        ));
        self::assertContains('100 g', $told($this->cook([])));
        $this->putJson('/api/kitchen', ['has_scale' => false])->assertOk()->assertJsonPath('has_scale', false);

        $cook = $this->cook([]);
        self::assertSame(['½ cup', 'about 10', '⅓ cup + 2 tbsp', '2 tsp', '1 tsp', '⅓ cup + 2 tbsp'], $told($cook));
        self::assertSame([], array_intersect(['pan-empty', 'pan-reads'], array_column((array) $cook->json('moves'), 'kind')));

        $salty = ['style' => 'ketchup', 'lines' => ['1 kg ketchup', '12 g salt']];
        $measures = fn(): array => array_merge(...array_map(
            static fn(array $one): array => array_column($one['additions'], 'measure'),
            (array) $this->postJson('/api/advise', $salty + ['complaint' => 'too-salty'])->json('corrections'),
        ));
        self::assertSame([], preg_grep('/\d k?g$/', $measures()), 'corrections and swaps go by it too');
        self::assertNotSame([], $measures());
        $this->putJson('/api/kitchen', ['has_scale' => true])->assertOk();
        self::assertNotSame([], preg_grep('/\d k?g$/', $measures()));
        self::assertContains('100 g', $told($this->cook([])));
        $this->putJson('/api/kitchen', ['has_scale' => 'perhaps'])->assertStatus(422)
            ->assertJsonPath('message', 'Say whether there is a scale.');
    }

    public function test_a_cook_who_makes_ready_first_is_asked_for_everything_before_the_heat(): void
    {
        $kinds = fn(): array => array_column((array) $this->cook([])->json('moves'), 'kind');
        $asItGoes = $kinds();
        $this->putJson('/api/kitchen', ['readies_first' => true])->assertOk()
            ->assertJsonPath('readies_first', true)
            ->assertJsonPath('has_scale', true);
        $first = $kinds();
        self::assertSame(array_count_values($asItGoes), array_count_values($first), 'the same moves, in another order');
        $steps = array_keys($first, 'step', true);
        self::assertSame([], array_keys(array_slice($first, min($steps)), 'measure', true));
        self::assertTrue($this->getJson('/api/kitchen')->json('readies_first'), 'the kitchen remembers');
        $this->putJson('/api/kitchen', ['readies_first' => false])->assertOk();
        self::assertSame($asItGoes, $kinds());
        $this->putJson('/api/kitchen', ['readies_first' => 'now'])->assertStatus(422);
        $this->putJson('/api/kitchen', [])->assertStatus(422);
    }

    public function test_a_timer_started_while_the_server_was_away_is_stopped_by_the_key_of_its_start(): void
    {
        $id = $this->cook()->json('id');
        $stop = ['kind' => 'timer-stopped', 'timer_key' => 'my-start'];
        self::assertStringContainsString(
            'which timer',
            (string) $this->postJson("/api/batches/{$id}/cook", $stop)->assertUnprocessable()->json('message'),
        );
        $this->postJson(
            "/api/batches/{$id}/cook",
            ['kind' => 'timer-started', 'figures' => ['minutes' => 5], 'words' => 'Onions', 'key' => 'my-start'],
        );
        $other = $this->cook()->json('id');
        $this->postJson("/api/batches/{$other}/cook", $stop)->assertUnprocessable();
        $cook = $this->postJson("/api/batches/{$id}/cook", $stop)->assertCreated();

        self::assertSame('my-start', $cook->json('timers.0.key'));
        self::assertNotNull($cook->json('timers.0.stopped'));
    }

    public function test_what_happened_lands_in_the_batch_and_nothing_twice(): void
    {
        $id = $this->cook()->json('id');
        $this->happens($id, 'pan-empty', ['grams' => 900]);
        $this->happens($id, 'measured', ['line' => 1, 'grams' => 1010]);
        $twice = ['kind' => 'measured', 'figures' => ['line' => 2, 'grams' => 121], 'key' => 'a-key'];
        $this->postJson("/api/batches/{$id}/cook", $twice)->assertCreated();
        $cook = $this->postJson("/api/batches/{$id}/cook", $twice)->assertCreated();

        self::assertSame(1, StoredCookEvent::query()->where('key', 'a-key')->count());
        self::assertCount(3, $cook->json('events'));
        self::assertEqualsWithDelta(1010.0, $cook->json('balance.lines.0.grams.value'), 1e-6);
        $sauce = $cook->json('pan.sauce_grams');
        self::assertEqualsWithDelta($sauce + 900.0, $cook->json('pan.reads_grams'), 1e-3);
        $weighed = $this->happens($id, 'pan-reads', ['grams' => 1700]);
        self::assertEqualsWithDelta(
            800.0 + 20.0,
            $weighed->json('balance.batch.grams'),
            1.5,
            'the sauce in the pan, and the basil to come',
        );
        $this->getJson("/api/batches/{$id}")->assertJsonPath(
            'balance.batch.grams',
            $weighed->json('balance.batch.grams'),
        );
        $this->getJson("/api/sauces/{$this->sauce}/batches")->assertJsonPath('batches.0.is_cooking', true);
        $this->happens($id, 'finished');
        $this->getJson("/api/sauces/{$this->sauce}/batches")->assertJsonPath('batches.0.is_cooking', false);
    }

    public function test_over_poured_salt_is_met_by_what_is_still_to_go_in(): void
    {
        $id = $this->cook()->json('id');
        $cook = $this->happens($id, 'measured', ['line' => 1, 'grams' => 1300]);
        self::assertSame(
            ['as-planned', 'in-proportion', 'solved'],
            array_column((array) $cook->json('rebalancing'), 'way'),
        );
        $solved = $cook->json('rebalancing.2');
        $lines = array_map(
            static fn(array $one): array => ['line' => $one['line'], 'grams' => $one['grams']],
            $solved['lines'],
        );
        $after = $this->postJson(
            "/api/batches/{$id}/cook",
            ['kind' => 'rebalanced', 'rebalanced' => $lines, 'words' => 'solved'],
        )->assertCreated();

        self::assertSame([], $after->json('rebalancing'));
        $sugar = array_values(
            array_filter(
                (array) $after->json('moves'),
                static fn(array $move): bool => ($move['measure']['line'] ?? 0) === 3,
            ),
        )[0]['measure'];
        self::assertContains('changed to keep the balance', $sugar['notes']);
        self::assertGreaterThan(115.0, $sugar['grams']);
    }

    public function test_a_timed_and_weighed_cook_recalibrates_the_pan_and_an_undoing_takes_that_back(): void
    {
        $before = $this->postJson(
            '/api/reduce',
            [...self::SAUCE, 'method' => [], 'by' => 'weight', 'value' => 900, 'heat' => 'simmering'],
        );
        $before->assertJsonPath('heat.cooks', 0);
        $id = $this->cook()->json('id');
        Carbon::setTestNow('2026-11-23 10:00:00');
        $this->happens($id, 'step-started', ['step' => 0]);
        Carbon::setTestNow('2026-11-23 10:30:00');
        $this->happens($id, 'step-done', ['step' => 0]);
        $last = $this->happens($id, 'pan-reads', ['grams' => 1050]);
        Carbon::setTestNow();

        self::assertEqualsWithDelta(30.0, (float) StoredWeighedCook::query()->firstOrFail()->minutes, 1e-6);
        $after = $this->postJson(
            '/api/reduce',
            [...self::SAUCE, 'method' => [], 'by' => 'weight', 'value' => 900, 'heat' => 'simmering'],
        );
        $after->assertJsonPath('heat.cooks', 1);
        self::assertLessThan($before->json('heat.uncertain_percent'), $after->json('heat.uncertain_percent'));
        self::assertStringContainsString(
            '1 weighed cook in it',
            implode(' ', (array) $this->postJson('/api/scale', [...self::SAUCE, 'factor' => 2])->json('notes')),
        );
        $events = (array) $last->json('events');
        $this->happens($id, 'undone', ['event' => end($events)['id']]);
        self::assertSame(0, StoredWeighedCook::query()->count());
    }

    public function test_measured_ph_and_solids_take_the_place_of_estimates_and_stand_beside_them(): void
    {
        $id = $this->cook()->json('id');
        $estimate = $this->getJson("/api/batches/{$id}/cook")->json('balance.ph.estimate');
        $this->happens($id, 'ph', ['ph' => 3.71]);
        $cook = $this->happens($id, 'solids', ['percent' => 21.5]);

        $cook->assertJsonPath('balance.ph.estimate', 3.71)->assertJsonPath('measured.ph.value', 3.71)->assertJsonPath(
            'balance.batch.dissolved_solids_percent',
            21.5,
        );
        self::assertEqualsWithDelta($estimate, $cook->json('measured.ph.estimate'), 0.01);
        self::assertLessThan(0.2, $cook->json('balance.ph.high') - $cook->json('balance.ph.low'));
        $this->getJson("/api/batches/{$id}")->assertJsonPath('balance.ph.estimate', 3.71);
    }

    public function test_a_measured_ph_is_the_sauces_own_everywhere_until_something_is_added(): void
    {
        $id = $this->cook()->json('id');
        $codes = static fn(TestResponse $answer, string $at): array => array_column((array) $answer->json($at), 'code');
        self::assertNotContains('near-ph-limit', $codes($this->happens($id, 'ph', ['ph' => 3.5]), 'balance.cautions'));
        $sheet = $this->happens($id, 'ph', ['ph' => 5.2]);
        self::assertContains('near-ph-limit', $codes($sheet, 'balance.cautions'), 'on the cook sheet');
        self::assertContains(
            'near-ph-limit',
            $codes($this->getJson("/api/batches/{$id}"), 'balance.cautions'),
            'at the pan',
        );
        $record = $this->getJson("/api/batches/{$id}/record");
        self::assertContains('near-ph-limit', $codes($record, 'keep.cautions'), 'in the record');
        self::assertLessThanOrEqual(4, $record->json('keep.days.high'));
        Carbon::setTestNow(Carbon::now()->addMinutes(5));
        $this->postJson(
            "/api/batches/{$id}/doses",
            ['additions' => [['ingredient' => 'white-vinegar', 'grams' => 200, 'measure' => '200 g']], 'says' => []],
        )->assertSuccessful();
        self::assertNull(
            $this->getJson("/api/batches/{$id}/cook")->json('measured.ph'),
            'it was measured of another sauce',
        );
        Carbon::setTestNow();
    }

    public function test_what_is_in_as_planned_has_the_doubt_of_its_measure_and_not_of_a_scale(): void
    {
        $bands = [];
        foreach ([[], ['planned' => 1]] as $how) {
            $id = $this->cook()->json('id');
            $line = $this->getJson("/api/batches/{$id}/cook")->json('moves.1.measure');
            $sheet = $this->happens($id, 'measured', ['line' => $line['line'], 'grams' => $line['grams'], ...$how]);
            self::assertEqualsWithDelta($line['grams'], $sheet->json('moves.1.measure.actual_grams'), 0.01);
            $bands[] = $sheet->json("balance.lines." . ($line['line'] - 1) . '.grams');
        }
        [$weighed, $planned] = array_map(static fn(array $grams): float => $grams['high'] - $grams['low'], $bands);
        self::assertEqualsWithDelta($bands[0]['value'], $bands[1]['value'], 0.01);
        self::assertGreaterThan(1.5 * $weighed, $planned);
    }

    public function test_a_size_that_no_kitchen_makes_is_refused_and_an_old_one_leaves_the_log_readable(): void
    {
        $sauce = $this->postJson('/api/sauces', self::SAUCE)->json('id');
        $this->postJson("/api/sauces/{$sauce}/cooks", ['factor' => 1e-310])->assertStatus(422);
        $batch = $this->postJson("/api/sauces/{$sauce}/cooks", ['factor' => 1])->json('id');
        DB::table('batches')->where('id', $batch)->update(['wish' => json_encode(['factor' => '1e-310'])]);
        $this->app?->forgetScopedInstances();
        $this->getJson("/api/sauces/{$sauce}/log")->assertOk();
        $this->getJson("/api/batches/{$batch}/record")->assertOk();
        $this->getJson("/api/batches/{$batch}/cook")->assertStatus(422);
    }

    public function test_juice_is_told_by_its_fruit(): void
    {
        $id = $this->postJson(
            '/api/sauces',
            ['title' => 'Dip', 'lines' => ['100 g fish sauce', 'juice of 1½ limes', 'zest of 1 lemon']],
        )->json('id');
        $moves = (array) $this->postJson("/api/sauces/{$id}/cooks", ['factor' => 1])->json('moves');
        $says = array_values(
            array_filter(array_map(static fn(array $move): ?string => $move['measure']['says'] ?? null, $moves)),
        );
        self::assertContains('juice of 1½ limes, about 45 g', $says);
        self::assertContains('zest of 1 lemon, about 4 g', $says);
        self::assertContains('100 g fish sauce', $says);
    }

    public function test_cooling_is_watched_from_the_moment_the_heat_goes_off(): void
    {
        $id = $this->cook()->json('id');
        Carbon::setTestNow('2026-11-23 10:00:00');
        $this->happens($id, 'heat-off')->assertJsonPath('cooling.stage', 'first');
        $this->happens($id, 'temperature', ['celsius' => 84]);
        Carbon::setTestNow('2026-11-23 12:30:00');
        $this->getJson("/api/batches/{$id}/cook")->assertJsonPath('cooling.stage', 'too-slow');
        Carbon::setTestNow();
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function slips(): iterable
    {
        yield 'a scale below zero' => [['kind' => 'measured', 'figures' => ['line' => 1, 'grams' => -4]], 'below zero'];
        yield 'no number' => [['kind' => 'measured', 'figures' => ['line' => 1, 'grams' => 'NaN']], 'number of grams'];
        yield 'no such line' => [['kind' => 'measured', 'figures' => ['line' => 40, 'grams' => 4]], 'no line 40'];
        yield 'no such step' => [['kind' => 'step-done', 'figures' => ['step' => 12]], 'no such step'];
        yield 'a pH of 0' => [['kind' => 'ph', 'figures' => ['ph' => 0]], 'No sauce has a pH below 1'];
        yield 'a pH of 15' => [['kind' => 'ph', 'figures' => ['ph' => 15]], 'No sauce has a pH below 1'];
        yield 'a sauce of 900 degrees' => [
            ['kind' => 'temperature', 'figures' => ['celsius' => 900]],
            'between -30 and 200',
        ];
        yield 'nothing that happens' => [['kind' => 'exploded'], 'What happened is one of'];
        yield 'someone else’s timer' => [['kind' => 'timer-stopped', 'figures' => ['timer' => 99]], 'no such timer'];
        yield 'rebalanced to nonsense' => [
            ['kind' => 'rebalanced', 'rebalanced' => [['line' => 1]]],
            'list of lines and grams',
        ];
        yield 'figures that are none' => [['kind' => 'measured', 'figures' => 'ten'], 'named numbers'];
    }

    /** @param array<string, mixed> $event */
    #[DataProvider('slips')]
    public function test_a_slip_is_told_and_nothing_is_written(array $event, string $says): void
    {
        $id = $this->cook()->json('id');
        $answer = $this->postJson("/api/batches/{$id}/cook", $event)->assertStatus(422);

        self::assertStringContainsString($says, (string) $answer->json('message'));
        self::assertSame(0, StoredCookEvent::query()->count());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function sizes(): iterable
    {
        yield 'nothing times' => [['factor' => 0], 'factor'];
        yield 'an absurd factor' => [['factor' => 1e9], 'factor'];
        yield 'what is not in it' => [['have' => 'gooseberries 340 g'], 'gooseberr'];
        yield 'no amount' => [['to' => 'plenty'], 'plenty'];
    }

    /** @param array<string, mixed> $size */
    #[DataProvider('sizes')]
    public function test_a_size_that_cannot_be_is_told(array $size, string $says): void
    {
        $answer = $this->postJson("/api/sauces/{$this->sauce}/cooks", $size)->assertStatus(422);

        self::assertStringContainsStringIgnoringCase($says, (string) $answer->json('message'));
    }

    public function test_a_tasting_batch_has_no_sheet(): void
    {
        $batch = $this->postJson("/api/sauces/{$this->sauce}/batches", [])->json('id');

        $this->getJson("/api/batches/{$batch}/cook")->assertNotFound();
    }

    public function test_without_instruments_everything_is_said_and_nothing_breaks(): void
    {
        $this->getJson('/api/instruments')->assertOk()->assertJsonPath('there', [])->assertJsonPath('says', null);
        foreach (['scale', 'probe', 'refractometer', 'ph-meter'] as $instrument) {
            $answer = $this->getJson("/api/instruments/{$instrument}")->assertOk()->assertJsonPath('value', null);
            self::assertMatchesRegularExpression('/does not answer|not calibrated/', (string) $answer->json('says'));
        }
        $this->postJson('/api/instruments/scale/tare')->assertOk();
        $this->postJson('/api/instruments/ph-meter/buffer', ['buffer' => 4.01])->assertOk();
        $this->postJson('/api/instruments/ph-meter/buffer', ['buffer' => 'four'])->assertStatus(422);
        $this->postJson('/api/instruments/stand-in', ['do' => 'pour', 'grams' => 5])->assertOk();
        $this->postJson('/api/instruments/stand-in', ['do' => 'explode'])->assertStatus(422);
    }

    /**
     * @param array<string, mixed> $size
     *
     * @return TestResponse<Response>
     */
    private function cook(array $size = []): TestResponse
    {
        return $this->postJson("/api/sauces/{$this->sauce}/cooks", $size)->assertCreated();
    }

    /**
     * @param array<string, float|int> $figures
     *
     * @return TestResponse<Response>
     */
    private function happens(int $batch, string $kind, array $figures = []): TestResponse
    {
        return $this->postJson("/api/batches/{$batch}/cook", ['kind' => $kind, 'figures' => $figures])->assertCreated();
    }
}
