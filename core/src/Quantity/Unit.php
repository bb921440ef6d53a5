<?php

declare(strict_types=1);

namespace Vinculum\Quantity;

/** A unit of weight or volume, exact or vague. Counts (clove, tin) belong to the ingredient that is counted. */
final readonly class Unit
{
    private function __construct(
        public string $name,
        public ?float $grams,
        public ?float $millilitres,
        public float $spread,
    ) {}

    public static function ofWeight(string $name, float $grams, float $spread = 0.0): self
    {
        return new self($name, $grams, null, $spread);
    }

    public static function ofVolume(string $name, float $millilitres, float $spread = 0.0): self
    {
        return new self($name, null, $millilitres, $spread);
    }

    public function isVague(): bool
    {
        return $this->spread > 0.0;
    }
}
