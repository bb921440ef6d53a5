<?php

declare(strict_types=1);

// The classes that need nothing but PHP: the core, and what app/Plain holds. No package, no framework.

require dirname(__DIR__) . '/core/autoload.php';

spl_autoload_register(static function (string $class): void {
    if (str_starts_with($class, 'App\\Plain\\')) {
        require dirname(__DIR__) . '/app/' . str_replace('\\', '/', substr($class, strlen('App\\'))) . '.php';
    }
});
