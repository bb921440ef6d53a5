<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\CookSession\CookEvent;
use Vinculum\Quantity\KitchenNumber;

/** Pan and sauce were weighed. */
final readonly class PanRead extends CookEvent
{
    public const KIND = 'pan-reads';
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
        return sprintf('pan and sauce weigh %s', KitchenNumber::grams($this->grams));
    }
}
