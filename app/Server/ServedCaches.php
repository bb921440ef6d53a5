<?php

declare(strict_types=1);

namespace App\Server;

/**
 * Where what Laravel and the router know beforehand is kept for the servers alone: tests and commands read the files
 * themselves. ./vinculum start makes them (artisan optimize) when those changed. Plain PHP.
 */
final class ServedCaches
{
    private const FOLDER = '/storage/framework/served';

    /** @return array<string, string> none where they are not made */
    public static function environment(string $root): array
    {
        $folder = $root . self::FOLDER;

        return is_file("{$folder}/config.php") ? [
            'APP_CONFIG_CACHE' => "{$folder}/config.php",
            'APP_ROUTES_CACHE' => "{$folder}/routes.php",
            'APP_EVENTS_CACHE' => "{$folder}/events.php",
        ] : [];
    }

    /** The paths of requests that only read, as the routes say (see ReadingRoutes). */
    public static function readingRoutes(string $root): string
    {
        return $root . self::FOLDER . '/reads.php';
    }
}
