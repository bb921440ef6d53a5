<?php

declare(strict_types=1);

namespace App\Plain\CommandLine;

/** The command line itself is wrong. The message is one line with the way out. */
final class WrongCall extends \RuntimeException
{
    public static function unknownCommand(string $command): self
    {
        return new self("There is no command \"{$command}\". Try ./vinculum help.");
    }

    public static function unknownOption(string $option, string $command): self
    {
        return new self("{$command} has no option {$option}. Try ./vinculum help.");
    }

    public static function missingValue(string $option): self
    {
        return new self("{$option} needs a value after it.");
    }

    public static function badValue(string $option, string $value, string $wanted): self
    {
        return new self("{$option} \"{$value}\": {$wanted}.");
    }

    /** What the core says against a value, under the option that it came with. */
    public static function because(string $option, string $value, \Exception $fault): self
    {
        return new self("{$option} \"{$value}\": {$fault->getMessage()}");
    }

    public static function noFile(string $command): self
    {
        return new self("{$command} needs a recipe file, or --stdin.");
    }

    public static function unreadableFile(string $file): self
    {
        return new self("{$file} cannot be read: is the name right?");
    }
}
