<?php

declare(strict_types=1);

namespace App\Instruments;

use Vinculum\Instrument\InstrumentFault;

/**
 * Weights as the scale shows them, for every page that looks: one process asks the scale, twenty times a second while
 * somebody looks, and hands each answer on as a server-sent event. Never waits for anybody: an instrument that is silent,
 * drips or lies is said to be so, and a page that does not read is let go of. Plain PHP.
 */
final class ScaleFeed
{
    private const ASKS_EVERY_SECONDS = 0.05;
    /** So long without an answer is said. */
    private const SILENT_SECONDS = 0.5;
    /** A scale that was silent is asked anew after so long. */
    private const AGAIN_SECONDS = 0.25;
    /** What has not changed is told again after so long, so that a page knows that it is still connected. */
    private const REPEATS_SECONDS = 0.2;
    private const MOST_PAGES = 32;
    private const LONGEST_LINE = 4096;
    private const HEAD = "HTTP/1.1 200 OK\r\nContent-Type: text/event-stream\r\nCache-Control: no-store\r\nX-Content-Type-Options: nosniff\r\nConnection: close\r\n\r\nretry: 500\n\n";

    /** @var array<int, resource> who has come in, and not asked yet */
    private array $doorway = [];

    /** @var array<int, resource> */
    private array $pages = [];

    /** @var resource|null */
    private $scale;

    private string $heard = '';
    private float $askedAt = 0.0;
    private bool $isAnswered = true;
    private float $heardAt = 0.0;
    private float $toldAt = 0.0;
    private string $told = '';

    /** @var \Closure(): float seconds */
    private readonly \Closure $clock;

    /**
     * @param resource $socket where pages come in
     * @param \Closure(): (string|null) $address where the scale is, looked up anew whenever it is asked anew
     * @param (\Closure(): float)|null $clock seconds, the machine's if none is given
     */
    public function __construct(
        private $socket,
        private readonly \Closure $address,
        private readonly FeedTicket $ticket,
        ?\Closure $clock = null,
    ) {
        $this->clock = $clock ?? static fn(): float => microtime(true);
    }

    /**
     * One turn: waits for at most a tick. Whoever was slow is judged after all that has come in meanwhile is heard, by the
     * time before: a machine that stood still finds the scale's answer, not its silence.
     */
    public function turn(): void
    {
        $began = ($this->clock)();
        $ready = [$this->socket, ...$this->doorway, ...$this->pages, ...($this->scale === null ? [] : [$this->scale])];
        [$write, $except] = [null, null];
        $tick = $this->pages === [] ? 100_000 : 10_000;
        if (@stream_select($ready, $write, $except, 0, $tick) > 0) {
            foreach ($ready as $stream) {
                match (true) {
                    $stream === $this->socket => $this->letIn(),
                    $stream === $this->scale => $this->hear(),
                    default => $this->listen($stream),
                };
            }
        }
        $this->askScale($began);
        $this->noticeSilence($began);
    }

    private function letIn(): void
    {
        $page = @stream_socket_accept($this->socket, 0);
        if ($page === false) {
            return;
        }
        stream_set_blocking($page, false);
        if (count($this->pages) + count($this->doorway) >= self::MOST_PAGES) {
            $this->refuse($page, '503 Service Unavailable');

            return;
        }
        $this->doorway[(int) $page] = $page;
    }

    /** @param resource $page has asked, or gone */
    private function listen($page): void
    {
        $asked = @fread($page, 8192);
        if ($asked === false || ($asked === '' && feof($page))) {
            unset($this->doorway[(int) $page]);
            $this->letGo($page);

            return;
        }
        if (!isset($this->doorway[(int) $page])) {
            return;
        }
        unset($this->doorway[(int) $page]);
        if (!$this->ticket->isGood(explode("\r\n", $asked, 2)[0], time())) {
            $this->refuse($page, '403 Forbidden');

            return;
        }
        if ($this->pages === []) {
            [$this->heardAt, $this->told] = [($this->clock)(), ''];
        }
        @fwrite($page, self::HEAD . $this->told);
        $this->pages[(int) $page] = $page;
    }

    /** @param resource $page */
    private function refuse($page, string $status): void
    {
        @fwrite($page, "HTTP/1.1 {$status}\r\nConnection: close\r\nContent-Length: 0\r\n\r\n");
        @fclose($page);
    }

    /** @param resource $page */
    private function letGo($page): void
    {
        unset($this->pages[(int) $page]);
        @fclose($page);
        if ($this->pages === []) {
            $this->hangUp();
        }
    }

    private function hangUp(): void
    {
        if ($this->scale !== null) {
            @fclose($this->scale);
        }
        [$this->scale, $this->heard, $this->isAnswered] = [null, '', true];
    }

    private function askScale(float $now): void
    {
        if ($this->pages === [] || $now < $this->askedAt + self::ASKS_EVERY_SECONDS) {
            return;
        }
        if (!$this->isAnswered) {
            if ($now > $this->askedAt + self::AGAIN_SECONDS) {
                $this->hangUp();
            }

            return;
        }
        if ($this->scale === null) {
            if ($now < $this->askedAt + self::AGAIN_SECONDS) {
                return;
            }
            $address = ($this->address)();
            $scale = $address === null ? false : @stream_socket_client(
                "tcp://{$address}",
                $number,
                $why,
                0.05,
                STREAM_CLIENT_CONNECT | STREAM_CLIENT_ASYNC_CONNECT,
            );
            if ($scale === false) {
                $this->askedAt = $now;

                return;
            }
            stream_set_blocking($scale, false);
            $this->scale = $scale;
        }
        [$this->askedAt, $this->isAnswered] = [$now, false];
        if (@fwrite($this->scale, "{\"ask\": \"weight\"}\n") === false) {
            $this->hangUp();
        }
    }

    private function hear(): void
    {
        $heard = $this->scale === null ? false : @fread($this->scale, self::LONGEST_LINE);
        if ($heard === false || $heard === '' || strlen($this->heard) > self::LONGEST_LINE) {
            $this->hangUp();

            return;
        }
        $lines = explode("\n", $this->heard . $heard);
        $this->heard = (string) array_pop($lines);
        $line = end($lines);
        if ($line !== false) {
            $this->isAnswered = true;
            $this->understand($line);
        }
    }

    private function understand(string $line): void
    {
        $said = json_decode($line, true, 8);
        if (!is_array($said) || isset($said['fault'])) {
            return;
        }
        $this->heardAt = ($this->clock)();
        try {
            $weight = ScaleAnswer::weight($said);
            $this->tell([
                'value' => $weight->grams,
                'settled' => $weight->isSettled,
                'celsius' => null,
                'says' => $weight->says,
            ]);
        } catch (InstrumentFault $fault) {
            $this->tell(['value' => null, 'settled' => false, 'celsius' => null, 'says' => $fault->getMessage()]);
        }
    }

    private function noticeSilence(float $now): void
    {
        if ($this->pages !== [] && $now > $this->heardAt + self::SILENT_SECONDS) {
            $this->tell([
                'value' => null,
                'settled' => false,
                'celsius' => null,
                'says' => InstrumentFault::silent('scale')->getMessage(),
            ]);
        }
    }

    /** @param array{value: float|null, settled: bool, celsius: null, says: string|null} $reading */
    private function tell(array $reading): void
    {
        $event = 'data: ' . json_encode($reading, JSON_THROW_ON_ERROR) . "\n\n";
        $now = ($this->clock)();
        if ($event === $this->told && $now < $this->toldAt + self::REPEATS_SECONDS) {
            return;
        }
        [$this->told, $this->toldAt] = [$event, $now];
        foreach ($this->pages as $page) {
            // a page that takes nothing in would be told of the past when it wakes
            if (@fwrite($page, $event) !== strlen($event)) {
                $this->letGo($page);
            }
        }
    }
}
