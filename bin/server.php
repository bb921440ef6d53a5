<?php

declare(strict_types=1);

// Serves the kitchen until it is stopped: php bin/server.php PORT [address of the home network …]
// ./vinculum start makes everything ready and then hands over to this.

use App\Server\ServerLog;
use App\Server\ServerPlan;
use App\Server\Supervisor;

require dirname(__DIR__) . '/vendor/autoload.php';

$root = dirname(__DIR__);
$named = static fn(string $name): ?string => in_array(getenv($name), [false, ''], true) ? null : (string) getenv($name);
$plan = new ServerPlan(
    $root,
    (int) ($argv[1] ?? 0),
    array_slice($argv, 2),
    $named('VINCULUM_DOOR') ?? "{$root}/storage/door",
    bin2hex(random_bytes(8)),
    bin2hex(random_bytes(32)),
);
$log = new ServerLog($plan->log());
$log->rotate();
exit((new Supervisor(
    $plan,
    $named('VINCULUM_INSTRUMENTS'),
    getenv('VINCULUM_STAND_IN') === 'yes',
    max(1, (int) ($named('VINCULUM_WORKERS') ?? 8)),
    max(0, (int) ($named('VINCULUM_RESIDENTS') ?? 2)),
    $log,
))->run());
