<?php

declare(strict_types=1);

namespace Tests\http;

use PHPUnit\Framework\Attributes\DataProvider;

/** Who may come in: our own pages on this machine, and nobody else. */
final class RequestGuardTest extends HttpTestCase
{
    /** @return iterable<string, array{array<string, string>, int}> */
    public static function callers(): iterable
    {
        yield 'our own page' => [
            ['Host' => '127.0.0.1:8080', 'Origin' => 'http://127.0.0.1:8080', 'Sec-Fetch-Site' => 'same-origin'],
            200,
        ];
        yield 'a script of the cook' => [['Host' => 'localhost:8080'], 200];
        yield 'a name rebound to this machine' => [['Host' => 'evil.example'], 403];
        yield 'a name that looks like ours' => [['Host' => '127.0.0.1.evil.example'], 403];
        yield 'a page elsewhere' => [['Host' => '127.0.0.1:8080', 'Origin' => 'http://evil.example'], 403];
        yield 'another port of this machine' => [
            ['Host' => '127.0.0.1:8080', 'Origin' => 'http://127.0.0.1:9000'],
            403,
        ];
        yield 'a sandboxed frame' => [['Host' => '127.0.0.1:8080', 'Origin' => 'null'], 403];
        yield 'a picture on a page elsewhere' => [['Host' => '127.0.0.1:8080', 'Sec-Fetch-Site' => 'cross-site'], 403];
    }

    /** @param array<string, string> $headers */
    #[DataProvider('callers')]
    public function test_who_may_come_in(array $headers, int $status): void
    {
        $server = ['HTTP_HOST' => $headers['Host']];
        unset($headers['Host']);

        self::assertSame(
            $status,
            $this->withServerVariables($server)->get(
                "http://{$server['HTTP_HOST']}/api/kitchen",
                $headers,
            )->getStatusCode(),
        );
    }

    public function test_a_form_changes_nothing(): void
    {
        $sent = $this->call(
            'POST',
            '/api/sauces',
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/x-www-form-urlencoded'],
            'title=Mine&lines[]=1%20tsp%20salt',
        );
        self::assertSame(403, $sent->getStatusCode());
        $plain = $this->call(
            'POST',
            '/api/sauces',
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'text/plain'],
            '{"title": "Mine", "lines": []}',
        );
        self::assertSame(403, $plain->getStatusCode());
        $this->getJson('/api/sauces')->assertJsonCount(0, 'sauces');
    }

    /** @return iterable<string, array{string, string, array<string, string>, string}> */
    public static function disguises(): iterable
    {
        $body = '{"title": "Mine", "lines": []}';
        yield 'another kind of JSON' => ['POST', '/api/sauces', ['CONTENT_TYPE' => 'application/ld+json'], $body];
        yield 'JSON as text' => ['POST', '/api/sauces', ['CONTENT_TYPE' => 'text/json'], $body];
        yield 'a form with files' => [
            'POST',
            '/api/sauces',
            ['CONTENT_TYPE' => 'multipart/form-data; boundary=x'],
            "--x\r\nContent-Disposition: form-data; name=\"lines[]\"\r\n\r\nsalt\r\n--x--",
        ];
        yield 'nothing at all' => ['POST', '/api/backups', ['CONTENT_TYPE' => ''], ''];
        yield 'an empty form' => ['POST', '/api/backups', ['CONTENT_TYPE' => 'application/x-www-form-urlencoded'], ''];
        yield 'a deletion without its kind' => ['DELETE', '/api/sauces/1', ['CONTENT_TYPE' => ''], ''];
        yield 'a method in a header' => [
            'POST',
            '/api/sauces/1',
            ['CONTENT_TYPE' => 'application/json', 'HTTP_X_HTTP_METHOD_OVERRIDE' => 'DELETE'],
            '{}',
        ];
        yield 'a method in the body' => [
            'POST',
            '/api/sauces/1',
            ['CONTENT_TYPE' => 'application/json'],
            '{"_method": "DELETE"}',
        ];
    }

    /** @param array<string, string> $server */
    #[DataProvider('disguises')]
    public function test_only_json_that_says_so_changes_anything(
        string $method,
        string $path,
        array $server,
        string $body,
    ): void {
        $this->postJson('/api/sauces', ['title' => 'There', 'lines' => ['1 tsp salt']])->assertCreated();
        $status = $this->call($method, $path, [], [], [], $server, $body)->getStatusCode();
        self::assertContains($status, [403, 405]);
        $this->getJson('/api/sauces')->assertJsonCount(1, 'sauces');
        self::assertSame(
            201,
            $this->call(
                'POST',
                '/api/sauces',
                [],
                [],
                [],
                ['CONTENT_TYPE' => 'application/json; charset=utf-8'],
                '{"title": "Mine", "lines": []}',
            )->getStatusCode(),
        );
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
