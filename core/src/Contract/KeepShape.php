<?php

declare(strict_types=1);

namespace Vinculum\Contract;

use Vinculum\Keeping\Caution;
use Vinculum\Keeping\Keep;

/** How a sauce is kept. The shape of the public JSON contract, for the command line and for HTTP alike: days, months. */
final class KeepShape
{
    /** @return array<string, mixed> */
    public static function of(Keep $keep): array
    {
        return [
            'storage' => $keep->storage,
            'days' => array_map(Figure::round(...), $keep->days),
            'freezer_months' => Figure::roundOrNull($keep->freezerMonths),
            'reasons' => $keep->reasons,
            'cautions' => array_map(self::caution(...), $keep->cautions),
            'traditions' => $keep->traditions,
            'asks' => $keep->asks,
        ];
    }

    /** @return array{code: string, severity: string, text: string, source: string} */
    public static function caution(Caution $caution): array
    {
        return ['code' => $caution->code, 'severity' => $caution->severity, 'text' => $caution->text, 'source' => $caution->source];
    }
}
