<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

/** A step of the method is done. */
final readonly class StepDone extends StepEvent
{
    public const KIND = 'step-done';

    public function says(array $lines): string
    {
        return sprintf('step %d done', $this->step + 1);
    }
}
