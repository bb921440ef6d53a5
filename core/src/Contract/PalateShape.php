<?php

declare(strict_types=1);

namespace Vinculum\Contract;

use Vinculum\Palate\Palate;
use Vinculum\Palate\PreferredPosition;
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
            'axes' => (object) array_map(static fn(PreferredPosition $preferred): array => [
                'prior' => Figure::round($preferred->prior),
                'ideal' => Figure::round($preferred->mean),
                'deviation' => Figure::round($preferred->deviation),
                'shift' => Figure::round($preferred->shift()),
                'tastings' => $preferred->tastings,
            ], $palate->ideals),
        ];
    }
}
