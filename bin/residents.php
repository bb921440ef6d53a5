<?php

declare(strict_types=1);

// Answers what only reads without starting the application anew: php bin/residents.php SOCKET COUNT
// Started by bin/server.php, which goes on without it.

use App\Server\ResidentKernel;
use App\Server\ResidentPool;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Application;

require dirname(__DIR__) . '/vendor/autoload.php';

/** @var Application $app */
$app = require dirname(__DIR__) . '/bootstrap/app.php';
$here = ['REMOTE_ADDR' => '127.0.0.1', 'HTTP_HOST' => '127.0.0.1', 'HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/json'];
$sauce = json_encode(['style' => 'ketchup', 'lines' => ['200 g passata', '1 tbsp vinegar', '1 onion']]);
(new ResidentPool($argv[1] ?? '', max(1, (int) ($argv[2] ?? 2)), new ResidentKernel($app, $app->make(Kernel::class))))->run([
    ['server' => [...$here, 'REQUEST_METHOD' => 'GET', 'REQUEST_URI' => '/api/sauces'], 'query' => [], 'body' => ''],
    ...array_map(static fn(string $question): array => [
        'server' => [...$here, 'REQUEST_METHOD' => 'POST', 'REQUEST_URI' => "/api/{$question}"],
        'query' => [],
        'body' => $sauce,
    ], ['balance', 'advise']),
]);
