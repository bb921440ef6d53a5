<?php

declare(strict_types=1);

namespace App\Server;

/** The server's log: appended to, and turned over when it grows, so that it never fills a disk. */
final readonly class ServerLog
{
    private const MOST_BYTES = 2_000_000;
    private const KEPT = 3;

    public function __construct(private string $file) {}

    public function note(string $says): void
    {
        @file_put_contents($this->file, '[' . date('D M j H:i:s Y') . "] vinculum: {$says}\n", FILE_APPEND);
    }

    /** Whoever writes goes on writing into the same file, so it is copied and emptied. */
    public function rotate(): void
    {
        clearstatcache();
        if (!is_file($this->file) || filesize($this->file) < self::MOST_BYTES) {
            return;
        }
        for ($number = self::KEPT; $number > 1; --$number) {
            @rename("{$this->file}." . ($number - 1), "{$this->file}.{$number}");
        }
        @copy($this->file, "{$this->file}.1");
        $handle = @fopen($this->file, 'r+');
        if ($handle !== false) {
            ftruncate($handle, 0);
            fclose($handle);
        }
    }
}
