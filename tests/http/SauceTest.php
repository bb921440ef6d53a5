<?php

declare(strict_types=1);

namespace Tests\http;

use App\Batches\StoredCookEvent;
use App\Recipes\Sauce;
use App\Recipes\Version;
use Illuminate\Support\Facades\DB;

final class SauceTest extends HttpTestCase
{
    private const DIP = [
        'title' => 'Dip',
        'style' => 'fish-sauce-dip',
        'measures' => 'metric',
        'yield' => null,
        'lines' => ['3 tbsp fish sauce', '', '  3 tbsp lime juice ', '½ cup zorp'],
    ];

    public function test_a_sauce_is_kept_exactly_as_typed(): void
    {
        $id = $this->postJson('/api/sauces', self::DIP)->assertCreated()->assertJson(['revision' => 1])->json('id');

        $this->getJson("/api/sauces/{$id}")->assertOk()->assertJson([
            'title' => 'Dip',
            'measures' => 'metric',
            'lines' => self::asNumbered(...self::DIP['lines']),
        ]);
        $this->getJson('/api/sauces')->assertOk()->assertJsonPath('sauces.0.line_count', 4)->assertJsonPath(
            'sauces.0.standing.axes.salt.unit',
            'g NaCl/100 g',
        );
    }

    /** A line is itself wherever it moves and however it reads: on the page, in the store, in every answer, in a version. */
    public function test_a_line_keeps_its_number_through_edits_answers_and_versions(): void
    {
        $id = $this->postJson('/api/sauces', self::DIP)->json('id');
        $lines = [
            ['id' => 9, 'text' => 'salt and pepper'],
            ['id' => 3, 'text' => '60 ml lime juice'],
            ['id' => 1, 'text' => '3 tbsp fish sauce'],
            ['id' => 7, 'text' => '60 g sugar'],
        ];
        $edit = [...self::DIP, 'lines' => $lines];
        $this->putJson("/api/sauces/{$id}", [...$edit, 'revision' => 1])->assertOk()->assertJsonPath('lines', $lines);
        self::assertSame([9, 9, 3, 1, 7], $this->postJson('/api/balance', $edit)->json('lines.*.id'));
        // salt and pepper to taste bring nothing that could be shared out
        self::assertEqualsCanonicalizing(
            [1, 3, 7],
            $this->postJson('/api/balance', $edit)->collect('shares')->flatten(1)->pluck('id')->unique()->all(),
        );
        $swap = $this->postJson('/api/swap', [...$edit, 'line' => 9, 'part' => 2])->assertOk();
        self::assertSame('black-pepper', $swap->json('ingredient'));
        self::assertSame([9], $swap->json('candidates.0.edits.*.id'));
        self::assertSame('sugar', explode(' ', $this->postJson('/api/nudge', [...$edit, 'line' => 7, 'direction' => 'up'])->json('text'))[2]);
        $sized = $this->postJson('/api/scale', [...$edit, 'factor' => 2])->assertOk()->json('recipe_lines');
        self::assertSame([9, 3, 1, 7], array_column($sized, 'id'));
        self::assertSame(['salt and pepper', '120 ml lime juice'], array_column(array_slice($sized, 0, 2), 'text'));
        $vegan = $this->postJson('/api/convert', [...$edit, 'diets' => ['vegan']])->assertOk()->json('recipe_lines');
        self::assertSame([9, 3, 1, 7], array_slice(array_column($vegan, 'id'), 0, 4));
        self::assertStringNotContainsString('fish', $vegan[2]['text']);
        self::assertSame($lines, $this->postJson("/api/sauces/{$id}/versions")->json('lines'));
    }

    public function test_lines_without_a_number_of_their_own_are_refused_by_line(): void
    {
        $one = ['id' => 1, 'text' => '1 tsp salt'];
        foreach ([
            [['id' => 0, 'text' => 'salt'], 'Line 2 has no number of its own'],
            [['id' => '2', 'text' => 'salt'], 'Line 2 has no number of its own'],
            [['text' => 'salt'], 'Line 2 has no number of its own'],
            [['id' => 1, 'text' => 'salt'], 'Line 2 has the number of another line'],
            [['id' => 2], 'Line 2 is not text'],
            [['id' => 2, 'text' => 'salt', 'said' => [5, 2]], 'Line 2 says it was told at no place'],
        ] as [$other, $says]) {
            $refused = $this->postJson('/api/balance', ['lines' => [$one, $other]])->assertStatus(422);
            self::assertStringContainsString($says, (string) $refused->json('message'));
            self::assertNotNull($refused->json('fields')['lines.1'] ?? null);
        }
        $this->postJson('/api/balance', ['lines' => [$one, '2 tsp sugar', ['id' => 5, 'text' => 'pepper']]])
            ->assertOk()
            ->assertJsonPath('lines.*.id', [1, 6, 5]);
    }

    public function test_each_edit_raises_the_revision(): void
    {
        $id = $this->postJson('/api/sauces', self::DIP)->json('id');
        $this->putJson(
            "/api/sauces/{$id}",
            [...self::DIP, 'revision' => 1, 'lines' => ['1 g salt']],
        )->assertOk()->assertJson(['revision' => 2, 'lines' => self::asNumbered('1 g salt')]);

        $this->getJson("/api/sauces/{$id}")->assertJson(['revision' => 2, 'lines' => self::asNumbered('1 g salt')]);
    }

    public function test_an_edit_whose_answer_was_lost_is_stored_and_no_conflict(): void
    {
        $id = $this->postJson('/api/sauces', self::DIP)->json('id');
        $edit = [
            ...self::DIP,
            'revision' => 1,
            'lines' => ['1 g salt'],
            'method' => ['Stir'],
            'pan' => '24 cm',
            'part_ml' => 250,
        ];
        $this->putJson("/api/sauces/{$id}", $edit)->assertOk()->assertJson(['revision' => 2]);
        $this->putJson("/api/sauces/{$id}", $edit)->assertOk()->assertJson(['revision' => 2, 'lines' => self::asNumbered('1 g salt')]);
        $this->putJson("/api/sauces/{$id}", [...$edit, 'lines' => ['2 g salt']])->assertStatus(409);
    }

    public function test_what_was_written_for_the_kitchen_before_a_restore_lands_on_nothing_after_it(): void
    {
        $first = $this->postJson('/api/sauces', self::DIP)->assertCreated();
        $id = $first->json('id');
        $epoch = (int) $first->headers->get('X-Kitchen-Epoch');
        $this->putJson(
            "/api/sauces/{$id}",
            [...self::DIP, 'revision' => 1, 'lines' => ['1 g salt']],
            ['X-Kitchen-Epoch' => (string) $epoch],
        )->assertOk();
        // as a restore does
        DB::statement('PRAGMA application_id = 4711');
        $refused = $this->putJson(
            "/api/sauces/{$id}",
            [...self::DIP, 'revision' => 2, 'lines' => ['9 g salt']],
            ['X-Kitchen-Epoch' => (string) $epoch],
        )->assertStatus(409);
        $refused->assertJsonPath('epoch', 4711)->assertJsonPath('current.lines', self::asNumbered('1 g salt'));
        self::assertStringContainsString('A copy of the kitchen was put back', (string) $refused->json('message'));
        $this->postJson(
            '/api/sauces',
            self::DIP,
            ['X-Kitchen-Epoch' => (string) $epoch],
        )->assertStatus(409)->assertJsonPath('current', null);
        $this->deleteJson("/api/sauces/{$id}", [], ['X-Kitchen-Epoch' => (string) $epoch])->assertStatus(409);
        $this->getJson(
            "/api/sauces/{$id}",
            ['X-Kitchen-Epoch' => (string) $epoch],
        )->assertOk()->assertJsonPath('lines', self::asNumbered('1 g salt'))->assertHeader('X-Kitchen-Epoch', '4711');
        $this->putJson(
            "/api/sauces/{$id}",
            [...self::DIP, 'revision' => 2, 'lines' => ['9 g salt']],
            ['X-Kitchen-Epoch' => '4711'],
        )->assertOk();
    }

    public function test_what_is_pasted_is_read_as_every_recipe_is(): void
    {
        $sauce = $this->postJson(
            '/api/sauces/written',
            [
                'text' => "# Dip\nStyle: fish-sauce-dip\nYield: 300 ml\n\n3 tbsp fish sauce\n2 tbsp sugar\n\nMethod:\nStir until clear\n",
                'measures' => 'metric',
            ],
        )->assertCreated();
        $sauce->assertJson([
            'title' => 'Dip',
            'style' => 'fish-sauce-dip',
            'yield' => '300 ml',
            'lines' => self::asNumbered('3 tbsp fish sauce', '2 tbsp sugar'),
            'method' => ['Stir until clear'],
            'measures' => 'metric',
        ]);
        $this->postJson('/api/sauces/written', ['text' => ''])->assertCreated()->assertJson(['lines' => []]);
        $this->postJson(
            '/api/sauces/written',
            ['text' => '{"@type": "Recipe", "name": "Page", "recipeIngredient": ["1 tsp salt"]}'],
        )->assertCreated()->assertJson(['title' => 'Page', 'lines' => self::asNumbered('1 tsp salt')]);
        $this->postJson('/api/sauces/written', ['text' => '{"songs": []}'])->assertStatus(422)->assertJsonPath(
            'fields.text.0',
            static fn(string $says): bool => str_contains($says, 'Recipe'),
        );
    }

    public function test_what_belongs_to_something_deleted_meanwhile_is_not_there_and_is_not_tried_again(): void
    {
        $id = $this->postJson('/api/sauces', self::DIP)->json('id');
        $batch = $this->postJson("/api/sauces/{$id}/cooks", ['factor' => 1])->json('id');
        // between looking it up and writing, somebody undoes the import that it came with
        StoredCookEvent::creating(static function () use ($batch): void {
            DB::table('batches')->where('id', $batch)->delete();
        });
        try {
            $this->postJson(
                "/api/batches/{$batch}/cook",
                ['kind' => 'note', 'words' => 'thick', 'figures' => []],
            )->assertNotFound()->assertJsonPath(
                'message',
                static fn(string $says): bool => str_contains($says, 'not there any more'),
            );
        } finally {
            StoredCookEvent::flushEventListeners();
        }
    }

    public function test_an_edit_on_an_old_revision_overwrites_nothing_and_shows_the_newer_one(): void
    {
        $id = $this->postJson('/api/sauces', self::DIP)->json('id');
        $this->putJson("/api/sauces/{$id}", [...self::DIP, 'revision' => 1, 'lines' => ['theirs']])->assertOk();
        $answer = $this->putJson("/api/sauces/{$id}", [...self::DIP, 'revision' => 1, 'lines' => ['mine']]);

        $answer->assertConflict()->assertJsonPath('current.lines', self::asNumbered('theirs'))->assertJsonPath('current.revision', 2);
        self::assertStringContainsString('Nothing was overwritten', (string) $answer->json('message'));
        self::assertSame(['theirs'], Sauce::query()->findOrFail($id)->recipe->texts());
    }

    public function test_what_stood_before_a_pause_is_kept_as_a_version(): void
    {
        $id = $this->postJson('/api/sauces', self::DIP)->json('id');
        $this->putJson("/api/sauces/{$id}", [...self::DIP, 'revision' => 1, 'lines' => ['1 g salt']])->assertOk();
        self::assertSame(1, Version::query()->count(), 'edits of one visit make no versions');
        $this->travel(11)->minutes();
        $this->putJson("/api/sauces/{$id}", [...self::DIP, 'revision' => 2, 'lines' => ['2 g salt']])->assertOk();

        self::assertSame(
            [self::DIP['lines'], ['1 g salt']],
            array_map(
                static fn(Version $version): array => $version->recipe->texts(),
                Version::all()->sortBy('number')->values()->all(),
            ),
        );
    }

    public function test_a_sauce_put_away_can_be_brought_back(): void
    {
        $id = $this->postJson('/api/sauces', self::DIP)->json('id');
        $this->deleteJson("/api/sauces/{$id}")->assertNoContent();
        $this->getJson("/api/sauces/{$id}")->assertNotFound()->assertJsonStructure(['message']);
        $this->getJson('/api/sauces')->assertJsonCount(0, 'sauces');
        $this->postJson("/api/sauces/{$id}/return")->assertOk()->assertJson(['lines' => self::asNumbered(...self::DIP['lines'])]);
        $this->getJson('/api/sauces')->assertJsonCount(1, 'sauces');
    }

    public function test_ten_thousand_lines_are_kept_marked_and_not_dropped(): void
    {
        $lines = array_fill(0, 10_000, '1 g salt');
        $id = $this->postJson('/api/sauces', [...self::DIP, 'lines' => $lines])->assertCreated()->json('id');
        $this->getJson("/api/sauces/{$id}")->assertJsonCount(10_000, 'lines');
        $balance = $this->postJson('/api/balance', ['lines' => $lines])->assertOk();

        $balance->assertJsonCount(10_000, 'lines')->assertJsonPath('lines.9999.status', 'unknown');
        self::assertStringContainsString('first 1000 lines', (string) $balance->json('lines.9999.note'));
    }

    public function test_bad_requests_are_told_what_is_wrong_and_where(): void
    {
        $cases = [
            [['lines' => 'salt'], 'not a list'],
            [['lines' => [['salt']]], 'Line 1 is not text'],
            [['lines' => ['salt', str_repeat('a', 10_001)]], 'Line 2 is longer'],
            [['lines' => array_fill(0, 20_001, 'a')], '20,000 lines'],
            [['lines' => [], 'style' => 'nonsense'], 'no such family'],
            [['lines' => [], 'title' => str_repeat('a', 201)], 'shorten it'],
            [['lines' => [], 'measures' => 'cubits'], 'us, metric'],
            [[], 'holds no lines'],
        ];
        foreach ($cases as [$body, $says]) {
            foreach (['/api/balance', '/api/advise', '/api/sauces'] as $address) {
                $answer = $this->postJson($address, $body)->assertStatus(422);
                self::assertStringContainsString($says, (string) $answer->json('message'), $address);
            }
        }
    }

    public function test_a_liked_batch_is_aimed_at_and_words_move_the_aim(): void
    {
        $liked = ['500 g tomatoes', '60 g sugar', '50 g cider vinegar', '8 g salt'];
        $pale = ['500 g tomatoes', '60 g sugar', '50 g cider vinegar', '3 g salt'];
        $advise = fn(array $lines, array $wish): array => $this->postJson(
            '/api/advise',
            ['lines' => $lines, 'liked' => $liked, 'with' => ['salt', 'cider-vinegar'], ...$wish],
        )->assertOk()->json();

        self::assertSame(0, (int) $advise($liked, [])['distance_before']);
        self::assertSame(['salt'], array_column($advise($pale, [])['corrections'][0]['additions'], 'ingredient'));
        self::assertSame(
            ['cider-vinegar'],
            array_column($advise($liked, ['move' => 'much sharper'])['corrections'][0]['additions'], 'ingredient'),
        );
    }

    public function test_a_wish_that_cannot_be_is_told_why(): void
    {
        $advise = fn(array $wish): string => (string) $this->postJson(
            '/api/advise',
            ['lines' => ['100 g water', '5 g salt'], ...$wish],
        )->assertStatus(422)->json('message');
        self::assertStringContainsString('turned round', $advise(['target' => ['salt' => [3, 1]]]));
        self::assertStringContainsString('no move that is known', $advise(['move' => 'bluer']));
        self::assertStringContainsString('two numbers', $advise(['target' => ['salt' => [1]]]));
        $design = fn(array $wish): string => (string) $this->postJson(
            '/api/design',
            ['lines' => ['400 g ketchup [lock]'], 'style' => 'ketchup', 'batch_grams' => 300, ...$wish],
        )->assertStatus(422)->json('message');
        self::assertStringContainsString('already fill the batch', $design([]));
        self::assertStringContainsString('how much it should make', $design(['batch_grams' => 0]));
        self::assertStringContainsString('no ingredient', $design(['batch_grams' => 900, 'base' => 'moon-dust']));
        self::assertStringContainsString('Choose a family', $design(['style' => null]));
    }

    public function test_no_bytes_sent_to_any_address_make_a_500(): void
    {
        $bodies = [
            "\x00\xFF\xFE",
            '{"lines":["' . "\xC3\x28" . '"]}',
            '[]',
            'null',
            '{"lines":{"a":1}}',
            '{"lines":[null,"x"]}',
            '{',
            '{"lines":[],"revision":"x","with":"salt","most":99,"capacity_ml":-1,"complaint":3}',
            '{"lines":["\u0000","1/0 cup \uD83E\uDD6B"],"yield":"1e999 l"}',
        ];
        $addresses = [
            ['POST', '/api/balance'],
            ['POST', '/api/advise'],
            ['POST', '/api/sauces'],
            ['PUT', '/api/sauces/1'],
            ['DELETE', '/api/sauces/77'],
            ['POST', '/api/sauces/77/return'],
            ['GET', '/api/sauces/99999999999999999999'],
            ['GET', '/api/nowhere'],
            ['PATCH', '/api/balance'],
        ];
        foreach ($bodies as $body) {
            foreach ($addresses as [$method, $address]) {
                $status = $this->call(
                    $method,
                    $address,
                    [],
                    [],
                    [],
                    ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
                    $body,
                )->getStatusCode();
                self::assertLessThan(500, $status, "{$method} {$address} with " . bin2hex($body));
            }
        }
    }
}
