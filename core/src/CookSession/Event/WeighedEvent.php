<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\CookSession\CookEvent;

/** Something was weighed, in grams. */
abstract readonly class WeighedEvent extends CookEvent
{
    public const NEEDS = ['grams'];

    final public function __construct(
        int $id,
        float $at,
        public float $grams,
        ?string $words = null,
        ?string $key = null,
    ) {
        parent::__construct($id, $at, $words, $key);
    }

    public static function read(int $id, float $at, array $figures, array $grams, ?string $words, ?string $key): static
    {
        return new static($id, $at, $figures['grams'], $words, $key);
    }

    public function figures(): array
    {
        return ['grams' => $this->grams];
    }
}
