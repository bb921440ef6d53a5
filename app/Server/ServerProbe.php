<?php

declare(strict_types=1);

namespace App\Server;

/** Asks the server on our port how it does. Plain PHP. */
final readonly class ServerProbe
{
    /** @param string $token by which our own server is known */
    public function __construct(private int $port, private string $token) {}

    /** Whether our own server answers, and not another on the same port. */
    public function answers(): bool
    {
        // it stays so where nobody answers at all
        $http_response_header = [];
        $answer = @file_get_contents(
            "http://127.0.0.1:{$this->port}/api/idle",
            false,
            stream_context_create(['http' => ['timeout' => 2, 'ignore_errors' => true]]),
        );
        $said = implode("\n", $http_response_header);

        return $answer !== false
            && str_contains($said, ' 200')
            && stripos($said, "X-Vinculum-Server: {$this->token}") !== false;
    }

    /**
     * Asks for what every page asks for, so that the facts and the program are compiled before a person waits for it:
     * the shelf, a balance, advice. Nothing is stored.
     */
    public function warm(): void
    {
        $sauce = json_encode(['style' => 'ketchup', 'lines' => ['200 g passata', '1 tbsp vinegar', '1 onion']]);
        foreach (['sauces' => null, 'balance' => $sauce, 'advise' => $sauce] as $path => $body) {
            @file_get_contents(
                "http://127.0.0.1:{$this->port}/api/{$path}",
                false,
                stream_context_create([
                    'http' => [
                        'timeout' => 5,
                        'ignore_errors' => true,
                        'header' => "Accept: application/json\r\nContent-Type: application/json",
                        ...($body === null ? [] : ['method' => 'POST', 'content' => $body]),
                    ],
                ]),
            );
        }
    }
}
