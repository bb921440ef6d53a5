<?php

declare(strict_types=1);

// Serves the kitchen until it is stopped: php bin/server.php PORT [address of the home network …]
// ./vinculum start makes everything ready and then hands over to this.

use App\Server\ServerLog;
use App\Server\Supervisor;

spl_autoload_register(static function (string $class): void {
    if (str_starts_with($class, 'App\\Server\\') || str_starts_with($class, 'App\\Backups\\')) {
        require dirname(__DIR__) . '/app/' . str_replace('\\', '/', substr($class, strlen('App\\'))) . '.php';
    }
});

$root = dirname(__DIR__);
$log = new ServerLog("{$root}/storage/logs/server.log");
$log->rotate();
$instruments = getenv('VINCULUM_INSTRUMENTS');
$workers = max(1, (int) (getenv('VINCULUM_WORKERS') ?: 8));
$residents = getenv('VINCULUM_RESIDENTS');
exit((new Supervisor(
    $root,
    (int) ($argv[1] ?? 0),
    array_slice($argv, 2),
    is_string($instruments) && $instruments !== '' ? $instruments : null,
    getenv('VINCULUM_STAND_IN') === 'yes',
    $workers,
    max(0, (int) ($residents === false ? 2 : $residents)),
    $log,
))->run());
