<?php

declare(strict_types=1);

namespace App\Imports;

use App\Exchange\ImportFault;

/** Files on their way in, laid down piece by piece: a file may be as large as the disk has room for. */
final readonly class Uploads
{
    private const STALE_SECONDS = 86_400;
    /** Left free for the kitchen itself. */
    private const SPARED_BYTES = 50_000_000;

    public function __construct(private string $folder) {}

    /** @return string the name of the upload */
    public function begin(): string
    {
        if (!is_dir($this->folder) && !@mkdir($this->folder, 0o700, true) && !is_dir($this->folder)) {
            throw ImportFault::noRoom();
        }
        foreach (glob("{$this->folder}/*") ?: [] as $file) {
            if ((int) @filemtime($file) < time() - self::STALE_SECONDS) {
                @unlink($file);
            }
        }
        $name = bin2hex(random_bytes(12));
        if (@file_put_contents($this->path($name), '') === false) {
            throw ImportFault::noRoom();
        }

        return $name;
    }

    /**
     * Adds a piece. One that is sent twice is stored once.
     *
     * @param int $at where it belongs, in bytes
     *
     * @return int bytes that are there now
     *
     * @throws ImportFault where there is no such upload, no room, or a gap before the piece
     */
    public function add(string $name, int $at, string $piece): int
    {
        $handle = $this->has($name) ? @fopen($this->path($name), 'r+') : false;
        if ($handle === false) {
            throw ImportFault::noUpload();
        }
        try {
            flock($handle, LOCK_EX);
            $there = (int) (fstat($handle)['size'] ?? 0);
            if ($at > $there) {
                throw ImportFault::gap($there);
            }
            if ((float) disk_free_space($this->folder) < strlen($piece) + self::SPARED_BYTES) {
                throw ImportFault::noRoom();
            }
            fseek($handle, $at);
            if (fwrite($handle, $piece) !== strlen($piece)) {
                throw ImportFault::noRoom();
            }

            return max($there, $at + strlen($piece));
        } finally {
            fclose($handle);
        }
    }

    public function has(string $name): bool
    {
        return preg_match('/^[0-9a-f]{24}$/', $name) === 1 && is_file($this->path($name));
    }

    /**
     * @return resource
     *
     * @throws ImportFault
     */
    public function open(string $name)
    {
        $handle = $this->has($name) ? @fopen($this->path($name), 'r') : false;

        return $handle === false ? throw ImportFault::noUpload() : $handle;
    }

    /**
     * @return array{bytes: int, read: int} bytes of it that are there, and that were read so far
     *
     * @throws ImportFault
     */
    public function state(string $name): array
    {
        if (!$this->has($name)) {
            throw ImportFault::noUpload();
        }
        clearstatcache();

        return [
            'bytes' => (int) filesize($this->path($name)),
            'read' => (int) @file_get_contents($this->path($name) . '-read'),
        ];
    }

    /** Notes how far it was read; where it was forgotten meanwhile, reading it ends. @throws ImportFault */
    public function noteRead(string $name, int $bytes): void
    {
        clearstatcache();
        if (!$this->has($name)) {
            throw ImportFault::cancelled();
        }
        @file_put_contents($this->path($name) . '-read', (string) $bytes);
    }

    public function forget(string $name): void
    {
        if ($this->has($name)) {
            @unlink($this->path($name));
            @unlink($this->path($name) . '-read');
        }
    }

    private function path(string $name): string
    {
        return "{$this->folder}/{$name}";
    }
}
