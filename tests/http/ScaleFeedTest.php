<?php

declare(strict_types=1);

namespace Tests\http;

use App\Instruments\FeedTicket;
use App\Instruments\ScaleFeed;
use PHPUnit\Framework\TestCase;

/** What the scale shows, told to every page that looks: soon, and to nobody's harm. */
final class ScaleFeedTest extends TestCase
{
    private const PATIENCE_SECONDS = 4.0;

    private string $file;

    /** @var resource */
    private $socket;

    /** @var resource the scale */
    private $scale;

    private ScaleFeed $feed;
    private FeedTicket $ticket;

    /** Seconds that pass by turns alone, however long the machine takes over one. */
    private float $clock = 1000.0;

    protected function setUp(): void
    {
        $this->file = sys_get_temp_dir() . '/feed-' . getmypid() . '-' . uniqid() . '.sock';
        $this->socket = stream_socket_server("unix://{$this->file}") ?: self::fail('no socket');
        $this->scale = stream_socket_server('tcp://127.0.0.1:0') ?: self::fail('no scale');
        $address = (string) stream_socket_get_name($this->scale, false);
        $this->ticket = new FeedTicket('secret');
        $this->feed = new ScaleFeed($this->socket, static fn(): string => $address, $this->ticket, fn(): float => $this->clock);
    }

    protected function tearDown(): void
    {
        fclose($this->socket);
        @unlink($this->file);
    }

    public function test_every_page_hears_each_weight_of_a_scale_that_is_asked_once(): void
    {
        $pages = [$this->page(), $this->page(), $this->page()];
        $scale = $this->connected();
        self::assertSame("{\"ask\": \"weight\"}\n", $this->asked($scale));
        fwrite($scale, '{"grams": 123.5, "settled": true, "resolution": 0.1}' . "\n");
        foreach ($pages as $page) {
            self::assertSame(123.5, $this->heard($page)['value']);
        }
        $this->asked($scale);
        fwrite($scale, '{"grams": 124, "settled": false}' . "\n");
        $heard = $this->heard($pages[1], static fn(array $one): bool => $one['value'] === 124);
        self::assertFalse($heard['settled']);
        self::assertFalse(@stream_socket_accept($this->scale, 0.0), 'and by one connection alone');
    }

    public function test_what_lies_says_so_and_what_is_silent_or_drips_is_silent(): void
    {
        $page = $this->page();
        $scale = $this->connected();
        foreach (['{"grams": "much"}', '{"grams": 9, "overload": true}', '{"grams": -90, "settled": true}'] as $line) {
            $this->asked($scale);
            fwrite($scale, "{$line}\n");
            $heard = $this->heard($page, static fn(array $one): bool => $one['says'] !== null);
            self::assertNotSame('', $heard['says'], $line);
        }
        $asked = $this->clock;
        fwrite($scale, '{"gra');
        $heard = $this->heard($page, static fn(array $one): bool => str_contains((string) $one['says'], 'does not answer'));
        self::assertNull($heard['value']);
        self::assertGreaterThan(0.4, $this->clock - $asked, 'half a second of silence is not said before it is over');
        // it comes back by itself
        $answering = [];
        for ($turn = 0; $turn < 100; ++$turn) {
            while (($scale = @stream_socket_accept($this->scale, 0.0)) !== false) {
                stream_set_blocking($scale, false);
                $answering[] = $scale;
            }
            foreach ($answering as $scale) {
                if (is_string(fgets($scale))) {
                    @fwrite($scale, '{"grams": 5, "settled": true}' . "\n");
                }
            }
            $this->turns(1);
        }
        self::assertSame(5, $this->heard($page, static fn(array $one): bool => $one['value'] !== null)['value']);
    }

    public function test_a_machine_that_stood_still_hears_what_came_meanwhile_and_calls_nobody_silent(): void
    {
        $page = $this->page();
        $scale = $this->connected();
        foreach ([0.3, 0.6, 60.0] as $grams => $seconds) {
            $this->asked($scale);
            fwrite($scale, json_encode(['grams' => $grams, 'settled' => true]) . "\n");
            $this->clock += $seconds;
            self::assertSame($grams, $this->heard($page)['value'], "after {$seconds} s");
        }
        self::assertFalse(@stream_socket_accept($this->scale, 0.0), 'and the connection is kept');
    }

    public function test_a_page_that_goes_or_takes_nothing_in_holds_nobody_up(): void
    {
        [$gone, $deaf, $page] = [$this->page(), $this->page(), $this->page()];
        fclose($gone);
        $scale = $this->connected();
        for ($turn = 0; $turn < 40; ++$turn) {
            $this->asked($scale);
            fwrite($scale, json_encode(['grams' => $turn, 'settled' => true]) . "\n");
            self::assertSame($turn, $this->heard($page, static fn(array $one): bool => $one['value'] === $turn)['value']);
        }
        fclose($deaf);
        fclose($page);
        $this->turns(20);
        $asks = $this->asks($scale);
        $this->turns(20);
        self::assertSame($asks, $this->asks($scale), 'with nobody there the scale is left in peace');
    }

    public function test_nobody_listens_without_a_ticket_or_with_an_old_or_a_made_up_one(): void
    {
        $now = time();
        $good = (new FeedTicket('secret'))->address($now);
        foreach ([
            '/live/scale',
            '/',
            (new FeedTicket('another'))->address($now),
            $this->ticket->address($now - 40),
            $this->ticket->address($now + 3600),
            str_replace('until=', 'until=1', $good),
            "{$good}0",
        ] as $address) {
            $page = stream_socket_client("unix://{$this->file}") ?: self::fail('not let in');
            fwrite($page, "GET {$address} HTTP/1.1\r\n\r\n");
            $this->turns(3);
            stream_set_blocking($page, false);
            self::assertStringStartsWith('HTTP/1.1 403', (string) fread($page, 100), $address);
        }
        self::assertFalse(@stream_socket_accept($this->scale, 0.0), 'the scale is not asked for them');
        self::assertTrue($this->ticket->isGood("GET {$good} HTTP/1.1", $now));
    }

    public function test_after_many_pages_one_more_is_sent_away(): void
    {
        $pages = array_map(fn(): mixed => $this->page(), range(1, 33));
        $this->turns(3);
        stream_set_blocking($pages[32], false);
        self::assertStringStartsWith('HTTP/1.1 503', (string) fread($pages[32], 100));
        self::assertStringStartsWith('HTTP/1.1 200', (string) fread($pages[31], 100));
    }

    /** @return resource that has asked for the weights */
    private function page()
    {
        $page = stream_socket_client("unix://{$this->file}") ?: self::fail('not let in');
        fwrite($page, "GET {$this->ticket->address(time())} HTTP/1.1\r\nHost: here\r\n\r\n");
        $this->turns(2);

        return $page;
    }

    /** @return resource the feed's connection to the scale */
    private function connected()
    {
        for ($end = microtime(true) + self::PATIENCE_SECONDS; microtime(true) < $end;) {
            $this->turns(1);
            $connection = @stream_socket_accept($this->scale, 0.0);
            if ($connection !== false) {
                stream_set_blocking($connection, false);

                return $connection;
            }
        }
        self::fail('the scale is not asked');
    }

    /** @param resource $scale */
    private function asked($scale): string
    {
        for ($end = microtime(true) + self::PATIENCE_SECONDS; microtime(true) < $end;) {
            $this->turns(1);
            $line = fgets($scale);
            if ($line !== false) {
                return $line;
            }
        }
        self::fail('the scale is not asked again');
    }

    /** @param resource $scale */
    private function asks($scale): int
    {
        $asks = 0;
        while (is_string(fgets($scale))) {
            ++$asks;
        }

        return $asks;
    }

    private function turns(int $count): void
    {
        for ($turn = 0; $turn < $count; ++$turn) {
            $this->feed->turn();
            $this->clock += 0.01;
        }
    }

    /**
     * @param resource $page
     * @param (callable(array<string, mixed>): bool)|null $is of the reading that is waited for
     *
     * @return array<string, mixed>
     */
    private function heard($page, ?callable $is = null): array
    {
        stream_set_blocking($page, false);
        for ($end = microtime(true) + self::PATIENCE_SECONDS; microtime(true) < $end;) {
            $this->turns(1);
            while (($line = fgets($page)) !== false) {
                $reading = str_starts_with($line, 'data: ') ? json_decode(substr($line, 6), true) : null;
                if (is_array($reading) && ($is === null || $is($reading))) {
                    return $reading;
                }
            }
        }
        self::fail('the page hears nothing of it');
    }
}
