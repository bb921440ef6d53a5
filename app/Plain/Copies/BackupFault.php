<?php

declare(strict_types=1);

namespace App\Plain\Copies;

/** A copy that cannot be made or trusted; the message says why, and that nothing was changed. */
final class BackupFault extends \RuntimeException
{
    /**
     * @param bool $isDamage what it is about can be used no more
     * @param bool $isForNow it may be otherwise in a moment
     */
    public function __construct(
        string $says,
        public readonly bool $isDamage = false,
        public readonly bool $isForNow = false,
    ) {
        parent::__construct($says);
    }

    public static function noKitchen(): self
    {
        return new self('there is no kitchen to copy yet: ./vinculum start makes one.');
    }

    public static function cannotWrite(string $file): self
    {
        return new self("{$file} could not be written: is there room, and may you write there? Nothing was changed.");
    }

    public static function isThere(string $file): self
    {
        return new self("{$file} is there already, and was left as it is: take another name, or add --replace.");
    }

    public static function noPlainFile(string $file): self
    {
        return new self("{$file} is a link, a folder or a device, and was left as it is: name a plain file.");
    }

    public static function isTheKitchen(string $file): self
    {
        return new self("{$file} is the kitchen itself, which is in use: name another file. Nothing was changed.");
    }

    public static function notThere(string $file): self
    {
        return new self("there is no file {$file}.");
    }

    public static function noCopy(string $file): self
    {
        return new self("{$file} is no copy of a kitchen. Nothing was changed.", true);
    }

    public static function oddRow(string $file, string $what): self
    {
        return new self("{$file} cannot be put back: {$what}. Nothing was changed.", true);
    }

    public static function foreign(string $file, string $what): self
    {
        return new self(
            "{$file} is no copy of a kitchen: {$what} in it is not as Vinculum makes it. Nothing was changed.",
        );
    }

    public static function damaged(string $file): self
    {
        return new self("{$file} is damaged and was not used. Nothing was changed: try an older copy.", true);
    }

    public static function busy(string $file): self
    {
        return new self(
            "{$file} is busy: somebody else is writing to it for long now. Nothing was changed: try again.",
            isForNow: true,
        );
    }

    public static function unreadable(string $file): self
    {
        return new self(
            "{$file} could not be read: may you read it and its folder, and is the disk well? Nothing was changed.",
            isForNow: true,
        );
    }

    public static function damagedKitchen(string $kitchen, ?string $newest): self
    {
        return new self(
            "the kitchen in {$kitchen} is damaged, and was left as it is. "
                . ($newest === null ? 'There is no copy of it here: put one back with ./vinculum restore FILE.' : "The newest sound copy: ./vinculum restore {$newest}"),
        );
    }

    public static function kitchenIsGone(string $kitchen, ?string $newest): self
    {
        return new self(
            "the kitchen in {$kitchen} is gone, and there are copies of it. "
                . ($newest === null ? 'None of them is sound' : "To put the newest back: ./vinculum restore {$newest}")
                . '. To begin a new one all the same: ./vinculum start --anew',
        );
    }

    public static function replaced(string $kitchen): self
    {
        return new self(
            "another file was put in place of the kitchen in {$kitchen} while changes of the one before lie beside it in "
                . basename($kitchen)
                . "-wal; mixed, they would spoil it. Nothing was changed. To use the file that is there now: ./vinculum restore {$kitchen}",
        );
    }

    public static function closed(string $kitchen): self
    {
        return new self(
            "the kitchen in {$kitchen} may not be read and written: give yourself the right to, for the file and its folder.",
        );
    }

    public static function newer(string $file): self
    {
        return new self("{$file} was made by a newer Vinculum. Nothing was changed: upgrade first.");
    }

    public static function notPutBack(): self
    {
        return new self(
            'the kitchen is busy or cannot be written, and nothing was changed. Stop the app, or try again.',
        );
    }
}
