<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Balance;
use Vinculum\Sensory\Aim;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;

/** The smallest thing that would bring one axis in, where the rest may stay as it is. */
final class AxisMends
{
    /** Steps off from which an axis is worth a spoon of its own. */
    private const WORTH_A_SPOON = 0.25;
    /** What must be gone of the distance for it to be a way in. */
    private const GAIN = 0.6;

    /**
     * One addition for each axis that is off: what is right already stays right, what else is off is left for its own.
     *
     * @return array<value-of<Axis>, Correction>
     */
    public static function of(Aim $aim, Balance $balance, CorrectionLimits $limits): array
    {
        $target = $aim->target() ?? Target::of([]);
        $single = $limits->ofOne();
        $off = [];
        foreach (Axis::cases() as $axis) {
            $off[$axis->value] = abs($target->window($axis)?->off($axis, $balance->taste->on($axis)) ?? 0.0);
        }
        $mends = [];
        foreach (Axis::cases() as $axis) {
            // what is called about right is offered nothing
            if ($off[$axis->value] < self::WORTH_A_SPOON || !$aim->isOff($axis, $balance->taste->on($axis))) {
                continue;
            }
            $alone = $target;
            foreach (Axis::cases() as $other) {
                $alone = $other !== $axis && $off[$other->value] > 0.0 ? $alone->without($other) : $alone;
            }
            $found = CorrectionSearch::advise($balance->mixture, $alone, $single, $balance->allergens());
            $first = $found->corrections[0] ?? null;
            if ($first !== null && $first->distanceAfter <= (1.0 - self::GAIN) * $off[$axis->value]) {
                $mends[$axis->value] = $first;
            }
        }

        return $mends;
    }
}
