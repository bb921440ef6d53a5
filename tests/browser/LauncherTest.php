<?php

declare(strict_types=1);

namespace Tests\browser;

use PHPUnit\Framework\TestCase;

/** ./vinculum start and stop, as a person at a terminal sees it. */
final class LauncherTest extends TestCase
{
    private const PORT = 8379;

    private string $database;

    /** @var list<resource> started and not yet stopped */
    private array $running = [];

    protected function setUp(): void
    {
        $this->database = sys_get_temp_dir() . '/vinculum-launcher-' . getmypid() . '.sqlite';
    }

    protected function tearDown(): void
    {
        foreach ($this->running as $process) {
            proc_terminate($process, SIGINT);
            proc_close($process);
        }
        array_map(unlink(...), glob($this->database . '*') ?: []);
        exec('rm -rf ' . escapeshellarg(substr($this->database, 0, -7) . '-copies'));
    }

    public function test_start_serves_prints_one_line_and_ctrl_c_stops_all_it_started(): void
    {
        [$process, $out] = $this->start();
        self::assertStringContainsString('Vinculum is at http://127.0.0.1:' . self::PORT, self::waitForLine($out));
        self::assertStringContainsString(
            'Damson',
            (string) file_get_contents('http://127.0.0.1:' . self::PORT . '/api/sauces'),
        );
        $this->stop($process);
        self::assertFalse(
            @file_get_contents('http://127.0.0.1:' . self::PORT . '/api/idle'),
            'nothing answers any more',
        );
        exec('pgrep -f ' . escapeshellarg('bin/residents.php .*residents-' . self::PORT . '.sock$'), $left);
        self::assertSame([], $left, 'nobody stays');
    }

    public function test_a_second_start_leaves_what_is_there_alone(): void
    {
        [$process, $out] = $this->start();
        self::waitForLine($out);
        $address = 'http://127.0.0.1:' . self::PORT . '/api/sauces';
        $first = json_decode((string) file_get_contents($address), true)['sauces'];
        file_get_contents(
            $address . '/' . $first[0]['id'],
            false,
            stream_context_create([
                'http' => [
                    'method' => 'DELETE',
                    'header' => "Accept: application/json\r\nContent-Type: application/json",
                ],
            ]),
        );
        $this->stop($process);
        [$process, $out] = $this->start();
        self::waitForLine($out);
        $second = json_decode((string) file_get_contents($address), true)['sauces'];
        $this->stop($process);

        self::assertSame(array_column(array_slice($first, 1), 'id'), array_column($second, 'id'));
    }

    public function test_a_taken_port_and_a_wrong_option_are_said(): void
    {
        $taken = stream_socket_server('tcp://127.0.0.1:' . self::PORT);
        self::assertNotFalse($taken);
        self::assertMatchesRegularExpression(
            '/port \d+ is taken/',
            self::fails(['start', '--no-build', '--port', (string) self::PORT], 1, $this->database),
        );
        fclose($taken);
        self::assertStringContainsString('no option --frob', self::fails(['start', '--frob'], 2, $this->database));
        self::assertStringContainsString(
            '--port needs a number',
            self::fails(['start', '--port', 'abc'], 2, $this->database),
        );
        self::assertStringContainsString('no option --frob', self::fails(['test', '--frob'], 2, $this->database));
    }

    public function test_a_port_is_a_whole_number_that_is_written_out(): void
    {
        self::assertStringContainsString('--port needs a number', self::fails(['start', '--port'], 2, $this->database));
        foreach (['08', '0', '65536', '-1', '8 0', '1e3'] as $port) {
            self::assertStringContainsString(
                '--port needs a number',
                self::fails(['start', '--port', $port], 2, $this->database),
                $port,
            );
        }
    }

    public function test_two_starts_at_once_on_one_kitchen_serve_it_once(): void
    {
        $start = fn(int $port): array => $this->start($port);
        [$one, $other] = [$start(self::PORT), $start(self::PORT + 7)];
        $said = [self::waitForLine($one[1]), self::waitForLine($other[1])];
        sort($said);
        self::assertSame('', $said[0], 'one of them says nothing on its way out but why');
        self::assertStringContainsString('Vinculum is at', $said[1]);
        $running = array_values(
            array_filter([$one[0], $other[0]], static fn($process): bool => proc_get_status($process)['running']),
        );
        self::assertCount(1, $running);
        $port = (int) substr(trim(explode('(', $said[1])[0]), -4);
        self::assertStringContainsString(
            "served already, at http://127.0.0.1:{$port}",
            self::fails(['start', '--no-build', '--port', (string) (self::PORT + 9)], 1, $this->database),
        );
        self::assertCount(
            8,
            json_decode((string) file_get_contents("http://127.0.0.1:{$port}/api/sauces"), true)['sauces'],
        );
        $this->stop($running[0]);
    }

    public function test_a_worker_that_dies_and_a_server_that_dies_are_replaced_and_it_is_logged(): void
    {
        [$process, $out] = $this->start();
        self::waitForLine($out);
        $log = dirname(__DIR__, 2) . '/storage/logs/server.log';
        $answers = static fn(): bool => @file_get_contents('http://127.0.0.1:' . self::PORT . '/api/idle') !== false;
        foreach ([
            'newest' => 'workers died: starting it anew',
            'oldest' => 'the server ended: starting it anew',
        ] as $which => $says) {
            $before = substr_count((string) file_get_contents($log), $says);
            exec('pgrep -f ' . escapeshellarg('127.0.0.1:' . self::PORT . ' -t public'), $processes);
            $own = array_values(
                array_filter(
                    array_map(intval(...), $processes),
                    static fn(int $one): bool => str_contains(
                        (string) @file_get_contents("/proc/{$one}/cmdline"),
                        'bin/serve.php',
                    ),
                ),
            );
            posix_kill($which === 'newest' ? max($own) : min($own), SIGKILL);
            for ($wait = 0; $wait < 100 && substr_count((string) file_get_contents($log), $says) === $before; ++$wait) {
                usleep(100_000);
            }
            self::assertSame($before + 1, substr_count((string) file_get_contents($log), $says), $which);
            for ($wait = 0; $wait < 50 && !$answers(); ++$wait) {
                usleep(100_000);
            }
            self::assertTrue($answers(), 'it answers again');
            unset($processes);
        }
        $this->losesItsResidents($log);
        $this->stop($process);
        exec('pgrep -f ' . escapeshellarg('127.0.0.1:' . self::PORT . ' -t public bin/serve.php'), $left);
        self::assertSame(
            [],
            array_filter(
                $left,
                static fn(string $one): bool => str_contains(
                    (string) @file_get_contents("/proc/{$one}/cmdline"),
                    'bin/serve.php',
                ),
            ),
        );
    }

    /** It answers all the while by itself, and has them again soon. */
    private function losesItsResidents(string $log): void
    {
        $socket = dirname(__DIR__, 2) . '/storage/framework/residents-' . self::PORT . '.sock';
        $says = 'the residents ended: starting them anew';
        for ($wait = 0; $wait < 100 && !file_exists($socket); ++$wait) {
            usleep(100_000);
        }
        self::assertFileExists($socket);
        $before = substr_count((string) file_get_contents($log), $says);
        exec('pkill -KILL -f ' . escapeshellarg('bin/residents.php ' . $socket));
        for ($wait = 0; $wait < 100 && substr_count((string) file_get_contents($log), $says) === $before; ++$wait) {
            self::assertStringContainsString(
                'sauces',
                (string) file_get_contents('http://127.0.0.1:' . self::PORT . '/api/sauces'),
            );
            usleep(50_000);
        }
        self::assertSame($before + 1, substr_count((string) file_get_contents($log), $says));
    }

    public function test_what_a_killed_server_left_behind_is_ended_and_the_kitchen_is_served_again(): void
    {
        [$process, $out] = $this->start();
        self::waitForLine($out);
        posix_kill(proc_get_status($process)['pid'], SIGKILL);
        proc_close($process);
        $this->running = [];
        self::assertNotFalse(
            @file_get_contents('http://127.0.0.1:' . self::PORT . '/api/idle'),
            'its server is there still',
        );
        [$process, $out] = $this->start();
        self::assertStringContainsString('Vinculum is at', self::waitForLine($out));
        self::assertStringContainsString(
            'Damson',
            (string) file_get_contents('http://127.0.0.1:' . self::PORT . '/api/sauces'),
        );
        $this->stop($process);
        exec('pgrep -f ' . escapeshellarg('127.0.0.1:' . self::PORT . ' -t public'), $left);
        self::assertLessThan(2, count($left), 'nobody stays, but for who asks');
    }

    public function test_only_the_demo_has_a_make_believe_scale_unless_it_is_asked_for(): void
    {
        foreach ([[[], true], [['--empty'], false], [['--empty', '--stand-in'], true]] as [$options, $isThere]) {
            array_map(unlink(...), glob("{$this->database}*") ?: []);
            exec('rm -rf ' . escapeshellarg(substr($this->database, 0, -7) . '-copies'));
            [$process, $out] = $this->start(self::PORT, ...$options);
            self::waitForLine($out);
            usleep(500_000);
            $there = json_decode(
                (string) file_get_contents('http://127.0.0.1:' . self::PORT . '/api/instruments'),
                true,
            )['stand_in'];
            $this->stop($process);
            self::assertSame($isThere, $there, implode(' ', $options));
        }
    }

    public function test_odd_addresses_of_files_are_not_there(): void
    {
        [$process, $out] = $this->start();
        self::waitForLine($out);
        foreach ([
            '/build/%00.js',
            '/build/../composer.json',
            '/build/%2e%2e/index.php',
            '/build/assets/none.js',
            '/build/',
            '/build/%ff%fe',
            '/build/' . str_repeat('a', 4000),
        ] as $path) {
            $answer = @file_get_contents(
                'http://127.0.0.1:' . self::PORT . $path,
                false,
                stream_context_create(['http' => ['ignore_errors' => true, 'timeout' => 5]]),
            );
            self::assertMatchesRegularExpression('/ (200|400|403|404)/', $http_response_header[0] ?? '', $path);
            self::assertStringNotContainsString('laravel/framework', (string) $answer, $path);
            self::assertStringNotContainsString('<html', str_contains($path, '..') ? '' : (string) $answer, $path);
        }
        $this->stop($process);
    }

    /** @return array{resource, resource} */
    private function start(int $port = self::PORT, string ...$options): array
    {
        $process = proc_open(
            [
                dirname(__DIR__, 2) . '/vinculum',
                'start',
                '--no-build',
                '--port',
                (string) $port,
                ...array_values($options),
            ],
            [['file', '/dev/null', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
            null,
            self::environment($this->database),
        );
        self::assertIsResource($process);
        $this->running[] = $process;

        return [$process, $pipes[1]];
    }

    /** @param resource $process */
    private function stop($process): void
    {
        proc_terminate($process, SIGINT);
        for ($wait = 0; $wait < 100 && proc_get_status($process)['running']; ++$wait) {
            usleep(50_000);
        }
        self::assertFalse(proc_get_status($process)['running'], 'it stops within five seconds');
        proc_close($process);
        $this->running = array_values(array_filter($this->running, static fn($one): bool => $one !== $process));
    }

    /** @param resource $out */
    private static function waitForLine($out): string
    {
        stream_set_timeout($out, 60);

        return (string) fgets($out);
    }

    /** @param list<string> $arguments */
    private static function fails(array $arguments, int $status, string $database): string
    {
        $process = proc_open(
            [dirname(__DIR__, 2) . '/vinculum', ...$arguments],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['pipe', 'w']],
            $pipes,
            null,
            self::environment($database),
        );
        self::assertIsResource($process);
        $said = (string) stream_get_contents($pipes[2]);
        self::assertSame($status, proc_close($process), $said);

        return $said;
    }

    /** @return array<string, string> */
    private static function environment(string $database): array
    {
        return [
            'VINCULUM_DATABASE' => $database,
            'VINCULUM_WORKERS' => '2',
            'PATH' => (string) getenv('PATH'),
            'HOME' => (string) getenv('HOME'),
        ];
    }
}
