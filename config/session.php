<?php

declare(strict_types=1);

// sessions are for devices of the home network alone: App\Auth\SessionGuard opens and ends them
return [
    'driver' => 'file',
    // minutes of doing nothing, after which a device is out
    'lifetime' => 720,
    'expire_on_close' => false,
    'files' => storage_path('door') . '/sessions',
    'lottery' => [2, 100],
    'cookie' => 'vinculum_door',
    'encrypt' => false,
    'serialization' => 'json',
];
