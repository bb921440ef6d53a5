<?php

declare(strict_types=1);

namespace Tests\http;

/** The stand-in instruments, running for one test. */
final class StandIn
{
    /** @var resource|null */
    private $process;

    private readonly string $file;

    public function __construct()
    {
        $this->file = sys_get_temp_dir() . '/vinculum-instruments-' . getmypid() . '-' . uniqid() . '.json';
        $process = proc_open([PHP_BINARY, dirname(__DIR__, 2) . '/bin/instruments.php', $this->file], [], $pipes);
        $this->process = is_resource($process) ? $process : null;
        for ($wait = 0; $wait < 100 && !is_file($this->file); ++$wait) {
            usleep(20_000);
        }
        putenv("VINCULUM_INSTRUMENTS={$this->file}");
    }

    /** As if somebody pulled the plug. */
    public function kill(): void
    {
        if (is_resource($this->process)) {
            proc_terminate($this->process, SIGKILL);
            proc_close($this->process);
        }
        $this->process = null;
    }

    public function stop(): void
    {
        putenv('VINCULUM_INSTRUMENTS');
        $this->kill();
        @unlink($this->file);
    }
}
