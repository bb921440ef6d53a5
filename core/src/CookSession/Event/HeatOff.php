<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

/** The heat went off. */
final readonly class HeatOff extends PlainEvent
{
    public const KIND = 'heat-off';

    public function says(array $lines): string
    {
        return 'off the heat';
    }
}
