<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\CookSession\CookEvent;
use Vinculum\Quantity\KitchenNumber;

/** The empty pan was weighed. */
final readonly class PanEmptyWeighed extends CookEvent
{
    public const KIND = 'pan-empty';
    public const NEEDS = ['grams'];

    public function __construct(int $id, float $at, public float $grams, ?string $words = null, ?string $key = null)
    {
        parent::__construct($id, $at, $words, $key);
    }

    public static function read(int $id, float $at, array $figures, array $grams, ?string $words, ?string $key): static
    {
        return new self($id, $at, $figures['grams'], $words, $key);
    }

    public function figures(): array
    {
        return ['grams' => $this->grams];
    }

    public function says(array $lines): string
    {
        return sprintf('the empty pan weighs %s', KitchenNumber::grams($this->grams));
    }
}
