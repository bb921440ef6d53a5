<?php

declare(strict_types=1);

namespace App\Server;

use Illuminate\Routing\Route;
use Illuminate\Routing\Router;

/** Which requests only read: those of the routes that say so (`reads`), derived from them and written down nowhere else. */
final class ReadingRoutes
{
    /** @return array<string, list<string>> patterns of their paths, by method */
    public static function of(Router $router): array
    {
        $reads = [];
        /** @var Route $route */
        foreach ($router->getRoutes()->getRoutes() as $route) {
            if ($route->getAction('reads') === true) {
                foreach (array_filter($route->methods(), is_string(...)) as $method) {
                    $reads[$method] = [...$reads[$method] ?? [], $route->toSymfonyRoute()->compile()->getRegex()];
                }
            }
        }

        return $reads;
    }

    /** As a file of PHP that needs nothing to be read. */
    public static function keep(Router $router, string $root): void
    {
        $file = ServedCaches::readingRoutes($root);
        file_put_contents($file, '<?php return ' . var_export(self::of($router), true) . ";\n");
    }
}
