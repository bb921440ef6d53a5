<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

/** A note was written. */
final readonly class NoteWritten extends PlainEvent
{
    public const KIND = 'note';

    public function says(array $lines): string
    {
        return (string) $this->words;
    }
}
