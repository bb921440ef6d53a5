<?php

declare(strict_types=1);

namespace App\Server;

/**
 * Where a request is handed to a resident (see ResidentPool), by the front controller before it loads the
 * application. Handed over is only what changes nothing: when a resident is away, busy for too long or dies, nothing is
 * lost: the application answers by itself, or says that it takes too long where it did. Plain PHP.
 */
final readonly class ResidentSocket
{
    /** Who is at the machine itself: everybody else shows a session, which a resident does not know. */
    private const HERE = '~^(?:127\.0\.0\.1|localhost|\[::1\])(?::\d+)?$~';
    private const LOOPBACK = ['127.0.0.1', '::1'];

    /** Longer than any answer takes; a resident that stops by itself is noticed at once. */
    private const PATIENCE_SECONDS = 14;
    /** A question that held a resident up for so long would hold up the next as well: it is not asked again. */
    private const NOT_AGAIN_AFTER_SECONDS = 3.0;

    /** @param array<string, list<string>> $reads patterns of the paths of requests that only read, by method */
    public function __construct(private string $file, private array $reads) {}

    /** That of the server this runs in. */
    public static function here(string $root): self
    {
        $file = ServedCaches::readingRoutes($root);
        $reads = is_file($file) ? require $file : [];

        /** @var array<string, list<string>> $reads */
        return new self((string) getenv('VINCULUM_RESIDENTS_SOCKET'), $reads);
    }

    /**
     * @param array<string, mixed> $server of the request, as PHP gives it
     *
     * @return ResidentAnswer|null null where the application has to answer: nobody was there, or gone at once
     */
    public function ask(array $server): ?ResidentAnswer
    {
        if (!$this->mayTake($server)) {
            return null;
        }
        $stream = @stream_socket_client("unix://{$this->file}", $fault, $message, 0.1);
        if ($stream === false) {
            return null;
        }
        stream_set_timeout($stream, self::PATIENCE_SECONDS);
        self::send($stream, [
            'server' => array_filter($server, is_scalar(...)),
            'query' => $_GET,
            'body' => (string) file_get_contents('php://input'),
        ]);
        $asked = microtime(true);
        $answer = ResidentAnswer::from(self::receive($stream));
        fclose($stream);

        return $answer ?? (microtime(true) - $asked > self::NOT_AGAIN_AFTER_SECONDS ? ResidentAnswer::tooLong() : null);
    }

    /**
     * @param resource $stream
     * @param array<string, mixed> $message of scalars and lists of them
     */
    public static function send($stream, array $message): void
    {
        $text = serialize($message);
        $text = pack('N', strlen($text)) . $text;
        while ($text !== '') {
            $written = @fwrite($stream, $text);
            if ($written === false || $written === 0) {
                return;
            }
            $text = substr($text, $written);
        }
    }

    /**
     * @param resource $stream
     *
     * @return array<array-key, mixed>|null null where the other end stopped in the middle
     */
    public static function receive($stream): ?array
    {
        $length = unpack('Nbytes', str_pad((string) stream_get_contents($stream, 4), 4, "\0"));
        $bytes = is_int($length['bytes'] ?? null) ? $length['bytes'] : 0;
        $text = $bytes > 0 ? (string) stream_get_contents($stream, $bytes) : '';
        $message = $bytes > 0 && strlen($text) === $bytes ? unserialize($text, ['allowed_classes' => false]) : null;

        return is_array($message) ? $message : null;
    }

    /** Whether a request changes nothing, and a resident knows the way. */
    public function takes(string $method, string $path): bool
    {
        foreach ($this->reads[$method] ?? [] as $pattern) {
            if (preg_match($pattern, $path) === 1) {
                return true;
            }
        }

        return false;
    }

    /** @param array<string, mixed> $server */
    private function mayTake(array $server): bool
    {
        $text = static fn(string $field): string => is_string($server[$field] ?? null) ? $server[$field] : '';

        return $this->takes($text('REQUEST_METHOD'), explode('?', $text('REQUEST_URI'))[0])
            && in_array($text('REMOTE_ADDR'), self::LOOPBACK, true)
            && preg_match(self::HERE, $text('HTTP_HOST')) === 1
            && file_exists($this->file);
    }
}
