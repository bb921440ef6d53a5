<?php

declare(strict_types=1);

namespace App\Plain\CommandLine;

use Vinculum\Report\Report;

/** What a command has to say, for a machine and for a person. */
final readonly class Answer
{
    /** @param Report|array<string, mixed> $json */
    public function __construct(public Report|array $json, public string $text) {}
}
