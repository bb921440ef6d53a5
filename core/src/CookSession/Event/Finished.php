<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

/** The sauce is in its jars. */
final readonly class Finished extends PlainEvent
{
    public const KIND = 'finished';

    public function says(array $lines): string
    {
        return 'into the jars';
    }
}
