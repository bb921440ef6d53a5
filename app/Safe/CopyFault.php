<?php

declare(strict_types=1);

namespace App\Safe;

/** A copy that cannot be made or trusted; the message says why, and that nothing was changed. */
final class CopyFault extends \RuntimeException
{
    public function __construct(string $says, public readonly bool $isOfANewer = false)
    {
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

    public static function notThere(string $file): self
    {
        return new self("there is no file {$file}.");
    }

    public static function noCopy(string $file): self
    {
        return new self("{$file} is no copy of a kitchen. Nothing was changed.");
    }

    public static function damaged(string $file): self
    {
        return new self("{$file} is damaged and was not used. Nothing was changed: try an older copy.");
    }

    public static function damagedKitchen(string $kitchen, ?string $newest): self
    {
        return new self("the kitchen in {$kitchen} is damaged, and was left as it is. " . ($newest === null ? 'There is no copy of it here: put one back with ./vinculum restore FILE.' : "The newest sound copy: ./vinculum restore {$newest}"));
    }

    public static function closed(string $kitchen): self
    {
        return new self("the kitchen in {$kitchen} may not be read and written: give yourself the right to, for the file and its folder.");
    }

    public static function newer(string $file): self
    {
        return new self("{$file} was made by a newer Vinculum. Nothing was changed: upgrade first.", true);
    }

    public static function notPutBack(): self
    {
        return new self('the kitchen is busy or cannot be written, and nothing was changed. Stop the app, or try again.');
    }
}
