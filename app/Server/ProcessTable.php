<?php

declare(strict_types=1);

namespace App\Server;

/** What the system knows of its processes. Plain PHP. */
final class ProcessTable
{
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
