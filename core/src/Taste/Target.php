<?php

declare(strict_types=1);

namespace Vinculum\Taste;

/** Where a sauce is meant to stand: a window on each axis that matters. An axis let go of has none. */
final readonly class Target
{
    /** @param array<string, Window> $windows by axis */
    private function __construct(private array $windows) {}

    /** @param array<string, Window> $windows by axis key */
    public static function of(array $windows): self
    {
        foreach (array_keys($windows) as $axis) {
            Axis::from($axis);
        }

        return new self($windows);
    }

    public function window(Axis $axis): ?Window
    {
        return $this->windows[$axis->value] ?? null;
    }

    public function with(Axis $axis, Window $window): self
    {
        return new self([...$this->windows, $axis->value => $window]);
    }

    /** √Σ off², in steps. */
    public function distance(Taste $taste): float
    {
        $sum = 0.0;
        foreach ($this->windows as $key => $window) {
            $axis = Axis::from($key);
            $sum += $window->off($axis, $taste->on($axis)) ** 2;
        }

        return sqrt($sum);
    }
}
