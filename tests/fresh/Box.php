<?php

declare(strict_types=1);

namespace Tests\fresh;

/** A machine that never saw the project, and a shell in it. */
final class Box
{
    /** @var resource */
    private $process;

    /** @var array<int, resource> */
    private array $pipes = [];

    private int $asked = 0;

    public function __construct()
    {
        // without what the configuration of the tests sets
        $environment = array_diff_key(getenv(), ['APP_ENV' => '', 'APP_DEBUG' => '', 'VINCULUM_DATABASE' => '']);
        $process = proc_open(
            ['bash', __DIR__ . '/box', 'open'],
            [['pipe', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']],
            $this->pipes,
            null,
            $environment,
        );
        $this->process = is_resource($process) ? $process : throw new \RuntimeException('The box cannot be made.');
    }

    /**
     * Runs one command to its end.
     *
     * @return array{int, string} exit status, and all it said
     */
    public function run(string $command): array
    {
        $end = 'end-of-command-' . ++$this->asked;
        fwrite($this->pipes[0], "( {$command}\n) </dev/null 2>&1; echo \"\n{$end} \$?\"\n");
        $said = '';
        while (($line = fgets($this->pipes[1])) !== false) {
            if (str_starts_with($line, "{$end} ")) {
                return [(int) substr($line, strlen($end) + 1), trim($said)];
            }
            $said .= $line;
        }
        throw new \RuntimeException("The box closed while it was asked: {$command}\n{$said}");
    }

    public function close(): void
    {
        fclose($this->pipes[0]);
        proc_terminate($this->process);
        proc_close($this->process);
    }
}
