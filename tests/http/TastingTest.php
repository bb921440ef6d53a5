<?php

declare(strict_types=1);

namespace Tests\http;

use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** At the pan: batches, doses, tastings, and what is learned from them. */
final class TastingTest extends HttpTestCase
{
    private const DIP = [
        'title' => 'Dip',
        'style' => 'fish-sauce-dip',
        'measures' => 'metric',
        'yield' => null,
        'lines' => [
            '14 tbsp fish sauce',
            '3 tbsp lime juice',
            '3 tbsp sugar',
            '6 tbsp water',
            '2 cloves garlic',
            "1 bird's eye chilli",
        ],
    ];

    public function test_starts_from_what_the_pan_holds(): void
    {
        $formula = $this->start();
        $weighed = $this->start(1000.0);

        self::assertEqualsWithDelta($formula->json('formula_grams'), $formula->json('balance.batch.grams'), 0.1);
        self::assertEqualsWithDelta(1000.0, $weighed->json('balance.batch.grams'), 0.1);
        self::assertEqualsWithDelta(
            $formula->json('balance.axes.salt.value'),
            $weighed->json('balance.axes.salt.value'),
            1e-4,
            'more of it tastes the same',
        );
        self::assertSame(1, $weighed->json('version'));
    }

    public function test_what_a_cook_takes_comes_first_the_next_time_and_can_be_switched_off(): void
    {
        $says = [['complaint' => 'too-salty', 'strength' => 'clear']];
        $ways = static fn(TestResponse $advice): array => array_map(
            static fn(array $one): array => array_column($one['additions'], 'ingredient'),
            array_slice($advice->json('corrections'), 0, 3),
        );
        $id = $this->start(400.0)->json('id');
        $advice = $this->postJson("/api/batches/{$id}/advise", ['says' => $says])->assertOk();
        $offered = $ways($advice);
        self::assertGreaterThanOrEqual(2, count($offered));
        $take = function (int $way) use ($says, $advice, $offered): int {
            $batch = $this->start(400.0)->json('id');
            $additions = array_map(static fn(array $one): array => [
                'ingredient' => $one['ingredient'], 'grams' => $one['first_dose_grams'], 'measure' => $one['first_dose'],
            ], $advice->json("corrections.{$way}.additions"));
            $this->postJson("/api/batches/{$batch}/doses", compact('says', 'additions', 'offered'))->assertCreated();

            return $batch;
        };
        $take(1);
        self::assertSame($offered, $ways($this->postJson("/api/batches/{$id}/advise", ['says' => $says])), 'once is no habit');
        $last = $take(1);
        $now = $this->postJson("/api/batches/{$id}/advise", ['says' => $says]);
        self::assertSame([$offered[1], $offered[0]], array_slice($ways($now), 0, 2));
        self::assertStringContainsString('stands first because you took it 2 times', implode(' ', $now->json('notes')));
        self::assertStringContainsString('the first was taken never, another 2 times', (string) $this->getJson('/api/palate')->json('families.0.answers'));
        $sauce = $this->getJson("/api/batches/{$last}")->json('sauce');
        self::assertStringContainsString('another once', (string) $this->getJson("/api/sauces/{$sauce}/log")->json('answers'));

        // a tap that was a slip is no answer, nothing taken is one, and off is off
        $this->deleteJson("/api/batches/{$last}/doses")->assertOk();
        self::assertSame($offered, $ways($this->postJson("/api/batches/{$id}/advise", ['says' => $says])));
        $take(1);
        $this->postJson("/api/batches/{$id}/tastings", compact('says', 'offered'))->assertCreated();
        self::assertStringContainsString('none of them once', (string) $this->getJson('/api/palate')->json('families.0.answers'));
        self::assertSame($offered[1], $ways($this->postJson("/api/batches/{$id}/advise", ['says' => $says]))[0]);
        $this->putJson('/api/palate', ['on' => false])->assertOk();
        self::assertSame($offered, $ways($this->postJson("/api/batches/{$id}/advise", ['says' => $says])));
        $this->postJson("/api/batches/{$id}/tastings", ['says' => $says, 'offered' => [['no-such-thing']]])->assertUnprocessable();
    }

    public function test_an_oversalted_dip_is_repaired_dose_by_dose_to_within_a_step_of_its_window(): void
    {
        $batch = $this->start(400.0);
        $id = $batch->json('id');
        self::assertGreaterThan(2.0, $batch->json('balance.axes.salt.off_by_steps'));
        for ($round = 0; $round < 8 && abs($batch->json('balance.axes.salt.off_by_steps')) > 1.0; ++$round) {
            $says = [['complaint' => 'too-salty', 'strength' => 'clear']];
            $advice = $this->postJson("/api/batches/{$id}/advise", ['says' => $says])->assertOk();
            $best = $advice->json('corrections.0.additions');
            self::assertNotNull($best, implode(' ', $advice->json('notes')));
            $dose = array_map(
                static fn(array $one): array => [
                    'ingredient' => $one['ingredient'],
                    'grams' => $one['first_dose_grams'],
                    'measure' => $one['first_dose'],
                ],
                $best,
            );
            $next = $this->postJson(
                "/api/batches/{$id}/doses",
                ['additions' => $dose, 'says' => $says],
            )->assertCreated();
            self::assertLessThan($batch->json('balance.axes.salt.value'), $next->json('balance.axes.salt.value'));
            self::assertEqualsWithDelta(
                $batch->json('balance.batch.grams') + array_sum(array_column($dose, 'grams')),
                $next->json('balance.batch.grams'),
                0.01,
            );
            $batch = $next;
        }
        $left = $this->postJson(
            "/api/batches/{$id}/tastings",
            [
                'good' => true,
                'temperature' => 'warm',
                'food' => 'a chip',
                'words' => 'lively',
                'scores' => ['heat' => -1],
                'close' => true,
            ],
        )->assertCreated();

        self::assertLessThanOrEqual(1.0, abs($left->json('balance.axes.salt.off_by_steps')));
        self::assertNotNull($left->json('closed_at'));
        $last = $left->json('tastings')[$round];
        self::assertEquals(['sweet' => 0, 'sour' => 0, 'salt' => 0, 'umami' => 0, 'heat' => -1], $last['scores']);
        self::assertSame(['warm', 'a chip', 'lively'], [$last['temperature'], $last['food'], $last['words']]);
        self::assertEqualsWithDelta(
            $left->json('balance.axes.salt.value'),
            $last['axes']['salt']['value'],
            1e-4,
            'kept with the balance of that moment',
        );
        self::assertEquals(['salt' => 1], $left->json('tastings.0.scores'), 'too salty is a point on the scale');
    }

    public function test_several_words_with_their_strengths_move_their_own_axes(): void
    {
        $id = $this->start()->json('id');
        $axes = fn(array $says): array => $this->postJson(
            "/api/batches/{$id}/advise",
            ['says' => $says],
        )->json('before');
        $little = $axes([
            ['complaint' => 'not-hot', 'strength' => 'little'],
            ['complaint' => 'too-sweet', 'strength' => 'far'],
        ]);
        $steps = $little['heat']['steps'];

        self::assertEqualsWithDelta(
            0.75,
            $little['heat']['window_steps'][0] - $steps,
            0.01,
            'a little is half of 1.5 to 2.5 steps',
        );
        self::assertEqualsWithDelta(1.25, $little['heat']['window_steps'][1] - $steps, 0.01);
        self::assertEqualsWithDelta(
            -3.75,
            $little['sweet']['window_steps'][0] - $little['sweet']['steps'],
            0.01,
            'far is half as much again',
        );
    }

    public function test_the_way_back_from_a_dose_too_many_leads_half_way(): void
    {
        $batch = $this->start(300.0);
        $id = $batch->json('id');
        $after = $this->postJson(
            "/api/batches/{$id}/doses",
            ['additions' => [['ingredient' => 'white-sugar', 'grams' => 60, 'measure' => '60 g']]],
        )->assertCreated();
        $back = $this->postJson("/api/batches/{$id}/advise", ['way_back' => true])->assertOk();
        [$before, $now, $then] = [
            $batch->json('balance.axes.sweet.steps'),
            $after->json('balance.axes.sweet.steps'),
            $back->json('corrections.0.after.sweet.steps'),
        ];

        self::assertGreaterThan(2.0, $now - $before);
        self::assertLessThan($now - 0.3, $then);
        self::assertGreaterThan($before - 0.6, $then);
        $undone = $this->deleteJson("/api/batches/{$id}/doses")->assertOk();
        self::assertSame([], $undone->json('doses'));
        self::assertEqualsWithDelta($before, $undone->json('balance.axes.sweet.steps'), 1e-4);
    }

    public function test_the_doses_can_be_written_into_the_sauce(): void
    {
        $batch = $this->start(800.0);
        $this->postJson(
            "/api/batches/{$batch->json('id')}/doses",
            ['additions' => [['ingredient' => 'white-sugar', 'grams' => 60, 'measure' => '60 g']]],
        );
        $sauce = $this->postJson("/api/batches/{$batch->json('id')}/into-the-sauce")->assertOk();
        $grams = $this->postJson(
            '/api/balance',
            ['lines' => $sauce->json('lines'), 'measures' => 'metric'],
        )->json('lines.6.grams.value');

        self::assertCount(7, $sauce->json('lines'));
        self::assertEqualsWithDelta(
            60.0 * $batch->json('formula_grams') / 800.0,
            $grams,
            4.0,
            'in the size of the formula',
        );
        self::assertSame(2, $sauce->json('revision'));
        self::assertCount(
            1,
            $this->getJson("/api/sauces/{$sauce->json('id')}/versions")->json('versions'),
            'the state before is kept, and was already',
        );
    }

    public function test_tastings_move_the_cooks_own_target_which_can_be_seen_reset_and_switched_off(): void
    {
        $batch = $this->start();
        self::assertNull($this->own());
        foreach (range(1, 6) as $time) {
            $this->postJson(
                "/api/batches/{$batch->json('id')}/tastings",
                ['says' => [['complaint' => 'not-sour', 'strength' => 'clear']]],
            )->assertCreated();
        }
        $palate = $this->getJson('/api/palate')->assertOk();
        $shift = $palate->json('families.0.axes.sour.shift');

        self::assertSame(
            ['fish-sauce-dip', 6],
            [$palate->json('families.0.style'), $palate->json('families.0.tastings')],
        );
        self::assertMatchesRegularExpression(
            '/^you like it .*\d steps (sharper|less sharp).*, from 6 tastings$/',
            $palate->json('families.0.says'),
        );
        $window = $this->postJson('/api/balance', self::DIP)->json('axes.sour.window_steps');
        self::assertEqualsWithDelta($window[0] + $shift, ((array) $this->own())[0], 1e-3);
        $aim = $this->postJson('/api/advise', self::DIP)->json('before.sour.own_steps');
        self::assertEqualsWithDelta(((array) $this->own())[0], $aim[0], 1e-3, 'corrections aim at it');

        $this->putJson('/api/palate', ['on' => false])->assertOk()->assertJsonPath('on', false);
        self::assertNull($this->own());
        $this->putJson('/api/palate', ['on' => true])->assertOk();
        self::assertNotNull($this->own());
        $this->deleteJson('/api/palate/fish-sauce-dip')->assertOk()->assertJsonPath('families.0.tastings', 0);
        self::assertNull($this->own());
        self::assertCount(
            6,
            $this->getJson("/api/batches/{$batch->json('id')}")->json('tastings'),
            'the tastings themselves are kept',
        );
        $this->deleteJson('/api/palate/zorp')->assertNotFound();
        $this->putJson('/api/palate', ['on' => 'perhaps'])->assertStatus(422);
    }

    public function test_what_cannot_be_is_said(): void
    {
        $batch = $this->start();
        $id = $batch->json('id');
        $url = "/api/batches/{$id}";
        $this->postJson("/api/sauces/{$batch->json('sauce')}/batches", ['pan_grams' => -5])->assertStatus(422);
        $this->postJson('/api/sauces/4711/batches', [])->assertNotFound();
        $this->getJson('/api/batches/4711')->assertNotFound();
        $this->postJson(
            "{$url}/advise",
            ['says' => [['complaint' => 'too-blue', 'strength' => 'clear']]],
        )->assertStatus(422);
        $this->postJson("{$url}/advise", ['says' => 'too salty'])->assertStatus(422);
        $this->postJson("{$url}/doses", [])->assertStatus(422)->assertJsonPath('message', 'Say what was added.');
        $this->postJson(
            "{$url}/doses",
            ['additions' => [['ingredient' => 'zorp', 'grams' => 1, 'measure' => '1 g']]],
        )->assertStatus(422)->assertJsonPath('message', 'There is no ingredient "zorp" in the kitchen.');
        $this->postJson("{$url}/tastings", ['scores' => ['sour' => 5]])->assertStatus(422);
        $this->putJson($url, ['pan_grams' => 900])->assertOk()->assertJsonPath('pan_grams', 900);
        $this->postJson(
            "{$url}/doses",
            ['additions' => [['ingredient' => 'water', 'grams' => 10, 'measure' => '2 tsp']]],
        )->assertCreated();
        $this->putJson($url, ['pan_grams' => 700])->assertStatus(422);
        self::assertSame(
            [1],
            array_column($this->getJson("/api/sauces/{$batch->json('sauce')}/batches")->json('batches'), 'dose_count'),
        );
    }

    /** @return TestResponse<Response> */
    private function start(?float $grams = null): TestResponse
    {
        $sauce = $this->postJson('/api/sauces', self::DIP)->json('id');

        return $this->postJson(
            "/api/sauces/{$sauce}/batches",
            $grams === null ? [] : ['pan_grams' => $grams],
        )->assertCreated();
    }

    /** @phpstan-impure */
    private function own(): mixed
    {
        return $this->postJson('/api/balance', self::DIP)->json('axes.sour.own_steps');
    }
}
