<?php

declare(strict_types=1);

// which kitchen is served is said to each server: App\Providers\AppServiceProvider
return [
    'default' => 'sqlite',
    // where the disk is full nothing is written
    'reads_only' => false,
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => storage_path('kitchen.sqlite'),
            'prefix' => '',
            'foreign_key_constraints' => true,
            'busy_timeout' => 5000,
            'journal_mode' => 'WAL',
            // an acknowledged edit is on the disk
            'synchronous' => 'FULL',
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
