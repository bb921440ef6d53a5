<?php

declare(strict_types=1);

namespace Tests\http;

use App\Batches\StoredCookEvent;
use App\Console\DemoKitchen;
use App\Description\ApiDescription;
use App\Plain\Door\Passphrase;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;

/**
 * Numbers at the edges of double precision, long lines of one letter or of two, and keys in any order: nothing answers
 * 500, nothing takes a second or 128 MB, and every page still opens afterwards.
 */
final class EdgeTest extends HttpTestCase
{
    use RightRequests;

    private const EDGES = [
        5e-324,
        1e-320,
        2.2250738585072014e-308,
        1e-7,
        -0.0,
        -5e-324,
        1.0000000000000002,
        1.7,
        9007199254740993.0,
        1.7976931348623157e308,
        -1.7976931348623157e308,
        PHP_INT_MAX,
    ];
    private const MOST_BYTES = 128 * 1024 * 1024;
    private const LONG = 20_000;

    protected function tearDown(): void
    {
        if ($this->folder !== '') {
            putenv('VINCULUM_DATABASE=:memory:');
            exec('rm -rf ' . escapeshellarg($this->folder));
        }
        parent::tearDown();
    }

    public function test_every_number_of_every_request_may_stand_at_an_edge(): void
    {
        $this->app?->make(DemoKitchen::class)->load();
        $copy = $this->kitchenToCopy();
        $standIn = new StandIn();
        $door = "{$this->folder}/door";
        config([
            'door.folder' => $door,
            'session.files' => "{$door}/sessions",
            'cache.stores.door.path' => "{$door}/tries",
        ]);
        (new Passphrase("{$door}/passphrase"))->set('four plums in a pot');
        $asked = 0;
        $reads = [];
        foreach ($this->valid($copy) as [$method, $path, $body]) {
            if ($method === 'GET') {
                $reads[] = [$path, $body];
                continue;
            }
            foreach (self::numbersIn($body, $this->described($method, $path)) as $place) {
                foreach (self::EDGES as $edge) {
                    $sent = array_map(static fn(mixed $one): mixed => $one instanceof \Closure ? $one() : $one, $body);
                    self::set($sent, $place, $edge);
                    $this->holds($method, $this->placed($path, $copy), $sent);
                    ++$asked;
                }
            }
        }
        self::assertGreaterThan(600, $asked);
        foreach ($reads as [$path, $query]) {
            $this->holds('GET', $this->placed($path, $copy), $query);
        }
        foreach (DB::table('batches')->whereNotNull('wish')->pluck('id') as $id) {
            foreach (["batches/{$id}/cook", "batches/{$id}/record", "batches/{$id}"] as $page) {
                $this->holds('GET', $page, []);
            }
        }
        $standIn->stop();
    }

    public function test_a_row_that_no_door_would_take_today_is_told_and_not_counted(): void
    {
        $this->app?->make(DemoKitchen::class)->load();
        $cook = (int) DB::table('batches')->whereNotNull('wish')->max('id');
        foreach ([
            ['measured', ['line' => 0.0, 'grams' => 1e-320]],
            ['measured', ['line' => 1e300, 'grams' => 4.0]],
            ['ph', ['ph' => -4e300]],
            ['timer-started', ['minutes' => 1e308]],
            ['stirred', ['grams' => 1.0]],
        ] as [$kind, $figures]) {
            StoredCookEvent::query()->create([
                'batch_id' => $cook,
                'kind' => $kind,
                'figures' => $figures,
                'grams' => [],
                'at' => StoredCookEvent::now(),
            ]);
        }
        $this->getJson("/api/batches/{$cook}/cook")->assertOk();
        $record = (string) $this->getJson("/api/batches/{$cook}/record")->assertOk()->getContent();
        self::assertSame(5, substr_count($record, 'Not counted, as its figures cannot be'));
    }

    public function test_what_names_a_line_is_a_whole_number(): void
    {
        $this->app?->make(DemoKitchen::class)->load();
        $cook = (int) DB::table('batches')->whereNotNull('wish')->max('id');
        foreach ([1.7, '1.7', 0.5, 0, -1, 1e300] as $line) {
            $this->postJson(
                "/api/batches/{$cook}/cook",
                ['kind' => 'measured', 'figures' => ['line' => $line, 'grams' => 4]],
            )->assertUnprocessable();
            foreach (['swap', 'nudge'] as $about) {
                $this->postJson(
                    "/api/{$about}",
                    ['lines' => ['1 tsp salt'], 'line' => $line, 'direction' => 'up', 'by' => 'step'],
                )->assertUnprocessable();
            }
        }
    }

    /** @return iterable<string, array{list<string>}> every letter that can be typed, and pairs of them */
    public static function pieces(): iterable
    {
        mt_srand(20261130);
        $letters = array_map(chr(...), range(32, 126));
        $pieces = [...$letters, '½', 'é', '×', "\u{200B}", '&amp;', "\u{0301}", '°', '٣', '–'];
        for ($pair = 0; $pair < 150; ++$pair) {
            $pieces[] = $letters[array_rand($letters)] . $letters[array_rand($letters)];
        }
        foreach (array_chunk(array_unique($pieces), 20) as $some) {
            yield implode(' ', $some) => [$some];
        }
    }

    /** @param list<string> $pieces */
    #[DataProvider('pieces')]
    public function test_a_long_line_of_one_or_two_letters_is_read_at_once(array $pieces): void
    {
        foreach ($pieces as $piece) {
            $text = substr(str_repeat($piece, self::LONG), 0, self::LONG);
            $text = mb_scrub($text);
            $this->holds('POST', 'pages', ['text' => $text]);
            $this->holds('POST', 'imports/preview', ['contents' => $text]);
            $this->holds('POST', 'balance', [
                'lines' => [mb_substr($text, 0, 9_000), '100 g sugar'],
                'method' => [mb_substr($text, 0, 2_000)],
                'pan' => mb_substr($text, 0, 200),
                'yield' => mb_substr($text, 0, 200),
            ]);
        }
    }

    public function test_a_kitchen_comes_in_with_its_keys_in_any_order(): void
    {
        mt_srand(20261130);
        $this->app?->make(DemoKitchen::class)->load();
        $file = json_decode($this->get('/api/export/kitchen')->streamedContent(), true);
        foreach ($file as $table => $rows) {
            $file[$table] = is_array($rows) ? array_map(self::shuffled(...), $rows) : $rows;
        }
        for ($round = 0; $round < 3; ++$round) {
            $taken = $this->postJson('/api/imports', [
                'contents' => json_encode(self::shuffled($file), JSON_PRESERVE_ZERO_FRACTION),
                'keep_both' => true,
            ]);
            self::assertCount(count($file['sauces']), (array) $taken->assertCreated()->json('sauces'));
        }
    }

    /** @param array<mixed> $sent */
    private function holds(string $method, string $path, array $sent): void
    {
        $body = (string) json_encode($sent, JSON_FORCE_OBJECT * (int) ($sent === []) | JSON_PRESERVE_ZERO_FRACTION);
        memory_reset_peak_usage();
        $held = memory_get_usage();
        $answer = $this->call(
            $method,
            "/api/{$path}",
            $method === 'GET' ? $sent : [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            $method === 'GET' ? null : $body,
        );
        $said = "{$method} {$path} " . mb_substr($body, 0, 300);
        self::assertLessThan(
            500,
            $answer->getStatusCode(),
            $said . substr((string) ($answer->baseResponse->exception ?? ''), 0, 900),
        );
        self::assertLessThan(self::MOST_BYTES, memory_get_peak_usage() - $held, $said);
    }

    private function placed(string $path, string $copy): string
    {
        return (string) preg_replace_callback(
            '/\{(\w+)\}/',
            fn(array $found): string => $this->numbered($found[1], $copy),
            $path,
        );
    }

    /** @return list<string> the fields of a request that are described as numbers */
    private function described(string $method, string $path): array
    {
        static $description = null;
        $description ??= json_decode(
            (string) json_encode($this->app?->make(ApiDescription::class)->made()),
            true,
        );
        $any = static fn(string $place): string => (string) preg_replace('/\{\w+\}/', '{}', $place);
        foreach ($description['paths'] as $place => $operations) {
            if ($any($place) === $any("/api/{$path}")) {
                $schema = $operations[strtolower($method)]['requestBody']['content']['application/json']['schema'] ?? [];
                $schema = isset($schema['$ref'])
                    ? $description['components']['schemas'][basename($schema['$ref'])]
                    : $schema;

                return array_keys(array_filter(
                    $schema['properties'] ?? [],
                    static fn(array $one): bool => preg_match('/"(?:number|integer)"/', (string) json_encode($one)) === 1
                        && !str_contains((string) json_encode($one), '"object"')
                        && !str_contains((string) json_encode($one), '"array"'),
                ));
            }
        }

        return [];
    }

    /**
     * @param array<mixed> $body
     * @param list<string> $described
     *
     * @return list<list<int|string>> where a number stands, or could
     */
    private static function numbersIn(array $body, array $described): array
    {
        $places = array_map(static fn(string $field): array => [$field], $described);
        $walk = static function (array $part, array $place) use (&$walk, &$places): void {
            foreach ($part as $key => $one) {
                if (is_array($one)) {
                    $walk($one, [...$place, $key]);
                } elseif (is_int($one) || is_float($one) || $one instanceof \Closure) {
                    $places[] = [...$place, $key];
                }
            }
        };
        $walk($body, []);

        return array_values(array_unique($places, SORT_REGULAR));
    }

    /**
     * @param array<mixed> $body
     * @param list<int|string> $place
     */
    private static function set(array &$body, array $place, int|float $number): void
    {
        $at = &$body;
        foreach ($place as $key) {
            $at = &$at[$key];
        }
        $at = $number;
    }

    /**
     * @param array<mixed> $row
     *
     * @return array<mixed>
     */
    private static function shuffled(array $row): array
    {
        $keys = array_keys($row);
        shuffle($keys);
        $shuffled = [];
        foreach ($keys as $key) {
            $shuffled[$key] = $row[$key];
        }

        return $shuffled;
    }
}
