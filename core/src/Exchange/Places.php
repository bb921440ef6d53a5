<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

use Vinculum\Sensory\Axis;

/** Where a cook wants a sauce to stand, as it is written in a file: "sour 1.25, heat 300", each in the unit of its axis. */
final class Places
{
    private const DIGITS = 5;

    /** @param array<string, float> $places in steps, by axis */
    public static function written(array $places): string
    {
        $written = [];
        foreach ($places as $axis => $steps) {
            $value = Axis::from($axis)->valueAt($steps);
            $written[] = "{$axis} " . round($value, self::DIGITS - 1 - (int) floor(log10(max($value, 1e-9))));
        }

        return implode(', ', $written);
    }

    /** @return array<string, float> in steps, by axis; what is no axis with a figure is passed over */
    public static function read(string $written): array
    {
        $places = [];
        preg_match_all('/(\p{L}+)\s+([\d.]+)/u', $written, $found, PREG_SET_ORDER);
        foreach ($found as [, $name, $value]) {
            $axis = Axis::tryFrom(mb_strtolower($name));
            if ($axis !== null && is_numeric($value)) {
                $places[$axis->value] = $axis->steps((float) $value);
            }
        }

        return $places;
    }
}
