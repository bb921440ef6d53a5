<?php

declare(strict_types=1);

namespace App\Instruments;

use Vinculum\Instrument\InstrumentFault;

/** One question and its answer over the line protocol of docs/instruments.md: a line of JSON each way, on loopback. */
final class InstrumentLink
{
    private const PATIENCE_SECONDS = 0.25;
    private const LONGEST_ANSWER = 4096;

    /** @param string|null $address host and port; null where no instruments are connected */
    public function __construct(private readonly ?string $address) {}

    public function isConnected(): bool
    {
        return $this->address !== null;
    }

    /**
     * @param array<string, mixed> $question
     *
     * @return array<string, mixed>
     *
     * @throws InstrumentFault when nobody answers, or not in JSON
     */
    public function ask(array $question, string $instrument): array
    {
        $stream = $this->address === null
            ? false
            : @stream_socket_client("tcp://{$this->address}", $number, $why, self::PATIENCE_SECONDS);
        if ($stream === false) {
            throw InstrumentFault::silent($instrument);
        }
        stream_set_timeout($stream, 0, (int) (1e6 * self::PATIENCE_SECONDS));
        @fwrite($stream, json_encode($question, JSON_THROW_ON_ERROR) . "\n");
        $answer = self::line($stream);
        fclose($stream);
        $said = $answer === null ? null : json_decode($answer, true, 8);
        if (!is_array($said) || isset($said['fault'])) {
            throw InstrumentFault::silent($instrument);
        }

        /** @var array<string, mixed> $said */
        return $said;
    }

    /**
     * One line, within the patience there is for all of it: an instrument that drips is as good as silent.
     *
     * @param resource $stream
     */
    private static function line($stream): ?string
    {
        stream_set_blocking($stream, false);
        $end = microtime(true) + self::PATIENCE_SECONDS;
        $line = '';
        while (!str_contains($line, "\n") && strlen($line) < self::LONGEST_ANSWER && !feof($stream)) {
            $left = (int) (1e6 * ($end - microtime(true)));
            [$read, $none] = [[$stream], null];
            if ($left <= 0 || stream_select($read, $none, $none, 0, $left) !== 1) {
                return null;
            }
            $line .= fread($stream, self::LONGEST_ANSWER);
        }

        return $line === '' ? null : explode("\n", $line, 2)[0];
    }
}
