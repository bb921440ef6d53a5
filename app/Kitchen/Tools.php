<?php

declare(strict_types=1);

namespace App\Kitchen;

use App\Database\Setting;

/** What this kitchen measures with; asked for once in a request. */
final class Tools
{
    private const NO_SCALE = 'tools.no-scale';

    private ?bool $hasScale = null;

    public function hasScale(): bool
    {
        return $this->hasScale ??= Setting::read(self::NO_SCALE) === null;
    }

    public function keep(bool $hasScale): void
    {
        Setting::write(self::NO_SCALE, $hasScale ? null : 'yes');
        $this->hasScale = $hasScale;
    }
}
