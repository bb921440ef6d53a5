<?php

declare(strict_types=1);

namespace Tests\browser;

use PHPUnit\Framework\TestCase;

/** ./vinculum start and stop, as a person at a terminal sees it. */
final class LauncherTest extends TestCase
{
    private const PORT = 8379;

    private string $database;

    protected function setUp(): void
    {
        $this->database = sys_get_temp_dir() . '/vinculum-launcher-' . getmypid() . '.sqlite';
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob($this->database . '*') ?: []);
    }

    public function test_start_serves_prints_one_line_and_ctrl_c_stops_all_it_started(): void
    {
        [$process, $out] = $this->start();
        self::assertStringContainsString('Vinculum is at http://127.0.0.1:' . self::PORT, self::waitForLine($out));
        self::assertStringContainsString('Damson', (string) file_get_contents('http://127.0.0.1:' . self::PORT . '/api/sauces'));
        $this->stop($process);
        self::assertFalse(@file_get_contents('http://127.0.0.1:' . self::PORT . '/api/idle'), 'nothing answers any more');
    }

    public function test_a_second_start_leaves_what_is_there_alone(): void
    {
        [$process, $out] = $this->start();
        self::waitForLine($out);
        $address = 'http://127.0.0.1:' . self::PORT . '/api/sauces';
        $first = json_decode((string) file_get_contents($address), true)['sauces'];
        file_get_contents($address . '/' . $first[0]['id'], false, stream_context_create(['http' => ['method' => 'DELETE', 'header' => "Accept: application/json\r\nContent-Type: application/json"]]));
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
        self::assertMatchesRegularExpression('/port \d+ is taken/', self::fails(['start', '--no-build', '--port', (string) self::PORT], 1, $this->database));
        fclose($taken);
        self::assertStringContainsString('no option --frob', self::fails(['start', '--frob'], 2, $this->database));
        self::assertStringContainsString('--port needs a number', self::fails(['start', '--port', 'abc'], 2, $this->database));
        self::assertStringContainsString('no option --frob', self::fails(['test', '--frob'], 2, $this->database));
    }

    /** @return array{resource, resource} */
    private function start(): array
    {
        $process = proc_open([dirname(__DIR__, 2) . '/vinculum', 'start', '--no-build', '--port', (string) self::PORT], [['file', '/dev/null', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']], $pipes, null, self::environment($this->database));
        self::assertIsResource($process);

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
        $process = proc_open([dirname(__DIR__, 2) . '/vinculum', ...$arguments], [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['pipe', 'w']], $pipes, null, self::environment($database));
        self::assertIsResource($process);
        $said = (string) stream_get_contents($pipes[2]);
        self::assertSame($status, proc_close($process), $said);

        return $said;
    }

    /** @return array<string, string> */
    private static function environment(string $database): array
    {
        return ['VINCULUM_DATABASE' => $database, 'VINCULUM_WORKERS' => '2', 'PATH' => (string) getenv('PATH'), 'HOME' => (string) getenv('HOME')];
    }
}
