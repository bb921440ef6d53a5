<?php

declare(strict_types=1);

namespace App\Server;

use Illuminate\Contracts\Http\Kernel;
use Illuminate\Database\DatabaseManager;
use Illuminate\Foundation\Application;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Facade;
use Symfony\Component\HttpFoundation\Request as HttpRequest;

/**
 * The application, started once and asked again and again. What belongs to one request is forgotten after it: services
 * made for it, its controller, and the connection, since a restore may put another database in the place of this one.
 */
final readonly class ResidentKernel
{
    public function __construct(private Application $app, private Kernel $kernel) {}

    /**
     * @param array<array-key, mixed> $message as ResidentSocket sends it
     * @param \Closure(array{status: int, headers: list<string>, body: string}): void $answer
     */
    public function handle(array $message, \Closure $answer): void
    {
        $request = Request::createFromBase(
            new HttpRequest(
                is_array($message['query'] ?? null) ? $message['query'] : [],
                server: is_array($message['server'] ?? null) ? $message['server'] : [],
                content: is_string($message['body'] ?? null) ? $message['body'] : '',
            ),
        );
        $response = $this->kernel->handle($request);
        $headers = [];
        foreach ($response->headers->allPreserveCaseWithoutCookies() as $name => $values) {
            foreach (is_array($values) ? $values : [] as $value) {
                $headers[] = "{$name}: " . (is_string($value) ? $value : '');
            }
        }
        $answer([
            'status' => $response->getStatusCode(),
            'headers' => $headers,
            'body' => (string) $response->getContent(),
        ]);
        $this->kernel->terminate($request, $response);
        $this->forget($request);
    }

    /** Two processes must not share a connection either: what was tried before they were forked is let go of too. */
    private function forget(Request $request): void
    {
        $route = $request->route();
        if ($route instanceof Route) {
            $route->flushController();
        }
        $this->app->make(DatabaseManager::class)->purge();
        $this->app->forgetScopedInstances();
        Facade::clearResolvedInstance('request');
    }
}
