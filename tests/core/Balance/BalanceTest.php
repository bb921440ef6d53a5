<?php

declare(strict_types=1);

namespace Tests\core\Balance;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Component;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Sensory\Axis;

final class BalanceTest extends TestCase
{
    public function test_a_sum_done_by_hand(): void
    {
        $balance = self::balance(['100 g water', '60 g sugar', '40 g white vinegar', '5 g salt']);

        self::assertEqualsWithDelta(205.0, $balance->mixture->grams(), 1e-6);
        self::assertEqualsWithDelta(100 * 0.999 * 60 / 205, $balance->taste->sweet, 1e-6);
        self::assertEqualsWithDelta(100 * 2.0 / 205, $balance->taste->sour, 0.005);
        self::assertEqualsWithDelta(100 * 0.996 * 5 / 205, $balance->taste->salt, 1e-6);
        self::assertSame(0.0, $balance->taste->umami);
        self::assertFalse($balance->isFinished);
    }

    public function test_a_yield_by_weight_takes_only_water(): void
    {
        $mixed = self::balance(['500 g tomatoes', '50 g sugar', '100 g cider vinegar']);
        $finished = self::balance(['500 g tomatoes', '50 g sugar', '100 g cider vinegar'], '400 g');

        self::assertTrue($finished->isFinished);
        self::assertEqualsWithDelta(400.0, $finished->mixture->grams(), 1e-6);
        self::assertEqualsWithDelta($mixed->taste->sweet * 650 / 400, $finished->taste->sweet, 1e-6);
        self::assertEqualsWithDelta(
            $mixed->mixture->get(Component::Acetic),
            $finished->mixture->get(Component::Acetic),
            1e-9,
        );
    }

    public function test_a_yield_that_cannot_be_is_said_and_left_aside(): void
    {
        foreach ([
            '5 kg' => 'more than went in',
            '20 g' => 'would need',
            'three jars' => 'names no weight',
        ] as $yield => $says) {
            $balance = self::balance(['200 g water', '100 g sugar'], $yield);
            self::assertFalse($balance->isFinished, $yield);
            self::assertStringContainsString($says, implode(' ', $balance->notes));
        }
    }

    public function test_doubt_adds_in_quadrature(): void
    {
        // a batch of water with salt by the teaspoon: 10 % from the spoon and 3 % from the grade A of salt
        $salt = self::balance(['990 g water', '1 tsp salt'])->axes['salt'];
        $relative = ($salt->high - $salt->value) / 1.645 / $salt->value;

        self::assertEqualsWithDelta(hypot(0.10, 0.03), $relative, 0.003);
    }

    public function test_weighing_narrows_the_band(): void
    {
        $spooned = self::balance(['1 cup water', '1 tbsp soy sauce'])->axes['salt'];
        $weighed = self::balance(['236 g water', '17 g soy sauce'])->axes['salt'];

        self::assertLessThan($spooned->high - $spooned->low, $weighed->high - $weighed->low);
    }

    public function test_the_heat_of_pods_is_doubtful_by_a_factor_of_two_either_way(): void
    {
        $heat = self::balance(['1 kg water', '30 g red chilli'])->axes['heat'];

        self::assertEqualsWithDelta(2 ** 1.645, $heat->high / $heat->value, 0.15);
        self::assertEqualsWithDelta($heat->high / $heat->value, $heat->value / $heat->low, 1e-6);
    }

    public function test_says_which_line_brings_the_doubt(): void
    {
        $salt = self::balance(['1 kg tomatoes', '10 g salt', 'a glug of fish sauce'])->axes['salt'];
        self::assertSame(2, array_search(max($salt->shares), $salt->shares, true));
        self::assertEqualsWithDelta(1.0, array_sum($salt->shares), 1e-9);
    }

    public function test_ph_is_never_surer_than_a_fifth_and_is_null_without_acid(): void
    {
        $ph = self::balance(['1 kg white vinegar'])->ph;

        self::assertEqualsWithDelta(2.43, $ph?->value, 0.02);
        self::assertEqualsWithDelta(0.2, $ph->high - $ph->value, 1e-9);
        self::assertNull(self::balance(['100 g oil', '5 g salt'])->ph);
    }

    public function test_lines_that_cannot_be_counted_are_counted_out_and_said(): void
    {
        $plain = self::balance(['100 g water', '10 g salt']);
        $odd = self::balance(['100 g water', '3 tbsp zorp', '1/0 cup sugar', '10 g salt', 'pepper']);

        self::assertSame($plain->taste->salt, $odd->taste->salt);
        $notes = implode("\n", $odd->notes);
        self::assertStringContainsString('Line 2, "3 tbsp zorp", is left out', $notes);
        self::assertStringContainsString('Line 3', $notes);
        self::assertStringContainsString('Line 5, "pepper", has no amount', $notes);
    }

    public function test_diets_are_not_claimed_over_an_unknown_line(): void
    {
        self::assertContains('vegan', self::balance(['100 g water', '10 g salt'])->diets());
        self::assertSame([], self::balance(['100 g water', '10 g zorp'])->diets());
        self::assertSame(
            ['gluten', 'fish', 'mustard', 'soya', 'sulphites'],
            self::balance(['1 tbsp Worcestershire sauce', '1 tsp yellow mustard'])->allergens(),
        );
    }

    public function test_nothing_is_nothing_and_never_nan(): void
    {
        foreach ([[], [''], ['zorp'], ['salt'], ['0 g salt']] as $lines) {
            $balance = self::balance($lines);
            self::assertSame(0.0, $balance->mixture->grams());
            foreach (Axis::cases() as $axis) {
                self::assertSame(0.0, $balance->axes[$axis->value]->value);
            }
            self::assertNull($balance->ph);
        }
    }

    public function test_lines_beyond_the_thousandth_are_kept_and_said(): void
    {
        $balance = self::balance(array_fill(0, 1200, '1 g salt'));

        self::assertCount(1200, $balance->formula->lines);
        self::assertEqualsWithDelta(1000.0, $balance->mixture->grams(), 1e-6);
        self::assertStringContainsString('first 1000 lines', (string) $balance->formula->lines[1100]->note);
    }

    public function test_the_axes_alone_are_those_of_the_whole_balance(): void
    {
        foreach ([['2 tbsp soy sauce', '1 onion', '90 g honey', '1 chilli'], ['100 g yoghurt', '1 tbsp lemon juice']] as $lines) {
            $balance = self::balance($lines);

            self::assertEquals($balance->axes, Balance::axesOf($balance->formula));
        }
    }

    /** @param list<string> $lines */
    private static function balance(array $lines, ?string $yield = null): Balance
    {
        return Balance::of(Formula::fromTexts($lines, Catalogue::shipped(), Measures::Us, $yield));
    }
}
