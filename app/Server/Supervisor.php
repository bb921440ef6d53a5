<?php

declare(strict_types=1);

namespace App\Server;

use App\Backups\BackupFault;
use App\Backups\Backups;

/**
 * Keeps PHP's own server running for as long as the launcher does: starts it, starts it anew when it or one of its
 * workers died, says so in the log, and makes the daily copy. Plain PHP.
 */
final class Supervisor
{
    private const READY_SECONDS = 15.0;
    private const LOOKS_EVERY_MICROSECONDS = 250_000;
    /** So long requests that are on their way may hold up a new start. */
    private const QUIET_SECONDS = 5.0;
    /** A worker that died is not worth refusing others for, as long as so many are left. */
    private const LEAST_WORKERS = 2;
    /** Deaths within a minute after which something is wrong that no new start mends. */
    private const MOST_DEATHS = 6;
    private const COPIES_EVERY_SECONDS = 1200;
    /** Bytes of the path of a socket that every system takes. */
    private const LONGEST_SOCKET = 100;

    /** Of the PHP that serves. */
    private const SETTINGS = [
        'opcache.enable=1',
        'opcache.enable_cli=1',
        // whole functions, as they are loaded: hot paths alone would leave the first request after a restart slow
        'opcache.jit=function',
        'opcache.jit_buffer_size=64M',
        'opcache.memory_consumption=64',
        'opcache.max_accelerated_files=8000',
        'opcache.revalidate_freq=2',
        // the facts are moved into place whole just before: no need to wait until they are two seconds old
        'opcache.file_update_protection=0',
        'memory_limit=128M',
        'max_execution_time=20',
        'post_max_size=6M',
        'display_errors=0',
        'expose_php=0',
    ];

    /** @var resource|null */
    private $server;

    /** @var resource|null */
    private $residents;

    /** @var resource|null */
    private $instruments;

    private bool $isAskedToStop = false;

    /** @var list<float> */
    private array $deaths = [];

    private readonly string $token;

    private readonly ServerProbe $probe;

    /**
     * @param list<string> $homeAddresses names under which the home network finds this machine; none where it is not
     *     served
     * @param string|null $ownInstruments where the cook's instruments listen, or the file that says so
     * @param bool $hasStandIn a stand-in plays the instruments, where there are none of the cook's own
     * @param int $residentCount processes that stay between requests; none where it is 0
     */
    public function __construct(
        private readonly string $root,
        private readonly int $port,
        private readonly array $homeAddresses,
        private readonly ?string $ownInstruments,
        private readonly bool $hasStandIn,
        private readonly int $workers,
        private readonly int $residentCount,
        private readonly ServerLog $log,
    ) {
        $this->token = bin2hex(random_bytes(8));
        $this->probe = new ServerProbe($port, $this->token);
    }

    /** Serves until it is asked to stop; exit status 0 then, 1 where it could not go on. */
    public function run(): int
    {
        pcntl_async_signals(true);
        foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
            pcntl_signal($signal, function (): void {
                $this->isAskedToStop = true;
            });
        }
        try {
            return $this->serve();
        } finally {
            $this->stop();
        }
    }

    private function serve(): int
    {
        $this->startInstruments();
        $this->startServer();
        $fault = $this->waitUntilReady();
        if ($fault !== null) {
            fwrite(STDERR, "vinculum: {$fault}\n");

            return 1;
        }
        if ($this->isAskedToStop) {
            return 0;
        }
        $this->whatDied();
        $this->announce();
        $copiedAt = microtime(true);
        while (!$this->isAskedToStop) {
            usleep(self::LOOKS_EVERY_MICROSECONDS);
            $died = $this->whatDied();
            if ($died !== null && !$this->canWait() && !$this->startAnew($died)) {
                return 1;
            }
            $this->keepResidents();
            if (microtime(true) - $copiedAt > self::COPIES_EVERY_SECONDS) {
                $this->copy();
                $copiedAt = microtime(true);
            }
        }

        return 0;
    }

    private function startServer(): void
    {
        $on = $this->homeAddresses === [] ? '127.0.0.1' : '0.0.0.0';
        $this->server = $this->launch(['-S', "{$on}:{$this->port}", '-t', 'public', 'bin/serve.php']);
        $this->startResidents();
    }

    private function startResidents(): void
    {
        if ($this->residentCount > 0 && strlen($this->residentsSocket()) <= self::LONGEST_SOCKET) {
            $this->residents = $this->launch([
                'bin/residents.php',
                $this->residentsSocket(),
                (string) $this->residentCount,
            ]);
        }
    }

    /** The server answers without them, if more slowly: nobody is kept waiting while they start anew. */
    private function keepResidents(): void
    {
        if (is_resource($this->residents) && !proc_get_status($this->residents)['running']) {
            proc_close($this->residents);
            $this->residents = null;
            if ($this->diesTooOften()) {
                $this->log->note('the residents ended, again and again: going on without them');
            } else {
                $this->log->note('the residents ended: starting them anew');
                $this->startResidents();
            }
        }
    }

    /**
     * @param list<string> $arguments of PHP
     *
     * @return resource|null
     */
    private function launch(array $arguments)
    {
        $command = [
            PHP_BINARY,
            ...array_merge([], ...array_map(static fn(string $one): array => ['-d', $one], self::SETTINGS)),
            ...$arguments,
        ];
        $environment = [
            ...getenv(),
            ...ProcessTable::settings($this->root),
            'VINCULUM_LAN' => implode(' ', $this->homeAddresses),
            'VINCULUM_INSTRUMENTS' => $this->instrumentsFile(),
            'VINCULUM_SERVER' => $this->token,
            'VINCULUM_RESIDENTS_SOCKET' => $this->residentsSocket(),
            'PHP_CLI_SERVER_WORKERS' => (string) $this->workers,
        ];

        return proc_open($command, $this->log->streams(), $pipes, $this->root, $environment) ?: null;
    }

    private function residentsSocket(): string
    {
        return "{$this->root}/storage/framework/residents-{$this->port}.sock";
    }

    private function startInstruments(): void
    {
        $this->forgetStandIn();
        if ($this->ownInstruments === null && $this->hasStandIn) {
            $this->instruments = proc_open(
                [PHP_BINARY, 'bin/instruments.php', $this->instrumentsFile()],
                $this->log->streams(),
                $pipes,
                $this->root,
                [...getenv(), ...ProcessTable::settings($this->root)],
            ) ?: null;
        }
    }

    private function instrumentsFile(): string
    {
        return $this->ownInstruments ?? "{$this->root}/storage/framework/instruments-{$this->port}.json";
    }

    /** @return string|null why it is not ready; null where it is */
    private function waitUntilReady(): ?string
    {
        $end = microtime(true) + self::READY_SECONDS;
        while (microtime(true) < $end && !$this->isAskedToStop) {
            if ($this->process() === null) {
                return "the server stopped at once, perhaps because something else took port {$this->port}; storage/logs/server.log says why";
            }
            if ($this->probe->answers()) {
                $this->probe->warm();

                return null;
            }
            usleep(30_000);
        }

        return $this->isAskedToStop ? null : 'the server does not answer; storage/logs/server.log says why';
    }

    private function announce(): void
    {
        echo "Vinculum is at http://127.0.0.1:{$this->port} (Ctrl+C stops it)\n";
        if ($this->homeAddresses !== []) {
            echo "The home network finds it here, with the passphrase:\n";
            foreach ($this->homeAddresses as $host) {
                echo "  http://{$host}:{$this->port}\n";
            }
            echo "What goes over the network is not encrypted: serve it in a network you trust.\n";
        }
        flush();
    }

    /** @return string|null what is there no longer; null where all is well */
    private function whatDied(): ?string
    {
        $server = $this->process();
        if ($server === null) {
            return 'the server ended';
        }
        $dead = $this->workers > 1 ? $this->workers - count(ProcessTable::childrenOf($server)) : 0;

        return $dead > 0 ? sprintf('%d of %d workers died', $dead, $this->workers) : null;
    }

    /** Whether enough workers are left to answer those who are being answered, before a new start. */
    private function canWait(): bool
    {
        $server = $this->process();

        return $server !== null
            && count(ProcessTable::childrenOf($server)) >= self::LEAST_WORKERS
            && $this->probe->isBusy();
    }

    private function startAnew(string $died): bool
    {
        if ($this->diesTooOften()) {
            $this->log->note("{$died}, again and again: giving up");
            fwrite(
                STDERR,
                sprintf(
                    "vinculum: %s, %d times within a minute, so it is not started again; storage/logs/server.log says more. What was saved is safe: ./vinculum start goes on.\n",
                    $died,
                    count($this->deaths),
                ),
            );

            return false;
        }
        $this->log->note("{$died}: starting it anew");
        // what is on its way may end first
        $end = microtime(true) + self::QUIET_SECONDS;
        while (microtime(true) < $end && $this->process() !== null && $this->probe->isBusy()) {
            usleep(50_000);
        }
        $this->stopServer();
        $this->startServer();
        $fault = $this->waitUntilReady();
        $this->whatDied();
        $this->log->note($fault ?? 'it answers again');

        return true;
    }

    /** Counts one more death; whether there were too many within a minute. */
    private function diesTooOften(): bool
    {
        $now = microtime(true);
        $this->deaths = [...array_filter($this->deaths, static fn(float $at): bool => $at > $now - 60.0), $now];

        return count($this->deaths) > self::MOST_DEATHS;
    }

    private function copy(): void
    {
        try {
            Backups::ofThisKitchen()->daily(new \DateTimeImmutable());
        } catch (BackupFault $fault) {
            $this->log->note("the daily copy was not made: {$fault->getMessage()}");
        }
        $this->log->rotate();
    }

    private function stop(): void
    {
        $this->stopServer();
        if (is_resource($this->instruments)) {
            proc_terminate($this->instruments, SIGTERM);
            proc_close($this->instruments);
        }
        $this->forgetStandIn();
    }

    private function forgetStandIn(): void
    {
        if ($this->ownInstruments === null) {
            @unlink($this->instrumentsFile());
        }
    }

    private function stopServer(): void
    {
        $handle = $this->server;
        if (!is_resource($handle)) {
            return;
        }
        $server = proc_get_status($handle)['pid'];
        foreach ([$server, ...$this->started()] as $process) {
            @posix_kill($process, SIGTERM);
        }
        // a worker in the middle of something is given a moment
        $alive = fn(): array => array_filter([$server, ...$this->started()], ProcessTable::lives(...));
        for ($wait = 0; $wait < 40 && $alive() !== []; ++$wait) {
            proc_get_status($handle);
            usleep(25_000);
        }
        foreach ($alive() as $process) {
            @posix_kill($process, SIGKILL);
        }
        proc_close($handle);
        if (is_resource($this->residents)) {
            proc_close($this->residents);
        }
        @unlink($this->residentsSocket());
        [$this->server, $this->residents] = [null, null];
    }

    /**
     * Everything that carries our token: a server's workers outlive it when it is killed, and may do so before they
     * were ever counted.
     *
     * @return list<int>
     */
    private function started(): array
    {
        return ProcessTable::startedWith("VINCULUM_SERVER={$this->token}");
    }

    private function process(): ?int
    {
        $status = is_resource($this->server) ? proc_get_status($this->server) : null;

        return ($status['running'] ?? false) ? $status['pid'] : null;
    }
}
