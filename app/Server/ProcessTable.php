<?php

declare(strict_types=1);

namespace App\Server;

/** What the system knows of its processes. Plain PHP. */
final class ProcessTable
{
    private const SERVED_FROM = 'VINCULUM_SERVED_FROM';
    private const KEPT_BY = 'VINCULUM_KEPT_BY';
    private const MARKER = 'vinculum-kitchen-';

    /**
     * Those that were started with a setting, and what they started in turn.
     *
     * @param string $setting "NAME=value"
     *
     * @return list<int>
     */
    public static function startedWith(string $setting): array
    {
        $started = [];
        foreach (glob('/proc/[0-9]*/environ') ?: [] as $file) {
            if (str_contains((string) @file_get_contents($file), $setting)) {
                $started[] = (int) basename(dirname($file));
            }
        }

        return $started;
    }

    /** A name for the processes of a keeper that overwrite what they were started with. */
    public static function marker(string $root, int $keeper): string
    {
        return self::MARKER . hash('crc32b', $root) . "-{$keeper}";
    }

    /**
     * Those that carry a marker in their titles.
     *
     * @return list<int>
     */
    public static function titled(string $marker): array
    {
        $titled = [];
        foreach (glob('/proc/[0-9]*/cmdline') ?: [] as $file) {
            if (preg_match('/' . preg_quote($marker, '/') . '(?!\d)/', (string) @file_get_contents($file)) === 1) {
                $titled[] = (int) basename(dirname($file));
            }
        }

        return $titled;
    }

    /**
     * What a keeper that was killed has left behind: what it started from this folder, and what that started in turn.
     *
     * @return list<int>
     */
    public static function orphansOf(string $root): array
    {
        $marker = preg_quote(self::MARKER . hash('crc32b', $root), '/');
        $orphans = [];
        foreach (glob('/proc/[0-9]*/environ') ?: [] as $file) {
            $process = dirname($file);
            $settings = "\0" . @file_get_contents($file);
            $title = (string) @file_get_contents("{$process}/cmdline");
            $pattern = str_contains($settings, "\0" . self::SERVED_FROM . "={$root}\0")
                ? '/\0' . self::KEPT_BY . '=(\d+)\0/'
                : "/{$marker}-(\d+)/";
            $keeper = preg_match($pattern, "{$settings}{$title}", $found) === 1 ? (int) $found[1] : null;
            if ($keeper !== null && !self::isKeeper($keeper)) {
                $orphans[] = (int) basename($process);
            }
        }

        return $orphans;
    }

    /**
     * What is set for all that a keeper starts.
     *
     * @return array<string, string>
     */
    public static function settings(string $root): array
    {
        return [self::SERVED_FROM => $root, self::KEPT_BY => (string) getmypid()];
    }

    /**
     * Ends processes: asked first, made to after two seconds.
     *
     * @return list<int> those that would not
     */
    public static function end(int ...$processes): array
    {
        foreach ([SIGTERM, SIGKILL] as $signal) {
            array_map(static fn(int $one): bool => @posix_kill($one, $signal), $processes);
            for ($wait = 0; $wait < 80 && array_filter($processes, self::lives(...)) !== []; ++$wait) {
                usleep(25_000);
            }
        }

        return array_values(array_filter($processes, self::lives(...)));
    }

    private static function isKeeper(int $process): bool
    {
        return self::lives($process)
            && str_contains((string) @file_get_contents("/proc/{$process}/cmdline"), 'bin/server.php');
    }

    /** Whether it runs; one that ended and waits for its parent does not. */
    public static function lives(int $process): bool
    {
        $state = @file_get_contents("/proc/{$process}/stat");

        return $state !== false && !str_contains(substr($state, (int) strrpos($state, ')')), ' Z ');
    }
}
