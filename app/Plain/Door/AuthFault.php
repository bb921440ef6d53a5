<?php

declare(strict_types=1);

namespace App\Plain\Door;

/** A passphrase that cannot be one, or cannot be kept. */
final class AuthFault extends \RuntimeException
{
    public static function tooShort(int $letters): self
    {
        return new self(
            "that passphrase is too short to keep anybody out: take {$letters} letters or more, four words for instance",
        );
    }

    public static function tooPlain(): self
    {
        return new self(
            'that passphrase is guessed at once: the same letters again, or counting. Take four words that nobody would put together',
        );
    }

    public static function tooLong(int $bytes): self
    {
        return new self(
            "that passphrase is longer than {$bytes} letters, and the rest would not count: take a shorter one",
        );
    }

    public static function cannotKeep(string $file): self
    {
        return new self("the passphrase could not be kept in {$file}: is the disk full, or the folder closed to you?");
    }
}
