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
}
