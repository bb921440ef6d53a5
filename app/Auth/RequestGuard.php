<?php

declare(strict_types=1);

namespace App\Auth;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Lets in only what comes from our own pages: a page elsewhere must not reach the kitchen through the cook's browser,
 * by rebinding a name to this machine or by sending a form. Other machines are let in only where the home network is
 * served, encrypted, under an address of that network, and with the passphrase. No Strict-Transport-Security is sent: it
 * would hold for every port of the machine's name, the page that hands out the certificate among them, and an address
 * cannot have it.
 */
final readonly class RequestGuard
{
    private const HERE = ['127.0.0.1', 'localhost', '[::1]'];
    private const LOOPBACK = ['127.0.0.1', '::1'];
    /** What is open before the passphrase is known: the pages, which hold nothing, and the door. */
    private const BEFORE_A_SESSION = ['POST api/session', 'GET api/idle'];
    private const POLICY = "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; font-src 'self'; img-src 'self' data:; connect-src 'self'; manifest-src 'self'; worker-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

    public function __construct(private SessionGuard $sessionGuard) {}

    /** Asked from the machine the kitchen runs on, under the name that only this machine has. */
    public static function isThisMachine(Request $request): bool
    {
        return in_array($request->server('REMOTE_ADDR'), self::LOOPBACK, true)
            && in_array($request->getHost(), self::HERE, true);
    }

    public function handle(Request $request, Closure $next): Response
    {
        $refusal = $this->refusal($request);
        /** @var Response $response */
        $response = match (true) {
            $refusal !== null => new JsonResponse(['message' => $refusal], 403),
            !$this->isLetIn($request) => new JsonResponse(
                ['message' => 'Enter the passphrase of this kitchen first.'],
                401,
            ),
            default => $next($request),
        };
        foreach ([
            'Content-Security-Policy' => self::POLICY,
            'X-Content-Type-Options' => 'nosniff',
            'X-Frame-Options' => 'DENY',
            'Referrer-Policy' => 'no-referrer',
            'Cross-Origin-Resource-Policy' => 'same-origin',
            'Cross-Origin-Opener-Policy' => 'same-origin',
        ] as $name => $value) {
            $response->headers->set($name, $value);
        }

        return $response;
    }

    private function refusal(Request $request): ?string
    {
        if (!self::isThisMachine($request) && !in_array($request->getHost(), config()->array('door.hosts'), true)) {
            return 'This kitchen answers on its own address only: open http://127.0.0.1 with its port, on the machine it runs on.';
        }
        if (!self::isThisMachine($request) && !$request->isSecure()) {
            return 'Over the network this kitchen answers encrypted only: open it at https:// instead.';
        }
        $origin = $request->headers->get('Origin');
        if ($origin !== null && $origin !== $request->getSchemeAndHttpHost()) {
            return 'A page elsewhere asked for this, and it was not done.';
        }
        if (
            in_array($request->headers->get('Sec-Fetch-Site'), ['cross-site', 'same-site'], true)
            && $request->is('api/*')
        ) {
            return 'A page elsewhere asked for this, and it was not done.';
        }
        if ($request->getRealMethod() !== $request->method() || $request->headers->has('X-HTTP-Method-Override')) {
            return 'A request says what it does by its method alone.';
        }
        // a form cannot send JSON: what changes something must be told in it
        $kind = trim(explode(';', (string) $request->headers->get('Content-Type'))[0]);

        return !in_array($request->method(), ['GET', 'HEAD', 'OPTIONS'], true)
            && strtolower($kind) !== 'application/json'
            ? 'What changes something here is sent as JSON: with the header Content-Type: application/json.'
            : null;
    }

    private function isLetIn(Request $request): bool
    {
        return self::isThisMachine($request)
            || !$request->is('api/*')
            || in_array("{$request->method()} {$request->path()}", self::BEFORE_A_SESSION, true)
            || $this->sessionGuard->isIn($request);
    }
}
