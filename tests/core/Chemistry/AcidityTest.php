<?php

declare(strict_types=1);

namespace Tests\core\Chemistry;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Chemistry\Acidity;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Ingredient\Catalogue;

final class AcidityTest extends TestCase
{
    /** @return iterable<string, array{array<string, float>, float, float}> mixture, pH, tolerance */
    public static function publishedSolutions(): iterable
    {
        // Merck Index, from memory
        yield 'acetic acid 1 M' => [['water' => 1000, 'acetic' => 60.052], 2.4, 0.05];
        yield 'acetic acid 0.1 M' => [['water' => 1000, 'acetic' => 6.0052], 2.9, 0.05];
        yield 'acetic acid 0.01 M' => [['water' => 1000, 'acetic' => 0.60052], 3.4, 0.05];
        // NIST primary standards, from memory
        yield 'potassium dihydrogen citrate 0.05 mol/kg' => [
            ['water' => 1000, 'citric' => 192.124 * 0.05, 'sid' => 50],
            3.776,
            0.05,
        ];
        yield 'potassium hydrogen tartrate, saturated' => [
            ['water' => 1000, 'tartaric' => 150.087 * 0.0341, 'sid' => 34.1],
            3.557,
            0.05,
        ];
        // CRC Handbook, from memory
        yield 'acetate buffer 0.1 M + 0.1 M' => [['water' => 1000, 'acetic' => 60.052 * 0.2, 'sid' => 100], 4.65, 0.05];
        // McIlvaine 1921, J. Biol. Chem. 49, 183, from memory: ml of 0.2 M disodium phosphate to ml of 0.1 M citric
        // acid
        foreach ([
            '2.00' => 2.2,
            '20.55' => 3.0,
            '38.55' => 4.0,
            '51.50' => 5.0,
            '63.15' => 6.0,
            '82.35' => 7.0,
        ] as $phosphate => $ph) {
            $citric = 100.0 - (float) $phosphate;
            yield "citrate and phosphate, pH {$ph}" => [
                [
                    'water' => 100,
                    'citric' => $citric * 0.1 * 0.192124,
                    'phosphoric' => (float) $phosphate * 0.2 * 0.097994,
                    'sid' => (float) $phosphate * 0.4,
                ],
                $ph,
                0.25,
            ];
        }
    }

    /** @param array<string, float> $amounts */
    #[DataProvider('publishedSolutions')]
    public function test_ph_agrees_with_published_solutions(array $amounts, float $ph, float $tolerance): void
    {
        self::assertEqualsWithDelta($ph, Acidity::ph(Mixture::of(array_map(floatval(...), $amounts))), $tolerance);
    }

    public function test_every_catalogue_ingredient_has_the_ph_its_row_states(): void
    {
        $checked = 0;
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $wet = $ingredient->composition->mixture->percent(Component::Water) < 30.0
                ? $ingredient->composition->mixture->plus(Mixture::of(['water' => 900.0]))
                : $ingredient->composition->mixture;
            if ($ingredient->composition->ph !== null && Acidity::ph($wet) !== null) {
                self::assertEqualsWithDelta($ingredient->composition->ph, Acidity::ph($wet), 0.01, $ingredient->key);
                ++$checked;
            }
        }
        self::assertGreaterThan(80, $checked);
    }

    public function test_titratable_acidity_counts_each_acid_by_its_charge_at_ph_8_2(): void
    {
        self::assertEqualsWithDelta(
            1000.0 / 60.052,
            Acidity::titratableMilliequivalents(Mixture::of(['acetic' => 1.0])),
            1e-6,
        );
        self::assertEqualsWithDelta(
            3000.0 / 192.124,
            Acidity::titratableMilliequivalents(Mixture::of(['citric' => 1.0])),
            1e-6,
        );
        self::assertEqualsWithDelta(
            2000.0 / 134.087,
            Acidity::titratableMilliequivalents(Mixture::of(['malic' => 1.0])),
            1e-6,
        );
    }

    public function test_glutamate_that_came_with_its_sodium_is_not_sour(): void
    {
        $msg = Catalogue::shipped()->get('msg')->grams(10.0);

        self::assertEqualsWithDelta(0.0, Acidity::titratableMilliequivalents($msg), 0.1);
    }

    public function test_bicarbonate_takes_away_as_much_acid_as_it_neutralises(): void
    {
        $catalogue = Catalogue::shipped();
        $vinegar = $catalogue->get('white-vinegar')->grams(100.0);
        $after = $vinegar->plus($catalogue->get('bicarbonate')->grams(2.0));

        self::assertEqualsWithDelta(
            23.8,
            Acidity::titratableMilliequivalents($vinegar) - Acidity::titratableMilliequivalents($after),
            0.1,
        );
        self::assertGreaterThan(Acidity::ph($vinegar), Acidity::ph($after));
    }

    public function test_there_is_no_ph_without_acid_or_without_water(): void
    {
        self::assertNull(Acidity::ph(Mixture::of(['water' => 100.0, 'salt' => 5.0])));
        self::assertNull(Acidity::ph(Mixture::of(['acetic' => 1.0, 'fat' => 99.0])));
        self::assertNull(Acidity::ph(Mixture::nothing()));
    }

    public function test_salt_lowers_the_ph_of_an_acid_a_little_by_its_ionic_strength(): void
    {
        $plain = Acidity::ph(Mixture::of(['water' => 95.0, 'acetic' => 5.0]));
        $salted = Acidity::ph(Mixture::of(['water' => 95.0, 'acetic' => 5.0, 'salt' => 3.0]));

        self::assertEqualsWithDelta($plain, $salted, 0.3);
        self::assertNotEquals($plain, $salted);
    }
}
