<?php

declare(strict_types=1);

namespace Tests\core\Chemistry;

use PHPUnit\Framework\TestCase;
use Tests\core\Python;
use Vinculum\Chemistry\Acidity;
use Vinculum\Chemistry\Mixture;

/** The pH of seeded random mixtures against a solver written again, with SciPy's root finder (acidity.py). */
final class IndependentAcidityTest extends TestCase
{
    private const SEED = 20261124;
    private const MIXTURES = 300;
    private const ACIDS = [
        'acetic' => 12.0,
        'citric' => 7.0,
        'malic' => 3.0,
        'tartaric' => 2.0,
        'lactic' => 2.0,
        'phosphoric' => 0.5,
        'glutamate' => 3.0,
    ];

    public function test_the_charge_balance_is_solved_as_another_solver_solves_it(): void
    {
        mt_srand(self::SEED);
        $mixtures = [];
        for ($number = 0; $number < self::MIXTURES; ++$number) {
            $mixture = ['water' => self::between(20.0, 95.0), 'salt' => self::between(0.0, 14.0) * mt_rand(0, 1)];
            foreach (self::ACIDS as $acid => $most) {
                $mixture[$acid] = self::between(0.001, $most) * (mt_rand(0, 2) === 0 ? 1 : 0);
            }
            $mixture['acetic'] += 0.01;
            $mixtures[] = [...$mixture, 'sid' => self::between(0.0, 40.0) * mt_rand(0, 1)];
        }
        $theirs = Python::figures(__DIR__ . '/acidity.py', $mixtures);
        self::assertCount(self::MIXTURES, $theirs);
        foreach ($mixtures as $number => $mixture) {
            self::assertEqualsWithDelta(
                $theirs[$number],
                Acidity::ph(Mixture::of($mixture)),
                1e-5,
                (string) json_encode($mixture),
            );
        }
        self::assertLessThan(3.0, min($theirs));
        self::assertGreaterThan(5.0, max($theirs), 'from sharp to nearly neutral');
    }

    /** The strong ion difference that is solved for a pH gives that pH in the other solver. */
    public function test_what_is_solved_for_a_ph_gives_it(): void
    {
        mt_srand(self::SEED + 1);
        [$mixtures, $wanted] = [[], []];
        for ($number = 0; $number < 100; ++$number) {
            $mixture = [
                'water' => self::between(50.0, 95.0),
                'salt' => self::between(0.0, 3.0),
                'citric' => self::between(0.1, 6.0),
                'malic' => self::between(0.0, 2.0),
            ];
            $wanted[] = $ph = self::between(2.2, 6.0);
            $mixtures[] = [...$mixture, 'sid' => Acidity::strongIonDifferenceFor(Mixture::of($mixture), $ph)];
        }
        foreach (Python::figures(__DIR__ . '/acidity.py', $mixtures) as $number => $ph) {
            self::assertEqualsWithDelta($wanted[$number], $ph, 1e-4, (string) json_encode($mixtures[$number]));
        }
    }

    private static function between(float $least, float $most): float
    {
        return $least + ($most - $least) * mt_rand() / mt_getrandmax();
    }
}
