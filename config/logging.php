<?php

declare(strict_types=1);

return [
    'default' => 'daily',
    'deprecations' => ['channel' => 'null', 'trace' => false],
    'channels' => [
        'daily' => [
            'driver' => 'daily',
            'path' => storage_path('logs/vinculum.log'),
            'level' => 'warning',
            'days' => 7,
        ],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
