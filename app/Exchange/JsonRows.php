<?php

declare(strict_types=1);

namespace App\Exchange;

/**
 * Reads a JSON object of lists, "{"sauces": [{…}, {…}], …}", one member of a list at a time, however long the file is.
 * Everything else at the top is given as one value.
 */
final class JsonRows
{
    private const CHUNK_BYTES = 262_144;
    private const MOST_BYTES_OF_ONE = 8_000_000;
    private const DEEPEST = 64;

    private string $buffer = '';

    private int $at = 0;

    private int $passed = 0;

    /** @param resource $stream that can be rewound */
    public function __construct(private $stream) {}

    /**
     * From the beginning: the name of the list, the place in it from 0, and the member; −1 and the value for what is no
     * list.
     *
     * @return \Generator<array{string, int, mixed}>
     *
     * @throws ImportFault where it is no such JSON
     */
    public function each(): \Generator
    {
        rewind($this->stream);
        [$this->buffer, $this->at, $this->passed] = ['', 0, 0];
        if (str_starts_with($this->peek(3), "\xEF\xBB\xBF")) {
            $this->at += 3;
        }
        $this->expect('{');
        if ($this->skipsTo('}')) {
            return;
        }
        do {
            $name = self::decoded($this->value());
            $this->expect(':');
            if (!is_string($name)) {
                throw self::broken();
            }
            if (!$this->skipsTo('[')) {
                yield [$name, -1, self::decoded($this->value())];
                continue;
            }
            if ($this->skipsTo(']')) {
                continue;
            }
            $place = 0;
            do {
                yield [$name, $place, self::decoded($this->value())];
                ++$place;
            } while ($this->skipsTo(','));
            $this->expect(']');
        } while ($this->skipsTo(','));
        $this->expect('}');
        if (trim($this->peek(self::CHUNK_BYTES)) !== '') {
            throw self::broken();
        }
    }

    /** Bytes read so far. */
    public function bytesRead(): int
    {
        return $this->passed + $this->at;
    }

    private static function decoded(string $json): mixed
    {
        $value = json_decode($json, false, self::DEEPEST);

        return json_last_error() === JSON_ERROR_NONE ? $value : throw self::broken();
    }

    private static function broken(): ImportFault
    {
        return ImportFault::damaged('it is cut short, or no JSON');
    }

    private function expect(string $mark): void
    {
        if (!$this->skipsTo($mark)) {
            throw self::broken();
        }
    }

    /** Whether this mark comes next, after white space; then it is passed. */
    private function skipsTo(string $mark): bool
    {
        do {
            $this->at += strspn($this->buffer, " \t\r\n", $this->at);
        } while ($this->at >= strlen($this->buffer) && $this->more());
        if (($this->buffer[$this->at] ?? '') !== $mark) {
            return false;
        }
        ++$this->at;

        return true;
    }

    /** The text of the value that comes next. */
    private function value(): string
    {
        $this->skipsTo(' ');
        [$from, $depth, $isText] = [0, 0, false];
        while (true) {
            $from += strcspn($this->buffer, $isText ? '"\\' : '"{}[],: ' . "\t\r\n", $this->at + $from);
            $mark = $this->buffer[$this->at + $from] ?? null;
            if ($mark === null) {
                if ($from > self::MOST_BYTES_OF_ONE) {
                    throw ImportFault::damaged('one row of it is larger than 8 MB');
                }
                if (!$this->more()) {
                    throw self::broken();
                }
                continue;
            }
            if ($isText) {
                if ($mark === '\\' && !isset($this->buffer[$this->at + $from + 1])) {
                    $this->more() || throw self::broken();
                }
                $from += $mark === '\\' ? 2 : 1;
                $isText = $mark === '\\';
                if (!$isText && $depth === 0) {
                    break;
                }
                continue;
            }
            if ($depth === 0 && $from > 0 && !in_array($mark, ['"', '{', '['], true)) {
                break;
            }
            if ($depth === 0 && $from === 0 && in_array($mark, ['}', ']', ',', ':'], true)) {
                throw self::broken();
            }
            ++$from;
            $isText = $mark === '"';
            $depth += in_array($mark, ['{', '['], true) ? 1 : (in_array($mark, ['}', ']'], true) ? -1 : 0);
            if ($depth === 0 && ($mark === '}' || $mark === ']')) {
                break;
            }
        }
        $text = substr($this->buffer, $this->at, $from);
        $this->at += $from;

        return $text;
    }

    private function peek(int $bytes): string
    {
        while (strlen($this->buffer) - $this->at < $bytes && $this->more());

        return substr($this->buffer, $this->at, $bytes);
    }

    private function more(): bool
    {
        $read = (string) fread($this->stream, self::CHUNK_BYTES);
        $this->passed += $this->at;
        $this->buffer = substr($this->buffer, $this->at) . $read;
        $this->at = 0;

        return $read !== '';
    }
}
