<?php

declare(strict_types=1);

namespace Tests\core\Instrument;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Instrument\InstrumentFault;
use Vinculum\Instrument\PhCalibration;
use Vinculum\Instrument\SimulatedSample;
use Vinculum\Instrument\SimulatedScale;
use Vinculum\Instrument\SolidsReading;
use Vinculum\Instrument\Weight;

final class InstrumentTest extends TestCase
{
    /** @return iterable<string, array{mixed, bool, string}> reading, overload, what is said */
    public static function noWeights(): iterable
    {
        yield 'not a number' => [NAN, false, 'no number'];
        yield 'endless' => [INF, false, 'no number'];
        yield 'nothing' => [null, false, 'no number'];
        yield 'words' => ['12 g', false, 'no number'];
        yield 'overload' => [6000, true, 'more on the scale'];
    }

    #[DataProvider('noWeights')]
    public function test_a_scale_that_gives_no_weight_says_so(mixed $grams, bool $overload, string $says): void
    {
        $this->expectException(InstrumentFault::class);
        $this->expectExceptionMessage($says);
        Weight::read($grams, true, $overload);
    }

    public function test_below_zero_is_a_weight_with_a_word_of_warning_and_jitter_is_not(): void
    {
        self::assertStringContainsString('below zero', (string) Weight::read(-40, true, false)->says);
        self::assertNull(Weight::read(-1, true, false)->says);
    }

    /** Nernst's equation: 59.16 mV for each unit of pH at 25 °C (CRC Handbook, from memory). */
    public function test_two_buffers_set_a_ph_meter(): void
    {
        $calibration = PhCalibration::between(
            ['ph' => 7.0, 'millivolts' => 5.0, 'celsius' => 25.0],
            ['ph' => 4.01, 'millivolts' => 5.0 + 0.95 * 59.16 * 2.99, 'celsius' => 25.0],
            0.0,
        );

        self::assertEqualsWithDelta(0.95, $calibration->slope, 1e-3);
        self::assertEqualsWithDelta(5.0, $calibration->offset, 1e-9);
        self::assertEqualsWithDelta(
            3.5,
            $calibration->ph(['millivolts' => 5.0 + 0.95 * 59.16 * 3.5, 'celsius' => 25.0]),
            1e-2,
        );
        self::assertEqualsWithDelta(
            3.5,
            $calibration->ph(['millivolts' => 5.0 + 0.95 * 59.16 * 3.5 * 333.15 / 298.15, 'celsius' => 60.0]),
            1e-2,
            'a hot sauce gives more millivolts for the same pH',
        );
    }

    public function test_a_worn_electrode_is_refused_and_an_old_calibration_is_told(): void
    {
        foreach ([[4.01, 0.7], [4.01, 1.2], [6.8, 1.0]] as [$buffer, $slope]) {
            try {
                PhCalibration::between(
                    ['ph' => 7.0, 'millivolts' => 0.0, 'celsius' => 25.0],
                    ['ph' => $buffer, 'millivolts' => $slope * 59.16 * (7.0 - $buffer), 'celsius' => 25.0],
                    0.0,
                );
                self::fail("a slope of {$slope} with buffer {$buffer} is unsound");
            } catch (InstrumentFault $fault) {
                self::assertStringContainsString('calibration cannot be used', $fault->getMessage());
            }
        }
        $calibration = PhCalibration::kept(1.0, 0.0, 0.0);
        self::assertFalse($calibration->isStale(86_000.0));
        self::assertTrue($calibration->isStale(87_000.0));
        self::assertGreaterThan($calibration->deviation(0.0), $calibration->deviation(36_000.0));
    }

    /** ICUMSA's table of temperature corrections (from memory): about +0.07 for each degree above 20 °C. */
    public function test_a_warm_drop_reads_too_low(): void
    {
        self::assertEqualsWithDelta(30.7, SolidsReading::corrected(30.0, 30.0), 1e-9);
        self::assertEqualsWithDelta(0.0, SolidsReading::corrected(0.0, 30.0), 1e-9);
        $this->expectException(InstrumentFault::class);
        SolidsReading::corrected(NAN, 20.0);
    }

    public function test_the_stand_in_scale_lags_settles_tares_and_overloads(): void
    {
        $scale = new SimulatedScale();
        $scale->pour(250.0, 1.0);
        $scale->pass(0.5);
        $half = $scale->reading(0.0);
        self::assertFalse($half['settled']);
        self::assertLessThan(125.0, $half['grams'], 'it lags behind what lies on it');
        self::pass($scale, 4.0);
        self::assertSame(
            ['grams' => 250.0, 'settled' => true, 'overload' => false, 'resolution' => 1.0],
            $scale->reading(0.0),
        );
        $scale->tare();
        self::assertSame(0.0, $scale->reading(0.0)['grams']);
        $scale->clear();
        self::pass($scale, 4.0);
        self::assertSame(-250.0, $scale->reading(0.0)['grams']);
        $scale->pour(6000.0, 0.5);
        self::pass($scale, 4.0);
        self::assertTrue($scale->reading(0.0)['overload']);
        self::assertSame(6000.0 - 250.0, $scale->reading(2.0)['grams'], 'what has settled jitters no more');
    }

    public function test_the_stand_in_meter_needs_its_two_buffers_and_then_reads_true(): void
    {
        $sample = new SimulatedSample();
        $point = static function (float $ph) use ($sample): array {
            $sample->dip($ph, 0.0, 22.0);

            return ['ph' => $ph, ...$sample->electrode(0.0)];
        };
        $calibration = PhCalibration::between($point(4.01), $point(7.0), 0.0);
        $sample->dip(3.62, 31.0, 58.0);
        $sample->pass(10.0);

        self::assertEqualsWithDelta(3.62, $calibration->ph($sample->electrode(0.0)), 0.02);
        self::assertEqualsWithDelta(31.0, SolidsReading::corrected(...array_values($sample->refractometer(0.0))), 0.06);
        self::assertEqualsWithDelta(58.0, $sample->thermometer(0.0), 0.5);
    }

    private static function pass(SimulatedScale $scale, float $seconds): void
    {
        for ($passed = 0.0; $passed < $seconds; $passed += 0.02) {
            $scale->pass(0.02);
        }
    }
}
