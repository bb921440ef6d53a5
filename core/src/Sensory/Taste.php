<?php

declare(strict_types=1);

namespace Vinculum\Sensory;

use Vinculum\Chemistry\Mixture;

/** Where a mixture stands on the five axes, in their units. */
final readonly class Taste
{
    private function __construct(
        public float $sweet,
        public float $sour,
        public float $salt,
        public float $umami,
        public float $heat,
    ) {}

    public static function of(float $sweet, float $sour, float $salt, float $umami, float $heat): self
    {
        return new self($sweet, $sour, $salt, $umami, $heat);
    }

    /** @param array<string, float> $values by axis; what is not told is nothing */
    public static function ofAxes(array $values): self
    {
        return new self(...array_values(Axis::each(static fn(Axis $axis): float => $values[$axis->value] ?? 0.0)));
    }

    public static function ofNothing(): self
    {
        return new self(0.0, 0.0, 0.0, 0.0, 0.0);
    }

    public static function ofMixture(Mixture $mixture): self
    {
        return TasteLoad::of($mixture)->taste();
    }

    public function on(Axis $axis): float
    {
        return match ($axis) {
            Axis::Sweet => $this->sweet,
            Axis::Sour => $this->sour,
            Axis::Salt => $this->salt,
            Axis::Umami => $this->umami,
            Axis::Heat => $this->heat,
        };
    }

    /** @return array<value-of<Axis>, float> by axis */
    public function byAxis(): array
    {
        return [
            'sweet' => $this->sweet,
            'sour' => $this->sour,
            'salt' => $this->salt,
            'umami' => $this->umami,
            'heat' => $this->heat,
        ];
    }

    public function stepsOn(Axis $axis): float
    {
        return $axis->steps($this->on($axis));
    }

    /**
     * Steps moved on each axis from here to there.
     *
     * @return array<value-of<Axis>, float> positive where the other is stronger
     */
    public function stepsTo(self $other): array
    {
        return Axis::each(fn(Axis $axis): float => $other->stepsOn($axis) - $this->stepsOn($axis));
    }

    /** √Σ (steps moved)²: how far another taste is from this one. */
    public function stepsApart(self $other): float
    {
        return sqrt(array_sum(array_map(static fn(float $moved): float => $moved * $moved, $this->stepsTo($other))));
    }
}
