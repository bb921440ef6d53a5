<?php

declare(strict_types=1);

namespace Tests\core\Cooking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Volume;
use Vinculum\Cooking\KeepingClaim;
use Vinculum\Cooking\MethodReader;
use Vinculum\Cooking\MethodStep;
use Vinculum\Cooking\Pan;
use Vinculum\Cooking\StagedCook;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;

final class MethodReaderTest extends TestCase
{
    /** @return iterable<string, array{string, string, array{float, float}|null}> text, kind, minutes */
    public static function steps(): iterable
    {
        yield 'a range' => ['Simmer 15 to 20 minutes', 'reduce', [15, 20]];
        yield 'short forms' => ['simmer for 15–20 mins', 'reduce', [15, 20]];
        yield 'overnight' => ['Leave in the fridge overnight', 'cool', [480, 720]];
        yield 'an hour and a quarter' => ['Simmer gently for an hour and a quarter', 'reduce', [75, 75]];
        yield 'an hour and a half' => ['Let it stand an hour and a half', 'rest', [90, 90]];
        yield 'a mixed number' => ['Boil for 1½ hours', 'reduce', [90, 90]];
        yield 'half an hour' => ['Rest for half an hour', 'rest', [30, 30]];
        yield 'hours and minutes' => ['Simmer 1 hour 20 minutes', 'reduce', [80, 80]];
        yield 'four hours to overnight' => ['Chill 4 hours to overnight', 'cool', [240, 720]];
        yield 'two days' => ['Leave to mature for two days', 'rest', [2880, 2880]];
        yield 'a few minutes' => ['Fry the onion for a few minutes', 'heat', [2, 5]];
        yield 'no time' => ['Simmer until it coats a spoon', 'reduce', null];
        yield 'the rest is no rest' => ['Blend half, stir in the rest', 'blend', null];
        yield 'by hand' => ['Stir in 2 tbsp vinegar', 'do', null];
        yield 'an amount is no time' => ['Add 10 g salt and 3 limes', 'do', null];
    }

    /** @param array{float, float}|null $minutes */
    #[DataProvider('steps')]
    public function test_reads_times_as_cooks_say_them(string $text, string $kind, ?array $minutes): void
    {
        $steps = MethodReader::steps([$text]);

        self::assertCount(1, $steps);
        self::assertSame($kind, $steps[0]->kind);
        self::assertEqualsWithDelta($minutes, $steps[0]->minutes, 1e-3);
    }

    public function test_how_long_it_keeps_is_a_claim_of_the_cook_and_no_step(): void
    {
        $method = ['Simmer for 20 minutes, then bottle.', 'Keeps about six months.', 'Leave two weeks before opening.'];
        $steps = MethodReader::steps($method);

        self::assertSame([20.0, 20160.0], array_map(
            static fn(MethodStep $step): float => $step->minutes[0] ?? 0.0,
            array_values(array_filter($steps, static fn(MethodStep $step): bool => $step->minutes !== null)),
        ));
        self::assertSame('Keeps about six months.', KeepingClaim::in($method));
        foreach (['Keep stirring for 5 minutes.', 'Keep warm for an hour.', 'Store it for a month before you open it.'] as $step) {
            self::assertNull(KeepingClaim::in([$step]), $step);
            self::assertCount(1, MethodReader::steps([$step]), $step);
        }
    }

    public function test_a_volume_that_is_told_is_boiled_down_to(): void
    {
        $formula = Formula::fromTexts(['1 l stock'], Catalogue::shipped(), Measures::Metric);
        foreach (['Simmer down to 400 ml.', 'Reduce to about 400 ml.', 'Boil until you have 400 ml.'] as $step) {
            $cook = StagedCook::of($formula, Pan::parse('24 cm'), [$step]);
            self::assertEqualsWithDelta(400.0, Volume::millilitres($cook->stages[0]->after), 8.0, $step);
        }
    }

    public function test_what_only_the_method_roasts_loses_its_water(): void
    {
        $formula = Formula::fromTexts(['500 g red peppers', '100 g onion', '50 ml vinegar'], Catalogue::shipped(), Measures::Metric);
        $lost = static fn(string $step): float => StagedCook::of($formula, null, [$step])->formula->losses()?->left->grams() ?? 0.0;

        // roasting takes 15 to 40 % (handbook, states)
        self::assertEqualsWithDelta(135.0, $lost('Roast the peppers for 40 minutes.'), 1.0);
        self::assertEqualsWithDelta(162.0, $lost('Char the peppers and onion under the grill.'), 1.0);
        self::assertSame(0.0, $lost('Blend the roasted peppers.'));
        self::assertSame(0.0, $lost('Roast the lamb for an hour.'));
    }

    /** @return iterable<string, array{string, float|null}> */
    public static function shares(): iterable
    {
        yield 'halves of fruit' => ['Simmer the lemon halves 10 min', null];
        yield 'until a quarter is left' => ['Boil until a quarter is left', 0.25];
        yield 'by three quarters in figures' => ['Reduce by 3/4', 0.25];
        yield 'halves' => ['Simmer until it halves', 0.5];
        yield 'by a quarter' => ['Reduce by a quarter', 0.75];
        yield 'to a third' => ['Boil down to about a third', 1 / 3];
        yield 'by half' => ['Reduce by half over a fierce boil', 0.5];
        yield 'nothing said' => ['Simmer until thick', null];
    }

    #[DataProvider('shares')]
    public function test_reads_how_far_it_goes(string $text, ?float $left): void
    {
        self::assertEqualsWithDelta($left, MethodReader::steps([$text])[0]->left, 1e-9);
    }

    public function test_sentences_are_steps_and_a_lid_stays_on_until_it_is_off(): void
    {
        $steps = MethodReader::steps([
            'Bring to the boil. Simmer covered for 30 minutes, then simmer 10 minutes; take the lid off and boil 5 minutes.',
        ]);

        self::assertSame(
            [null, true, true, false],
            array_map(static fn(MethodStep $step): ?bool => $step->lid->isOn(), $steps),
        );
        $water = array_map(static fn(MethodStep $step): ?float => $step->evaporates(0.05)['value'] ?? null, $steps);
        self::assertEqualsWithDelta(
            [null, 0.1 * 7.0 * 0.05 * 500.0, 0.1 * 7.0 * 0.05 * 1000.0 / 6.0, 18.0 * 0.05 * 1000.0 / 12.0],
            $water,
            1e-6,
        );
    }

    public function test_a_pan_and_timed_steps_give_a_finished_basis_with_its_doubt(): void
    {
        $formula = self::formula(['1 kg water', '100 g sugar', '10 g salt']);
        $cook = StagedCook::of($formula, Pan::parse('24 cm'), ['Simmer 60 minutes.']);
        $balance = Balance::of($cook->formula);
        $gone = 7.0 * M_PI / 4.0 * 0.24 ** 2 * 1000.0;

        self::assertTrue($balance->isFinished);
        self::assertEqualsWithDelta(1110.0 - $gone, $balance->mixture->grams(), 1e-6);
        self::assertEqualsWithDelta(100.0 * 9.8 / (1110.0 - $gone), $balance->axes['salt']->value, 0.05);
        self::assertGreaterThan(
            2.0 * (Balance::of($formula)->axes['salt']->high - Balance::of($formula)->axes['salt']->low),
            $balance->axes['salt']->high - $balance->axes['salt']->low,
            'how long the hob takes is in the band',
        );
        self::assertStringContainsString('Weigh the pan', $cook->notes[0]);
    }

    public function test_a_fraction_is_of_the_volume_in_the_pan(): void
    {
        $formula = self::formula(['1 kg water', '200 g sugar']);
        $halved = StagedCook::of($formula, Pan::parse('3 l'), ['Reduce by half.'])->formula;

        self::assertEqualsWithDelta(
            Volume::millilitres($formula->mixed()) / 2.0,
            Volume::millilitres(Balance::of($halved)->mixture),
            1.0,
        );
    }

    public function test_a_yield_wins_and_no_cook_takes_more_water_than_there_is(): void
    {
        $steps = ['Boil 5 hours.'];
        $yield = Formula::fromTexts(['1 kg water', '200 g sugar'], Catalogue::shipped(), Measures::Metric, '900 g');
        self::assertSame($yield, StagedCook::of($yield, Pan::parse('24 cm'), $steps)->formula);
        $dry = StagedCook::of(self::formula(['1 kg water', '200 g sugar']), Pan::parse('24 cm'), $steps);
        self::assertStringContainsString('without scorching', $dry->notes[0]);
        self::assertEqualsWithDelta(350.0, Balance::of($dry->formula)->mixture->grams(), 1.0);
        $plain = self::formula(['1 kg water']);
        self::assertSame($plain, StagedCook::of($plain, null, ['Boil 5 minutes.'])->formula, 'a short boil in no pan says nothing');
    }

    /** @param list<string> $lines */
    private static function formula(array $lines): Formula
    {
        return Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric);
    }

    public function test_a_method_without_end_is_kept_whole_and_read_as_far_as_the_budget_goes(): void
    {
        foreach (['a. ', 'x then ', '[', '[a] ', '1-', 'an hour and a half '] as $piece) {
            $lines = array_fill(0, 500, mb_substr(str_repeat($piece, 2000), 0, 2000));
            $steps = MethodReader::steps($lines);
            self::assertLessThanOrEqual(500 + 500, count($steps), "{$piece}: a step a line, and the sentences of the budget");
            self::assertSame(
                range(0, 499),
                array_values(array_unique(array_map(static fn(MethodStep $step): int => $step->line, $steps))),
                'every line is there',
            );
            self::assertNotNull(MethodReader::firstUnread($lines));
        }
        self::assertNull(
            MethodReader::firstUnread(
                array_fill(0, 40, 'Simmer for 20 minutes, stirring now and then, until it coats the spoon.'),
            ),
        );
    }

    /** What begins in fat and ends at an open simmer simmers, and the sauce is cooked. */
    public function test_a_sentence_that_begins_in_fat_may_end_at_a_simmer(): void
    {
        foreach (['Melt the butter', 'Fry the paste', 'Soften the onion in the oil', 'Sweat the shallots'] as $begins) {
            foreach (['simmer' => 'simmering', 'boil' => 'boiling', 'bubble' => 'simmering', 'simmer gently' => 'barely simmering'] as $ends => $heat) {
                foreach ([' and ', ', then ', ' and then '] as $joint) {
                    $method = ["{$begins}, add the milk{$joint}{$ends} for 10 minutes."];
                    self::assertTrue(MethodReader::treatment($method)->isCooked, $method[0]);
                    $steps = MethodReader::steps($method);
                    self::assertSame($heat, end($steps)->heat?->key, $method[0]);
                }
            }
        }
        self::assertFalse(MethodReader::treatment(['Soften the onion, cooking for 10 minutes.'])->isCooked);
    }

    public function test_tags_are_read_from_the_end(): void
    {
        $step = MethodReader::steps(['Stir [it all] well [20 min] [boiling]'])[0];
        self::assertSame([20.0, 20.0], $step->minutes);
        self::assertSame('Stir [it all] well', $step->text);
    }
}
