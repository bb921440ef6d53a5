<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Database\Setting;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;

/** What this kitchen measures with, and when; asked for once in a request. */
final class Tools
{
    private const NO_SCALE = 'tools.no-scale';
    private const READIES_FIRST = 'tools.readies-first';

    private ?bool $hasScale = null;
    private ?bool $readiesFirst = null;

    public function hasScale(): bool
    {
        return $this->hasScale ??= Setting::read(self::NO_SCALE) === null;
    }

    /** What the cook measures with. */
    public function spoons(Measures $measures): Spoons
    {
        return Spoons::of($measures, hasScale: $this->hasScale());
    }

    /** Whether all is measured out before the heat; else as it goes. */
    public function readiesFirst(): bool
    {
        return $this->readiesFirst ??= Setting::read(self::READIES_FIRST) !== null;
    }

    public function keepScale(bool $hasScale): void
    {
        Setting::write(self::NO_SCALE, $hasScale ? null : 'yes');
        $this->hasScale = $hasScale;
    }

    public function keepOrder(bool $readiesFirst): void
    {
        Setting::write(self::READIES_FIRST, $readiesFirst ? 'yes' : null);
        $this->readiesFirst = $readiesFirst;
    }
}
