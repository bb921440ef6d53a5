<?php

declare(strict_types=1);

namespace App\Http;

/**
 * What an action answers with: reports by their class, shapes by the name that a docblock gives them, or a file by its
 * media type. Several are sent as one object with the fields of all.
 */
#[\Attribute(\Attribute::TARGET_METHOD)]
final readonly class Answers
{
    /** @var non-empty-list<string> */
    public array $types;

    /** @param string|non-empty-list<string> $types */
    public function __construct(string|array $types, public int $status = 200)
    {
        $this->types = (array) $types;
    }

    /** The media type where it answers with a file; null where it answers with JSON. */
    public function mediaType(): ?string
    {
        return str_contains($this->types[0], '/') ? $this->types[0] : null;
    }
}
