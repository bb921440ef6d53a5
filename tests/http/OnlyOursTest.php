<?php

declare(strict_types=1);

namespace Tests\http;

use PHPUnit\Framework\Attributes\DataProvider;

/** Who may come in: our own pages on this machine, and nobody else. */
final class OnlyOursTest extends HttpTestCase
{
    /** @return iterable<string, array{array<string, string>, int}> */
    public static function callers(): iterable
    {
        yield 'our own page' => [['Host' => '127.0.0.1:8080', 'Origin' => 'http://127.0.0.1:8080', 'Sec-Fetch-Site' => 'same-origin'], 200];
        yield 'a script of the cook' => [['Host' => 'localhost:8080'], 200];
        yield 'a name rebound to this machine' => [['Host' => 'evil.example'], 403];
        yield 'a name that looks like ours' => [['Host' => '127.0.0.1.evil.example'], 403];
        yield 'a page elsewhere' => [['Host' => '127.0.0.1:8080', 'Origin' => 'http://evil.example'], 403];
        yield 'another port of this machine' => [['Host' => '127.0.0.1:8080', 'Origin' => 'http://127.0.0.1:9000'], 403];
        yield 'a sandboxed frame' => [['Host' => '127.0.0.1:8080', 'Origin' => 'null'], 403];
        yield 'a picture on a page elsewhere' => [['Host' => '127.0.0.1:8080', 'Sec-Fetch-Site' => 'cross-site'], 403];
    }

    /** @param array<string, string> $headers */
    #[DataProvider('callers')]
    public function test_who_may_come_in(array $headers, int $status): void
    {
        $server = ['HTTP_HOST' => $headers['Host']];
        unset($headers['Host']);

        self::assertSame($status, $this->withServerVariables($server)->get("http://{$server['HTTP_HOST']}/api/kitchen", $headers)->getStatusCode());
    }

    public function test_a_form_changes_nothing(): void
    {
        $sent = $this->call('POST', '/api/sauces', [], [], [], ['CONTENT_TYPE' => 'application/x-www-form-urlencoded'], 'title=Mine&lines[]=1%20tsp%20salt');
        self::assertSame(403, $sent->getStatusCode());
        $plain = $this->call('POST', '/api/sauces', [], [], [], ['CONTENT_TYPE' => 'text/plain'], '{"title": "Mine", "lines": []}');
        self::assertSame(403, $plain->getStatusCode());
        $this->getJson('/api/sauces')->assertJsonCount(0, 'sauces');
    }

    public function test_pages_may_load_nothing_from_elsewhere_and_be_framed_by_nobody(): void
    {
        foreach (['/', '/api/kitchen', '/api/sauces/99'] as $place) {
            $policy = (string) $this->get($place)->headers->get('Content-Security-Policy');
            self::assertStringContainsString("default-src 'none'", $policy);
            self::assertMatchesRegularExpression("/script-src 'self';/", $policy, 'no inline script');
            self::assertStringContainsString("frame-ancestors 'none'", $policy);
        }
    }
}
