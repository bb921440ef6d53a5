<?php

declare(strict_types=1);

namespace Vinculum\Contract;

use Vinculum\Balance\Balance;
use Vinculum\Keeping\Caution;
use Vinculum\Keeping\Cautions;
use Vinculum\Labelling\Label;
use Vinculum\Labelling\LabelLine;

/** The list of ingredients of a label, with the warnings that belong on it. */
final class LabelShape
{
    /** @return array<string, mixed> */
    public static function of(Label $label, Balance $balance): array
    {
        return [
            'ingredients' => array_map(static fn(LabelLine $line): array => ['parts' => $line->parts, 'percent' => Figure::round($line->percent)], $label->ingredients),
            'allergens' => $balance->allergens(),
            'warnings' => array_values(array_map(static fn(Caution $caution): string => $caution->text, array_filter(Cautions::for($balance), static fn(Caution $caution): bool => $caution->isForTheJar))),
            'notes' => $label->notes,
        ];
    }
}
