<?php

declare(strict_types=1);

// The file commands of ./vinculum. Needs nothing but PHP: they answer on a machine where nothing is installed yet.

// for ./vinculum, which installs or names what is missing
if (PHP_VERSION_ID < 80200 || !extension_loaded('mbstring')) {
    exit(97);
}

require __DIR__ . '/autoload.php';

exit(App\Plain\CommandLine\Terminal::run(array_slice($argv, 1)));
