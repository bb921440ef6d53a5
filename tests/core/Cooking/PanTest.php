<?php

declare(strict_types=1);

namespace Tests\core\Cooking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Cooking\Heat;
use Vinculum\Cooking\Pan;

final class PanTest extends TestCase
{
    /** @return iterable<string, array{string, float|null, float|null}> text, cm across, millilitres */
    public static function pans(): iterable
    {
        yield 'a width' => ['24 cm', 24.0, null];
        yield 'in a sentence' => ['the wide one, 28cm', 28.0, null];
        yield 'width and height' => ['24 x 12 cm', 24.0, M_PI / 4.0 * 24.0 ** 2 * 12.0];
        yield 'inches' => ['10 inch', 25.4, null];
        yield 'a volume' => ['5 l', null, 5000.0];
        yield 'both' => ['20 cm, 3.5 litres', 20.0, 3500.0];
    }

    #[DataProvider('pans')]
    public function test_reads_how_cooks_name_a_pan(string $text, ?float $across, ?float $millilitres): void
    {
        $pan = Pan::parse($text);

        self::assertNotNull($pan);
        self::assertEqualsWithDelta(
            $across === null ? null : M_PI / 4.0 * ($across / 100.0) ** 2,
            $pan->squareMetres,
            1e-9,
        );
        self::assertEqualsWithDelta($millilitres, $pan->millilitres, 1e-6);
    }

    public function test_what_names_no_size_is_no_pan(): void
    {
        foreach (['', 'the big one', '2 cm', '900 cm', '-5'] as $text) {
            self::assertNull(Pan::parse($text), $text);
        }
    }

    /** Handbook, "Cooking": 3, 7 and 18 kg a square metre and hour, each within 40 %. */
    public function test_heat_by_the_words_of_the_method(): void
    {
        self::assertSame(3.0, Heat::inWords('Let it barely simmer for an hour.')->kilogramsPerSquareMetreHour);
        self::assertSame(7.0, Heat::inWords('Bring together and simmer until thick')->kilogramsPerSquareMetreHour);
        self::assertSame(18.0, Heat::inWords('Keep it at a rolling boil.')->kilogramsPerSquareMetreHour);
        self::assertSame(7.0, Heat::inWords('Stir.')->kilogramsPerSquareMetreHour);
        $minutes = Heat::named('simmering')->minutes(350.0, 0.05);
        self::assertEqualsWithDelta(
            [60.0, 60.0 / 1.4, 100.0],
            [$minutes['value'], $minutes['low'], $minutes['high']],
            1e-9,
        );
        self::assertEqualsWithDelta(350.0, Heat::named('simmering')->grams(60.0, 0.05), 1e-9);
    }

    /**
     * Latent heat of vaporisation at 100 °C is 2257 kJ/kg (CRC Handbook, from memory): a strong home burner of 3 kW on
     * a 24 cm pan cannot take off more than 106 kg a square metre and hour.
     */
    public function test_no_heat_promises_more_than_a_burner_can_give(): void
    {
        $most = 3.0 * 3600.0 / 2257.0 / (M_PI / 4.0 * 0.24 ** 2);
        foreach (['barely simmering', 'simmering', 'boiling'] as $heat) {
            self::assertLessThan(
                $most,
                Heat::named($heat)->kilogramsPerSquareMetreHour * (1.0 + Heat::UNCERTAIN),
                $heat,
            );
        }
    }
}
