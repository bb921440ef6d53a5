<?php

declare(strict_types=1);

namespace Vinculum\Chemistry;

use Vinculum\Facts\Facts;

/**
 * pH and titratable acidity from one charge balance.
 *
 * pH: SID + [H⁺] − [OH⁻] + Σ z·c = 0 over all species of all acids, molal, with Davies activity coefficients.
 * Titratable acidity to pH 8.2 needs no pH: it is linear in the mixture.
 */
final class Acidity
{
    /** Grams of acetic acid per milliequivalent. */
    public const ACETIC_GRAMS_PER_MILLIEQUIVALENT = 0.06005;

    /** Less than this share of water is no solution. */
    private const LEAST_WATER = 0.02;
    private const DAVIES_A = 0.509;
    private const IONIC_STRENGTH_CAP = 0.5;
    private const WATER_PK = 13.995;

    /**
     * Titratable acidity to pH 8.2 in mEq of the whole mixture, not clamped: Σ n·mmol − SID.
     */
    public static function titratableMilliequivalents(Mixture $mixture): float
    {
        return $mixture->weighted(self::titrationWeights());
    }

    /** pH at 25 °C, or null where there is too little water (under 2 % of the mass) or no acid the model knows. */
    public static function ph(Mixture $mixture): ?float
    {
        $acids = self::molalities($mixture);
        if ($acids === []) {
            return null;
        }
        $kilograms = $mixture->get(Component::Water) / 1000.0;
        $sid = $mixture->get(Component::StrongIonDifference) / 1000.0 / $kilograms;
        $background = self::backgroundStrength($mixture, $kilograms, $sid);
        [$ph, $ionicStrength] = [3.5, $background];
        for ($step = 0; $step < 100; ++$step) {
            [$charge, $slope, $acidStrength] = self::balance($acids, $ph, $ionicStrength);
            // charge falls steadily as pH rises, so a Newton step of bounded length always closes in
            $move = max(-1.0, min(1.0, -($sid + $charge) / $slope));
            $drift = $background + $acidStrength - $ionicStrength;
            $ph += $move;
            $ionicStrength += $drift;
            if (abs($move) < 1e-9 && abs($drift) < 1e-9) {
                break;
            }
        }

        return $ph;
    }

    /**
     * The strong ion difference, in mEq, that gives the mixture this pH.
     *
     * @return float zero where the mixture holds no acid
     */
    public static function strongIonDifferenceFor(Mixture $mixture, float $ph): float
    {
        $acids = self::molalities($mixture);
        if ($acids === []) {
            return 0.0;
        }
        $kilograms = $mixture->get(Component::Water) / 1000.0;
        $sid = 0.0;
        $acidStrength = 0.0;
        for ($round = 0; $round < 100; ++$round) {
            $ionicStrength = self::backgroundStrength($mixture, $kilograms, $sid) + $acidStrength;
            [$charge, , $acidStrength] = self::balance($acids, $ph, $ionicStrength);
            $settled = abs(-$charge - $sid) < 1e-10;
            $sid = -$charge;
            if ($settled) {
                break;
            }
        }

        return $sid * $kilograms * 1000.0;
    }

    /**
     * The mixture with what its protein buffers with.
     */
    public static function withBuffers(Mixture $mixture): Mixture
    {
        $facts = Facts::of(AcidityFacts::class)->protein;
        $protein = $mixture->get(Component::Protein);
        if ($protein <= 0.0) {
            return $mixture;
        }

        return $mixture->with(
            Component::ProteinCarboxyl,
            $protein * $facts->proteinCarboxyl,
        )->with(Component::Imidazole, $protein * $facts->imidazole);
    }

    /**
     * The charge that each acid and buffer carries at this pH, in mEq for a unit of it, and 1 for a mEq of strong ion
     * difference.
     *
     * @return array<string, float> by component; nothing where there is too little water
     */
    public static function chargesAt(Mixture $mixture, float $ph): array
    {
        $water = $mixture->get(Component::Water);
        if (self::molalities($mixture) === []) {
            return [];
        }
        $kilograms = $water / 1000.0;
        $gamma = self::logActivity(
            self::backgroundStrength(
                $mixture,
                $kilograms,
                $mixture->get(Component::StrongIonDifference) / 1000.0 / $kilograms,
            ),
        );
        $charges = [Component::StrongIonDifference->value => 1.0];
        foreach (Component::every('charge') as $acid => $charge) {
            $charges[$acid] = 1000.0 / Component::every('molar_mass')[$acid] * self::meanCharge(
                ...self::dissociation($acid),
                ph: $ph,
                gamma: $gamma,
            );
        }

        return $charges;
    }

    /** mEq of strong ion difference that move the pH of the mixture by one unit, at this pH. */
    public static function capacity(Mixture $mixture, float $ph): float
    {
        $acids = self::molalities($mixture);
        if ($acids === []) {
            return 0.0;
        }
        $kilograms = $mixture->get(Component::Water) / 1000.0;
        [, $slope] = self::balance(
            $acids,
            $ph,
            self::backgroundStrength(
                $mixture,
                $kilograms,
                $mixture->get(Component::StrongIonDifference) / 1000.0 / $kilograms,
            ),
        );

        return -$slope * $kilograms * 1000.0;
    }

    /** @return array<string, float> mEq per gram of acid, and −1 per mEq of strong ion difference */
    public static function titrationWeights(): array
    {
        /** @var array<string, float>|null $weights */
        static $weights = null;
        if ($weights === null) {
            $weights = [Component::StrongIonDifference->value => -1.0];
            foreach (Component::every('charge') as $acid => $charge) {
                $weights[$acid] = 1000.0 * $charge / Component::every('molar_mass')[$acid];
            }
        }

        return $weights;
    }

    /**
     * The acids present: mol per kg water, pKa values, charge of the fully protonated form.
     *
     * @return list<array{float, list<float>, int}>
     */
    private static function molalities(Mixture $mixture): array
    {
        $water = $mixture->get(Component::Water);
        if ($water <= 0.0 || $water < self::LEAST_WATER * $mixture->grams() * (1.0 - 1e-9)) {
            return [];
        }
        $molalities = [];
        foreach (Component::every('charge') as $acid => $charge) {
            $grams = $mixture->amounts()[$acid] ?? 0.0;
            if ($grams > 0.0) {
                $molality = $grams / Component::every('molar_mass')[$acid] / ($water / 1000.0);
                $molalities[] = [$molality, ...self::dissociation($acid)];
            }
        }

        return $molalities;
    }

    /** Half Σ c·z² of the ions that are no acids: salt and the strong ion difference, mol per kg water. */
    private static function backgroundStrength(Mixture $mixture, float $kilograms, float $sid): float
    {
        return $mixture->get(Component::Salt) / Component::every('molar_mass')['salt'] / $kilograms + 0.5 * abs($sid);
    }

    /**
     * The charge [H⁺] − [OH⁻] + Σ z·c, its slope against pH, and the ionic strength of hydrogen and acids, all in mol
     * per kg water.
     *
     * @param list<array{float, list<float>, int}> $acids
     *
     * @return array{float, float, float}
     */
    private static function balance(array $acids, float $ph, float $ionicStrength): array
    {
        $gamma = self::logActivity($ionicStrength);
        $hydrogen = 10 ** (-$ph - $gamma);
        $hydroxide = 10 ** ($ph - self::WATER_PK - $gamma);
        $charge = $hydrogen - $hydroxide;
        $slope = -($hydrogen + $hydroxide);
        $strength = 0.5 * ($hydrogen + $hydroxide);
        foreach ($acids as [$molality, $constants, $ion]) {
            [$weight, $sum, $first, $second] = [1.0, 1.0, (float) $ion, (float) ($ion * $ion)];
            foreach ($constants as $pka) {
                // the mixed constant Ka·γ(acid form)/γ(base form), with log γ(z) = z²·log γ(1)
                $weight *= 10 ** ($ph - $pka + (2 * $ion - 1) * $gamma);
                --$ion;
                $sum += $weight;
                $first += $ion * $weight;
                $second += $ion * $ion * $weight;
            }
            $first /= $sum;
            $second /= $sum;
            $charge += $first * $molality;
            $slope -= ($second - $first * $first) * $molality;
            $strength += 0.5 * $second * $molality;
        }

        return [$charge, $slope * M_LN10, $strength];
    }

    /**
     * @param list<float> $constants pKa values
     * @param int $ion charge of the fully protonated form
     */
    private static function meanCharge(array $constants, int $ion, float $ph, float $gamma): float
    {
        [$weight, $sum, $first] = [1.0, 1.0, (float) $ion];
        foreach ($constants as $pka) {
            $weight *= 10 ** ($ph - $pka + (2 * $ion - 1) * $gamma);
            --$ion;
            $sum += $weight;
            $first += $ion * $weight;
        }

        return $first / $sum;
    }

    /** log γ of a singly charged ion (Davies). */
    private static function logActivity(float $ionicStrength): float
    {
        $strength = min($ionicStrength, self::IONIC_STRENGTH_CAP);
        $root = sqrt($strength);

        return -self::DAVIES_A * ($root / (1.0 + $root) - 0.3 * $strength);
    }

    /** @return array{list<float>, int} pKa values and the charge of the fully protonated form */
    private static function dissociation(string $acid): array
    {
        /** @var array<string, array{list<float>, int}> $known */
        static $known = [];
        if (!isset($known[$acid])) {
            $facts = Component::from($acid)->facts();
            $known[$acid] = [$facts->numbers('pka'), (int) ($facts->numberOrNull('first_charge') ?? 0)];
        }

        return $known[$acid];
    }
}
