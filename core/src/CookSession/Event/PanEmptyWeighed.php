<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\Quantity\KitchenNumber;

/** The empty pan was weighed. */
final readonly class PanEmptyWeighed extends WeighedEvent
{
    public const KIND = 'pan-empty';

    public function says(array $lines): string
    {
        return sprintf('the empty pan weighs %s', KitchenNumber::grams($this->grams));
    }
}
