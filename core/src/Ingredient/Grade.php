<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

/** How well a composition figure is known; the handbook's four grades. */
enum Grade: string
{
    case A = 'A';
    case B = 'B';
    case C = 'C';
    case D = 'D';

    /** One relative standard deviation. */
    public function deviation(): float
    {
        return match ($this) {
            self::A => 0.03,
            self::B => 0.10,
            self::C => 0.20,
            self::D => 0.40,
        };
    }
}
