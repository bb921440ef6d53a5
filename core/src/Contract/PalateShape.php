<?php

declare(strict_types=1);

namespace Vinculum\Contract;

use Vinculum\Palate\Ideal;
use Vinculum\Palate\Palate;
use Vinculum\Style\StyleFamily;

/** What is learned of a cook's taste for a family, for HTTP: all in steps. */
final class PalateShape
{
    /** @return array<string, mixed> */
    public static function of(StyleFamily $style, Palate $palate): array
    {
        return [
            'style' => $style->key,
            'name' => $style->name,
            'says' => $palate->words(),
            'tastings' => $palate->tastings,
            'axes' => (object) array_map(static fn(Ideal $ideal): array => [
                'prior' => Figure::round($ideal->prior),
                'ideal' => Figure::round($ideal->mean),
                'deviation' => Figure::round($ideal->deviation),
                'shift' => Figure::round($ideal->shift()),
                'tastings' => $ideal->tastings,
            ], $palate->ideals),
        ];
    }
}
