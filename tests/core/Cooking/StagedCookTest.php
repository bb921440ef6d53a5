<?php

declare(strict_types=1);

namespace Tests\core\Cooking;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Component;
use Vinculum\Cooking\CookedStage;
use Vinculum\Cooking\MethodStep;
use Vinculum\Cooking\Pan;
use Vinculum\Cooking\StagedCook;
use Vinculum\Cooking\StepLosses;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;

/** Handbook, "Cooking": water, alcohol, acetic acid and nose heat leave by stages; nothing else does. */
final class StagedCookTest extends TestCase
{
    use TestTrait;

    public function test_lines_go_in_by_stage_and_what_is_cold_goes_in_last(): void
    {
        $formula = self::formula([
            'For the pot:',
            '500 g tomatoes',
            '100 g mustard [cold]',
            'Simmer 20 minutes with sugar:',
            '50 g sugar',
            'Off the heat:',
            '20 g lime juice',
        ]);
        $stages = StagedCook::of(
            $formula,
            Pan::parse('24 cm'),
            ['For the pot:', 'Soften for 5 minutes', 'Off the heat:', 'Stir'],
        )->stages;

        self::assertSame(
            ['For the pot', 'Simmer 20 minutes with sugar', 'Off the heat'],
            array_map(static fn(CookedStage $stage): ?string => $stage->stage->title, $stages),
        );
        self::assertSame(
            [[1], [4], [2, 6]],
            array_map(static fn(CookedStage $stage): array => array_keys($stage->stage->lines), $stages),
        );
        self::assertSame(
            [['Soften for 5 minutes'], ['Simmer 20 minutes with sugar'], ['Stir']],
            array_map(
                static fn(CookedStage $stage): array => array_map(
                    static fn(MethodStep $step): string => $step->text,
                    $stage->stage->steps,
                ),
                $stages,
            ),
        );
    }

    public function test_steps_under_no_heading_run_when_everything_hot_is_in(): void
    {
        $formula = self::formula(['For the pot:', '500 g tomatoes', 'Then:', '50 g sugar', '10 g basil [cold]']);
        $stages = StagedCook::of($formula, Pan::parse('24 cm'), ['Simmer 10 minutes'])->stages;

        self::assertSame([0, 1, 0], array_map(static fn(CookedStage $stage): int => count($stage->steps), $stages));
    }

    public function test_titles_serve_where_a_formula_has_no_headings(): void
    {
        $cook = StagedCook::of(
            self::formula(['500 g tomatoes', '20 g horseradish']),
            Pan::parse('24 cm'),
            ['Simmer 10 minutes'],
            null,
            ['For the pot', 'To serve'],
        );

        self::assertSame(
            [false, true],
            array_map(static fn(CookedStage $stage): bool => $stage->stage->isOffTheHeat, $cook->stages),
        );
    }

    /** USDA Table of Nutrient Retention Factors (from memory), as the handbook gives it. */
    public function test_alcohol_by_the_retention_table(): void
    {
        foreach ([
            0 => 1.0,
            15 => 0.40,
            30 => 0.35,
            60 => 0.25,
            90 => 0.20,
            120 => 0.10,
            150 => 0.05,
            600 => 0.05,
        ] as $minutes => $left) {
            self::assertEqualsWithDelta($left, StepLosses::retained((float) $minutes), 1e-12);
        }
    }

    /**
     * Rayleigh's law for a dilute solution boiled in small steps: each gram of vapour holds α times the share that the
     * pan holds. Integrated here by hand, against the closed form.
     */
    public function test_alcohol_and_acetic_acid_by_distillation(): void
    {
        $formula = self::formula(['900 g water', '100 g vodka', '50 g white vinegar']);
        $cook = StagedCook::of($formula, Pan::parse('24 cm'), ['Boil for 10 minutes']);
        $step = $cook->stages[0]->steps[0];
        $water = $formula->mixed()->get(Component::Water);
        [$ethanol, $acetic, $left] = [1.0, 1.0, $water];
        $slice = $step->water / 20_000;
        for ($index = 0; $index < 20_000; ++$index) {
            $ethanol -= 8.0 * $ethanol * $slice / $left;
            $acetic -= 0.7 * $acetic * $slice / $left;
            $left -= $slice;
        }

        self::assertGreaterThan(100.0, $step->water);
        self::assertEqualsWithDelta($ethanol, $step->alcohol[0], 1e-3);
        self::assertEqualsWithDelta($acetic, $step->acetic, 1e-4);
        self::assertGreaterThan(
            ($water - $step->water) / $water,
            $step->acetic,
            'the acid leaves more slowly than the water, so it grows stronger',
        );
    }

    public function test_both_models_of_alcohol_are_told_where_they_differ_and_the_doubt_reaches_both(): void
    {
        $cook = StagedCook::of(
            self::formula(['500 g water', '300 g red wine']),
            Pan::parse('28 cm'),
            ['Boil hard for 15 minutes'],
        );
        [$rayleigh, $table] = $cook->stages[0]->steps[0]->alcohol;
        $balance = Balance::of($cook->formula);
        $reading = $balance->figures->alcohol;
        $left = static fn(float $share): float
            => 100.0 * $share * $cook->formula->mixed()->get(Component::Ethanol) / $balance->mixture->grams();

        self::assertLessThan(0.2, $rayleigh);
        self::assertSame(0.4, $table);
        self::assertLessThan(1.02 * $left($rayleigh) + 0.05, $reading->low);
        self::assertGreaterThan(0.9 * $left($table), $reading->high);
        self::assertStringContainsString(sprintf('%.0f to 40 %% stays', 100.0 * $rayleigh), implode(' ', $cook->notes));
    }

    public function test_cooked_mustard_loses_its_bite_and_cold_mustard_keeps_it(): void
    {
        $bite = static fn(string $line): float => Balance::of(
            StagedCook::of(self::formula(['500 g water', $line]), Pan::parse('24 cm'), ['Simmer 30 minutes'])->formula,
        )->mixture->get(Component::Pungency);
        $raw = self::formula(['40 g horseradish'])->mixed()->get(Component::Pungency);

        self::assertEqualsWithDelta($raw, $bite('40 g horseradish [cold]'), 1e-9);
        self::assertLessThan(0.15 * $raw, $bite('40 g horseradish'));
    }

    public function test_a_sieve_keeps_fibre_and_what_clings_to_it(): void
    {
        $formula = self::formula(['1 kg plums', '200 g sugar']);
        $cook = StagedCook::of($formula, Pan::parse('24 cm'), ['Simmer 10 minutes', 'Rub through a sieve']);
        [$before, $after] = [$cook->stages[0]->with, $cook->stages[0]->after];

        self::assertEqualsWithDelta(0.5 * $before->get(Component::Fibre), $after->get(Component::Fibre), 1e-9);
        self::assertLessThan($before->grams() - $cook->stages[0]->water(), $after->grams());
        self::assertLessThan($before->get(Component::Sucrose), $after->get(Component::Sucrose));
    }

    public function test_a_yield_counts_water_only_and_says_what_else_leaves(): void
    {
        $formula = Formula::fromTexts(
            ['500 g white vinegar', '300 g red wine', '200 g sugar'],
            Catalogue::shipped(),
            Measures::Metric,
            '700 g',
        );
        $cook = StagedCook::of($formula, Pan::parse('24 cm'), ['Boil 20 minutes']);
        $balance = Balance::of($cook->formula);

        self::assertSame($formula->mixed()->get(Component::Acetic), $balance->mixture->get(Component::Acetic));
        self::assertSame($formula->mixed()->get(Component::Ethanol), $balance->mixture->get(Component::Ethanol));
        self::assertMatchesRegularExpression(
            '/yield tells of water only.*% of the alcohol and \d+ % of the acetic acid/',
            $cook->notes[0],
        );
    }

    public function test_without_a_pan_or_a_time_everything_stays_as_mixed(): void
    {
        $formula = self::formula(['500 g tomatoes', '20 g salt']);

        self::assertFalse(Balance::of(StagedCook::of($formula, null, ['Simmer 8 minutes'])->formula)->isFinished);
        self::assertFalse(
            Balance::of(
                StagedCook::of($formula, Pan::parse('24 cm'), ['Stir it', 'Rest overnight'])->formula,
            )->isFinished,
        );
    }

    /**
     * Whatever the plan, what was mixed is what is left plus what left; nothing is made, and nothing falls below zero.
     */
    public function test_mass_is_kept_over_any_plan(): void
    {
        $lines = [
            '700 g tomatoes',
            '200 g red wine',
            '150 ml cider vinegar',
            '60 g mustard',
            '100 g sugar',
            '30 g horseradish [cold]',
            '10 g salt',
        ];
        $steps = [
            'Simmer 20 minutes',
            'Boil hard for 1 hour',
            'Reduce by half',
            'Simmer with the lid on for 2 hours',
            'Rub through a sieve',
            'Rest overnight',
            'Fry for 5 minutes',
            'Boil down to a third',
            'Stir',
        ];
        $this->limitTo(150)->forAll(
            Generators::seq(Generators::elements(...$steps)),
            Generators::choose(10, 60),
            Generators::choose(1, 7),
        )->then(function (array $method, int $across, int $count) use ($lines): void {
            $formula = self::formula(array_slice($lines, 0, $count));
            $cook = StagedCook::of($formula, Pan::parse("{$across} cm"), array_values($method));
            $mixed = $formula->mixed()->amounts();
            $losses = $cook->formula->losses();
            $end = Balance::of($cook->formula)->mixture;

            foreach ($mixed as $component => $amount) {
                $case = Component::from($component);
                self::assertEqualsWithDelta($amount, $end->get($case) + ($losses?->left->get($case) ?? 0.0), 1e-6);
                if ($case !== Component::StrongIonDifference) {
                    self::assertGreaterThanOrEqual(-1e-9, $end->get($case), $component);
                }
            }
            if ($losses !== null) {
                self::assertEqualsWithDelta($formula->mixed()->grams() - $losses->left->grams(), $end->grams(), 1e-6);
            }
        });
    }

    /**
     * Latent heat of water at 100 °C, 2257 J/g (CRC Handbook, from memory), under a 3.5 kW ring: no plan promises more.
     */
    public function test_no_plan_boils_off_more_than_the_strongest_ring_could(): void
    {
        foreach ([16, 24, 40, 90, 150] as $across) {
            foreach (['Simmer', 'Boil hard'] as $how) {
                $step = StagedCook::of(
                    self::formula(['400 kg water [meant]']),
                    Pan::parse("{$across} cm"),
                    ["{$how} for 60 minutes"],
                )->stages[0]->steps[0];
                self::assertLessThanOrEqual(
                    3600.0 * 3500.0 / 2257.0 + 1e-6,
                    $step->band['high'],
                    "{$how} in {$across} cm",
                );
                self::assertGreaterThan(0.0, $step->band['low']);
            }
        }
    }

    public function test_a_pan_named_in_one_step_is_that_of_the_rest(): void
    {
        $formula = self::formula(['1 kg tomatoes', '100 g sugar']);
        $method = ['Warm the tomatoes in a wide 26 cm pan', 'Simmer uncovered for 40 minutes'];
        $left = static fn(?Pan $pan, array $steps): float => StagedCook::of($formula, $pan, $steps)
            ->formula->losses()?->left->get(Component::Water) ?? 0.0;

        self::assertGreaterThan(50.0, $left(null, $method));
        self::assertEqualsWithDelta($left(Pan::parse('26 cm'), [$method[1]]), $left(null, $method), 1e-6);
        self::assertSame(0.0, $left(null, ['Simmer uncovered for 8 minutes']), 'where none is named, little is passed over');
        self::assertEqualsWithDelta(
            $left(Pan::parse('24 cm'), [$method[1]]),
            $left(null, [$method[1]]),
            1e-6,
            'where none is named, one is assumed by the batch',
        );
    }

    /** @param list<string> $lines */
    private static function formula(array $lines): Formula
    {
        return Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric);
    }
}
