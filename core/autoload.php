<?php

declare(strict_types=1);

// The core needs no package: where Composer's autoloader is absent, this one finds its classes.

spl_autoload_register(static function (string $class): void {
    if (str_starts_with($class, 'Vinculum\\')) {
        $path = __DIR__ . '/src/' . str_replace('\\', '/', substr($class, strlen('Vinculum\\'))) . '.php';
        if (is_file($path)) {
            require $path;
        }
    }
});
