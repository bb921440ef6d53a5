<?php

declare(strict_types=1);

return [
    'name' => 'Vinculum',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => 'http://127.0.0.1:8080',
    'timezone' => 'UTC',
    'locale' => 'en',
    'fallback_locale' => 'en',
    'cipher' => 'AES-256-CBC',
    // nothing is encrypted: the one cookie is a random number
    'key' => null,
];
