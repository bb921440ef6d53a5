<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\CookSession\CookEvent;

/** A step of the method is done. */
final readonly class StepDone extends CookEvent
{
    public const KIND = 'step-done';
    public const NEEDS = ['step'];

    /** @param int $step from 0 */
    public function __construct(int $id, float $at, public int $step, ?string $words = null, ?string $key = null)
    {
        parent::__construct($id, $at, $words, $key);
    }

    public static function read(int $id, float $at, array $figures, array $grams, ?string $words, ?string $key): static
    {
        return new self($id, $at, (int) $figures['step'], $words, $key);
    }

    public function figures(): array
    {
        return ['step' => (float) $this->step];
    }

    public function says(array $lines): string
    {
        return sprintf('step %d done', $this->step + 1);
    }
}
