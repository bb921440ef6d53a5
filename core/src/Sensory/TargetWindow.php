<?php

declare(strict_types=1);

namespace Vinculum\Sensory;

/** The span on an axis within which a style reads as itself. */
final readonly class TargetWindow
{
    private function __construct(public float $low, public float $high) {}

    /** @throws \InvalidArgumentException when an edge is negative, not finite, or the edges are turned round */
    public static function between(float $low, float $high): self
    {
        if (!is_finite($low) || !is_finite($high) || $low < 0.0 || $high < $low) {
            throw new \InvalidArgumentException(
                "A window runs from a lower to a higher edge, both at least 0; {$low} to {$high} does not.",
            );
        }

        return new self($low, $high);
    }

    /** So many steps either side of a position on the step scale; from 0 where it reaches below the threshold. */
    public static function around(Axis $axis, float $position, float $steps): self
    {
        return self::ofSteps($axis, $position - $steps, $position + $steps);
    }

    /** Between two positions on the step scale; from 0 where it reaches down to the threshold. */
    public static function ofSteps(Axis $axis, float $low, float $high): self
    {
        return self::between($low <= 0.0 ? 0.0 : $axis->valueAt($low), $axis->valueAt(max(0.0, $high)));
    }

    /** @return array{float, float} its edges on the step scale */
    public function inSteps(Axis $axis): array
    {
        return [$axis->steps($this->low), $axis->steps($this->high)];
    }

    /**
     * The same, reaching to so many steps from where a sauce stands, so that no answer moves it further; where there is
     * next to nothing of a taste, to half of its lower edge, since steps from nothing are none that a tongue knows.
     */
    public function reaching(Axis $axis, float $value, float $steps): self
    {
        [$low, $high] = $this->inSteps($axis);
        $stands = $axis->steps($value);
        $up = max($stands + $steps, $axis->steps(0.5 * $this->low));
        $down = $stands - $steps;

        return match (true) {
            $up < $low => self::ofSteps($axis, $up, $low),
            $down > $high => self::ofSteps($axis, $high, $down),
            default => $this,
        };
    }

    /** Signed steps outside the window: 0 inside, negative below, positive above. */
    public function off(Axis $axis, float $value): float
    {
        $steps = $axis->steps($value);

        return match (true) {
            $steps > $axis->steps($this->high) => $steps - $axis->steps($this->high),
            $steps < $axis->steps($this->low) => $steps - $axis->steps($this->low),
            default => 0.0,
        };
    }
}
