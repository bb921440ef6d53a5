<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\CookSession\CookEvent;

/** The probe was read. */
final readonly class TemperatureRead extends CookEvent
{
    public const KIND = 'temperature';
    public const NEEDS = ['celsius'];

    public function __construct(int $id, float $at, public float $celsius, ?string $words = null, ?string $key = null)
    {
        parent::__construct($id, $at, $words, $key);
    }

    public static function read(int $id, float $at, array $figures, array $grams, ?string $words, ?string $key): static
    {
        return new self($id, $at, $figures['celsius'], $words, $key);
    }

    public function figures(): array
    {
        return ['celsius' => $this->celsius];
    }

    public function says(array $lines): string
    {
        return sprintf('%.1f °C', $this->celsius);
    }
}
