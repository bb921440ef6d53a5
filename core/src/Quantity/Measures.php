<?php

declare(strict_types=1);

namespace Vinculum\Quantity;

/** Which country's cups and spoons an unmarked "cup" means. */
enum Measures: string
{
    case Us = 'us';
    case Metric = 'metric';
    case Imperial = 'imperial';
    case Australian = 'au';
    case Japanese = 'jp';

    public function title(): string
    {
        return match ($this) {
            self::Us => 'US cups and spoons',
            self::Metric => 'Metric cups and spoons',
            self::Imperial => 'Imperial pints, metric spoons',
            self::Australian => 'Australian cups and spoons',
            self::Japanese => 'Japanese cups and spoons',
        };
    }
}
