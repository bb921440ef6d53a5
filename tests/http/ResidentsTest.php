<?php

declare(strict_types=1);

namespace Tests\http;

use App\Console\DemoKitchen;
use App\Server\ReadingRoutes;
use App\Server\ResidentAnswer;
use App\Server\ResidentKernel;
use App\Server\ResidentSocket;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;

/** What stays between requests answers as what is started for each, and remembers nothing. */
final class ResidentsTest extends HttpTestCase
{
    private const SAUCE = ['style' => 'ketchup', 'lines' => ['500 g passata', '2 tbsp cider vinegar', '1 tsp salt']];

    private string $file = '';

    public function createApplication(): Application
    {
        $app = parent::createApplication();
        $this->file = (string) tempnam(sys_get_temp_dir(), 'residents');
        config(['database.connections.sqlite.database' => $this->file]);

        return $app;
    }

    protected function tearDown(): void
    {
        parent::tearDown();
        array_map(unlink(...), glob("{$this->file}*") ?: []);
    }

    public function test_it_answers_as_the_server_does_by_itself_also_where_it_refuses(): void
    {
        foreach ([
            ['GET', '/api/sauces', null],
            ['POST', '/api/balance', self::SAUCE],
            ['POST', '/api/advise', self::SAUCE],
            ['POST', '/api/balance', ['style' => 'no such style', 'lines' => []]],
            ['POST', '/api/balance', ['lines' => 'one text']],
            ['GET', '/api/sauces/77', null],
        ] as [$method, $path, $body]) {
            $plain = $this->json($method, $path, $body ?? []);
            [$status, $headers, $answer] = $this->ask($method, $path, (string) json_encode($body ?? []));
            self::assertSame($plain->getStatusCode(), $status, $path);
            self::assertSame($plain->getContent(), $answer, $path);
            self::assertContains('X-Frame-Options: DENY', $headers);
            self::assertContains('Content-Type: application/json', $headers);
        }
        [$status, , $answer] = $this->ask('POST', '/api/balance', '{"lines": [');
        self::assertSame(422, $status);
        self::assertStringContainsString('message', $answer);
    }

    public function test_what_is_stored_between_two_questions_counts_in_the_second(): void
    {
        $body = (string) json_encode(['lines' => ['20 g Towpath soy']]);
        $named = fn(): string => json_decode($this->ask('POST', '/api/balance', $body)[2], true)['lines'][0]['name'] ?? '';
        $before = $named();
        $own = $this->postJson('/api/products', PantryTest::SOY)->assertCreated()->json('id');
        self::assertSame('Towpath soy', $named());
        $this->deleteJson("/api/products/{$own}")->assertSuccessful();
        self::assertSame($before, $named());
    }

    public function test_what_it_takes_changes_nothing_in_the_kitchen(): void
    {
        $this->app?->make(DemoKitchen::class)->load();
        $taken = 0;
        $socket = $this->socket('');
        /** @var Route $route */
        foreach ($this->app?->make('router')->getRoutes() ?? [] as $route) {
            $path = '/' . preg_replace('/\{\w+\}/', '1', $route->uri());
            foreach ($route->methods() as $method) {
                if ($socket->takes($method, $path)) {
                    $before = self::rows();
                    $this->ask($method, $path, (string) json_encode(self::SAUCE));
                    self::assertSame($before, self::rows(), "{$method} {$path}");
                    ++$taken;
                }
            }
        }
        self::assertGreaterThan(25, $taken);
        self::assertFalse($socket->takes('PUT', '/api/sauces/1'));
        self::assertFalse($socket->takes('POST', '/api/sauces'));
        self::assertFalse($socket->takes('GET', '/api/export/kitchen'));
    }

    public function test_a_message_that_broke_off_is_none_and_the_home_network_is_left_to_the_server(): void
    {
        [$one, $other] = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, 0) ?: self::fail('no sockets');
        ResidentSocket::send($one, ['status' => 200, 'headers' => ['A: b'], 'body' => "\xff"]);
        self::assertSame(['status' => 200, 'headers' => ['A: b'], 'body' => "\xff"], ResidentSocket::receive($other));
        fwrite($one, pack('N', 900) . 'a:1:{');
        fclose($one);
        self::assertNull(ResidentSocket::receive($other));
        self::assertNull(ResidentAnswer::from(null));

        $listening = stream_socket_server("unix://{$this->file}.sock");
        self::assertNotFalse($listening);
        $socket = $this->socket("{$this->file}.sock");
        $here = [
            'REQUEST_METHOD' => 'GET',
            'REQUEST_URI' => '/api/sauces',
            'REMOTE_ADDR' => '127.0.0.1',
            'HTTP_HOST' => 'localhost:8080',
        ];
        foreach ([
            ['REMOTE_ADDR' => '192.168.1.20'],
            ['HTTP_HOST' => '192.168.1.2:8080'],
            ['HTTP_HOST' => 'localhost.elsewhere.example'],
            ['REQUEST_METHOD' => 'DELETE'],
            ['REQUEST_URI' => '/api/sauces/../exports'],
        ] as $other) {
            self::assertNull($socket->ask([...$here, ...$other]));
            self::assertFalse(@stream_socket_accept($listening, 0.0), 'nobody was asked');
        }
    }

    private function socket(string $file): ResidentSocket
    {
        return new ResidentSocket($file, ReadingRoutes::of($this->app?->make('router') ?? self::fail('no routes')));
    }

    /** @return array{int, list<string>, string} status, headers, body */
    private function ask(string $method, string $path, string $body): array
    {
        $app = $this->app;
        $answered = null;
        (new ResidentKernel($app, $app->make(Kernel::class)))->handle([
            'server' => [
                'REQUEST_METHOD' => $method,
                'REQUEST_URI' => $path,
                'REMOTE_ADDR' => '127.0.0.1',
                'HTTP_HOST' => 'localhost',
                'HTTP_ACCEPT' => 'application/json',
                'CONTENT_TYPE' => 'application/json',
            ],
            'query' => [],
            'body' => $body,
        ], static function (array $answer) use (&$answered): void {
            $answered = [$answer['status'], $answer['headers'], $answer['body']];
        });

        return $answered ?? self::fail('it said nothing');
    }

    /** @return array<string, string> everything that is stored, by table */
    private static function rows(): array
    {
        $rows = [];
        foreach (DB::select("SELECT name FROM sqlite_master WHERE type = 'table'") as $table) {
            $rows[$table->name] = (string) json_encode(DB::select("SELECT * FROM \"{$table->name}\""));
        }

        return $rows;
    }
}
