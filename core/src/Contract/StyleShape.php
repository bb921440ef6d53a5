<?php

declare(strict_types=1);

namespace Vinculum\Contract;

use Vinculum\Sensory\Axis;
use Vinculum\Style\StyleFamily;

/** A style family with its windows. The shapes of the public JSON contract, for the command line and for HTTP alike: grams, millilitres, mass percent. */
final class StyleShape
{
    /** @return array<string, mixed> */
    public static function of(StyleFamily $style): array
    {
        return [
            'key' => $style->key,
            'name' => $style->name,
            'windows' => array_filter(Axis::each(static fn(Axis $axis): ?array => BalanceShape::window($style->target, $axis))),
            'references' => $style->references,
            'source' => $style->source,
            'base' => $style->base,
            'correctors' => $style->correctors,
            'body' => $style->body,
            'schools' => $style->schools,
        ];
    }
}
