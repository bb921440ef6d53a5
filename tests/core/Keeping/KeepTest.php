<?php

declare(strict_types=1);

namespace Tests\core\Keeping;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Balance\Treatment;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Keeping\Caution;
use Vinculum\Keeping\Keep;
use Vinculum\Keeping\StepCautions;
use Vinculum\Quantity\Measures;

/** The rules at their edges, against the published limits they name. */
final class KeepTest extends TestCase
{
    private const SAUCE = ['500 g passata', '50 ml cider vinegar', '30 g sugar', '5 g salt'];

    /** 21 CFR 114.3 (from memory): low-acid is above 4.6; the handbook's working target is 4.2. */
    public function test_the_limits_of_ph_to_a_hundredth(): void
    {
        $days = static fn(float $ph): float => self::keep(self::SAUCE, new Treatment(true, [$ph, $ph]))->days['high'];

        self::assertSame([4.0, 7.0, 7.0, 7.0, 30.0], [$days(4.61), $days(4.60), $days(4.59), $days(4.21), $days(4.20)]);
    }

    /** 21 CFR 114.3 (from memory): a water activity above 0.85. */
    public function test_the_limits_of_water_activity_to_a_thousandth(): void
    {
        $days = static fn(float $activity, float $ph): float => self::keep(
            self::SAUCE,
            new Treatment(true, [$ph, $ph], $activity),
        )->days['high'];

        self::assertSame(4.0, $days(0.851, 5.0));
        self::assertSame(90.0, $days(0.849, 5.0), 'dry enough, however little acid');
        self::assertSame(30.0, $days(0.851, 3.5));
        self::assertSame(90.0, $days(0.849, 3.5));
    }

    public function test_a_measured_ph_wins_over_the_estimate_in_both_directions(): void
    {
        $estimated = self::keep(self::SAUCE, new Treatment(true));
        self::assertSame(4.0, self::keep(self::SAUCE, new Treatment(true, [5.2, 5.2]))->days['high']);
        self::assertSame(30.0, self::keep(self::SAUCE, new Treatment(true, [3.4, 3.4]))->days['high']);
        self::assertLessThanOrEqual(30.0, $estimated->days['high']);
    }

    /**
     * USDA and US FDA advice (from memory): at most four days, whatever the estimate says; only a measured pH lifts it.
     */
    public function test_garlic_in_oil_with_and_without_acid(): void
    {
        $oil = ['200 ml olive oil', '6 cloves garlic'];
        $sharp = [...$oil, '100 ml white vinegar'];

        self::assertSame(
            ['fridge', 4.0],
            [self::keep($oil, new Treatment(false))->storage, self::keep($oil, new Treatment(false))->days['high']],
        );
        self::assertSame(
            4.0,
            self::keep($sharp, new Treatment(false))->days['high'],
            'an estimate is never a safety measurement',
        );
        self::assertSame(
            7.0,
            self::keep($sharp, new Treatment(false, [3.6, 3.6]))->days['high'],
            'measured sharp it keeps as raw plants do',
        );
        self::assertSame(4.0, self::keep($oil, new Treatment(false, [4.3, 4.3]))->days['high']);
        self::assertStringContainsString('calibrate', self::keep($sharp, new Treatment(false))->asks[0]);
    }

    /** @return iterable<string, array{list<string>, bool, float, bool}> lines, cooked, days at most, freezes */
    public static function kinds(): iterable
    {
        yield 'raw egg' => [['2 egg yolks', '200 ml oil', '30 ml vinegar'], false, 2.0, false];
        yield 'ready mayonnaise' => [['200 g mayonnaise', '20 g ketchup'], false, 7.0, false];
        yield 'yoghurt' => [['200 g yoghurt', '20 ml lemon juice'], false, 5.0, false];
        yield 'raw salsa' => [['500 g gooseberries', '100 ml white vinegar', '1 green chilli'], false, 7.0, true];
        yield 'stock' => [['500 ml stock', '20 g cornflour'], true, 4.0, true];
        yield 'an unknown thing' => [['500 g ketchup', '10 g zorp'], true, 4.0, true];
        yield 'no acid at all' => [['500 g water', '20 g sugar'], true, 4.0, true];
    }

    /** @param list<string> $lines */
    #[DataProvider('kinds')]
    public function test_the_most_cautious_rule_wins(array $lines, bool $isCooked, float $most, bool $freezes): void
    {
        $keep = self::keep($lines, new Treatment($isCooked));

        self::assertSame($most, $keep->days['high']);
        self::assertLessThanOrEqual($keep->days['high'], $keep->days['low']);
        self::assertSame($freezes, $keep->freezerMonths !== null);
        self::assertSame('fridge', $keep->storage);
        self::assertNotSame([], $keep->cautions);
    }

    public function test_an_unknown_thing_shortens_the_freezer_too(): void
    {
        self::assertSame(3.0, self::keep(['500 g ketchup', '10 g zorp'], new Treatment(true))->freezerMonths);
        self::assertSame(6.0, self::keep(['500 g ketchup'], new Treatment(true))->freezerMonths);
    }

    public function test_a_warm_sauce_of_egg_and_butter_is_served_at_once(): void
    {
        $keep = self::keep(['3 egg yolks', '200 g butter', '10 ml lemon juice'], new Treatment(true));

        self::assertSame(['serve-at-once', 0.0], [$keep->storage, $keep->days['high']]);
    }

    public function test_readings_that_disagree_and_a_stale_meter_are_told_and_the_higher_counts(): void
    {
        $keep = self::keep(self::SAUCE, new Treatment(true, [4.1, 4.5], null, true));

        self::assertSame(7.0, $keep->days['high']);
        self::assertStringContainsString('the higher one counts', implode(' ', $keep->asks));
        self::assertStringContainsString('out of calibration', implode(' ', $keep->asks));
        self::assertStringContainsString(
            'second spoonful',
            implode(' ', self::keep(self::SAUCE, new Treatment(true, [3.9]))->asks),
        );
        self::assertSame([], self::keep(self::SAUCE, new Treatment(true, [3.9, 3.95]))->asks);
    }

    public function test_traditions_stand_beside_the_cautious_figure_and_every_reason_has_its_source_and_date(): void
    {
        $keep = self::keep(['200 ml olive oil', '6 cloves garlic', '1 bunch basil'], new Treatment(false));

        self::assertStringContainsString('for weeks', implode(' ', $keep->traditions));
        foreach ($keep->reasons as $reason) {
            self::assertMatchesRegularExpression('/\(.+, \d{4}-\d{2}\)$/', $reason);
        }
        self::assertStringContainsString('under oil', $keep->reasons[0], 'the rule that decides comes first');
    }

    public function test_nothing_ever_stands_at_room_temperature(): void
    {
        foreach (FactsFile::named('keeping') as $rule) {
            self::assertContains(
                $rule->textOr('storage', 'fridge'),
                ['fridge', 'freezer', 'serve-at-once'],
                $rule->key,
            );
            self::assertLessThanOrEqual(90.0, $rule->numbers('days')[1], $rule->key);
            foreach ($rule->list('any') as $key) {
                self::assertTrue(Catalogue::shipped()->has($key), "{$rule->key}: {$key}");
            }
        }
    }

    public function test_a_step_is_warned_of_at_its_moment(): void
    {
        $codes = static fn(string $text, bool $isHot, string $contents = ''): array => array_map(
            static fn(Caution $one): string => $one->code,
            StepCautions::for($text, $isHot, $contents),
        );

        self::assertSame(['hot-blender'], $codes('Blend until smooth', true));
        self::assertSame([], $codes('Blend until smooth', false));
        self::assertSame(['sharp-fumes'], $codes('Simmer 20 minutes', true, 'cider vinegar, plums'));
        self::assertSame([], $codes('Simmer 20 minutes', true, 'plums'));
        self::assertSame(['raw-meat'], $codes('Baste late', true));
    }

    /** @param list<string> $lines */
    private static function keep(array $lines, Treatment $treatment): Keep
    {
        return Keep::of(Balance::of(Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric), $treatment));
    }
}
