<?php

declare(strict_types=1);

namespace Vinculum\Chemistry;

/**
 * Water activity by Ross: the product of what each solute, alone in all the water, would give.
 * Sugars by Norrish, a_w = x_w·exp(−K·x_s²); salt by a polynomial fitted to Robinson and Stokes.
 */
final class WaterActivity
{
    private const SATURATED_SALT_MOLAL = 6.15;

    /** a_w from 0 to 1, or null where there is no water to speak of (under 1 % of the mass). */
    public static function of(Mixture $mixture): ?float
    {
        $water = $mixture->get(Component::Water);
        if ($water <= 0.0 || $water < 0.01 * $mixture->grams()) {
            return null;
        }
        $molarMass = Component::every('molar_mass');
        $norrish = Component::every('norrish');
        $waterMoles = $water / $molarMass[Component::Water->value];
        $activity = self::ofSaltSolution(
            max(0.0, $mixture->get(Component::Salt)) / $molarMass[Component::Salt->value] / ($water / 1000.0),
        );
        foreach ($mixture->amounts() as $component => $grams) {
            if ($grams > 0.0 && isset($norrish[$component])) {
                $moles = $grams / $molarMass[$component];
                $fraction = $moles / ($moles + $waterMoles);
                $activity *= (1.0 - $fraction) * exp(-$norrish[$component] * $fraction * $fraction);
            }
        }

        return $activity;
    }

    /** @param float $molal mol NaCl per kg water */
    private static function ofSaltSolution(float $molal): float
    {
        $molal = min($molal, self::SATURATED_SALT_MOLAL);

        return 1.0 - 0.03112 * $molal - 0.001482 * $molal * $molal;
    }
}
