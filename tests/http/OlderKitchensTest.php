<?php

declare(strict_types=1);

namespace Tests\http;

use App\Batches\Batch;
use App\Recipes\Sauce;
use App\Recipes\Version;
use App\Recipes\WrittenRecipe;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use PHPUnit\Framework\Attributes\DataProvider;
use Vinculum\Recipe\RecipeLine;

/** Kitchens of every earlier version are carried over: their databases, and their files. */
final class OlderKitchensTest extends TestCase
{
    private const ONE_RECIPE = '2026_11_29_000000_hold_one_recipe.php';
    private const LINES = ['For the pot:', '400 g damsons', '100 ml vinegar', '', '1 tsp salt [lock]'];

    public function createApplication(): \Illuminate\Foundation\Application
    {
        /** @var \Illuminate\Foundation\Application $app */
        $app = require dirname(__DIR__, 2) . '/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    /** @return iterable<string, array{int}> how many migrations the kitchen has seen */
    public static function versions(): iterable
    {
        foreach (self::whereLinesWereRows() as $number => $file) {
            yield basename($file, '.php') => [$number + 1];
        }
    }

    #[DataProvider('versions')]
    public function test_the_database_of_each_earlier_version_is_carried_over(int $seen): void
    {
        $this->migrate(array_slice(self::migrations(), 0, $seen));
        $recipe = [
            'title' => 'Damson ketchup',
            'style' => 'ketchup',
            'measures' => 'metric',
            'yield' => '500 ml',
            'part_ml' => 250.5,
            'pan' => '24 cm',
            'servings' => 12,
            'method' => ['Simmer for 20 minutes.'],
            'set_aside' => [['text' => 'A ketchup.', 'why' => 'remark']],
            'let_go' => ['heat'],
        ];
        $sauce = self::insert('sauces', [...$recipe, 'revision' => 3, 'standing' => []]);
        foreach (self::LINES as $position => $text) {
            DB::table('lines')->insert(['sauce_id' => $sauce, 'position' => $position, 'text' => $text]);
        }
        $of = [...$recipe, 'sauce_id' => $sauce, 'lines' => self::LINES, 'revision' => 3];
        self::insert('versions', [...$of, 'number' => 1]);
        self::insert('batches', [...$of, 'version' => 1]);
        $known = Schema::getColumnListing('sauces');
        $this->migrate(self::migrations());

        $expected = static fn(string $column, mixed $none): mixed => in_array($column, $known, true)
            ? $recipe[$column]
            : $none;
        $stored = Sauce::query()->findOrFail($sauce);
        self::assertEquals(
            [
                ...$recipe,
                'part_ml' => $expected('part_ml', null),
                'pan' => $expected('pan', null),
                'servings' => $expected('servings', null),
                'method' => $expected('method', []),
                'set_aside' => $expected('set_aside', []),
                'let_go' => $expected('let_go', []),
                'aim' => [],
                'lines' => self::numbered(),
            ],
            WrittenRecipe::of($stored->recipe),
        );
        self::assertSame(3, $stored->revision);
        self::assertNotNull($stored->standing['axes']['sour'] ?? null, 'weighed for the shelf');
        $kept = Version::query()->where('sauce_id', $sauce)->firstOrFail();
        self::assertEquals($stored->recipe, $kept->recipe);
        self::assertFalse(Schema::hasTable('lines'));
        foreach (Batch::query()->get() as $batch) {
            self::assertSame(self::LINES, $batch->recipe->texts());
            self::assertSame([true], array_values(array_unique(array_map(static fn(RecipeLine $one): bool => $one->isApart, $batch->recipe->lines))));
        }
        self::assertSame((int) ($seen > 2), Batch::query()->count());
        $this->getJson("/api/sauces/{$sauce}")->assertOk()->assertJsonPath('lines', self::numbered());
        $this->getJson("/api/sauces/{$sauce}/log")->assertOk();
    }

    public function test_todays_demo_kitchen_is_carried_over_and_back(): void
    {
        $this->migrate(self::whereLinesWereRows());
        $rows = self::file();
        foreach (array_diff_key($rows, ['vinculum' => 0, 'version' => 0]) as $table => $list) {
            foreach ($list as $row) {
                self::insert($table, $row);
            }
        }
        $before = self::everything();
        $this->migrate(self::migrations());
        self::assertSame(count($rows['sauces']), Sauce::query()->count());
        $mustard = Sauce::query()->orderBy('id')->firstOrFail();
        self::assertSame([12, ['umami']], [$mustard->recipe->servings, $mustard->recipe->ignoredAxes]);
        foreach (Batch::query()->get() as $batch) {
            $this->getJson("/api/batches/{$batch->id}")->assertOk();
            $this->getJson("/api/sauces/{$batch->sauce_id}/log")->assertOk();
        }
        $since = count(self::migrations()) - count(self::whereLinesWereRows());
        $this->app?->make(Kernel::class)->call('migrate:rollback', ['--force' => true, '--step' => $since]);
        self::assertEquals($before, self::everything());
    }

    public function test_the_file_of_an_earlier_version_comes_in_whole_and_is_known_again(): void
    {
        $this->migrate(self::migrations());
        $file = (string) file_get_contents(__DIR__ . '/data/kitchen-of-format-2.json');
        $this->postJson('/api/imports', ['contents' => $file])->assertCreated();
        $rows = self::file();
        self::assertSame(count($rows['sauces']), Sauce::query()->count());
        foreach (Sauce::query()->orderBy('id')->get() as $number => $sauce) {
            self::assertSame(
                array_column(
                    array_filter($rows['lines'], static fn(array $line): bool => $line['sauce_id'] === $sauce->id),
                    'text',
                ),
                $sauce->recipe->texts(),
            );
            self::assertSame($rows['sauces'][$number]['method'] ?? [], $sauce->recipe->method);
        }
        self::assertSame(
            array_column($rows['batches'], 'lines'),
            array_map(
                static fn(Batch $one): array => $one->recipe->texts(),
                array_values(Batch::all()->sortBy('id')->all()),
            ),
        );
        $this->postJson('/api/imports/preview', ['contents' => $file])->assertOk()->assertJsonPath('items.0.there', true);
        // format 1 knew nothing of what was set aside, and its lists may stand in any order
        $older = ['vinculum' => 'kitchen', 'lines' => $rows['lines'], 'sauces' => array_map(
            static fn(array $row): array => array_diff_key($row, array_flip(['servings', 'set_aside', 'let_go'])),
            $rows['sauces'],
        ), 'version' => 1];
        $this->postJson('/api/imports', ['contents' => json_encode($older), 'keep_both' => true])->assertCreated();
        self::assertSame(2 * count($rows['sauces']), Sauce::query()->count());
        self::assertSame([], Sauce::query()->latest('id')->firstOrFail()->recipe->setAside);
    }

    /** Format 3: a recipe in one place already, its lines texts; of batches, lines that were taken apart. */
    public function test_lines_of_a_file_that_had_no_numbers_get_them(): void
    {
        $this->migrate(self::migrations());
        $id = $this->postJson('/api/sauces', ['title' => 'Dip', 'lines' => ['salt and pepper', '2 tsp sugar']])->json('id');
        $this->postJson("/api/sauces/{$id}/batches", [])->assertCreated();
        $file = json_decode($this->get('/api/export/kitchen')->streamedContent(), true, 64, JSON_THROW_ON_ERROR);
        $file['version'] = 3;
        foreach (['sauces', 'versions', 'batches'] as $table) {
            foreach ($file[$table] as &$row) {
                $row['recipe']['lines'] = array_column($row['recipe']['lines'], 'text');
            }
            unset($row);
        }
        $older = (string) json_encode($file, JSON_PRESERVE_ZERO_FRACTION);
        $this->postJson('/api/imports/preview', ['contents' => $older])->assertOk()->assertJsonPath('items.0.there', true);
        $this->postJson('/api/imports', ['contents' => $older, 'keep_both' => true])->assertCreated();
        [$first, $second] = Sauce::query()->orderBy('id')->get()->all();
        self::assertEquals($first->recipe->of($second->id), $second->recipe);
        [$cooked, $again] = Batch::query()->orderBy('id')->get()->all();
        self::assertSame(['salt', 'pepper', '2 tsp sugar'], $cooked->recipe->texts());
        self::assertEquals($cooked->recipe->of($second->id), $again->recipe);
    }

    /** @return list<array{id: int, text: string}> its lines with numbers of their own */
    private static function numbered(): array
    {
        return array_map(static fn(RecipeLine $line): array => $line->written(), RecipeLine::numbered(self::LINES));
    }

    /** @return list<string> */
    private static function migrations(): array
    {
        return glob(dirname(__DIR__, 2) . '/database/migrations/*.php') ?: [];
    }

    /** @return list<string> the migrations before a sauce came to hold its recipe in one place */
    private static function whereLinesWereRows(): array
    {
        return array_values(
            array_filter(self::migrations(), static fn(string $file): bool => basename($file) < self::ONE_RECIPE),
        );
    }

    /** @return array<string, mixed> */
    private static function file(): array
    {
        return json_decode((string) file_get_contents(__DIR__ . '/data/kitchen-of-format-2.json'), true);
    }

    /** @param list<string> $files */
    private function migrate(array $files): void
    {
        $this->app?->make(Kernel::class)->call('migrate', ['--force' => true, '--path' => $files, '--realpath' => true]);
    }

    /**
     * As much of the row as the table has columns for.
     *
     * @param array<string, mixed> $row
     */
    private static function insert(string $table, array $row): int
    {
        if (!Schema::hasTable($table)) {
            return 0;
        }
        $fields = array_intersect_key($row, array_flip(Schema::getColumnListing($table)));
        DB::table($table)->insert(
            array_map(
                static fn(mixed $value): mixed => is_array($value)
                    ? json_encode($value, JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE)
                    : $value,
                $fields,
            ),
        );

        return (int) DB::getPdo()->lastInsertId();
    }

    /** @return array<string, list<array<string, mixed>>> what a recipe is, by table; how JSON is spaced is no matter */
    private static function everything(): array
    {
        $found = ['lines' => DB::table('lines')->orderBy('sauce_id')->orderBy('position')->get(['sauce_id', 'text'])->map(
            static fn(object $row): array => (array) $row,
        )->all()];
        foreach (['sauces', 'versions', 'batches'] as $table) {
            $found[$table] = DB::table($table)->orderBy('id')->get()->map(static function (object $row): array {
                $fields = array_diff_key((array) $row, ['standing' => 0]);
                foreach (['method', 'set_aside', 'let_go', 'lines', 'wish'] as $list) {
                    $fields[$list] = json_decode((string) ($fields[$list] ?? '[]'), true) ?? [];
                }
                ksort($fields);

                return $fields;
            })->all();
        }

        return $found;
    }
}
