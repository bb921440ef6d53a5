<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Chemistry\Component;

/** The ratios that cooks think in; null where the lower side is nothing. */
final readonly class RatiosReport extends Report
{
    private const NOTHING = 1e-6;

    private function __construct(
        public ?float $sweetToSour,
        public ?float $saltToSweet,
        public ?float $sourToFat,
        public ?float $umamiToSalt,
    ) {}

    public static function of(Balance $balance): self
    {
        $taste = $balance->taste;
        $ratio = static fn(float $top, float $bottom): ?float => $bottom > self::NOTHING ? $top / $bottom : null;

        return new self(
            $ratio($taste->sweet, $taste->sour),
            $ratio($taste->salt, $taste->sweet),
            $ratio($taste->sour, $balance->mixture->percent(Component::Fat)),
            $ratio($taste->umami, $taste->salt),
        );
    }
}
