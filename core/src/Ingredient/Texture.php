<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

/** How a thing fills a spoon or a cup, and so how far a volume of it can be trusted. */
enum Texture: string
{
    case Liquid = 'liquid';
    case Fine = 'fine';
    case Coarse = 'coarse';

    /** One relative standard deviation of a spooned or cupped amount. */
    public function deviation(): float
    {
        return match ($this) {
            self::Liquid => 0.05,
            self::Fine => 0.10,
            self::Coarse => 0.18,
        };
    }
}
