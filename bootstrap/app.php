<?php

declare(strict_types=1);

use App\Auth\RequestGuard;
use App\Backups\KitchenEpoch;
use App\Http\Faults;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ConvertEmptyStringsToNull;
use Illuminate\Foundation\Http\Middleware\TrimStrings;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Middleware\TrustProxies;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__ . '/../routes/web.php',
        api: __DIR__ . '/../routes/api.php',
        commands: __DIR__ . '/../routes/console.php',
    )
    ->withMiddleware(static function (Middleware $middleware): void {
        // page and API share one address on the cook's own machine: no CORS, no proxies, no sessions, no cookies;
        // and what a cook typed stays as typed
        $middleware->remove([
            HandleCors::class,
            TrustProxies::class,
            TrimStrings::class,
            ConvertEmptyStringsToNull::class,
        ]);
        $middleware->prepend(RequestGuard::class);
        $middleware->group('web', []);
        $middleware->group('api', [Illuminate\Routing\Middleware\SubstituteBindings::class, KitchenEpoch::class]);
    })
    ->withExceptions(static fn(Exceptions $exceptions) => Faults::register($exceptions))
    ->create();
