<?php

declare(strict_types=1);

namespace App\Console;

/** What a command has to say, for a machine and for a person. */
final readonly class Answer
{
    /** @param array<string, mixed> $json */
    public function __construct(public array $json, public string $text) {}
}
