<?php

declare(strict_types=1);

namespace Vinculum\Chemistry;

/** How one mixture differs from another: an amount of each component more, or less. */
final readonly class MixtureChange
{
    /** @param array<string, float> $amounts by component key; negative where there is less */
    public function __construct(public array $amounts) {}

    public function grams(): float
    {
        $grams = 0.0;
        foreach ($this->amounts as $component => $amount) {
            $grams += Component::from($component)->isMass() ? $amount : 0.0;
        }

        return $grams;
    }

    public function millilitres(): float
    {
        $volumes = Component::every('volume');
        $millilitres = 0.0;
        foreach ($this->amounts as $component => $amount) {
            $millilitres += ($volumes[$component] ?? 0.0) * $amount;
        }

        return $millilitres;
    }

    /** With less water by so many grams. */
    public function drier(float $grams): self
    {
        $water = Component::Water->value;

        return new self([...$this->amounts, $water => ($this->amounts[$water] ?? 0.0) - $grams]);
    }
}
