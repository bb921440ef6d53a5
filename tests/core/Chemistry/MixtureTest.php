<?php

declare(strict_types=1);

namespace Tests\core\Chemistry;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Chemistry\Body;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\MixtureChange;
use Vinculum\Chemistry\Solids;
use Vinculum\Chemistry\Volume;
use Vinculum\Chemistry\WaterActivity;

final class MixtureTest extends TestCase
{
    public function test_mass_is_what_was_put_in_and_carried_figures_weigh_nothing(): void
    {
        $mixture = Mixture::of([
            'water' => 80.0,
            'sucrose' => 15.0,
            'salt' => 5.0,
            'capsaicinoid_heat' => 9000.0,
            'sid' => 12.0,
            'nose_heat' => 40.0,
        ]);

        self::assertSame(100.0, $mixture->grams());
        self::assertSame(250.0, $mixture->times(2.5)->grams());
        self::assertSame(150.0, $mixture->plus(Mixture::of(['water' => 50.0]))->grams());
        self::assertSame(15.0, $mixture->percent(Component::Sucrose));
    }

    public function test_a_mixture_cannot_hold_what_is_no_component_or_no_number(): void
    {
        $this->expectException(\ValueError::class);
        Mixture::of(['gold' => 1.0]);
    }

    public function test_a_mixture_cannot_hold_infinity(): void
    {
        $this->expectException(\ValueError::class);
        Mixture::of(['water' => INF]);
    }

    /**
     * @return iterable<string, array{string, float, float, float}> solute, grams per kg water, water activity,
     *     tolerance
     */
    public static function waterActivities(): iterable
    {
        // Robinson and Stokes, from memory, by way of the handbook's table
        foreach ([1 => .9806, 2 => .9581, 3 => .9328, 4 => .9057, 5 => .8776, 6 => .8493] as $molal => $activity) {
            yield "sucrose {$molal} mol/kg" => ['sucrose', 342.297 * $molal, $activity, 0.002];
        }
        foreach ([
            '0.5' => .9836,
            '1' => .9669,
            '2' => .9316,
            '3' => .8932,
            '4' => .8515,
            '5' => .8068,
            '6' => .7600,
        ] as $molal => $activity) {
            yield "salt {$molal} mol/kg" => ['salt', 58.443 * (float) $molal, $activity, 0.001];
        }
    }

    #[DataProvider('waterActivities')]
    public function test_water_activity_agrees_with_published_solutions(
        string $solute,
        float $grams,
        float $activity,
        float $tolerance,
    ): void {
        self::assertEqualsWithDelta(
            $activity,
            WaterActivity::of(Mixture::of(['water' => 1000.0, $solute => $grams])),
            $tolerance,
        );
    }

    public function test_water_activity_of_two_solutes_is_the_product_of_each_alone(): void
    {
        $both = WaterActivity::of(Mixture::of(['water' => 1000.0, 'sucrose' => 500.0, 'salt' => 50.0]));
        $sugar = WaterActivity::of(Mixture::of(['water' => 1000.0, 'sucrose' => 500.0]));
        $salt = WaterActivity::of(Mixture::of(['water' => 1000.0, 'salt' => 50.0]));

        self::assertEqualsWithDelta($sugar * $salt, $both, 1e-9);
        self::assertNull(WaterActivity::of(Mixture::of(['fat' => 100.0])));
    }

    public function test_density_of_sugar_solutions_agrees_with_the_sugar_tables(): void
    {
        // NBS Circular 440 / ICUMSA, 20 °C, from memory; the handbook grants 0.25 % at 50 and 0.5 % at 60
        $tolerances = [10 => 0.002, 20 => 0.002, 30 => 0.002, 40 => 0.002, 50 => 0.0032, 60 => 0.0068];
        foreach ([
            10 => 1.0381,
            20 => 1.0809,
            30 => 1.1269,
            40 => 1.1764,
            50 => 1.2295,
            60 => 1.2864,
        ] as $percent => $density) {
            self::assertEqualsWithDelta(
                $density,
                Volume::density(Mixture::of(['water' => 100.0 - $percent, 'sucrose' => (float) $percent])),
                $tolerances[$percent],
                "{$percent} %",
            );
        }
    }

    public function test_a_yield_in_millilitres_is_turned_into_water_by_the_same_volumes(): void
    {
        $mixture = Mixture::of(['water' => 900.0, 'sucrose' => 200.0]);
        $lost = Volume::waterToLose($mixture, 700.0);

        self::assertEqualsWithDelta(700.0, Volume::millilitres($mixture->with(Component::Water, 900.0 - $lost)), 1e-9);
    }

    public function test_dissolved_solids_are_of_the_water_phase_alone(): void
    {
        self::assertEqualsWithDelta(
            25.0,
            Solids::dissolvedPercent(Mixture::of(['water' => 75.0, 'sucrose' => 25.0])),
            1e-9,
        );
        self::assertEqualsWithDelta(
            25.0,
            Solids::dissolvedPercent(Mixture::of(['water' => 75.0, 'sucrose' => 25.0, 'fat' => 300.0])),
            1e-9,
        );
        self::assertSame(0.0, Solids::dissolvedPercent(Mixture::nothing()));
    }

    public function test_what_thickens_gives_the_body_its_class(): void
    {
        // common practice: 2 % cornflour pours, 3.5 % coats a spoon, 5 % holds a track
        foreach ([[1.0, 'thin'], [2.0, 'pouring'], [3.5, 'coating'], [5.0, 'spooning']] as [$percent, $class]) {
            $body = Body::of(
                Mixture::of(['water' => 100.0, 'starch' => $percent * 0.9, 'thickening' => $percent]),
                false,
            );
            self::assertSame($class, $body->class, "{$percent} %");
        }
        self::assertSame('emulsion', Body::of(Mixture::of(['water' => 25.0, 'fat' => 75.0]), true)->from);
        self::assertSame('nothing', Body::of(Mixture::of(['water' => 25.0, 'fat' => 75.0]), false)->from);
    }

    public function test_there_is_never_less_than_nothing_of_anything(): void
    {
        $mixture = Mixture::of(['water' => 10.0, 'salt' => 2.0]);
        foreach ([-1.0, NAN, INF, -INF] as $wrong) {
            foreach ([
                static fn(): Mixture => Mixture::of(['salt' => $wrong]),
                static fn(): Mixture => $mixture->times($wrong),
                static fn(): Mixture => $mixture->with(Component::Salt, $wrong),
            ] as $make) {
                try {
                    $make();
                    self::fail((string) $wrong);
                } catch (\ValueError $fault) {
                    self::assertStringContainsString('There cannot be', $fault->getMessage());
                }
            }
        }
        self::assertSame(
            ['water' => 0.0, 'salt' => 1.0],
            $mixture->minus(Mixture::of(['water' => 30.0, 'salt' => 1.0]))->amounts(),
            'no more leaves than there is',
        );
        self::assertSame(-3.0, Mixture::of(['sid' => -3.0])->get(Component::StrongIonDifference), 'that is a difference');
        self::assertSame(
            [-1.0, 12.0],
            [(new MixtureChange(['water' => 3.0, 'fat' => -4.0]))->grams(), $mixture->movedBy(new MixtureChange(['fat' => -4.0]))->grams()],
        );
    }
}
