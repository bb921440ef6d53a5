<?php

declare(strict_types=1);

namespace Vinculum\Family;

use Vinculum\Facts\FactsFile;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/**
 * How likely a sauce is of each family, by what its references hold and where they stand: naive Bayes, with a feature
 * for each ingredient and each work (Bernoulli, smoothed towards how often it is held at all) and a position in steps on
 * each axis (Student's t, its spread drawn towards that of all families). Features repeat one another, so each counts half.
 * Explained in docs/families.md; derived into core/data/likelihoods.ini and held-by.ini.
 */
final readonly class FamilyLikelihood
{
    /** A family's counts weigh against how often a thing is held at all as if that were so many references more. */
    private const SMOOTHING = 2.0;
    private const RARE = 0.2;
    private const SURELY = 1.0e-4;

    /** The spread of all families weighs as so many references of one. */
    private const SPREAD_SHARED = 3.0;

    /** Nothing stands nearer to a family than a step, squared. */
    private const LEAST_VARIANCE = 1.0;
    /** Student's t with few degrees of freedom: a sauce that is not salted yet is no other sauce for that. */
    private const FREEDOM = 3.0;
    private const WEIGHT = 0.5;

    /** No family's key. */
    public const NONE = 'none';

    /**
     * Logarithm of the likelihood by family, without a constant; that of none of them stands under NONE.
     *
     * @return array<string, float>
     */
    public static function of(Makeup $makeup, Taste $taste): array
    {
        $facts = FactsFile::named('likelihoods');
        $references = $facts['families']->numbers('references');
        $all = array_sum($references);
        $scores = $facts['families']->numbers('absent');
        $none = $facts['none']->number('absent');
        foreach (Axis::cases() as $axis) {
            // silent: it is not known; without facts: nothing was derived for it yet (bin/derive-families)
            if (in_array($axis, $makeup->silent, true) || !isset($facts[$axis->value])) {
                continue;
            }
            $steps = $axis->steps($taste->on($axis));
            $variances = $facts[$axis->value]->numbers('variance');
            foreach ($facts[$axis->value]->numbers('mean') as $family => $mean) {
                $scores[$family] -= self::distance($steps, $mean, $variances[$family]);
            }
            $none -= self::distance($steps, ...$facts[$axis->value]->numbers('any'));
        }
        $families = $facts['families']->list('of');
        $places = array_flip($families);
        $lacking = array_fill_keys(array_map(intval(...), array_unique($references)), 0.0);
        $heldBy = FactsFile::named('held-by');
        foreach ($makeup->features() as $feature) {
            $counts = isset($heldBy[$feature]) ? $heldBy[$feature]->amounts('of') : [];
            $everywhere = self::everywhere(array_sum($counts), $all);
            $none += self::WEIGHT * log($counts === [] ? $everywhere : $everywhere / (1.0 - $everywhere));
            // most families hold none of it: what that says hangs on how many references they have alone
            [$withoutIt, $more] = [[], []];
            foreach ($lacking as $count => $sum) {
                $withoutIt[$count] = self::term(0, $count, $everywhere);
                $lacking[$count] = $sum + $withoutIt[$count];
            }
            foreach ($counts as $family => $held) {
                $count = (int) $references[$places[$family]];
                $scores[$places[$family]] += $more[(int) $held][$count]
                    ??= self::term((int) $held, $count, $everywhere) - $withoutIt[$count];
            }
        }
        foreach ($references as $family => $count) {
            $scores[$family] += $lacking[(int) $count];
        }

        return [...array_combine($families, $scores), self::NONE => $none];
    }

    /**
     * The facts files behind it, by name.
     *
     * @param array<string, non-empty-list<ReferenceFormula>> $references by family
     *
     * @return array<string, string>
     */
    public static function derive(array $references): array
    {
        $held = [];
        foreach ($references as $family => $formulas) {
            foreach ($formulas as $formula) {
                foreach ($formula->makeup->features() as $feature) {
                    $held[$feature][$family] = ($held[$feature][$family] ?? 0) + 1;
                }
            }
        }
        ksort($held);
        $all = array_sum(array_map(count(...), $references));
        $absent = array_fill_keys(array_keys($references), 0.0);
        $none = 0.0;
        $heldBy = "; Derived by bin/derive-families: how many references of each family hold a thing.\n"
            . "; source: derived of the reference formulas by bin/derive-families\n";
        foreach ($held as $feature => $counts) {
            $everywhere = self::everywhere(array_sum($counts), $all);
            $none += self::WEIGHT * log(1.0 - $everywhere);
            foreach ($counts as $family => $count) {
                $absent[$family] += self::WEIGHT
                    * log(1.0 - self::held($count, count($references[$family]), $everywhere));
            }
            $heldBy .= "[{$feature}]\n" . self::fact('of', array_map(
                static fn(string $family, int $count): string => "{$family} {$count}",
                array_keys($counts),
                $counts,
            ));
        }
        $likelihoods = "; Derived by bin/derive-families, each family in the order of styles.ini. absent: the logarithm for a sauce that\n"
            . "; lacks everything the family holds. On each axis where its references stand, in steps; any: mean and variance of all\n"
            . "; references, where a sauce of no family may stand.\n"
            . "; source: derived of the reference formulas by bin/derive-families\n[families]\n"
            . self::fact('of', array_keys($references))
            . self::fact('references', array_map(
                static fn(array $formulas): string => (string) count($formulas),
                array_values($references),
            ))
            . self::fact('absent', array_map(self::figure(...), array_values($absent)))
            . "[none]\n" . self::fact('absent', [self::figure($none)]);
        foreach (Axis::cases() as $axis) {
            $positions = array_map(
                static fn(array $formulas): array => self::positions($formulas, $axis),
                array_values($references),
            );
            $variances = array_map(self::variance(...), $positions);
            $shared = self::SPREAD_SHARED * self::mean($variances);
            $drawn = array_map(
                static fn(array $own, float $variance): float => self::LEAST_VARIANCE
                    + (count($own) * $variance + $shared) / (count($own) + self::SPREAD_SHARED),
                $positions,
                $variances,
            );
            $likelihoods .= "[{$axis->value}]\n"
                . self::fact('mean', array_map(self::figure(...), array_map(self::mean(...), $positions)))
                . self::fact('variance', array_map(self::figure(...), $drawn))
                . self::fact('any', array_map(self::figure(...), [
                    self::mean(array_merge(...$positions)),
                    self::variance(array_merge(...$positions)),
                ]));
        }

        return ['held-by' => $heldBy, 'likelihoods' => $likelihoods];
    }

    /** How far a position counts against a place: Student's t. */
    private static function distance(float $steps, float $mean, float $variance): float
    {
        $square = ($steps - $mean) ** 2 / $variance;

        return self::WEIGHT * ((self::FREEDOM + 1.0) * log(1.0 + $square / self::FREEDOM) + log($variance)) / 2.0;
    }

    /** What holding a thing adds, where a family's sum already counts that nothing it holds is there. */
    private static function term(int $held, float $references, float $everywhere): float
    {
        $likelihood = self::held($held, $references, $everywhere);

        return self::WEIGHT * log($held > 0 ? $likelihood / (1.0 - $likelihood) : $likelihood);
    }

    /** @param list<string> $values */
    private static function fact(string $field, array $values): string
    {
        return "{$field} = " . implode(', ', $values) . "\n";
    }

    private static function figure(float $value): string
    {
        return sprintf('%.3f', $value);
    }

    /** How likely any sauce holds a thing. */
    private static function everywhere(float $held, float $references): float
    {
        return ($held + self::RARE) / ($references + 1.0);
    }

    /** How likely a sauce of a family holds a thing. */
    private static function held(float $held, float $references, float $everywhere): float
    {
        $likelihood = ($held + self::SMOOTHING * $everywhere) / ($references + self::SMOOTHING);

        return min(max($likelihood, self::SURELY), 1.0 - self::SURELY);
    }

    /**
     * @param non-empty-list<ReferenceFormula> $formulas
     *
     * @return non-empty-list<float> in steps
     */
    private static function positions(array $formulas, Axis $axis): array
    {
        return array_map(
            static fn(ReferenceFormula $formula): float => $axis->steps($formula->balance->taste->on($axis)),
            $formulas,
        );
    }

    /** @param list<float> $figures */
    private static function mean(array $figures): float
    {
        return array_sum($figures) / max(1, count($figures));
    }

    /** @param list<float> $figures */
    private static function variance(array $figures): float
    {
        $mean = self::mean($figures);

        return self::mean(array_map(static fn(float $figure): float => ($figure - $mean) ** 2, $figures));
    }
}
