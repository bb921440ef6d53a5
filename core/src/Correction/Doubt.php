<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Balance;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;

/** Where a figure is less sure than the move that is asked of it, the tongue has the last word. */
final class Doubt
{
    /** @return list<string> */
    public static function notes(Balance $balance, Target $target, Advice $advice): array
    {
        if ($advice->corrections === []) {
            return [];
        }
        $doubtful = [];
        foreach (Axis::cases() as $axis) {
            $off = abs($target->window($axis)?->off($axis, $balance->taste->on($axis)) ?? 0.0);
            $band = $balance->axes[$axis->value] ?? null;
            $width = $band === null ? 0.0 : $axis->steps($band->high) - $axis->steps($band->low);
            if ($off > 0.0 && $width > $off) {
                $doubtful[] = $axis->adjective();
            }
        }

        return $doubtful === [] ? [] : [sprintf(
            'How %s it is now is less sure than the change it needs: taste before the second half.',
            implode(' and ', $doubtful),
        )];
    }
}
