<?php

declare(strict_types=1);

namespace Vinculum\Quantity;

/** A non-negative figure with its doubt: a value and one standard deviation, in the same unit. */
final readonly class Amount
{
    /** Half the width of a 90 % interval, in standard deviations. */
    public const NINETY_PERCENT = 1.645;

    private function __construct(public float $value, public float $deviation) {}

    /** @throws \InvalidArgumentException when either is negative or not finite */
    public static function of(float $value, float $deviation): self
    {
        if (!is_finite($value) || !is_finite($deviation) || $value < 0.0 || $deviation < 0.0) {
            throw new \InvalidArgumentException('An amount and its doubt are finite and at least 0.');
        }

        return new self($value, $deviation);
    }

    /** @param float $relative one standard deviation as a fraction of the value */
    public static function within(float $value, float $relative): self
    {
        return self::of($value, $value * $relative);
    }

    public function low(): float
    {
        return max(0.0, $this->value - self::NINETY_PERCENT * $this->deviation);
    }

    public function high(): float
    {
        return $this->value + self::NINETY_PERCENT * $this->deviation;
    }

    public function times(float $factor): self
    {
        return self::of($this->value * $factor, $this->deviation * abs($factor));
    }

    /** The same value, with a further independent relative doubt: the two combine in quadrature. */
    public function doubtedBy(float $relative): self
    {
        return self::of($this->value, hypot($this->deviation, $this->value * $relative));
    }
}
