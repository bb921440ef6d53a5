<?php

declare(strict_types=1);

namespace App\Server;

use App\Plain\Copies\BackupFault;
use App\Plain\Copies\Backups;
use Symfony\Component\Process\Process;

/**
 * Keeps the servers running for as long as the launcher does: starts them, starts anew what ended, says so in the log,
 * and makes the daily copy.
 */
final class Supervisor
{
    private const READY_SECONDS = 15.0;
    private const LOOKS_EVERY_MICROSECONDS = 200_000;
    /** Deaths within a minute after which something is wrong that no new start mends. */
    private const MOST_DEATHS = 6;
    private const COPIES_EVERY_SECONDS = 1200;
    /** What is asked to stop may end what it does. */
    private const STOP_SECONDS = 3.0;

    /** Without these nobody is answered. */
    private const SERVERS = ['fpm', 'caddy', 'php'];

    /** @var array<string, Process> by name */
    private array $processes = [];

    private bool $isAskedToStop = false;

    /** @var array<string, list<float>> by name */
    private array $deaths = [];

    private readonly ServerProbe $probe;

    /**
     * @param string|null $ownInstruments where the cook's instruments listen, or the file that says so
     * @param bool $hasStandIn a stand-in plays the instruments, where there are none of the cook's own
     * @param int $residentCount processes that stay between requests; none where it is 0
     */
    public function __construct(
        private readonly ServerPlan $plan,
        private readonly ?string $ownInstruments,
        private readonly bool $hasStandIn,
        private readonly int $workers,
        private readonly int $residentCount,
        private readonly ServerLog $log,
    ) {
        $this->probe = new ServerProbe($plan->port, $plan->token);
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
        $this->writeConfigurations();
        array_map($this->start(...), array_keys($this->commands()));
        $fault = $this->waitUntilReady();
        if ($fault !== null) {
            fwrite(STDERR, "vinculum: {$fault}\n");

            return 1;
        }
        if ($this->isAskedToStop) {
            return 0;
        }
        (new Announcement($this->plan))->say();
        $this->probe->warm();
        $copiedAt = microtime(true);
        while (!$this->isAskedToStop) {
            usleep(self::LOOKS_EVERY_MICROSECONDS);
            if (!$this->keepAlive()) {
                return 1;
            }
            if (microtime(true) - $copiedAt > self::COPIES_EVERY_SECONDS) {
                $this->copy();
                $copiedAt = microtime(true);
            }
        }

        return 0;
    }

    private function writeConfigurations(): void
    {
        foreach ([$this->plan->folder(), dirname($this->plan->log())] as $folder) {
            if (!is_dir($folder)) {
                mkdir($folder, 0o700, true);
            }
        }
        if ($this->plan->hasServers()) {
            // of an earlier start
            array_map(unlink(...), glob("{$this->plan->folder()}/*.conf") ?: []);
            $fpm = new FpmConfig($this->plan, $this->workers);
            file_put_contents($fpm->file(), $fpm->ini());
            file_put_contents($this->caddyFile(), (new CaddyConfig($this->plan))->json());
        }
    }

    private function caddyFile(): string
    {
        return "{$this->plan->folder()}/caddy.json";
    }

    /** @return array<string, list<string>> by name, in the order they are started in */
    private function commands(): array
    {
        $php = [PHP_BINARY, ...PhpSettings::arguments(PhpSettings::serving() + [
            'log_errors' => '1',
            'error_log' => $this->plan->log(),
        ])];
        $commands = [];
        if ($this->ownInstruments === null && $this->hasStandIn) {
            $commands['instruments'] = [PHP_BINARY, 'bin/instruments.php', $this->instrumentsFile()];
        }
        if ($this->plan->hasServers()) {
            $commands['fpm'] = (new FpmConfig($this->plan, $this->workers))->command(PhpSettings::serving());
            $commands['feed'] = [PHP_BINARY, 'bin/scale-feed.php', $this->plan->socket('live')];
            $commands['caddy'] = [$this->plan->program('caddy'), 'run', '--config', $this->caddyFile()];
        } else {
            $commands['php'] = [...$php, '-S', "127.0.0.1:{$this->plan->port}", '-t', 'public', 'bin/serve.php'];
        }
        if ($this->residentCount > 0) {
            $socket = $this->plan->socket('residents');
            $commands['residents'] = [...$php, 'bin/residents.php', $socket, (string) $this->residentCount];
        }

        return $commands;
    }

    private function start(string $name): void
    {
        $process = new Process($this->commands()[$name], $this->plan->root, [
            ...ProcessTable::settings($this->plan->root),
            ...PhpSettings::environment(),
            ...ServedCaches::environment($this->plan->root),
            'VINCULUM_LAN' => implode(' ', $this->plan->homeAddresses),
            'VINCULUM_INSTRUMENTS' => $this->instrumentsFile(),
            'VINCULUM_SERVER' => $this->plan->token,
            'VINCULUM_PORT' => (string) $this->plan->port,
            'VINCULUM_RESIDENTS_SOCKET' => $this->plan->socket('residents'),
            'VINCULUM_FEED' => $this->plan->hasServers() ? $this->plan->feedSecret : '',
            'PHP_CLI_SERVER_WORKERS' => (string) $this->workers,
            // nothing of Caddy's lies in a home folder
            'XDG_DATA_HOME' => $this->plan->folder(),
            'XDG_CONFIG_HOME' => $this->plan->folder(),
        ], null, null);
        $process->disableOutput();
        $process->start();
        $this->processes[$name] = $process;
    }

    /** Starts anew what ended; false where a server ends again and again. */
    private function keepAlive(): bool
    {
        foreach ($this->processes as $name => $process) {
            if ($process->isRunning()) {
                continue;
            }
            $ended = "the {$name} process ended";
            if (!$this->diesTooOften($name)) {
                $this->log->note("{$ended}: starting it anew");
                $this->clearAfter($name);
                $this->start($name);
                continue;
            }
            if (in_array($name, self::SERVERS, true)) {
                $this->log->note("{$ended}, again and again: giving up");
                fwrite(
                    STDERR,
                    "vinculum: {$ended}, too often within a minute, so it is not started again; storage/logs/server.log and caddy.log say more. What was saved is safe: ./vinculum start goes on.\n",
                );

                return false;
            }
            $this->log->note("{$ended}, again and again: going on without it");
            unset($this->processes[$name]);
        }

        return true;
    }

    /** The workers of a server that was killed hold the kitchen still. */
    private function clearAfter(string $name): void
    {
        if ($name === 'fpm') {
            ProcessTable::end(...ProcessTable::titled($this->plan->marker()));
        }
    }

    private function instrumentsFile(): string
    {
        return $this->ownInstruments ?? "{$this->plan->folder()}/instruments.json";
    }

    /** @return string|null why it is not ready; null where it is */
    private function waitUntilReady(): ?string
    {
        $end = microtime(true) + self::READY_SECONDS;
        while (microtime(true) < $end && !$this->isAskedToStop) {
            foreach (array_intersect_key($this->processes, array_flip(self::SERVERS)) as $name => $process) {
                if (!$process->isRunning()) {
                    return "the {$name} process stopped at once, perhaps because something else took port {$this->plan->port}; storage/logs/server.log and caddy.log say why";
                }
            }
            if ($this->probe->answers()) {
                return null;
            }
            usleep(30_000);
        }

        return $this->isAskedToStop ? null : 'the server does not answer; storage/logs/server.log and caddy.log say why';
    }

    /** Counts one more death; whether there were too many within a minute. */
    private function diesTooOften(string $name): bool
    {
        $now = microtime(true);
        $this->deaths[$name] = [
            ...array_filter($this->deaths[$name] ?? [], static fn(float $at): bool => $at > $now - 60.0),
            $now,
        ];

        return count($this->deaths[$name]) > self::MOST_DEATHS;
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
        // who lets people in first, who answers them last
        foreach (array_reverse($this->processes) as $process) {
            $process->isRunning() && $process->signal(SIGTERM);
        }
        $end = microtime(true) + self::STOP_SECONDS;
        $isRunning = static fn(Process $one): bool => $one->isRunning();
        while (microtime(true) < $end && array_filter($this->processes, $isRunning) !== []) {
            usleep(25_000);
        }
        foreach ($this->processes as $process) {
            $process->stop(0.0, SIGKILL);
        }
        // a server's workers outlive it when it is killed
        ProcessTable::end(
            ...ProcessTable::startedWith("VINCULUM_SERVER={$this->plan->token}"),
            ...ProcessTable::titled($this->plan->marker()),
        );
        if ($this->ownInstruments === null) {
            @unlink($this->instrumentsFile());
        }
        foreach (['kitchen', 'live', 'residents'] as $socket) {
            @unlink($this->plan->socket($socket));
        }
    }
}
