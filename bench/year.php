#!/usr/bin/env php
<?php

declare(strict_types=1);

/*
 * Years of heavy use: 2,000 sauces, 20,000 batches and 100,000 tastings by a seeded generator, in a kitchen of its own.
 * Prints
 * what each list takes on the server (in process, the whole request), and how the database finds its rows.
 *
 * Run it with: php bench/year.php    (after ./vinculum test or start, which installs what it needs)
 */

use App\Recipes\WrittenRecipe;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\RecipeLine;

const SAUCES = 2000;
const BATCHES = 20_000;
const TASTINGS = 100_000;
const WANTED_MILLISECONDS = 300.0;

$root = dirname(__DIR__);
$database = sys_get_temp_dir() . '/vinculum-bench-year-' . getmypid() . '.sqlite';
touch($database);
putenv("VINCULUM_DATABASE={$database}");
$_ENV['VINCULUM_DATABASE'] = $_SERVER['VINCULUM_DATABASE'] = $database;
require "{$root}/vendor/autoload.php";
$app = require "{$root}/bootstrap/app.php";
$app->make(Console::class)->bootstrap();
$app->make(Console::class)->call('migrate', ['--force' => true]);
mt_srand(20261124);

$styles = ['ketchup', 'tomato-barbecue', 'fruit-ketchup', 'relish', 'mustard', 'peri', 'hot-sauce', 'chutney'];
$things = [
    '500 g tomatoes',
    '100 ml cider vinegar',
    '80 g sugar',
    '2 tsp salt',
    '1 onion',
    '3 cloves garlic',
    '1 tsp paprika',
    '½ tsp cayenne',
    '2 tbsp honey',
    '1 tbsp soy sauce',
];
$axes = static fn(): array => array_map(
    static fn(): array => [
        'value' => 1.2,
        'low' => 1.0,
        'high' => 1.4,
        'unit' => 'g/100 g',
        'steps' => mt_rand(0, 250) / 10,
        'window' => [1, 2],
        'off_by_steps' => 0,
        'low_steps' => 1,
        'high_steps' => 2,
        'window_steps' => [1, 2],
        'own_steps' => null,
        'own_off_by_steps' => null,
    ],
    array_flip(['sweet', 'sour', 'salt', 'umami', 'heat']),
);
$moment = static fn(): string => date('Y-m-d H:i:s', 1_760_000_000 + mt_rand(0, 30_000_000));
$pick = static function () use ($things): array {
    $keys = (array) array_rand($things, mt_rand(4, 10));

    return array_values(array_intersect_key($things, array_flip($keys)));
};
$fill = static function (string $table, int $count, callable $row): void {
    for ($done = 0; $done < $count; $done += 400) {
        DB::table($table)->insert(array_map($row, range($done + 1, min($count, $done + 400))));
    }
};
$started = microtime(true);
$recipe = static fn(string $title, string $style): string => (string) json_encode(WrittenRecipe::of(new Recipe(
    $title,
    $style,
    RecipeLine::numbered($pick()),
    ['Simmer 20 minutes'],
    Measures::Metric,
    pan: '24 cm',
)));
DB::transaction(static function () use ($fill, $styles, $axes, $moment, $recipe): void {
    $fill(
        'sauces',
        SAUCES,
        static fn(int $id): array => [
            'id' => $id,
            'recipe' => $recipe("Sauce {$id}", $styles[mt_rand(0, 7)]),
            'revision' => 1,
            'standing' => json_encode(['axes' => $axes(), 'distance' => mt_rand(0, 60) / 10]),
            'created_at' => $moment(),
            'updated_at' => $moment(),
        ],
    );
    $fill(
        'versions',
        SAUCES,
        static fn(int $id): array => [
            'id' => $id,
            'sauce_id' => $id,
            'number' => 1,
            'revision' => 1,
            'recipe' => $recipe("Sauce {$id}", 'ketchup'),
            'created_at' => $moment(),
        ],
    );
    $fill(
        'batches',
        BATCHES,
        static fn(int $id): array => [
            'id' => $id,
            'sauce_id' => 1 + $id % SAUCES,
            'version' => 1,
            'recipe' => $recipe('Sauce ' . (1 + $id % SAUCES), 'ketchup'),
            'created_at' => $moment(),
            'updated_at' => $moment(),
        ],
    );
    $fill(
        'tastings',
        TASTINGS,
        static fn(int $id): array => [
            'id' => $id,
            'sauce_id' => 1 + (1 + $id % BATCHES) % SAUCES,
            'batch_id' => 1 + $id % BATCHES,
            'style' => $styles[$id % 8],
            'tasted_at' => $moment(),
            'said' => '[]',
            'scores' => json_encode(['sour' => mt_rand(-2, 2)]),
            'steps' => json_encode(['sweet' => 20, 'sour' => 20, 'salt' => 15, 'umami' => 3, 'heat' => 2]),
            'balance' => json_encode($axes()),
            'created_at' => $moment(),
        ],
    );
});
DB::statement('ANALYZE');
printf(
    "%d sauces, %d batches, %d tastings made in %.0f s, %.0f MB\n",
    SAUCES,
    BATCHES,
    TASTINGS,
    microtime(true) - $started,
    filesize($database) / 1e6,
);

$worst = 0.0;
foreach ([
    '/api/idle',
    '/api/sauces',
    '/api/sauces/77',
    '/api/sauces/77/versions',
    '/api/sauces/77/batches',
    '/api/sauces/77/log',
    '/api/batches/777',
    '/api/batches/777/record',
    '/api/palate',
    '/api/pantry',
    '/api/plans',
    '/api/trainer',
] as $path) {
    $times = [];
    for ($round = 0; $round < 7; ++$round) {
        $app->forgetScopedInstances();
        $start = hrtime(true);
        $answer = $app->make(Kernel::class)->handle(Request::create("http://127.0.0.1{$path}"));
        $times[] = (hrtime(true) - $start) / 1e6;
        assert($answer->getStatusCode() === 200, $path . $answer->getContent());
    }
    sort($times);
    $worst = max($worst, $times[3]);
    printf("%-28s %7.1f ms %s\n", $path, $times[3], $times[3] > WANTED_MILLISECONDS ? '  too slow' : '');
}
foreach ([
    'shelf' => 'SELECT * FROM sauces WHERE deleted_at IS NULL ORDER BY updated_at DESC LIMIT 200',
    'names of sauces' => 'SELECT json_extract("recipe", \'$."title"\') AS "title", "id" FROM "sauces" WHERE json_extract("recipe", \'$."title"\') != \'\' AND "sauces"."deleted_at" IS NULL',
    'batches of a sauce' => 'SELECT * FROM batches WHERE sauce_id = 77 ORDER BY id DESC LIMIT 100',
    'log of a sauce' => 'SELECT * FROM batches WHERE sauce_id = 77 ORDER BY created_at DESC, id DESC LIMIT 60',
    'tastings of a batch' => 'SELECT * FROM tastings WHERE batch_id = 777 ORDER BY id',
    'tastings of a family' => "SELECT * FROM tastings WHERE style = 'ketchup' ORDER BY tasted_at DESC LIMIT 500",
    'doses of a batch' => 'SELECT * FROM doses WHERE batch_id = 777 ORDER BY id',
    'events of a batch' => 'SELECT * FROM cook_events WHERE batch_id = 777 ORDER BY id',
    'jars of a batch' => 'SELECT * FROM jars WHERE batch_id = 777 ORDER BY id',
] as $what => $query) {
    printf(
        "%-22s %s\n",
        $what,
        implode(
            ' | ',
            array_map(static fn(object $step): string => $step->detail, DB::select("EXPLAIN QUERY PLAN {$query}")),
        ),
    );
}
DB::disconnect();
array_map(unlink(...), glob("{$database}*") ?: []);
exit($worst > WANTED_MILLISECONDS ? 1 : 0);
