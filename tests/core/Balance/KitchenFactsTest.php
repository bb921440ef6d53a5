<?php

declare(strict_types=1);

namespace Tests\core\Balance;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\DoubtAdvice;
use Vinculum\Balance\Formula;
use Vinculum\Balance\MeasuredYield;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Volume;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/** What kitchens know, against what is computed. All common practice unless another source is named. */
final class KitchenFactsTest extends TestCase
{
    public function test_a_ratio_is_the_same_sauce_in_any_vessel(): void
    {
        $ratios = [
            'three of soy, one of sweet wine, one of rice wine' => ['3 %s soy sauce', '1 %s mirin', '1 %s sake'],
            'equal oil and vinegar' => ['1 %s olive oil', '1 %s red wine vinegar'],
            'mustard equal to honey with three of mayonnaise' => [
                '1 %s yellow mustard',
                '1 %s honey',
                '3 %s mayonnaise',
            ],
            'mayonnaise four to vinegar three' => ['4 %s mayonnaise', '3 %s cider vinegar'],
        ];
        foreach ($ratios as $name => $lines) {
            $tastes = [];
            foreach (['cups', 'tbsp', 'mugs', 'ladles', 'parts', 'litres'] as $vessel) {
                $tastes[] = self::balance(
                    array_map(static fn(string $line): string => sprintf($line, $vessel), $lines),
                )->taste;
            }
            foreach (Axis::cases() as $axis) {
                foreach ($tastes as $taste) {
                    self::assertEqualsWithDelta(
                        $tastes[0]->on($axis),
                        $taste->on($axis),
                        1e-6 + 1e-6 * $tastes[0]->on($axis),
                        $name,
                    );
                }
            }
        }
    }

    public function test_a_tablespoon_of_cornflour_in_half_a_cup_of_juice_holds_a_track(): void
    {
        $balance = self::balance(['½ cup orange juice', '¼ cup sugar', '1 level tablespoon cornflour']);
        $cups = Volume::millilitres($balance->mixture) / 236.588;

        self::assertSame('spooning', $balance->body->class);
        self::assertSame('starch', $balance->body->from);
        self::assertGreaterThan(0.5, $cups);
        self::assertLessThan(0.75, $cups);
    }

    public function test_a_hundred_milligrams_of_capsaicin_a_kilogram_are_1610_scoville_units(): void
    {
        // by definition of the factor: 1 mg/kg of capsaicin is 16.1 SHU
        $pure = Mixture::of(['water' => 999.9, 'capsaicinoid_heat' => 0.1 * 16.1e6, 'other' => 0.1]);

        self::assertEqualsWithDelta(1610.0, Taste::ofMixture($pure)->heat, 0.01);
    }

    public function test_ready_sauces_stand_where_their_families_do(): void
    {
        $expected = [
            'ketchup' => [Axis::Sweet, 15.0, 28.0],
            'mayonnaise' => [Axis::Salt, 1.0, 2.0],
            'soy-sauce' => [Axis::Salt, 13.0, 17.0],
            'lemon-juice' => [Axis::Sour, 4.0, 6.0],
            'fish-sauce' => [Axis::Salt, 19.0, 27.0],
        ];
        foreach ($expected as $key => [$axis, $low, $high]) {
            $value = Taste::ofMixture(Catalogue::shipped()->get($key)->composition->mixture)->on($axis);
            self::assertGreaterThan($low, $value, $key);
            self::assertLessThan($high, $value, $key);
        }
    }

    public function test_a_yield_is_read_as_cooks_write_it(): void
    {
        $millilitres = static fn(string $text): ?float
            => MeasuredYield::parse($text, Measures::Metric)?->millilitres?->value;

        self::assertSame(500.0, $millilitres('500 ml'));
        self::assertSame(1500.0, $millilitres('6 x 250 ml'));
        self::assertSame(500.0, $millilitres('about 2 cups'));
        self::assertSame(1200.0, $millilitres('makes 1.2 l'));
        self::assertSame(800.0, MeasuredYield::parse('800 g', Measures::Metric)?->grams?->value);
        foreach (['four people', '', '3 jars', 'zorp'] as $text) {
            self::assertNull(MeasuredYield::parse($text, Measures::Metric), $text);
        }
    }

    public function test_every_figure_of_the_batch_has_a_band(): void
    {
        $balance = self::balance([
            '1 cup red wine',
            '2 tbsp olive oil',
            '1 tbsp honey',
            '1 tsp mustard powder',
            '1 tbsp cornflour',
            '1 cup water',
        ]);
        foreach ([
            'grams',
            'millilitres',
            'density',
            'dissolved_solids',
            'fat',
            'alcohol',
            'nose_heat',
            'starch',
        ] as $figure) {
            $reading = $balance->figures->byName()[$figure];
            self::assertGreaterThan(0.0, $reading->value, $figure);
            self::assertLessThan($reading->value, $reading->low, $figure);
            self::assertGreaterThan($reading->value, $reading->high, $figure);
        }
    }

    public function test_names_the_line_to_weigh_or_whose_label_to_read(): void
    {
        $vague = DoubtAdvice::for(self::balance(['500 g tomatoes', 'a glug of soy sauce']));
        $pods = DoubtAdvice::for(self::balance(['500 g water', '20 g red chilli']));

        self::assertSame([1, true, true], [$vague?->line, $vague?->byWeighing, $vague?->halves]);
        self::assertSame([Axis::Heat, 1, false], [$pods?->axis, $pods?->line, $pods?->byWeighing]);
        self::assertNull(DoubtAdvice::for(self::balance(['500 g water', '10 g salt', '50 g sugar'])));
        self::assertNull(DoubtAdvice::for(self::balance([])));
    }

    public function test_weighing_the_named_line_halves_the_band(): void
    {
        $before = self::balance(['500 g tomatoes', 'a glug of soy sauce']);
        $advice = DoubtAdvice::for($before);
        self::assertNotNull($advice);
        $after = self::balance(['500 g tomatoes', '17.4 g soy sauce']);
        $width = static fn(Balance $balance): float
            => $balance->axes[$advice->axis->value]->high - $balance->axes[$advice->axis->value]->low;

        self::assertLessThan(0.5 * $width($before), $width($after));
    }

    /** @param list<string> $lines */
    private static function balance(array $lines): Balance
    {
        return Balance::of(Formula::fromTexts($lines, Catalogue::shipped(), Measures::Us));
    }
}
