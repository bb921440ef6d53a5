<?php

declare(strict_types=1);

namespace App\Database;

/** Why the kitchen's data could not be read or written, in plain words, with the way out. Nothing was stored then. */
final class Trouble
{
    /** Primary result codes of SQLite: https://www.sqlite.org/rescode.html */
    private const SAYS = [
        5 => 'Somebody else is writing to the kitchen for long now.',
        6 => 'Somebody else is writing to the kitchen for long now.',
        8 => 'The kitchen\'s file may only be read: give yourself the right to write it and its folder.',
        10 => 'The disk does not take or give the kitchen\'s data: look whether it is full or failing.',
        11 => 'The kitchen\'s file is damaged: put a copy back with ./vinculum restore, or on the Copies page.',
        13 => 'The disk is full: make room, then it goes on.',
        14 => 'The kitchen\'s file cannot be opened: look whether it and its folder are still there.',
        26 => 'The kitchen\'s file is no kitchen any more: put a copy back with ./vinculum restore.',
    ];

    private const READ_ONLY = 8;
    private const CONSTRAINT = 19;

    /** Whether a row was to name another that is not there any more. */
    public static function isOfAReference(\PDOException $fault): bool
    {
        return self::code($fault) === self::CONSTRAINT && str_contains($fault->getMessage(), 'FOREIGN KEY');
    }

    /** For the log: what, and where, in one line. */
    public static function line(\PDOException $fault): string
    {
        return sprintf(
            'Database trouble %d: %s',
            self::code($fault),
            trim((string) preg_replace('/\s*\(Connection: .*$/s', '', $fault->getMessage())),
        );
    }

    private static function code(\PDOException $fault): int
    {
        $code = $fault->errorInfo[1] ?? null;

        return is_int($code) ? $code & 0xFF : 0;
    }

    public static function says(\PDOException $fault): string
    {
        if (self::code($fault) === self::READ_ONLY && config('database.reads_only') === true) {
            return 'The disk was full when the kitchen was opened, so it is only read. Make room, and start Vinculum again. Nothing was stored; what you typed is still on the page.';
        }

        return (self::SAYS[self::code($fault)] ?? 'The kitchen\'s data could not be written or read just now.')
            . ' Nothing was stored. What you typed is still on the page; it is tried again by itself.';
    }
}
