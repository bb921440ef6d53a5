<?php

declare(strict_types=1);

// The file commands of ./vinculum. Needs nothing but PHP: they answer on a machine where nothing is installed yet.

// for ./vinculum, which installs or names what is missing
if (PHP_VERSION_ID < 80200 || !extension_loaded('mbstring')) {
    exit(97);
}

require dirname(__DIR__) . '/core/autoload.php';

spl_autoload_register(static function (string $class): void {
    if (str_starts_with($class, 'App\\Console\\')) {
        require dirname(__DIR__) . '/app/' . str_replace('\\', '/', substr($class, strlen('App\\'))) . '.php';
    }
});

exit(App\Console\Terminal::run(array_slice($argv, 1)));
