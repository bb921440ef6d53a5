<?php

declare(strict_types=1);

namespace Tests\browser;

use App\Plain\Door\Passphrase;
use App\Server\CaddyConfig;
use App\Server\ServerPlan;
use PHPUnit\Framework\TestCase;

/** ./vinculum start and stop, as a person at a terminal sees it. */
final class LauncherTest extends TestCase
{
    private const PORT = 8395;

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
        exec('rm -rf ' . escapeshellarg("{$this->database}-door"));
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
        self::assertSame([], self::served(), 'nobody stays');
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

    /** @return iterable<string, array{string, string|null}> what is killed, and what the log says of it */
    public static function processes(): iterable
    {
        yield 'one of FPM\'s workers, which FPM itself replaces' => ['php-fpm: pool ', null];
        yield 'FPM, with its workers' => ['php-fpm: (?:master|pool) ', 'the fpm process ended'];
        yield 'FPM alone, so that its workers are left' => ['php-fpm: master ', 'the fpm process ended'];
        yield 'Caddy' => ['servers/caddy run ', 'the caddy process ended'];
        yield 'the residents' => ['bin/residents.php ', 'the residents process ended'];
        yield 'who tells the weights' => ['bin/scale-feed.php ', 'the feed process ended'];
    }

    public function test_whatever_is_killed_is_replaced_and_what_was_acknowledged_is_there(): void
    {
        [$process, $out] = $this->start();
        self::waitForLine($out);
        $log = dirname(__DIR__, 2) . '/storage/logs/server.log';
        foreach (self::processes() as $what => [$pattern, $says]) {
            $before = $says === null ? 0 : substr_count((string) file_get_contents($log), $says);
            $killed = self::served($pattern);
            self::assertNotSame([], $killed, $what);
            array_map(
                static fn(int $one): bool => posix_kill($one, SIGKILL),
                $says === null ? array_slice($killed, 0, 1) : $killed,
            );
            for ($end = microtime(true) + 15.0, $answers = false; !$answers && microtime(true) < $end; usleep(50_000)) {
                $answer = (string) @file_get_contents(
                    'http://127.0.0.1:' . self::PORT . '/api/sauces',
                    false,
                    stream_context_create(['http' => ['ignore_errors' => true, 'timeout' => 5]]),
                );
                $status = $answer === '' ? '' : ($http_response_header[0] ?? '');
                self::assertMatchesRegularExpression('/^$| (?:200|503) /', $status === '' ? '' : "{$status} ", "{$what}: no fault but a 503 that says what is the matter");
                $isReplaced = $says === null || substr_count((string) file_get_contents($log), $says) > $before;
                $answers = $isReplaced && str_contains($answer, 'Damson');
            }
            self::assertTrue($answers, $what);
            self::assertSame([], array_intersect(self::served($pattern), $says === null ? [] : $killed), "{$what}: nothing of before is left");
        }
        $this->stop($process);
        self::assertSame([], self::served());
    }

    /** A page that listens stays for hours, and two workers answer everybody else. */
    public function test_a_stream_that_is_open_holds_no_worker(): void
    {
        [$process, $out] = $this->start();
        self::waitForLine($out);
        $streams = [];
        for ($page = 0; $page < 6; ++$page) {
            $stream = @fopen('http://127.0.0.1:' . self::PORT . '/api/instruments/scale/live', 'r', false, stream_context_create(['http' => ['timeout' => 10]]));
            self::assertIsResource($stream);
            stream_set_timeout($stream, 5);
            self::assertStringStartsWith('retry', (string) fgets($stream));
            $streams[] = $stream;
        }
        foreach (range(1, 4) as $round) {
            $started = microtime(true);
            $answer = @file_get_contents(
                'http://127.0.0.1:' . self::PORT . '/api/plans/1',
                false,
                stream_context_create(['http' => ['timeout' => 8, 'ignore_errors' => true]]),
            );
            self::assertNotFalse($answer, "round {$round}");
            self::assertLessThan(6.0, microtime(true) - $started);
        }
        array_map(fclose(...), $streams);
        $this->stop($process);
    }

    /** FPM with every worker held by something slow: who comes waits, and is answered. */
    public function test_with_all_workers_busy_the_next_waits_its_turn(): void
    {
        [$process, $out] = $this->start();
        self::waitForLine($out);
        $workers = self::served('php-fpm: pool ');
        array_map(static fn(int $one): bool => posix_kill($one, SIGSTOP), $workers);
        $asked = stream_socket_client('tcp://127.0.0.1:' . self::PORT);
        self::assertNotFalse($asked);
        fwrite($asked, "GET /api/plans/draft HTTP/1.1\r\nHost: 127.0.0.1:" . self::PORT . "\r\nConnection: close\r\n\r\n");
        stream_set_blocking($asked, false);
        usleep(400_000);
        self::assertSame('', (string) fread($asked, 100), 'nobody is sent away');
        array_map(static fn(int $one): bool => posix_kill($one, SIGCONT), $workers);
        stream_set_blocking($asked, true);
        stream_set_timeout($asked, 20);
        self::assertStringStartsWith('HTTP/1.1 40', (string) fgets($asked));
        $this->stop($process);
    }

    public function test_without_servers_phps_own_serves_this_machine_alone_and_says_so(): void
    {
        $none = sys_get_temp_dir() . '/vinculum-no-servers-' . getmypid();
        mkdir($none);
        touch("{$none}/.refused");
        putenv("VINCULUM_SERVERS={$none}");
        try {
            [$process, $out] = $this->start();
            self::waitForLine($out);
            self::assertStringContainsString("PHP's own server, to this machine alone", self::waitForLine($out));
            self::assertStringContainsString(
                'Damson',
                (string) file_get_contents('http://127.0.0.1:' . self::PORT . '/api/sauces'),
            );
            $weights = fopen('http://127.0.0.1:' . self::PORT . '/api/instruments/scale/live', 'r');
            self::assertIsResource($weights);
            $heard = '';
            for ($lines = 0; $lines < 6; ++$lines) {
                $heard .= fgets($weights);
            }
            fclose($weights);
            self::assertStringContainsString('"value":', $heard, 'and the scale is heard all the same');
            $this->stop($process);
            self::assertSame([], self::served());
            $door = $this->door();
            self::assertStringContainsString(
                '--lan needs Caddy',
                self::fails(['start', '--no-build', '--lan', '--port', (string) self::PORT], 1, $this->database, $door),
            );
        } finally {
            putenv('VINCULUM_SERVERS');
            exec('rm -rf ' . escapeshellarg($none));
        }
    }

    public function test_the_home_network_needs_two_ports_more_and_says_which_is_taken(): void
    {
        $door = $this->door();
        foreach ([1, 2] as $after) {
            $taken = stream_socket_server('tcp://127.0.0.1:' . (self::PORT + $after));
            self::assertNotFalse($taken);
            self::assertStringContainsString(
                sprintf('port %d, which --lan needs too, is taken', self::PORT + $after),
                self::fails(['start', '--no-build', '--lan', '--port', (string) self::PORT], 1, $this->database, $door),
            );
            fclose($taken);
        }
        self::assertStringContainsString(
            'choose one below 65534',
            self::fails(['start', '--no-build', '--lan', '--port', '65535'], 2, $this->database, $door),
        );
    }

    /** @return string the folder of a passphrase */
    private function door(): string
    {
        $door = "{$this->database}-door";
        (new Passphrase("{$door}/passphrase"))->set('four plums in a pot');

        return $door;
    }

    public function test_the_configuration_is_one_that_caddy_itself_finds_right(): void
    {
        $plan = new ServerPlan(
            dirname(__DIR__, 2),
            self::PORT,
            ['192.168.7.20', '[fd00::7]', 'galley.local'],
            sys_get_temp_dir() . '/vinculum-caddy-' . getmypid(),
            'token',
        );
        $file = sys_get_temp_dir() . '/vinculum-caddy-' . getmypid() . '.json';
        file_put_contents($file, (new CaddyConfig($plan))->json());
        exec(escapeshellarg($plan->program('caddy')) . ' validate --config ' . escapeshellarg($file) . ' 2>&1', $said, $status);
        unlink($file);
        exec('rm -rf ' . escapeshellarg(sys_get_temp_dir() . '/vinculum-caddy-' . getmypid()));
        self::assertSame(0, $status, implode("\n", $said));
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
        self::assertSame([], self::served(), 'nobody stays');
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
            self::assertStringNotContainsString('<html', str_contains(rawurldecode($path), '..') ? '' : (string) $answer, $path);
        }
        $this->stop($process);
    }

    /**
     * @param string $pattern of the command line
     *
     * @return list<int> the processes that serve from this folder on this port
     */
    private static function served(string $pattern = ''): array
    {
        $folder = preg_quote(dirname(__DIR__, 2) . '/storage/servers/run-' . self::PORT . '/', '~');
        $keepers = [];
        foreach (glob('/proc/[0-9]*/cmdline') ?: [] as $file) {
            $title = str_replace("\0", ' ', (string) @file_get_contents($file));
            if (preg_match("~{$folder}[\\w-]+-(\\d+)\\.conf~", $title, $found) === 1) {
                $keepers[] = $found[1];
            }
        }
        $markers = implode('|', ['no such', ...array_map(static fn(string $one): string => "vinculum-kitchen-\\w+-{$one}\\b", $keepers)]);
        $served = [];
        foreach (glob('/proc/[0-9]*/cmdline') ?: [] as $file) {
            $title = str_replace("\0", ' ', (string) @file_get_contents($file));
            if (preg_match("~{$folder}|{$markers}~", $title) === 1 && preg_match("~{$pattern}~", $title) === 1) {
                $served[] = (int) basename(dirname($file));
            }
        }

        return $served;
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
    private static function fails(array $arguments, int $status, string $database, string $door = ''): string
    {
        $process = proc_open(
            [dirname(__DIR__, 2) . '/vinculum', ...$arguments],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['pipe', 'w']],
            $pipes,
            null,
            self::environment($database) + ['VINCULUM_DOOR' => $door],
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
            'VINCULUM_SERVERS' => (string) getenv('VINCULUM_SERVERS'),
        ];
    }
}
