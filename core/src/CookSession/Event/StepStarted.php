<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

/** A step of the method began. */
final readonly class StepStarted extends StepEvent
{
    public const KIND = 'step-started';

    public function says(array $lines): string
    {
        return sprintf('step %d began', $this->step + 1);
    }
}
