<?php

declare(strict_types=1);

namespace App\Server;

/** What the system knows of its processes. Plain PHP. */
final class ProcessTable
{
    private const SERVED_FROM = 'VINCULUM_SERVED_FROM';
    private const KEPT_BY = 'VINCULUM_KEPT_BY';

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

    /**
     * What a keeper that was killed has left behind: what it started from this folder, and what that started in turn.
     *
     * @return list<int>
     */
    public static function orphansOf(string $root): array
    {
        $orphans = [];
        foreach (glob('/proc/[0-9]*/environ') ?: [] as $file) {
            $settings = "\0" . @file_get_contents($file);
            if (
                str_contains($settings, "\0" . self::SERVED_FROM . "={$root}\0")
                && preg_match('/\0' . self::KEPT_BY . '=(\d+)\0/', $settings, $found) === 1
                && !self::isKeeper((int) $found[1])
            ) {
                $orphans[] = (int) basename(dirname($file));
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

    /** @return list<int> living processes started by this one */
    public static function childrenOf(int $process): array
    {
        $children = [];
        foreach (glob('/proc/[0-9]*/stat') ?: [] as $file) {
            $stat = (string) @file_get_contents($file);
            $fields = explode(' ', substr($stat, (int) strrpos($stat, ')') + 2));
            if (($fields[1] ?? '') === (string) $process && $fields[0] !== 'Z') {
                $children[] = (int) basename(dirname($file));
            }
        }

        return $children;
    }
}
