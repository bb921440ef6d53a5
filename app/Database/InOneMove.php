<?php

declare(strict_types=1);

namespace App\Database;

use Closure;
use Illuminate\Database\Connection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;

/**
 * A write and its answer are one move: what cannot be answered was not stored, and what is sent again under its key,
 * because the answer got lost, is answered as it was the first time.
 */
final readonly class InOneMove
{
    public const HEADER = 'Idempotency-Key';
    private const KEY = '/\A[A-Za-z0-9_-]{8,80}\z/';
    /** Nobody asks for an answer again after so long. */
    private const KEPT_DAYS = 2;

    public function __construct(private Connection $database) {}

    /**
     * @param Closure(Request): Response $next
     *
     * @throws ValidationException where the key is none, or was that of something else
     */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isMethodSafe()) {
            return $next($request);
        }
        $key = self::keyOf($request);
        $asked = hash('sha256', "{$request->method()} {$request->path()}\n{$request->getContent()}");
        $this->database->beginTransaction();
        try {
            $before = $key === null ? null : $this->before($key, $asked);
            $response = $before ?? $next($request);
            if ($before === null && $key !== null && $response->getStatusCode() < 400) {
                $this->keep($key, $asked, $response);
            }
        } catch (\Throwable $fault) {
            $this->database->rollBack();
            throw $fault;
        }
        $response->getStatusCode() < 400 ? $this->database->commit() : $this->database->rollBack();

        return $response;
    }

    /**
     * The key that a request names.
     *
     * @throws ValidationException
     */
    public static function keyOf(Request $request): ?string
    {
        $key = $request->headers->get(self::HEADER);

        return $key === null || preg_match(self::KEY, $key) === 1
            ? $key
            : throw ValidationException::withMessages([
                'key' => 'The key of a request is 8 to 80 letters, digits, hyphens and underscores.',
            ]);
    }

    /** @throws ValidationException */
    private function before(string $key, string $asked): ?Response
    {
        $row = $this->database->table('answers')->where('key', $key)->first(['asked', 'status', 'body']);
        if ($row === null) {
            return null;
        }
        $kept = (array) $row;
        if ($kept['asked'] !== $asked) {
            throw ValidationException::withMessages([
                'key' => 'This key was used for something else: what is new has a key of its own.',
            ]);
        }
        $body = is_string($kept['body']) ? $kept['body'] : '';
        $status = is_numeric($kept['status']) ? (int) $kept['status'] : 200;

        return $body === '' ? new Response('', $status) : JsonResponse::fromJsonString($body, $status);
    }

    private function keep(string $key, string $asked, Response $response): void
    {
        $answers = $this->database->table('answers');
        $answers->insert([
            'key' => $key,
            'asked' => $asked,
            'status' => $response->getStatusCode(),
            'body' => (string) $response->getContent(),
            'created_at' => now(),
        ]);
        $this->database->table('answers')->where('created_at', '<', now()->subDays(self::KEPT_DAYS))->delete();
    }
}
