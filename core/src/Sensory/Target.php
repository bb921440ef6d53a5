<?php

declare(strict_types=1);

namespace Vinculum\Sensory;

/** Where a sauce is meant to stand: a window on each axis that matters. An axis let go of has none. */
final readonly class Target
{
    /** Steps either side of a place that a cook has put a mark to, and of a mark that is to stay. */
    public const PLACED_WITHIN = 0.5;
    private const HELD_WITHIN = 1.0;

    /** @param array<string, TargetWindow> $windows by axis */
    private function __construct(private array $windows) {}

    /** @param array<string, TargetWindow> $windows by axis key */
    public static function of(array $windows): self
    {
        foreach (array_keys($windows) as $axis) {
            Axis::from($axis);
        }

        return new self($windows);
    }

    /** A liked batch as a target: within so many steps of where it stands, on every axis. */
    public static function around(Taste $liked, float $steps = 1.0): self
    {
        return new self(
            Axis::each(
                static fn(Axis $axis): TargetWindow => TargetWindow::around($axis, $liked->stepsOn($axis), $steps),
            ),
        );
    }

    /** Half-way between two tastes, within so many steps: the way back from a dose too many. */
    public static function between(Taste $one, Taste $other, float $steps): self
    {
        return new self(
            Axis::each(
                static fn(Axis $axis): TargetWindow => TargetWindow::around(
                    $axis,
                    ($one->stepsOn($axis) + $other->stepsOn($axis)) / 2.0,
                    $steps,
                ),
            ),
        );
    }

    /** The same target with one axis moved by so many steps; an axis let go of stays so. */
    public function moved(Axis $axis, float $steps): self
    {
        $window = $this->window($axis);
        if ($window === null) {
            return $this;
        }

        return $this->with(
            $axis,
            TargetWindow::ofSteps($axis, $axis->steps($window->low) + $steps, $axis->steps($window->high) + $steps),
        );
    }

    /**
     * Axes that are meant to be tasted, and of which a taste holds nothing: perhaps they are to be left out.
     *
     * @return list<Axis>
     */
    public function missingFrom(Taste $taste): array
    {
        return array_values(
            array_filter(
                Axis::cases(),
                fn(Axis $axis): bool => $axis->steps($this->window($axis)->low ?? 0.0) > 0.0
                    && $taste->stepsOn($axis) <= 0.0,
            ),
        );
    }

    public function without(Axis $axis): self
    {
        return new self(array_diff_key($this->windows, [$axis->value => true]));
    }

    public function window(Axis $axis): ?TargetWindow
    {
        return $this->windows[$axis->value] ?? null;
    }

    public function with(Axis $axis, TargetWindow $window): self
    {
        return new self([...$this->windows, $axis->value => $window]);
    }

    /** √Σ off², in steps. */
    /** The same with another window on an axis. */
    public function having(Axis $axis, TargetWindow $window): self
    {
        return new self([...$this->windows, $axis->value => $window]);
    }

    /** A sauce pulled to a place on one axis, the others held within a step of where they are. */
    public static function pulling(Taste $now, Axis $axis, float $steps): self
    {
        $windows = [];
        foreach (Axis::cases() as $one) {
            $windows[$one->value] = TargetWindow::around(
                $one,
                $one === $axis ? $steps : $now->stepsOn($one),
                $one === $axis ? self::PLACED_WITHIN : self::HELD_WITHIN,
            );
        }

        return new self($windows);
    }

    /** The same, with windows that reach to so many steps from where a sauce stands. */
    public function reaching(Taste $taste, float $steps): self
    {
        $windows = [];
        foreach ($this->windows as $key => $window) {
            $axis = Axis::from($key);
            $windows[$key] = $window->reaching($axis, $taste->on($axis), $steps);
        }

        return new self($windows);
    }

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
