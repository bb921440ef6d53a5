<?php

declare(strict_types=1);

namespace App\Auth;

use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * The door to the home network: who is in, coming in, and leaving.
 *
 * @phpstan-type Session array{addresses: list<string>, came_in: bool, welcome: string|null, fingerprint: string|null}
 */
final readonly class SessionController
{
    public function __construct(private SessionGuard $sessionGuard) {}

    #[Answers('Session')]
    public function show(Request $request): JsonResponse
    {
        $hosts = array_filter(config()->array('door.hosts'), is_string(...));
        // asked from this machine itself it came by the port before
        $secure = $request->isSecure() ? (int) $request->getPort() : HomePorts::secure((int) $request->getPort());
        $welcome = HomePorts::welcome(HomePorts::besideSecure($secure));

        return new JsonResponse([
            'addresses' => array_values(array_map(static fn(string $host): string => "https://{$host}:{$secure}", $hosts)),
            'came_in' => !RequestGuard::isThisMachine($request),
            'welcome' => $hosts === [] ? null : 'http://' . reset($hosts) . ":{$welcome}",
            'fingerprint' => $hosts === []
                ? null
                : HomeCertificate::behind(config()->string('door.folder'))->fingerprint(),
        ]);
    }

    public function enter(SessionRequest $request): JsonResponse|Response
    {
        try {
            $cookies = $this->sessionGuard->enter($request, $request->passphrase());
        } catch (TooManyAttempts $fault) {
            return new JsonResponse(
                ['message' => $fault->getMessage()],
                429,
                ['Retry-After' => (string) $fault->seconds],
            );
        }

        if ($cookies === null) {
            return new JsonResponse(
                [
                    'message' => 'That is not the passphrase. It was set on the machine the kitchen runs on; there, ./vinculum passphrase sets a new one.',
                ],
                422,
            );
        }
        $answer = new Response('', 204);
        foreach ($cookies as $cookie) {
            $answer->headers->setCookie($cookie);
        }

        return $answer;
    }

    public function leave(Request $request): Response
    {
        return (new Response('', 204))->withCookie($this->sessionGuard->leave($request));
    }
}
