<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\CookSession\CookEvent;

/** The pH was measured. */
final readonly class PhMeasured extends CookEvent
{
    public const KIND = 'ph';
    public const NEEDS = ['ph'];

    public function __construct(
        int $id,
        float $at,
        public float $ph,
        public ?float $celsius = null,
        ?string $words = null,
        ?string $key = null,
    ) {
        parent::__construct($id, $at, $words, $key);
    }

    public static function read(int $id, float $at, array $figures, array $grams, ?string $words, ?string $key): static
    {
        return new self($id, $at, $figures['ph'], $figures['celsius'] ?? null, $words, $key);
    }

    public function figures(): array
    {
        return ['ph' => $this->ph, ...($this->celsius === null ? [] : ['celsius' => $this->celsius])];
    }

    public function says(array $lines): string
    {
        return sprintf('pH %.2f measured', $this->ph);
    }
}
