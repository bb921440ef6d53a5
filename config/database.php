<?php

declare(strict_types=1);

// the disk is full: nothing is written
$readsOnly = env('VINCULUM_READS_ONLY') === 'yes';

return [
    'default' => 'sqlite',
    'reads_only' => $readsOnly,
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => env('VINCULUM_DATABASE', storage_path('kitchen.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            'busy_timeout' => 5000,
            'journal_mode' => $readsOnly ? null : 'WAL',
            // an acknowledged edit is on the disk
            'synchronous' => $readsOnly ? null : 'FULL',
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
