<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\Quantity\KitchenNumber;

/** Pan and sauce were weighed. */
final readonly class PanRead extends WeighedEvent
{
    public const KIND = 'pan-reads';

    public function says(array $lines): string
    {
        return sprintf('pan and sauce weigh %s', KitchenNumber::grams($this->grams));
    }
}
