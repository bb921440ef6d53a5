<?php

declare(strict_types=1);

namespace App\Server;

/**
 * Processes that stay between requests: PHP's own server starts the application anew for each, which takes longer than
 * most answers do. One process loads it, tries it once, and is forked; each fork takes requests from one socket, and is
 * replaced when it ends. They are a convenience: without them the server answers by itself (see ResidentSocket).
 */
final class ResidentPool
{
    /** After so many answers a fresh one takes over, whatever may have gathered in it. */
    private const MOST_ANSWERS = 2_000;
    private const LONGEST_ANSWER_SECONDS = 10;
    private const LOOKS_EVERY_SECONDS = 0.5;

    private bool $isAskedToStop = false;

    /** @var array<int, true> by process */
    private array $residents = [];

    public function __construct(
        private readonly string $file,
        private readonly int $count,
        private readonly ResidentKernel $kernel,
    ) {}

    /** @param list<array<string, mixed>> $examples requests that show the way before anybody waits */
    public function run(array $examples): void
    {
        foreach ($examples as $example) {
            $this->kernel->handle($example, static function (array $answer): void {});
        }
        gc_collect_cycles();
        set_time_limit(0);
        [$master, $supervisor] = [(int) getmypid(), posix_getppid()];
        pcntl_async_signals(true);
        foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
            pcntl_signal($signal, function (): void {
                $this->isAskedToStop = true;
            });
        }
        // moved into place when somebody listens, and only for the cook's own eyes
        $aside = "{$this->file}.{$master}";
        $before = umask(0o177);
        $socket = stream_socket_server("unix://{$aside}");
        umask($before);
        if ($socket === false || !rename($aside, $this->file)) {
            return;
        }
        // of two that see a request one is too late, and must not wait for the next
        stream_set_blocking($socket, false);
        while (!$this->isAskedToStop && posix_getppid() === $supervisor) {
            while (count($this->residents) < $this->count) {
                $process = pcntl_fork();
                if ($process < 0) {
                    break;
                }
                if ($process === 0) {
                    $this->reside($socket, $master);
                    exit(0);
                }
                $this->residents[$process] = true;
            }
            $ended = pcntl_waitpid(-1, $status, WNOHANG);
            unset($this->residents[$ended]);
            if ($ended <= 0 || $status !== 0) {
                // one that dies is not replaced faster than this
                usleep(100_000);
            }
        }
        @unlink($this->file);
        foreach (array_keys($this->residents) as $process) {
            posix_kill($process, SIGTERM);
        }
    }

    /** @param resource $socket */
    private function reside($socket, int $master): void
    {
        pcntl_signal(SIGTERM, SIG_DFL);
        for ($answers = 0; $answers < self::MOST_ANSWERS && posix_getppid() === $master;) {
            $stream = @stream_socket_accept($socket, self::LOOKS_EVERY_SECONDS);
            if ($stream === false) {
                continue;
            }
            set_time_limit(self::LONGEST_ANSWER_SECONDS);
            stream_set_timeout($stream, self::LONGEST_ANSWER_SECONDS);
            $message = ResidentSocket::receive($stream);
            if ($message !== null) {
                $this->kernel->handle($message, static function (array $answer) use ($stream): void {
                    ResidentSocket::send($stream, $answer);
                    stream_socket_shutdown($stream, STREAM_SHUT_RDWR);
                });
                ++$answers;
            }
            fclose($stream);
        }
    }
}
