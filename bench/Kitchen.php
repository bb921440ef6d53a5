<?php

declare(strict_types=1);

namespace Bench;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;

/**
 * A kitchen of its own for one bench: the real server on a database that goes away afterwards, and a browser where
 * wanted.
 */
final class Kitchen
{
    private const DRIVER_PORT = 8392;
    private const NOWHERE = [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']];
    private const PATIENCE_TENTHS = 300;

    /** Milliseconds until it answered the first time. */
    public readonly float $readyAfter;

    private ?RemoteWebDriver $browser = null;

    /** @var list<resource> */
    private array $processes = [];

    private readonly \CurlHandle $curl;

    private readonly string $database;

    public function __construct(string $name, public readonly int $port, string ...$options)
    {
        $this->curl = curl_init();
        $this->database = sys_get_temp_dir() . "/vinculum-bench-{$name}-" . getmypid() . '.sqlite';
        $start = hrtime(true);
        $said = sys_get_temp_dir() . "/vinculum-bench-{$name}-" . getmypid() . '.out';
        $this->launch(
            [self::root() . '/vinculum', 'start', '--no-build', '--port', (string) $port, ...array_values($options)],
            [
                'VINCULUM_DATABASE' => $this->database,
                'PATH' => (string) getenv('PATH'),
                'HOME' => (string) getenv('HOME'),
            ],
            $said,
        );
        // as a person does, who opens the address when it is told
        for (
            $wait = 0;
            $wait < 10 * self::PATIENCE_TENTHS && !str_contains((string) @file_get_contents($said), 'Vinculum is at');
            ++$wait
        ) {
            usleep(10_000);
        }
        @unlink($said);
        $this->readyAfter = (hrtime(true) - $start) / 1e6;
    }

    public static function root(): string
    {
        return dirname(__DIR__);
    }

    /** @return array{int, array<string, mixed>, float} status, answer, milliseconds */
    public function ask(string $method, string $path, mixed $body = null): array
    {
        return self::askAt($this->curl, $this->port, $method, $path, $body);
    }

    /** @return array{int, array<string, mixed>, float} status, answer, milliseconds */
    public static function askAt(\CurlHandle $curl, int $port, string $method, string $path, mixed $body = null): array
    {
        curl_setopt_array(
            $curl,
            [
                CURLOPT_URL => "http://127.0.0.1:{$port}{$path}",
                CURLOPT_CUSTOMREQUEST => $method,
                CURLOPT_RETURNTRANSFER => true,
                CURLOPT_TIMEOUT => 60,
                CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', 'Expect:'],
                CURLOPT_POSTFIELDS => $body === null ? null : json_encode($body),
            ],
        );
        $start = hrtime(true);
        $answer = curl_exec($curl);
        $took = (hrtime(true) - $start) / 1e6;

        return [(int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE), (array) json_decode((string) $answer, true), $took];
    }

    public function browser(int $width, int $height): RemoteWebDriver
    {
        $this->launch(['chromedriver', '--port=' . self::DRIVER_PORT, '--silent'], null);
        for ($wait = 0; $wait < self::PATIENCE_TENTHS && @file_get_contents(
            'http://127.0.0.1:' . self::DRIVER_PORT . '/status',
            false,
            stream_context_create(['http' => ['timeout' => 1]]),
        ) === false; ++$wait) {
            usleep(100_000);
        }
        $options = (new ChromeOptions())->addArguments([
            '--headless=new',
            '--no-sandbox',
            '--disable-gpu',
            "--window-size={$width},{$height}",
            "--user-data-dir={$this->database}-profile",
        ]);
        $this->browser = RemoteWebDriver::create(
            'http://127.0.0.1:' . self::DRIVER_PORT,
            DesiredCapabilities::chrome()->setCapability(ChromeOptions::CAPABILITY, $options),
        );
        $this->browser->manage()->timeouts()->setScriptTimeout(10);

        return $this->browser;
    }

    public function address(string $path): string
    {
        return "http://127.0.0.1:{$this->port}{$path}";
    }

    /** @return array{script: float, style: float, fonts: float} kilobytes the page in the browser loaded, compressed */
    public function loaded(): array
    {
        /** @var array{script: float, style: float, fonts: float} */
        return $this->browser?->executeScript(
            'const all = performance.getEntriesByType("resource"); const sum = (kind) => all.filter((one) => one.name.includes(kind)).reduce((total, one) => total + one.encodedBodySize, 0) / 1000; return {script: sum(".js"), style: sum(".css"), fonts: sum(".woff2")};',
        );
    }

    public function close(): void
    {
        $this->browser?->quit();
        foreach ($this->processes as $process) {
            proc_terminate($process, SIGTERM);
            proc_close($process);
        }
        array_map(unlink(...), array_filter(glob("{$this->database}*") ?: [], is_file(...)));
        exec(
            'rm -rf ' . escapeshellarg("{$this->database}-profile") . ' ' . escapeshellarg(
                substr($this->database, 0, -7) . '-copies',
            ),
        );
    }

    /**
     * @param list<float> $times
     *
     * @return float the time below which this share of them lies
     */
    public static function at(array $times, float $share): float
    {
        sort($times);

        return $times === [] ? NAN : $times[(int) floor($share * (count($times) - 1))];
    }

    /**
     * @param list<string> $command
     * @param array<string, string>|null $environment
     */
    private function launch(array $command, ?array $environment, string $says = '/dev/null'): void
    {
        $streams = [1 => ['file', $says, 'w']] + self::NOWHERE;
        $process = proc_open($command, $streams, $pipes, self::root(), $environment);
        assert(is_resource($process));
        $this->processes[] = $process;
    }
}
