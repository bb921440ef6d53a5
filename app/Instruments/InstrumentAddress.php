<?php

declare(strict_types=1);

namespace App\Instruments;

/** Where the instruments listen: as the cook names it, or where the stand-in says it does. Plain PHP. */
final class InstrumentAddress
{
    /** Host and port; null where none are connected. */
    public static function here(): ?string
    {
        $named = getenv('VINCULUM_INSTRUMENTS');
        if (is_string($named) && preg_match('/^[\w.-]+:\d{1,5}$/', $named) === 1) {
            return $named;
        }
        $said = is_string($named) && is_file($named) ? json_decode((string) file_get_contents($named), true) : null;

        return is_array($said) && is_string($said['address'] ?? null) ? $said['address'] : null;
    }
}
