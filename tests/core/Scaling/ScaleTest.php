<?php

declare(strict_types=1);

namespace Tests\core\Scaling;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\core\Weighed;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Volume;
use Vinculum\Family\FamilyBook;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Report\ScaleReport;
use Vinculum\Scaling\Containers;
use Vinculum\Scaling\Rounding;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\ScaledLine;
use Vinculum\Scaling\ScaleFault;
use Vinculum\Scaling\ScaleSetting;
use Vinculum\Scaling\TargetSize;
use Vinculum\Sensory\TasteLoad;

final class ScaleTest extends TestCase
{
    private const SAUCE = [
        '1.2 kg damsons, stoned',
        '300 ml cider vinegar',
        '250 g light brown sugar',
        '1 onion, chopped',
        '2 tsp salt',
        '1 tsp allspice',
        '¼ tsp cloves',
        '3 cloves garlic',
        'a pinch of cayenne',
    ];

    public function test_jars_are_filled_to_their_head_space_from_the_finished_sauce(): void
    {
        $formula = self::formula(self::SAUCE, '900 ml');
        $wanted = TargetSize::amount('6 x 250 ml, 2 x 100 ml', $formula, Measures::Metric);

        self::assertEqualsWithDelta(0.95 * 1700.0 / 900.0, $wanted->factor, 1e-9);
        $fill = self::scale($formula, $wanted)->fill;
        self::assertEqualsWithDelta([237.5, 95.0], array_column($fill, 'filled_ml'), 0.5);
        self::assertSame([6, 2], array_column($fill, 'count'));
        self::assertLessThan(20.0, $fill[0]['left_over_ml'], 'but for the rounding nothing is left over');
    }

    /** @return iterable<string, array{string, float}> */
    public static function amounts(): iterable
    {
        yield 'a volume of what is mixed' => ['1 l', 2.0];
        yield 'a weight' => ['1500 g', 3.0];
        yield 'jars with a head space' => ['2 x 500 ml', 1.9];
    }

    #[DataProvider('amounts')]
    public function test_without_a_yield_it_is_of_what_is_mixed(string $asked, float $factor): void
    {
        $water = self::formula(['500.9 g water']);

        self::assertEqualsWithDelta(
            $factor,
            TargetSize::amount($asked, $water, Measures::Metric)->factor,
            0.01 * $factor,
        );
    }

    public function test_portions_and_the_limiting_ingredient(): void
    {
        $formula = self::formula(self::SAUCE, '900 ml');

        self::assertEqualsWithDelta(0.4, TargetSize::portions('12', '30 ml', $formula, Measures::Metric)->factor, 1e-9);
        $limited = TargetSize::have('damsons 340 g', $formula, Catalogue::shipped(), Measures::Metric);
        self::assertEqualsWithDelta([340.0 / 1200.0, 'damson'], [$limited->factor, $limited->limitedBy], 1e-9);
    }

    /** @return iterable<string, array{string, list<array{float, int}>}> */
    public static function containers(): iterable
    {
        yield 'times' => ['6 x 250 ml', [[250.0, 6]]];
        yield 'several' => ['2 × 500 ml, 3 × 250 ml', [[500.0, 2], [250.0, 3]]];
        yield 'pints' => ['3 pint jars', [[473.18, 3]]];
        yield 'half pints, in words' => ['four half-pint jars', [[236.59, 4]]];
        yield 'of a size' => ['6 jars of 250 ml and 1 bottle of 1 l', [[250.0, 6], [1000.0, 1]]];
        yield 'ounces of a jar are fluid' => ['2 8 oz jars', [[236.59, 2]]];
        yield 'said as fluid' => ['3 x 12 fl oz', [[354.88, 3]]];
        yield 'by weight of water' => ['2 jars of 300 g', [[300.0, 2]]];
        yield 'a dozen' => ['a dozen 100 ml bottles', [[100.0, 12]]];
        yield 'an amount is no container' => ['1.5 l', []];
    }

    /** @param list<array{float, int}> $found */
    #[DataProvider('containers')]
    public function test_what_it_is_filled_into_is_read_as_cooks_say_it(string $asked, array $found): void
    {
        $read = Containers::in($asked, Measures::Us, 1.0);
        self::assertSame(array_column($found, 1), array_column($read, 1));
        foreach ($found as $at => [$millilitres]) {
            self::assertEqualsWithDelta($millilitres, $read[$at][0], 0.1);
        }
    }

    public function test_jars_of_no_size_and_half_understood_ones_are_said(): void
    {
        foreach (['6 jars' => 'how much one holds', '6 x 250 ml and a bit' => 'names no volume', '0 x 250 ml' => 'names no volume'] as $asked => $says) {
            try {
                Containers::in($asked, Measures::Us, 1.0);
                self::fail($asked);
            } catch (ScaleFault $fault) {
                self::assertStringContainsString($says, $fault->getMessage());
            }
        }
    }

    public function test_of_several_things_the_scarcest_decides_and_none_is_passed_over(): void
    {
        $formula = Formula::fromTexts(['1 kg tomatoes', '100 ml cider vinegar', '4 cloves garlic'], Catalogue::shipped(), Measures::Metric);
        $have = static fn(string $asked): TargetSize => TargetSize::have($asked, $formula, Catalogue::shipped(), Measures::Metric);
        foreach ([
            'tomatoes 600 g, vinegar 30 ml, garlic 3 cloves' => [0.3, 'cider-vinegar'],
            '3 cloves garlic and 2 kg tomatoes' => [0.75, 'garlic'],
            '1,5 kg tomatoes' => [1.5, 'tomato'],
        ] as $asked => [$factor, $by]) {
            self::assertEqualsWithDelta($factor, $have($asked)->factor, 0.01, $asked);
            self::assertSame($by, $have($asked)->limitedBy, $asked);
        }
        $this->expectException(ScaleFault::class);
        $this->expectExceptionMessage('not in the recipe');
        $have('600 g tomatoes, 2 lemons');
    }

    public function test_what_nobody_cuts_in_two_stays_whole_at_every_size(): void
    {
        $formula = self::formula(['500 g tomatoes', '3 bay leaves', '2 star anise', '4 cardamom pods']);
        for ($factor = 0.5; $factor < 3.0; $factor += 0.07) {
            foreach (self::scale($formula, TargetSize::factor((string) $factor))->lines as $line) {
                if ($line->measure !== null && $line->line->written->measured?->counted !== null) {
                    self::assertDoesNotMatchRegularExpression('/[½¼¾⅓⅔⅛]/u', $line->measure, "× {$factor}");
                    self::assertStringNotContainsString('star,', $line->measure, 'the name says it');
                }
            }
        }
    }

    /** A stick of cinnamon at 0.953 times was three quarters of one, to move the heat by what nobody tastes. */
    public function test_what_moves_no_axis_is_rounded_to_the_nearest_at_every_size(): void
    {
        $formula = self::formula([...self::SAUCE, '1 stick cinnamon']);
        for ($factor = 0.7; $factor < 2.0; $factor += 0.017) {
            foreach (self::scale($formula, TargetSize::factor((string) $factor))->lines as $line) {
                if ($line->line->ingredient?->key === 'cinnamon') {
                    $asked = $line->exactGrams ?? 0.0;
                    $quarter = 0.25 * ($line->line->grams->value ?? 0.0);
                    $nearest = round($asked / $quarter) * $quarter;
                    self::assertLessThanOrEqual(abs($nearest - $asked) + 0.1, abs(($line->grams ?? 0.0) - $asked), "× {$factor}");
                }
            }
        }
    }

    public function test_a_loss_in_the_pan_asks_for_more(): void
    {
        $formula = self::formula(self::SAUCE, '900 ml');

        self::assertEqualsWithDelta(
            TargetSize::amount('6 x 250 ml', $formula, Measures::Metric)->factor / 0.95,
            TargetSize::amount('6 x 250 ml', $formula, Measures::Metric, loss: 0.05)->factor,
            1e-9,
        );
    }

    public function test_every_amount_can_be_measured_or_says_a_way_out(): void
    {
        foreach ([0.05, 0.3, 1.0, 2.7, 40.0] as $factor) {
            foreach (self::scale(
                self::formula(self::SAUCE, '900 ml'),
                TargetSize::factor((string) $factor),
            )->lines as $line) {
                self::assertNotNull($line->exactGrams);
                self::assertEqualsWithDelta($factor * ($line->line->grams->value ?? 0.0), $line->exactGrams, 1e-9);
                if ($line->measure === null) {
                    self::assertSame($line->exactGrams, $line->grams, 'what is too small keeps its exact amount');
                    self::assertMatchesRegularExpression('/Too small to measure.*(mix|trace)/', (string) $line->note);
                    self::assertGreaterThan(30.0, abs((float) $line->errorPercent));
                } else {
                    self::assertThat(
                        (string) $line->note,
                        self::logicalOr(self::identicalTo(''), self::stringContains('The nearest that can be measured')),
                    );
                    self::assertEqualsWithDelta(
                        100.0 * ((float) $line->grams / $line->exactGrams - 1.0),
                        $line->errorPercent,
                        1e-9,
                    );
                    self::assertLessThan(51.0, abs((float) $line->errorPercent), $line->line->text());
                }
            }
        }
    }

    /** Handbook, "Schools to support": strong things may start at about three quarters. */
    public function test_strong_things_are_held_back_when_a_recipe_grows(): void
    {
        $formula = self::formula(['1 kg plums', '10 g salt', '4 g cayenne', '300 g sugar']);
        $held = Scale::of(Weighed::formula($formula, measures: Measures::Metric), TargetSize::factor('4'), new ScaleSetting(holdsBack: true))->lines;

        self::assertEqualsWithDelta(
            [4000.0, 30.0, 12.0, 1200.0],
            array_map(static fn(ScaledLine $line): float => (float) $line->grams, $held),
            1.0,
        );
        self::assertSame('Held back: taste, then add up to 40 g in all.', $held[1]->note);
        self::assertEqualsWithDelta([40.0, -25.0], [$held[1]->exactGrams, $held[1]->errorPercent], 2.0);
        self::assertNull($held[0]->note);
        self::assertNull(
            Scale::of(Weighed::formula($formula, measures: Measures::Metric), TargetSize::factor('0.5'), new ScaleSetting(holdsBack: true))->lines[1]->note,
            'a smaller one needs no caution',
        );
    }

    public function test_a_mix_for_what_is_too_small_holds_what_was_asked(): void
    {
        $lines = self::scale(
            self::formula(['500 g sugar', '100 ml water', '¼ tsp cayenne']),
            TargetSize::factor('0.1'),
        )->lines;
        self::assertSame(
            1,
            preg_match(
                '/mix 1 g of cayenne pepper with ([\d.]+) g of white sugar and use ([\d.]+) g/',
                (string) $lines[2]->note,
                $found,
            ),
        );

        self::assertEqualsWithDelta(
            (float) $lines[2]->exactGrams,
            (float) $found[2] / (1.0 + (float) $found[1]),
            0.05 * (float) $lines[2]->exactGrams,
        );
    }

    public function test_counts_become_counts_with_their_weight(): void
    {
        $lines = self::scale(self::formula(self::SAUCE), TargetSize::factor('1.6'))->lines;

        self::assertSame('1½, about 225 g', $lines[3]->measure);
        self::assertMatchesRegularExpression('/^(4½|5) cloves, about \d+ g$/', (string) $lines[7]->measure);

        $counted = static fn(string $line, string $factor): string => explode(
            ',',
            (string) self::scale(self::formula([$line]), TargetSize::factor($factor))->lines[0]->measure,
        )[0];
        self::assertSame(
            ['4 bunches', '1 bunch', '½', '1 clove', '4 cm', '3 sprigs'],
            [
                $counted('2 bunches coriander', '2'),
                $counted('2 bunches coriander', '0.5'),
                $counted('1 star anise', '0.5'),
                $counted('2 cloves garlic', '0.5'),
                $counted('2 cm ginger', '2'),
                $counted('1 sprig thyme', '3'),
            ],
        );
    }

    /**
     * The chosen rounding against plain rounding, by the change of balance and by the distance to a style, on seeded
     * random recipes.
     */
    public function test_rounding_is_never_worse_than_plain_rounding(): void
    {
        mt_srand(20261123);
        $keys = [
            'salt',
            'white-sugar',
            'cider-vinegar',
            'soy-sauce',
            'fish-sauce',
            'cayenne',
            'honey',
            'lemon-juice',
            'ketchup',
            'water',
            'dijon-mustard',
            'tomato-paste',
            'paprika',
            'cloves',
        ];
        $better = 0;
        for ($trial = 0; $trial < 300; ++$trial) {
            [$perGram, $exact, $choices] = [[], [], []];
            foreach ((array) array_rand($keys, mt_rand(3, 12)) as $index) {
                $grams = exp(mt_rand(-100, 500) / 100.0);
                $notch = [0.3, 0.6, 1.2, 5.0, 10.0][mt_rand(0, 4)];
                $below = floor($grams / $notch) * $notch;
                $perGram[] = TasteLoad::of(Catalogue::shipped()->get($keys[$index])->grams(1.0));
                $exact[] = $grams;
                $choices[] = [$below > 0.0 ? $below : $notch, $below + $notch];
            }
            $target = FamilyBook::all()[$trial % count(FamilyBook::all())]->target;
            $chosen = Rounding::choose(TasteLoad::of(Mixture::nothing()), $perGram, $exact, $choices, $target);
            $plain = array_map(
                static fn(float $grams, array $pair): float => $grams - $pair[0] <= $pair[1] - $grams
                    ? $pair[0]
                    : $pair[1],
                $exact,
                $choices,
            );
            $taste = static function (array $grams) use ($perGram) {
                $load = TasteLoad::of(Mixture::nothing());
                foreach ($perGram as $index => $one) {
                    $load = $load->plus($one, $grams[$index]);
                }

                return $load->taste();
            };
            $moved = static fn(array $grams): float => $taste($exact)->stepsApart($taste($grams));
            self::assertLessThanOrEqual($moved($plain) + 1e-9, $moved($chosen));
            self::assertLessThanOrEqual($target->distance($taste($plain)) + 1e-9, $target->distance($taste($chosen)));
            foreach ($chosen as $index => $grams) {
                self::assertContains($grams, $choices[$index]);
            }
            $better += $moved($chosen) < $moved($plain) - 0.01 ? 1 : 0;
        }
        self::assertGreaterThan(60, $better, 'and often better');
    }

    public function test_mass_is_conserved_and_scaling_commutes_with_the_balance(): void
    {
        foreach ([0.7, 3.0, 12.0] as $factor) {
            $formula = self::formula(self::SAUCE, '900 ml');
            $scale = self::scale($formula, TargetSize::factor((string) $factor));
            $sum = array_sum(array_map(static fn(ScaledLine $line): float => (float) $line->grams, $scale->lines));
            self::assertEqualsWithDelta($sum, $scale->mixed->grams(), 1e-6);
            foreach (Balance::of($formula)->taste->stepsTo(Balance::of($formula->times($factor))->taste) as $moved) {
                self::assertEqualsWithDelta(0.0, $moved, 1e-6);
            }
        }
    }

    /** By hand: 600 g of water at 7 kg a square metre and hour from a pan of 24 cm (0.0452 m²) take 114 minutes. */
    public function test_the_cook_is_the_water_that_leaves_the_pan(): void
    {
        $formula = self::formula(['1000 g water', '200 g sugar'], '600 g');
        $cook = self::scale($formula, TargetSize::factor('1'), '24 cm', 'Simmer until syrupy')->cook;

        self::assertEqualsWithDelta(600.0, $cook['evaporate_grams'] ?? 0.0, 1e-6);
        self::assertEqualsWithDelta(600.0, $cook['pan_reads_grams'] ?? 0.0, 1e-6);
        self::assertEqualsWithDelta(
            0.6 / (7.0 * M_PI / 4.0 * 0.24 ** 2) * 60.0,
            $cook['minutes']['value'] ?? 0.0,
            1e-6,
        );
        $double = self::scale($formula, TargetSize::factor('2'), '24 cm', 'Simmer')->cook;
        self::assertEqualsWithDelta(
            2.0,
            ($double['minutes']['value'] ?? 0.0) / ($cook['minutes']['value'] ?? 1.0),
            1e-6,
            'in the same pan time grows with mass',
        );
        $wide = self::scale($formula, TargetSize::factor('2'), '34 cm', 'Simmer')->cook;
        self::assertLessThan(
            $double['minutes']['value'] ?? 0.0,
            $wide['minutes']['value'] ?? 0.0,
            'in a wider pan it falls',
        );
        self::assertNull(self::scale($formula, TargetSize::factor('1'))->cook);
        self::assertNull(self::scale(self::formula(['1000 g water']), TargetSize::factor('1'), '24 cm')->cook);
    }

    public function test_a_pan_too_full_to_boil_says_the_most_that_fits(): void
    {
        $notes = self::scale(self::formula(['1000 g water']), TargetSize::factor('5'), '24 x 12 cm')->notes;
        self::assertMatchesRegularExpression(
            '/more than two thirds of the pan.*2 goes, or scale by at most 3\.6/',
            $notes[0],
        );
        self::assertStringContainsString(
            'names no width',
            self::scale(self::formula(['1000 g water']), TargetSize::factor('1'), 'the big one')->notes[0],
        );
    }

    public function test_what_cannot_be_is_said_with_what_could(): void
    {
        $formula = self::formula(self::SAUCE);
        foreach ([
            'no factor' => static fn() => TargetSize::factor('0'),
            'up to 10000' => static fn() => TargetSize::factor('1e6'),
            'names no volume' => static fn() => TargetSize::amount('a lot', $formula, Measures::Metric),
            '"0 x 250 ml" names no' => static fn() => TargetSize::amount('0 x 250 ml', $formula, Measures::Metric),
            'It has damson, cider vinegar' => static fn() => TargetSize::have(
                '200 g mango',
                $formula,
                Catalogue::shipped(),
                Measures::Metric,
            ),
            'says no amount' => static fn() => TargetSize::have(
                'mango',
                $formula,
                Catalogue::shipped(),
                Measures::Metric,
            ),
            'nothing to scale' => static fn() => TargetSize::amount(
                '1 l',
                self::formula(['salt to taste']),
                Measures::Metric,
            ),
            'nothing in the recipe' => static fn() => self::scale(self::formula([]), TargetSize::factor('2')),
        ] as $message => $wrong) {
            try {
                $wrong();
                self::fail($message);
            } catch (ScaleFault $fault) {
                self::assertStringContainsString($message, $fault->getMessage());
            }
        }
    }

    public function test_its_shape_is_the_contracts_and_its_lines_read_back(): void
    {
        $formula = self::formula([...self::SAUCE, 'salt to taste', '3 tbsp zorp'], '900 ml');
        $json = ScaleReport::of(
            self::scale($formula, TargetSize::factor('2.3')),
            Weighed::formula($formula, measures: Measures::Metric),
        )->toArray();

        self::assertSame(
            [],
            array_diff(
                ['factor', 'limited_by', 'lines', 'batch', 'fill', 'cook', 'axes_before', 'axes_after', 'notes'],
                array_keys($json),
            ),
        );
        self::assertSame(
            ['ingredient', 'text', 'grams', 'exact_grams', 'measure', 'error_percent', 'note'],
            array_slice(array_keys($json['lines'][0]), 0, 7),
        );
        self::assertNull($json['lines'][9]['grams']);
        self::assertNotNull($json['lines'][10]['note']);
        $again = self::formula(array_column($json['recipe_lines'], 'text'));
        foreach (array_slice($json['lines'], 0, 9) as $number => $line) {
            self::assertSame($line['ingredient'], $again->lines[$number]->ingredient?->key);
            self::assertEqualsWithDelta(
                $line['grams'],
                $again->lines[$number]->grams?->value,
                0.3 * $line['grams'],
                $json['recipe_lines'][$number]['text'],
            );
        }
        self::assertGreaterThan(0.0, Volume::millilitres($again->mixed()));
    }

    private static function scale(Formula $formula, TargetSize $wanted, ?string $pan = null, string $method = ''): Scale
    {
        return Scale::of(Weighed::formula($formula, null, Measures::Metric, $pan, [$method]), $wanted);
    }

    /** @param list<string> $lines */
    private static function formula(array $lines, ?string $yield = null): Formula
    {
        return Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric, $yield);
    }
}
