<?php

declare(strict_types=1);

namespace App\Instruments;

use Vinculum\Instrument\InstrumentFault;
use Vinculum\Instrument\Weight;

/** What a scale answers over the line protocol of docs/instruments.md. Plain PHP. */
final class ScaleAnswer
{
    /**
     * @param array<array-key, mixed> $said
     *
     * @throws InstrumentFault when it is no weight
     */
    public static function weight(array $said): Weight
    {
        return Weight::read(
            $said['grams'] ?? null,
            ($said['settled'] ?? false) === true,
            ($said['overload'] ?? false) === true,
            is_numeric($said['resolution'] ?? null) ? (float) $said['resolution'] : 1.0,
        );
    }
}
