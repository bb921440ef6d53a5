<?php

declare(strict_types=1);

namespace Tests\http;

use App\Console\DemoKitchen;
use App\Database\InOneMove;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** What is sent again because its answer got lost is one thing, at every address that stores something. */
final class OnceTest extends HttpTestCase
{
    use RightRequests;

    /** What a kitchen's own file and this machine's instruments keep, which no answer may double. */
    private const NOT_STORED = ['session', 'backups', 'instruments', 'uploads', 'idle'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->app?->make(DemoKitchen::class)->load();
    }

    protected function tearDown(): void
    {
        if ($this->folder !== '') {
            putenv('VINCULUM_DATABASE=:memory:');
            exec('rm -rf ' . escapeshellarg($this->folder));
        }
        parent::tearDown();
    }

    public function test_the_same_key_twice_is_one_thing_at_every_address_that_stores(): void
    {
        $copy = $this->kitchenToCopy();
        $stored = [];
        foreach ($this->valid($copy) as $number => [$method, $path, $body]) {
            if ($method === 'GET' || in_array(explode('/', $path)[0], self::NOT_STORED, true)) {
                continue;
            }
            Carbon::setTestNow(Carbon::now()->addSecond());
            $place = (string) preg_replace_callback(
                '/\{(\w+)\}/',
                fn(array $found): string => $this->numbered($found[1], $copy),
                $path,
            );
            $sent = array_map(static fn(mixed $one): mixed => $one instanceof \Closure ? $one() : $one, $body);
            $before = self::rows();
            $key = "lost-answer-{$number}";
            $first = $this->keyed($method, $place, $sent, $key);
            self::assertTrue($first->isSuccessful(), "{$method} {$place}: {$first->getContent()}");
            $after = self::rows();
            $again = $this->keyed($method, $place, $sent, $key);
            self::assertSame($after, self::rows(), "{$method} {$place} stored something twice");
            if ($before !== $after) {
                $stored[] = "{$method} {$path}";
                if ($path !== 'imports/{import}') {
                    self::assertSame($first->getStatusCode(), $again->getStatusCode(), "{$method} {$path}");
                    self::assertSame($first->getContent(), $again->getContent(), "{$method} {$path}");
                }
            }
        }
        foreach ([
            'POST products',
            'POST sauces',
            'POST sauces/written',
            'POST sauces/{sauce}/batches',
            'POST batches/{batch}/doses',
            'DELETE batches/{batch}/doses',
            'POST batches/{batch}/tastings',
            'POST sauces/{sauce}/cooks',
            'POST batches/{cook}/cook',
            'POST batches/{cook}/record',
            'POST batches/{cook}/jars',
            'POST plans',
            'POST trainer',
            'POST imports',
        ] as $address) {
            self::assertContains($address, $stored, 'the test saw it store something');
        }
    }

    public function test_a_key_is_for_one_thing_and_a_refusal_uses_none_up(): void
    {
        $body = ['title' => 'Once', 'lines' => ['1 tsp salt']];
        $this->keyed('POST', 'sauces', ['lines' => 3], 'key-of-a-sauce')->assertUnprocessable();
        $this->keyed('POST', 'sauces', $body, 'key-of-a-sauce')->assertCreated();
        $other = $this->keyed('POST', 'sauces', ['title' => 'Other'] + $body, 'key-of-a-sauce');
        self::assertStringContainsString('key', (string) $other->assertUnprocessable()->json('message'));
        $this->keyed('POST', 'sauces', $body, 'another-key')->assertCreated();
        self::assertSame(2, DB::table('sauces')->where('recipe->title', 'Once')->count(), 'meant twice, it is there twice');
        foreach (['short', str_repeat('a', 81), "odd key \u{200B}"] as $odd) {
            $this->keyed('POST', 'sauces', $body, $odd)->assertUnprocessable();
        }
    }

    public function test_what_could_not_be_answered_was_not_stored(): void
    {
        $sauces = DB::table('sauces')->count();
        DB::listen(static function ($query): void {
            // stored, and then something goes wrong on the way to the answer
            if (str_starts_with($query->sql, 'insert into "answers"')) {
                throw new \RuntimeException('The answer cannot be made.');
            }
        });
        $this->keyed('POST', 'sauces', ['title' => 'Lost', 'lines' => ['1 tsp salt']], 'no-answer-at-all')
            ->assertServerError();
        self::assertSame($sauces, DB::table('sauces')->count());
    }

    public function test_answers_are_not_kept_for_ever(): void
    {
        $this->keyed('POST', 'sauces', ['lines' => []], 'long-ago-asked')->assertCreated();
        Carbon::setTestNow(Carbon::now()->addDays(3));
        $this->keyed('POST', 'sauces', ['lines' => []], 'asked-just-now')->assertCreated();
        self::assertSame(['asked-just-now'], DB::table('answers')->pluck('key')->all());
    }

    /**
     * @param array<mixed> $sent
     *
     * @return TestResponse<Response>
     */
    private function keyed(string $method, string $path, array $sent, string $key): TestResponse
    {
        return $this->json($method, "/api/{$path}", $sent, [InOneMove::HEADER => $key]);
    }

    /** @return array<string, string> what every table holds, but for the answers themselves */
    private static function rows(): array
    {
        $rows = [];
        foreach (DB::select("SELECT name FROM sqlite_master WHERE type = 'table' AND name <> 'answers'") as $table) {
            $rows[$table->name] = md5((string) json_encode(DB::table($table->name)->get()));
        }

        return $rows;
    }
}
