<?php

declare(strict_types=1);

namespace App\Server;

/** What a resident answered, for the router to send. Plain PHP. */
final readonly class ResidentAnswer
{
    /** @param list<string> $headers a line each */
    private function __construct(private int $status, private array $headers, private string $body) {}

    /**
     * @param array<array-key, mixed>|null $message
     *
     * @return self|null null where it is none
     */
    public static function from(?array $message): ?self
    {
        $headers = $message['headers'] ?? null;

        return is_int($message['status'] ?? null) && is_array($headers) && is_string($message['body'] ?? null)
            ? new self(
                $message['status'],
                array_values(array_filter($headers, is_string(...))),
                $message['body'],
            )
            : null;
    }

    /** Nothing was changed by it, and asking again as it stands would take as long. */
    public static function tooLong(): self
    {
        return new self(
            503,
            ['Content-Type: application/json', 'Cache-Control: no-store'],
            (string) json_encode([
                'message' => 'This takes too long to work out, and nothing was changed. Make it shorter: fewer lines, or less in one of them.',
            ]),
        );
    }

    public function send(): void
    {
        http_response_code($this->status);
        foreach ($this->headers as $header) {
            header($header, false);
        }
        echo $this->body;
    }
}
