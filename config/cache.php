<?php

declare(strict_types=1);

return [
    'default' => 'array',
    'stores' => [
        'array' => ['driver' => 'array', 'serialize' => false],
        // wrong passphrases are counted for all server processes together
        'door' => ['driver' => 'file', 'path' => storage_path('door') . '/tries'],
    ],
    'prefix' => '',
];
