<?php

declare(strict_types=1);

namespace Vinculum\Facts;

/** A row of the project's own data is missing or malformed: a fault of the files in core/data, never of the cook. */
final class FactsFault extends \RuntimeException
{
    public static function unreadable(string $path): self
    {
        return new self("The facts file {$path} cannot be read.");
    }

    public static function missing(string $row, string $field): self
    {
        return new self("[{$row}] has no \"{$field}\".");
    }

    /** @param array<string> $fields */
    public static function unknownFields(string $row, array $fields): self
    {
        return new self("[{$row}] has \"" . implode('", "', $fields) . '", which nothing reads.');
    }

    public static function notANumber(string $row, string $field, string $found): self
    {
        return new self("[{$row}] {$field}: \"{$found}\" is not a number.");
    }

    public static function unknownKey(string $kind, string $key): self
    {
        return new self("There is no {$kind} called \"{$key}\".");
    }
}
