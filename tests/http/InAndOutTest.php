<?php

declare(strict_types=1);

namespace Tests\http;

use App\Batches\Batch;
use App\Console\DemoKitchen;
use App\Exchange\ImportFault;
use App\Exchange\JsonRows;
use App\Exchange\KitchenFile;
use App\Palate\Tasting;
use App\Pantry\Product;
use App\Plans\Plan;
use App\Recipes\Sauce;
use App\Recipes\SauceService;
use App\Recipes\Version;
use Illuminate\Support\Facades\DB;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Vinculum\Exchange\Csv;

/** Nothing is locked in: everything goes out, and comes back as it was. */
final class InAndOutTest extends HttpTestCase
{
    private const TABLES = [
        'sauces',
        'versions',
        'sauce_parts',
        'batches',
        'doses',
        'tastings',
        'cook_events',
        'weighed_cooks',
        'jars',
        'products',
        'plans',
        'guesses',
        'settings',
    ];

    public function test_a_whole_kitchen_comes_back_to_the_same_state_in_an_empty_one(): void
    {
        $this->demo();
        $file = $this->get('/api/export/kitchen')->assertOk()->streamedContent();
        $schema = (string) $this->get('/api/export/schema')->assertOk()->getContent();
        self::assertTrue(
            (new Validator())->validate(json_decode($file), $schema)->isValid(),
            'as its published schema says',
        );
        $before = self::rows();
        $this->emptied();
        $preview = $this->postJson('/api/imports/preview', ['contents' => $file])->assertOk();
        self::assertSame('kitchen', $preview->json('kind'));
        self::assertSame(
            [],
            array_filter((array) $preview->json('items'), static fn(array $item): bool => $item['there']),
        );
        $taken = $this->postJson('/api/imports', ['contents' => $file])->assertCreated();
        self::assertStringContainsString('8 sauces', $taken->json('says'));

        self::assertEquals($before, self::rows());
        $this->deleteJson('/api/imports/' . $taken->json('id'))->assertOk();
        self::assertSame([0, 0], [Sauce::query()->count(), Batch::query()->count()], 'and it can be undone');
    }

    public function test_beside_another_kitchen_what_is_there_is_left_out_or_both_are_kept(): void
    {
        $this->demo();
        $file = $this->get('/api/export/kitchen')->streamedContent();
        $own = $this->postJson('/api/sauces', ['title' => 'My own', 'lines' => ['1 tsp salt']])->json('id');
        [$sauces, $batches] = [Sauce::query()->count(), Batch::query()->count()];
        $merged = $this->postJson('/api/imports', ['contents' => $file])->assertCreated();
        self::assertSame([$sauces, $batches], [Sauce::query()->count(), Batch::query()->count()], 'nothing twice');
        $this->deleteJson('/api/imports/' . $merged->json('id'))->assertOk();
        $both = $this->postJson('/api/imports', ['contents' => $file, 'keep_both' => true])->assertCreated();
        self::assertSame([$sauces + 8, 2 * $batches], [Sauce::query()->count(), Batch::query()->count()]);
        $copy = Batch::query()->orderByDesc('id')->firstOrFail();
        self::assertContains($copy->sauce_id, $both->json('sauces'), 'batches hang on the sauces that came with them');
        self::assertSame($copy->id, Tasting::query()->where('batch_id', $copy->id)->firstOrFail()->batch_id);
        $this->deleteJson('/api/imports/' . $both->json('id'))->assertOk();
        $this->deleteJson('/api/imports/' . $both->json('id'))->assertStatus(422);
        self::assertSame([$sauces, $batches], [Sauce::query()->count(), Batch::query()->count()]);
        $this->getJson("/api/sauces/{$own}")->assertOk();
    }

    /** @return iterable<string, array{string, string}> */
    public static function noFiles(): iterable
    {
        yield 'nothing' => ['', 'There is nothing in it'];
        yield 'a newer kitchen' => ['{"vinculum": "kitchen", "version": 9}', 'upgrade'];
        yield 'a kitchen cut short' => ['{"vinculum": "kitchen", "version": 1, "sauces": [{"id"', 'cut short'];
        yield 'a kitchen of nonsense' => ['{"vinculum": "kitchen", "version": 1, "sauces": [7]}', 'no row'];
        yield 'a kitchen with a hole' => ['{"vinculum": "kitchen", "version": 1, "sauces": [{"id": 1}]}', 'damaged'];
        yield 'lines of no sauce' => [
            '{"vinculum": "kitchen", "version": 1, "lines": [{"id": 1, "sauce_id": 77, "position": 0, "text": "salt"}]}',
            'damaged',
        ];
        yield 'a column of lists' => [self::kitchenWith('sauces', ['title' => ['a']]), 'row 1 of sauces, title'];
        yield 'a moment that is none' => [
            self::kitchenWith('sauces', ['updated_at' => 1e308]),
            'row 1 of sauces, updated_at',
        ];
        yield 'no minutes' => [
            self::kitchenWith(
                'weighed_cooks',
                ['batch_id' => 1, 'square_metres' => 0.04, 'heat' => 'steady', 'minutes' => 0, 'grams_lost' => 50],
            ),
            'row 1 of weighed_cooks, minutes',
        ];
        yield 'a number too large to move' => [
            self::kitchenWith('sauces', ['id' => 9_223_372_036_854_775_800]),
            'row 1 of sauces, id',
        ];
        yield 'no number' => [
            self::kitchenWith('guesses', ['axis' => 'salt', 'level' => 1, 'right' => 1]),
            'row 1 of guesses',
        ];
        yield 'one number twice' => [
            '{"vinculum": "kitchen", "version": 1, "sauces": [{"id": 1, "title": "a", "measures": "us", "revision": 1}, {"id": 1, "title": "b", "measures": "us", "revision": 1}]}',
            'row 2 of sauces: its number stands twice',
        ];
        yield 'more after the end' => ['{"vinculum": "kitchen", "version": 1, "sauces": []} {', 'no JSON'];
        yield 'other JSON' => ['{"songs": []}', 'Recipe'];
        yield 'a page without data' => [
            '<html><script type="application/ld+json">{"@type": "Person"}</script></html>',
            'Recipe',
        ];
        yield 'a binary' => ["\x7FELF\x01\x02\x03" . str_repeat("\x01", 50), 'text'];
        yield 'products like nothing' => ["name,like\nMine,unobtainium\n", 'unobtainium'];
        yield 'a product with a word for a figure' => [
            "name,like,salt\nFirst,salt,3\nMine,salt,much\n",
            'Line 3 of the table: salt "much" is no number',
        ];
        yield 'a product that cannot be' => ["name,like,salt\nMine,salt,130\n", '100 g'];
        yield 'batches of no day' => ["title,made,lines\nDip,some day,1 tsp salt\n", '"some day" is no date'];
        yield 'batches of nothing' => ["title,made,ingredients\nDip,2026-11-24,1 tsp salt\n", 'lines are missing'];
        yield 'an ingredient like nothing' => ["key,name,water\nmoon-dust,Moon dust,3\n", 'moon-dust'];
    }

    /** @param array<string, mixed> $fields of its only row */
    private static function kitchenWith(string $table, array $fields): string
    {
        $usual = ['id' => 1, 'title' => 'a', 'measures' => 'us', 'revision' => 1];

        return (string) json_encode([
            'vinculum' => 'kitchen',
            'version' => 1,
            $table => [$table === 'sauces' ? [...$usual, ...$fields] : $fields],
        ]);
    }

    public function test_a_file_of_any_size_comes_in_piece_by_piece_and_the_same_piece_twice_is_one(): void
    {
        $this->demo();
        $file = $this->get('/api/export/kitchen')->streamedContent();
        $this->emptied();
        $upload = $this->postJson('/api/uploads')->assertCreated()->json('upload');
        foreach (str_split($file, 100_000) as $number => $piece) {
            for ($time = 0; $time < 2; ++$time) {
                $this->putJson(
                    "/api/uploads/{$upload}",
                    ['at' => 100_000 * $number, 'bytes' => base64_encode($piece)],
                )->assertOk()->assertJsonPath('bytes', min(strlen($file), 100_000 * ($number + 1)));
            }
        }
        $this->putJson("/api/uploads/{$upload}", ['at' => 10 * strlen($file), 'bytes' => 'YQ=='])->assertStatus(422);
        self::assertSame(
            'kitchen',
            $this->postJson('/api/imports/preview', ['upload' => $upload])->assertOk()->json('kind'),
        );
        self::assertGreaterThan(0, $this->getJson("/api/uploads/{$upload}")->assertOk()->json('read'));
        $this->postJson('/api/imports', ['upload' => $upload])->assertCreated();
        self::assertSame(8, Sauce::query()->count());
        $this->getJson("/api/uploads/{$upload}")->assertStatus(422);
        $this->postJson('/api/imports', ['upload' => $upload])->assertStatus(422);
        $gone = $this->postJson('/api/uploads')->json('upload');
        $this->deleteJson("/api/uploads/{$gone}")->assertNoContent();
        $this->putJson("/api/uploads/{$gone}", ['at' => 0, 'bytes' => 'YQ=='])->assertStatus(422);
    }

    public function test_reading_ends_with_nothing_taken_in_where_it_is_cancelled_half_way(): void
    {
        $this->demo();
        $file = $this->get('/api/export/kitchen')->streamedContent();
        $this->emptied();
        $stream = fopen('php://temp', 'r+');
        self::assertNotFalse($stream);
        fwrite($stream, $file);
        $told = 0;
        try {
            $kitchen = $this->app?->make(KitchenFile::class);
            $rows = new JsonRows($stream);
            $kitchen?->read($rows, $kitchen->checked(
                $rows,
                static fn(): null => null,
            ), true, static function () use (&$told): void {
                if (++$told === 3) {
                    throw ImportFault::cancelled();
                }
            }, static fn(array $made): array => $made);
            self::fail('taken in');
        } catch (ImportFault $fault) {
            self::assertStringContainsString('cancelled', $fault->getMessage());
        }
        self::assertSame(0, Sauce::query()->count());
        self::assertSame(3, $told, 'rows were written by then');
    }

    public function test_a_kitchen_taken_in_twice_is_there_once_and_undone_it_is_gone_whole_and_comes_in_again(): void
    {
        $this->demo();
        $file = $this->get('/api/export/kitchen')->streamedContent();
        $before = self::rows();
        $twice = $this->postJson(
            '/api/imports',
            ['contents' => $file],
        )->assertCreated()->assertJsonPath('says', 'nothing that was not there');
        self::assertEquals($before, self::rows(), 'no product, plan or guess twice');
        $this->emptied();
        for ($time = 0; $time < 2; ++$time) {
            $taken = $this->postJson('/api/imports', ['contents' => $file])->assertCreated()->json('id');
            self::assertEquals($before, self::rows());
            $this->deleteJson("/api/imports/{$taken}")->assertOk();
            self::assertSame([], array_filter(self::rows()), 'settings, guesses and rows without a number too');
        }
        self::assertNotSame($taken, $twice->json('id'));
    }

    public function test_others_go_on_writing_while_a_kitchen_is_laid_down_and_nobody_loses_anything(): void
    {
        $this->demo();
        $file = $this->get('/api/export/kitchen')->streamedContent();
        $count = Sauce::query()->count();
        $stream = fopen('php://temp', 'r+');
        self::assertNotFalse($stream);
        fwrite($stream, $file);
        $kitchen = $this->app?->make(KitchenFile::class);
        self::assertNotNull($kitchen);
        $rows = new JsonRows($stream);
        $contents = $kitchen->checked($rows, static fn(): null => null);
        $written = 0;
        $made = $kitchen->read(
            $rows,
            $contents,
            false,
            function () use (&$written): void {
                self::assertSame(0, DB::transactionLevel(), 'the kitchen is held by nobody');
                if ($written < 5) {
                    $title = 'Meanwhile ' . ++$written;
                    $this->postJson('/api/sauces', ['title' => $title, 'lines' => ['1 tsp salt']])->assertCreated();
                }
            },
            static fn(array $made): array => $made,
        );
        self::assertSame(5, $written);
        self::assertCount($count, $made['sauces'] ?? []);
        self::assertSame(2 * $count + 5, Sauce::query()->count());
        self::assertSame(5, Sauce::query()->where('recipe->title', 'like', 'Meanwhile%')->count());
        self::assertSame([], DB::select("SELECT name FROM sqlite_temp_master WHERE type = 'table'"), 'nothing lies about');
        foreach (DB::table('batches')->whereNotNull('wish')->pluck('id') as $batch) {
            $this->getJson("/api/batches/{$batch}/cook")->assertOk();
        }
    }

    public function test_no_text_of_a_table_is_a_formula_to_a_spreadsheet_and_each_is_read_back(): void
    {
        $signs = ['=', '+', '-', '@', '＝', '＋', '－', '＠', '−', '﹢'];
        $before = ['', ' ', "\n", "\r\n", "\t", "\u{00A0}", "\u{3000}", "'", "''", "\u{FEFF}", "\u{200B}", " \n'"];
        foreach ($before as $blank) {
            foreach ($signs as $sign) {
                foreach (['', '1+1', 'cmd|x', ' salt'] as $rest) {
                    $text = "{$blank}{$sign}{$rest}";
                    $csv = Csv::write(['a', 'b'], [['a' => 'salt', 'b' => $text]]);
                    $cell = substr($csv, strlen("a,b\r\nsalt,"), -2);
                    self::assertMatchesRegularExpression('/^"?\'/', $cell, json_encode($text) ?: '');
                    self::assertSame($text, Csv::read($csv)[0]['b'], json_encode($text) ?: '');
                }
            }
        }
    }

    public function test_a_plan_of_a_sauce_that_is_there_already_names_that_one(): void
    {
        $this->demo();
        $file = json_decode($this->get('/api/export/kitchen')->streamedContent(), true);
        self::assertNotEmpty($file['plans']);
        $file['plans'] = [['title' => 'Another Saturday'] + $file['plans'][0]];
        $this->postJson(
            '/api/imports',
            ['contents' => json_encode($file)],
        )->assertCreated()->assertJsonPath('says', '1 plan');
        $plan = Plan::query()->orderByDesc('id')->firstOrFail();
        self::assertSame(Plan::query()->orderBy('id')->firstOrFail()->items, $plan->items);
        $this->getJson("/api/plans/{$plan->id}")->assertOk();
    }

    #[DataProvider('noFiles')]
    public function test_what_cannot_be_taken_in_says_why_and_leaves_nothing(string $contents, string $says): void
    {
        $answer = $this->postJson('/api/imports', ['contents' => $contents])->assertStatus(422);

        self::assertStringContainsString($says, (string) $answer->json('message'));
        self::assertSame(
            [0, 0, 0],
            [Sauce::query()->count(), Product::query()->count(), DB::table('imports')->count()],
        );
    }

    public function test_recipes_come_in_and_go_out_as_text_and_as_linked_data(): void
    {
        $text = "# Brown\nStyle: brown-sauce\nYield: 500 ml\nPan: 24 cm\n\nFor the pot:\n200 g dates\n300 ml malt vinegar\nTo finish:\njuice of 1 lemon [cold]\n\nMethod:\nSimmer 20 minutes\nCool it\n\n# Second\n1 tbsp honey\n";
        $preview = $this->postJson('/api/imports/preview', ['contents' => $text])->assertOk();
        self::assertSame(['Brown', 'Second'], array_column((array) $preview->json('items'), 'title'));
        $id = $this->postJson('/api/imports', ['contents' => $text, 'measures' => 'metric'])->json('sauces.0');
        $sauce = $this
            ->getJson("/api/sauces/{$id}")
            ->assertJsonPath('style', 'brown-sauce')
            ->assertJsonPath('pan', '24 cm')
            ->assertJsonPath('measures', 'metric')
            ->json();
        foreach (['text', 'recipe'] as $form) {
            $out = (string) $this->get("/api/sauces/{$id}/export/{$form}")->assertOk()->getContent();
            self::assertTrue(
                $this->postJson('/api/imports/preview', ['contents' => $out])->json('items.0.there'),
                "{$form} is known again",
            );
            $again = $this->postJson(
                '/api/imports',
                ['contents' => $out, 'measures' => 'metric', 'keep_both' => true],
            )->assertCreated()->json('sauces.0');
            self::assertSame(
                array_diff_key($sauce, ['id' => 1, 'revision' => 1]),
                array_diff_key($this->getJson("/api/sauces/{$again}")->json(), ['id' => 1, 'revision' => 1]),
                $form,
            );
        }
    }

    public function test_own_products_go_out_as_csv_and_come_back(): void
    {
        $this->postJson(
            '/api/products',
            [
                'name' => 'Vinegar "strong"',
                'like' => 'white-vinegar',
                'stands_in' => true,
                'in_stock' => true,
                'price' => 2.5,
                'pack_grams' => 1000,
                'label' => ['acidity' => 10],
            ],
        )->assertCreated();
        $csv = (string) $this->get('/api/export/products')->assertOk()->getContent();
        self::assertStringContainsString('"Vinegar ""strong"""', $csv, 'RFC 4180');
        Product::query()->forceDelete();
        $this->postJson('/api/imports', ['contents' => $csv])->assertCreated()->assertJsonPath('says', '1 own product');
        $product = Product::query()->firstOrFail();

        self::assertSame(
            ['Vinegar "strong"', 'white-vinegar', true, 2.5, 1000.0],
            [$product->name, $product->like, $product->stands_in, $product->price, $product->pack_grams],
        );
        self::assertEqualsWithDelta(10.0, $product->label['acidity'], 1e-9);
        $this->get('/api/export/secrets')->assertNotFound();
    }

    public function test_what_a_label_says_of_allergens_and_servings_is_not_lost_on_the_way(): void
    {
        $this->postJson(
            '/api/products',
            [
                'name' => 'Mill soy',
                'like' => 'soy-sauce',
                'stands_in' => true,
                'in_stock' => false,
                'label' => [
                    'per_serving' => true,
                    'serving_grams' => 15,
                    'salt' => 2.1,
                    'ingredients' => "water, soya beans,\nwheat",
                ],
            ],
        )->assertCreated();
        $csv = (string) $this->get('/api/export/products')->getContent();
        $before = Product::query()->firstOrFail()->label;
        Product::query()->forceDelete();
        $this->postJson('/api/imports', ['contents' => $csv])->assertCreated();

        self::assertEquals($before, Product::query()->firstOrFail()->label);
        $this->app?->forgetScopedInstances();
        $balance = $this->postJson('/api/balance', ['lines' => ['2 tbsp soy sauce']]);
        self::assertContains('gluten', (array) $balance->json('allergens'));
        self::assertEqualsWithDelta(14.0, $balance->json('axes.salt.value'), 0.01, '2.1 g in 15 g');
        // a spreadsheet of another country: semicolons and decimal commas
        $this->postJson(
            '/api/imports',
            ['contents' => "name;like;salt;price\nOther soy;soy-sauce;\"15,5\";2,4\n"],
        )->assertCreated()->assertJsonPath('says', '1 own product');
        self::assertEqualsWithDelta(
            15.5,
            Product::query()->where('name', 'Other soy')->firstOrFail()->label['salt'],
            1e-9,
        );
    }

    public function test_batches_go_out_as_csv_and_come_back_with_their_lines_and_days(): void
    {
        $this->demo();
        foreach ([
            [],
            ['For the pot:', '1 tsp salt', '', '2 tsp sugar'],
            array_fill(0, 600, '1 g salt'),
        ] as $number => $lines) {
            $odd = $this->postJson(
                '/api/sauces',
                ['title' => "Odd {$number}", 'lines' => $lines],
            )->assertCreated()->json('id');
            $this->postJson("/api/sauces/{$odd}/batches")->assertCreated();
        }
        $csv = (string) $this->get('/api/export/batches')->assertOk()->getContent();
        $plain = static fn(): array => array_map(
            static fn(Batch $one): array => [
                $one->recipe->title,
                $one->created_at?->toIso8601String(),
                $one->recipe->style,
                $one->recipe->measures,
                $one->recipe->yield,
                $one->recipe->pan,
                $one->pan_grams,
                $one->recipe->texts(),
                $one->recipe->method,
            ],
            Batch::all()->sortBy(static fn(Batch $one): array => [$one->created_at, $one->recipe->title])->values()->all(),
        );
        $before = $plain();
        self::assertTrue(
            $this->postJson(
                '/api/imports/preview',
                ['contents' => $csv],
            )->assertJsonPath('kind', 'batches')->json('items.0.there'),
        );
        $this->postJson(
            '/api/imports',
            ['contents' => $csv],
        )->assertCreated()->assertJsonPath('says', 'nothing that was not there');
        $this->emptied();
        $taken = $this->postJson('/api/imports', ['contents' => $csv])->assertCreated();

        self::assertEquals($before, $plain());
        $sauce = $taken->json('sauces.0');
        $this->getJson("/api/sauces/{$sauce}/log")->assertOk();
        $this->deleteJson('/api/imports/' . $taken->json('id'))->assertOk();
        self::assertSame([0, 0], [Sauce::query()->count(), Batch::query()->count()]);
    }

    /** A log that was kept in a spreadsheet so far: its batches hang on the sauce that is there. */
    public function test_a_log_kept_elsewhere_joins_its_sauce(): void
    {
        $sauce = $this->postJson(
            '/api/sauces',
            ['title' => 'Towpath dip', 'lines' => ['2 tbsp soy sauce', '1 tbsp honey']],
        )->json('id');
        $this->postJson(
            '/api/imports',
            [
                'contents' => "Title,Made,Lines,Pan_grams\r\nTowpath dip,2025-08-02,\"2 tbsp soy sauce\n2 tbsp honey\",80\r\n",
            ],
        )->assertCreated()->assertJsonPath('says', '1 batch');
        $batch = Batch::query()->firstOrFail();

        self::assertSame(
            [$sauce, ['2 tbsp soy sauce', '2 tbsp honey'], 80.0, '2025-08-02'],
            [$batch->sauce_id, $batch->recipe->texts(), $batch->pan_grams, $batch->created_at?->toDateString()],
        );
    }

    public function test_ingredients_go_out_as_csv_and_what_was_changed_in_it_comes_back_as_own_products(): void
    {
        $csv = (string) $this->get('/api/export/ingredients')->assertOk()->getContent();
        $rows = Csv::read($csv);
        self::assertGreaterThan(300, count($rows));
        $this->postJson(
            '/api/imports/preview',
            ['contents' => $csv],
        )->assertJsonPath('kind', 'ingredients')->assertJsonPath('items', []);
        $this->postJson('/api/imports', ['contents' => $csv])->assertJsonPath('says', 'nothing that was not there');
        $rows = array_map(
            static fn(array $row): array => $row['key'] === 'white-vinegar'
                ? [...$row, 'acetic' => '8', 'water' => '92']
                : $row,
            $rows,
        );
        $rows[] = [
            ...$rows[array_key_last($rows)],
            'key' => 'towpath-syrup',
            'name' => 'Towpath syrup',
            'like' => 'sugar-syrup',
            ...array_fill_keys(['lactose', 'maltose'], '0'),
            ...array_fill_keys(['water', 'sucrose', 'glucose', 'fructose'], '10'),
        ];
        $edited = Csv::write(array_keys($rows[0]), $rows);
        self::assertSame(
            ['White vinegar', 'Towpath syrup'],
            array_column(
                (array) $this->postJson('/api/imports/preview', ['contents' => $edited])->json('items'),
                'title',
            ),
        );
        $this->postJson(
            '/api/imports',
            ['contents' => $edited],
        )->assertCreated()->assertJsonPath('says', '2 own products');
        $this->app?->forgetScopedInstances();

        self::assertEqualsWithDelta(
            8.0,
            $this->postJson('/api/balance', ['lines' => ['100 g white vinegar']])->json('axes.sour.value'),
            0.05,
        );
        self::assertEqualsWithDelta(
            30.0,
            Product::query()->where('name', 'Towpath syrup')->firstOrFail()->label['sugars'],
            1e-9,
        );
    }

    private function emptied(): void
    {
        foreach (array_reverse(self::TABLES) as $table) {
            DB::table($table)->delete();
        }
    }

    /** The demo, each sauce weighed as the kitchen stands at the end: what a cook measured counts for all. */
    private function demo(): void
    {
        $this->app?->make(DemoKitchen::class)->load();
        $this->app?->make(SauceService::class)->weigh(
            Sauce::withTrashed()->pluck('id')->all(),
            Version::query()->pluck('id')->all(),
        );
    }

    /** @return array<string, mixed> every row of every table, its JSON read */
    private static function rows(): array
    {
        $all = [];
        foreach (self::TABLES as $table) {
            $all[$table] = DB::table($table)->get()->map(
                static fn(object $row): array => array_map(
                    static fn(mixed $value): mixed => is_string($value) && preg_match('/^[\[{]/', $value) === 1
                        ? json_decode($value, true) ?? $value
                        : $value,
                    (array) $row,
                ),
            )->all();
        }

        return $all;
    }
}
