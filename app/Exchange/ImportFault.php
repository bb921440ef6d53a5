<?php

declare(strict_types=1);

namespace App\Exchange;

use Vinculum\Facts\Words;

/** What was given cannot be taken in; the message says why, and nothing was. */
final class ImportFault extends \DomainException
{
    public static function noKitchen(): self
    {
        return new self('This JSON is neither a kitchen nor a recipe.');
    }

    public static function version(int $version): self
    {
        return new self(
            "This kitchen was written in format {$version}, and this program knows format "
                . KitchenFile::VERSION
                . ': upgrade it first. Nothing was taken in.',
        );
    }

    public static function damaged(string $why): self
    {
        return new self("This kitchen is damaged ({$why}). Nothing was taken in.");
    }

    public static function table(int $line, string $why): self
    {
        return new self("Line {$line} of the table: {$why}. Nothing was taken in.");
    }

    /** @param list<string> $since what was made of it since, in words */
    public static function usedSince(array $since): self
    {
        return new self(
            'Since it came in there ' . (count($since) === 1 && str_starts_with($since[0], 'a ') ? 'is ' : 'are ')
                . Words::listed($since)
                . ', which would go with it. Nothing was taken out: put away from the shelf what you do not want, one by one.',
        );
    }

    public static function noUpload(): self
    {
        return new self('That file is not here any more: choose it again.');
    }

    public static function gap(int $there): self
    {
        return new self("Only {$there} bytes of the file are here: go on from there.");
    }

    public static function noRoom(): self
    {
        return new self('There is no room on the disk for this file: make some, and try again. Nothing was taken in.');
    }

    public static function cancelled(): self
    {
        return new self('It was cancelled. Nothing was taken in.');
    }

    public static function tooManyRows(int $rows, int $most): self
    {
        return new self(
            "{$rows} rows are not taken in at once; up to {$most} are: split the table. Nothing was taken in.",
        );
    }

    public static function nothingThere(): self
    {
        return new self('There is nothing in it.');
    }
}
