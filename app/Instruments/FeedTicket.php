<?php

declare(strict_types=1);

namespace App\Instruments;

/**
 * Lets whom the kitchen has let in listen to the feed, which knows no sessions: a moment's pass, proven by a secret that
 * only the two share. Plain PHP.
 */
final readonly class FeedTicket
{
    /** Where the feed is reached; its address carries the ticket. */
    public const PATH = '/live/scale';
    private const GOOD_SECONDS = 30;

    public function __construct(private string $secret) {}

    /** That of this server; null where no feed runs apart. */
    public static function here(): ?self
    {
        $secret = getenv('VINCULUM_FEED');

        return is_string($secret) && $secret !== '' ? new self($secret) : null;
    }

    public function address(int $now): string
    {
        $until = $now + self::GOOD_SECONDS;

        return self::PATH . "?until={$until}&proof={$this->proof($until)}";
    }

    /** @param string $request the first line of a request */
    public function isGood(string $request, int $now): bool
    {
        $path = preg_quote(self::PATH, '~');

        return preg_match("~^GET {$path}\\?until=(\\d{1,12})&proof=([0-9a-f]{64}) HTTP/~", $request, $found) === 1
            && (int) $found[1] >= $now
            && (int) $found[1] <= $now + self::GOOD_SECONDS
            && hash_equals($this->proof((int) $found[1]), $found[2]);
    }

    private function proof(int $until): string
    {
        return hash_hmac('sha256', (string) $until, $this->secret);
    }
}
