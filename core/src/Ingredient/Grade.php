<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Facts\Facts;

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
        $facts = Facts::of(GradeFacts::class);

        return match ($this) {
            self::A => $facts->gradeA,
            self::B => $facts->gradeB,
            self::C => $facts->gradeC,
            self::D => $facts->gradeD,
        };
    }
}
