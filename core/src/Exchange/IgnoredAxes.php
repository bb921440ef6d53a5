<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

use Vinculum\Sensory\Axis;

/** The axes that a cook has let go of, as they are named: "salt, heat". */
final class IgnoredAxes
{
    private const ALSO = [
        'sweetness' => 'sweet',
        'sugar' => 'sweet',
        'sourness' => 'sour',
        'acid' => 'sour',
        'acidity' => 'sour',
        'saltiness' => 'salt',
        'savoury' => 'umami',
        'savory' => 'umami',
        'pungency' => 'heat',
        'hot' => 'heat',
    ];

    /** @return list<string> keys of axes; words that name none are passed over */
    public static function axes(string $named): array
    {
        $axes = [];
        foreach (preg_split('/[\s,;]+|\band\b/iu', mb_strtolower($named), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $axis = Axis::tryFrom(self::ALSO[$word] ?? $word);
            if ($axis !== null) {
                $axes[] = $axis->value;
            }
        }

        return array_values(array_unique($axes));
    }
}
