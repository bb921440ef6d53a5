<?php

declare(strict_types=1);

namespace Tests\http;

use Illuminate\Support\Facades\DB;

/** What a list asks of the database does not grow with the list, and is found by an index. */
final class QueriesTest extends HttpTestCase
{
    private const SAUCE = [
        'style' => 'ketchup',
        'measures' => 'metric',
        'lines' => ['300 g tomatoes', '60 ml cider vinegar', '40 g sugar', '5 g salt'],
        'pan' => '24 cm',
        'method' => ['Simmer 20 minutes'],
    ];
    private const TABLES_THAT_GROW = [
        'sauces',
        'lines',
        'versions',
        'batches',
        'tastings',
        'doses',
        'cook_events',
        'jars',
        'plans',
        'guesses',
    ];

    private const LISTS = [
        '/api/sauces',
        '/api/palate',
        '/api/pantry',
        '/api/plans',
        '/api/trainer',
        '/api/export/batches',
    ];
    private const OF_ONE = [
        '/api/sauces/1',
        '/api/sauces/1/versions',
        '/api/sauces/1/batches',
        '/api/sauces/1/log',
        '/api/batches/1',
        '/api/batches/1/record',
        '/api/batches/1/cook',
    ];

    public function test_six_times_as_much_asks_no_more_questions_and_none_of_them_twice(): void
    {
        $this->cook(2);
        $few = array_map($this->questions(...), [...self::LISTS, ...self::OF_ONE]);
        $this->cook(10);
        foreach ([...self::LISTS, ...self::OF_ONE] as $number => $path) {
            $many = $this->questions($path);
            self::assertSame(
                [],
                array_diff(array_map(self::shape(...), $many), array_map(self::shape(...), $few[$number])),
                $path,
            );
            self::assertLessThanOrEqual(count($few[$number]), count($many), $path);
            $asked = array_count_values(
                array_map(static fn(array $one): string => $one['query'] . json_encode($one['bindings']), $many),
            );
            self::assertSame([], array_filter($asked, static fn(int $times): bool => $times > 1), $path);
        }
    }

    /** What is asked about one thing never reads through a table that grows with the years. */
    public function test_one_thing_is_found_by_an_index(): void
    {
        $this->cook(4);
        foreach (array_merge(
            [],
            ...array_map($this->questions(...), self::OF_ONE),
        ) as ['query' => $query, 'bindings' => $bindings]) {
            foreach (DB::select("EXPLAIN QUERY PLAN {$query}", $bindings) as $step) {
                $isScan = preg_match('/^SCAN (\w+)$/', (string) $step->detail, $found) === 1
                    && in_array($found[1], self::TABLES_THAT_GROW, true);
                self::assertFalse($isScan, "{$query}: {$step->detail}");
            }
        }
    }

    private function cook(int $sauces): void
    {
        for ($sauce = 0; $sauce < $sauces; ++$sauce) {
            $id = $this->postJson(
                '/api/sauces',
                [...self::SAUCE, 'title' => "Sauce {$sauce}"],
            )->assertCreated()->json('id');
            foreach ([$id, 1] as $of) {
                $batch = $this->postJson("/api/sauces/{$of}/cooks", ['factor' => 1])->assertCreated()->json('id');
                $this->postJson("/api/batches/{$batch}/tastings", ['scores' => ['sour' => 1]])->assertSuccessful();
                $this->postJson(
                    "/api/batches/{$batch}/record",
                    ['kind' => 'ph', 'figures' => ['ph' => 3.6]],
                )->assertCreated();
            }
        }
    }

    /** @return list<array{query: string, bindings: array<mixed>}> */
    private function questions(string $path): array
    {
        $this->app?->forgetScopedInstances();
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->get($path)->assertOk();
        DB::disableQueryLog();

        return array_values(DB::getQueryLog());
    }

    /** @param array{query: string} $asked */
    private static function shape(array $asked): string
    {
        return (string) preg_replace('/ in \(.*?\)/', ' in (…)', $asked['query']);
    }
}
