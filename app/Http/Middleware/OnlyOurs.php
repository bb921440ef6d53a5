<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Lets in only what comes from our own pages: a page elsewhere must not reach the kitchen through the cook's browser, by
 * rebinding a name to this machine or by sending a form.
 */
final class OnlyOurs
{
    private const OURS = ['127.0.0.1', 'localhost', '[::1]'];
    private const POLICY = "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; font-src 'self'; img-src 'self' data:; connect-src 'self'; manifest-src 'self'; worker-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

    public function handle(Request $request, Closure $next): Response
    {
        $refusal = $this->refusal($request);
        /** @var Response $response */
        $response = $refusal === null ? $next($request) : new JsonResponse(['message' => $refusal], 403);
        foreach (['Content-Security-Policy' => self::POLICY, 'X-Content-Type-Options' => 'nosniff', 'X-Frame-Options' => 'DENY', 'Referrer-Policy' => 'no-referrer', 'Cross-Origin-Resource-Policy' => 'same-origin', 'Cross-Origin-Opener-Policy' => 'same-origin'] as $name => $value) {
            $response->headers->set($name, $value);
        }

        return $response;
    }

    private function refusal(Request $request): ?string
    {
        if (!in_array($request->getHost(), self::OURS, true)) {
            return 'This kitchen answers on its own address only: open http://127.0.0.1 with its port.';
        }
        $origin = $request->headers->get('Origin');
        if ($origin !== null && $origin !== $request->getSchemeAndHttpHost()) {
            return 'A page elsewhere asked for this, and it was not done.';
        }
        if (in_array($request->headers->get('Sec-Fetch-Site'), ['cross-site', 'same-site'], true) && $request->is('api/*')) {
            return 'A page elsewhere asked for this, and it was not done.';
        }
        // a form cannot send JSON: what changes something must be told in it
        $changes = in_array($request->method(), ['POST', 'PUT', 'PATCH'], true);

        return $changes && $request->getContent() !== '' && !$request->isJson() ? 'What is sent here is sent as JSON.' : null;
    }
}
