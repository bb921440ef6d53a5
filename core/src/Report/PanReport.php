<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Cooking\Pan;

/** The pan that was reckoned with, and whether anybody named it. */
final class PanReport
{
    /** @return array{centimetres: float, assumed: bool}|null null where none was, or its width is not known */
    public static function of(?Pan $pan): ?array
    {
        $centimetres = $pan?->centimetres();

        return $pan === null || $centimetres === null
            ? null
            : ['centimetres' => round($centimetres, 1), 'assumed' => $pan->isAssumed];
    }
}
