<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\CookSession\CookEvent;

/** Something about a step of the method, counted from 0. */
abstract readonly class StepEvent extends CookEvent
{
    public const NEEDS = ['step'];

    final public function __construct(int $id, float $at, public int $step, ?string $words = null, ?string $key = null)
    {
        parent::__construct($id, $at, $words, $key);
    }

    public static function read(int $id, float $at, array $figures, array $grams, ?string $words, ?string $key): static
    {
        return new static($id, $at, (int) $figures['step'], $words, $key);
    }

    public function figures(): array
    {
        return ['step' => (float) $this->step];
    }
}
