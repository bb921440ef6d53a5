<?php

declare(strict_types=1);

namespace Vinculum\Chemistry;

/** What is dissolved in the water of a mixture. */
final class Solids
{
    /** Grams of water that a hundred grams are steeped in. */
    private const SOAKED_IN = 900.0;
    private const BESIDES_SUGARS_AND_ACIDS = ['sweetener', 'salt', 'other_salts', 'glutamate', 'aspartate', 'solubles'];

    /** g per 100 g of the water phase, as a refractometer reads: of what is dissolved plus the water. */
    public static function dissolvedPercent(Mixture $mixture): float
    {
        $dissolved = 0.0;
        foreach (self::dissolved() as $component) {
            $dissolved += $mixture->amounts()[$component] ?? 0.0;
        }
        $phase = $dissolved + $mixture->get(Component::Water);

        return $phase > 0.0 ? 100.0 * $dissolved / $phase : 0.0;
    }

    /**
     * What dissolves out of it: sugars, acids, salts, amino acids and nucleotides, with the heat and the charge they
     * carry.
     */
    public static function dissolvedOf(Mixture $mixture): Mixture
    {
        $soluble = [
            ...self::dissolved(),
            'imp',
            'gmp',
            'amp',
            'ethanol',
            'sweetener_sweetness',
            'capsaicinoid_heat',
            'other_heat',
            'nose_heat',
            'phosphoric',
            'sid',
        ];
        $out = Mixture::of(array_intersect_key($mixture->amounts(), array_flip($soluble)));
        $soaked = Mixture::of([Component::Water->value => self::SOAKED_IN]);
        $ph = Acidity::ph($mixture->plus($soaked));

        // the protein stays behind, and the charge that went with it
        return $ph === null
            ? $out
            : $out->with(Component::StrongIonDifference, Acidity::strongIonDifferenceFor($out->plus($soaked), $ph));
    }

    /** @return list<string> */
    private static function dissolved(): array
    {
        /** @var list<string>|null $dissolved */
        static $dissolved = null;

        return $dissolved ??= [...Component::sugars(), ...Component::acids(), ...self::BESIDES_SUGARS_AND_ACIDS];
    }
}
