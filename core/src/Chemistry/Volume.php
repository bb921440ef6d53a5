<?php

declare(strict_types=1);

namespace Vinculum\Chemistry;

/** Volume from composition: specific volumes of the components add up (handbook figures, cm³/g at 20 °C). */
final class Volume
{
    public static function millilitres(Mixture $mixture): float
    {
        return $mixture->weighted(Component::every('volume'));
    }

    /** g/ml, or null for an empty mixture. */
    public static function density(Mixture $mixture): ?float
    {
        $millilitres = self::millilitres($mixture);

        return $millilitres > 0.0 ? $mixture->grams() / $millilitres : null;
    }

    /** Grams of water that must leave for the mixture to fill this volume. */
    public static function waterToLose(Mixture $mixture, float $millilitres): float
    {
        return (self::millilitres($mixture) - $millilitres) / Component::every('volume')[Component::Water->value];
    }
}
