<?php

declare(strict_types=1);

namespace Tests\core\Cooking;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Body;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Solids;
use Vinculum\Chemistry\Volume;
use Vinculum\Cooking\CookFault;
use Vinculum\Cooking\Reduction;
use Vinculum\Cooking\Thickening;
use Vinculum\Family\FamilyBook;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

final class ReductionTest extends TestCase
{
    use TestTrait;

    public function test_each_way_of_asking_ends_where_it_was_asked(): void
    {
        $sauce = self::sauce();

        self::assertEqualsWithDelta(400.0, Volume::millilitres(Reduction::toVolume($sauce, 400.0)->after), 1e-6);
        self::assertEqualsWithDelta(500.0, Reduction::toWeight($sauce, 500.0)->after->grams(), 1e-6);
        self::assertEqualsWithDelta(55.0, Solids::dissolvedPercent(Reduction::toSolids($sauce, 55.0)->after), 1e-6);
    }

    /**
     * Mass balance over any plan: what is not water stays, and every axis but for the clamp rises as its mass over the
     * weight.
     */
    public function test_only_water_leaves(): void
    {
        $sauce = self::sauce();
        $this->limitTo(60)->forAll(Generators::choose(10, 99))->then(function (int $percent) use ($sauce): void {
            $wanted = $sauce->grams() - $sauce->get(Component::Water) * 0.9 * (100 - $percent) / 100.0;
            $plan = Reduction::toWeight($sauce, $wanted);
            self::assertEqualsWithDelta($sauce->grams() - $plan->waterToLose, $plan->after->grams(), 1e-6);
            foreach ($sauce->amounts() as $component => $amount) {
                if ($component !== Component::Water->value) {
                    self::assertSame($amount, $plan->after->amounts()[$component]);
                }
            }
            self::assertEqualsWithDelta(
                Taste::ofMixture($sauce)->on(Axis::Salt) * $sauce->grams() / $plan->after->grams(),
                Taste::ofMixture($plan->after)->on(Axis::Salt),
                1e-9,
            );
        });
    }

    public function test_back_into_the_window_is_no_farther_than_any_other_reduction(): void
    {
        $target = FamilyBook::get('ketchup')->target;
        $thin = self::mix(['600 g tinned tomatoes', '60 g sugar', '60 ml cider vinegar', '8 g salt', '600 g water']);
        $plan = Reduction::intoTheWindow($thin, $target);
        $reached = $target->distance(Taste::ofMixture($plan->after));

        self::assertGreaterThan(100.0, $plan->waterToLose);
        self::assertLessThan($target->distance(Taste::ofMixture($thin)) - 1.0, $reached);
        foreach ([0.1, 0.3, 0.5, 0.7, 0.85] as $share) {
            $other = $thin->with(Component::Water, $thin->get(Component::Water) * (1.0 - $share));
            self::assertLessThan($target->distance(Taste::ofMixture($other)) + 0.3, $reached);
        }
    }

    public function test_the_curve_runs_from_the_start_to_the_end(): void
    {
        $plan = Reduction::toWeight(self::sauce(), 500.0);
        $curve = $plan->curve();

        self::assertCount(11, $curve);
        self::assertEqualsWithDelta([$plan->before->grams(), 500.0], [$curve[0]['grams'], $curve[10]['grams']], 1e-6);
        self::assertGreaterThan($curve[0]['steps']['sweet'], $curve[10]['steps']['sweet']);
    }

    public function test_warns_before_it_scorches(): void
    {
        $syrup = self::mix(['500 g sugar', '500 g water']);

        self::assertSame([], Reduction::toSolids($syrup, 60.0)->warnings);
        self::assertStringContainsString('catches on the bottom', Reduction::toSolids($syrup, 75.0)->warnings[0]);
    }

    public function test_what_cannot_be_is_said_with_the_nearest_possible(): void
    {
        $sauce = self::sauce();
        foreach ([
            'is more' => static fn() => Reduction::toWeight($sauce, 5000.0),
            'The nearest possible is' => static fn() => Reduction::toVolume($sauce, 50.0),
            'dissolved already' => static fn() => Reduction::toSolids($sauce, 3.0),
            'above zero' => static fn() => Reduction::toVolume($sauce, -3.0),
            'no water in it' => static fn() => Reduction::toWeight(self::mix(['100 g olive oil']), 50.0),
        ] as $message => $wrong) {
            try {
                $wrong();
                self::fail($message);
            } catch (CookFault $fault) {
                self::assertStringContainsString($message, $fault->getMessage());
            }
        }
    }

    public function test_boils_down_until_it_is_thick_or_says_that_it_never_will_be(): void
    {
        $plan = Reduction::toThickness(self::mix(['1 kg tomatoes', '100 g tomato paste']), 'spooning', false);

        self::assertSame('spooning', Body::of($plan->after, false)->class);
        self::assertNotSame(
            'spooning',
            Body::of($plan->after->with(Component::Water, $plan->after->get(Component::Water) + 5.0), false)->class,
            'and not a spoonful further',
        );
        self::assertEqualsWithDelta(
            0.0,
            Reduction::toThickness(self::mix(['200 g tomato paste']), 'pouring', false)->waterToLose,
            1e-9,
        );
        $this->expectException(CookFault::class);
        $this->expectExceptionMessage('never makes this spooning');
        Reduction::toThickness(self::mix(['500 g water', '5 g salt']), 'spooning', false);
    }

    public function test_crumbs_nuts_and_an_emulsion_stand_beside_starch(): void
    {
        $keys = array_map(
            static fn(Thickening $way): string => $way->ingredient->key,
            Thickening::to(self::mix(['500 g water', '50 g sugar', '20 g oil']), 'coating', Catalogue::shipped()),
        );

        foreach (['dried-breadcrumbs', 'almond', 'peanut-butter', 'cornflour'] as $key) {
            self::assertContains($key, $keys);
        }
    }

    /**
     * Handbook, "Thickening": pours 1.5–2.5, coats 3–4, holds a track 4.5–6 % of the water, cornflour basis; other
     * starches by their worth.
     */
    public function test_thickeners_reach_the_consistency_by_their_worth(): void
    {
        $sauce = self::mix(['500 g water', '50 g sugar']);
        foreach ([
            'pouring' => [1.5, 2.5],
            'coating' => [3.0, 4.0],
            'spooning' => [4.5, 6.0],
        ] as $consistency => [$low, $high]) {
            $ways = [];
            foreach (Thickening::to($sauce, $consistency, Catalogue::shipped()) as $way) {
                $after = $sauce->plus($way->ingredient->grams($way->grams))->plus(
                    Mixture::of([Component::Water->value => $way->slurryWater]),
                );
                if (in_array(
                    $way->ingredient->key,
                    ['dried-breadcrumbs', 'almond', 'peanut-butter', 'mayonnaise'],
                    true,
                )) {
                    self::assertGreaterThanOrEqual(
                        Body::rank($consistency),
                        Body::rank(Body::of($after, true)->class),
                        "{$way->ingredient->key} thickens by its bulk",
                    );
                    continue;
                }
                self::assertGreaterThanOrEqual($low, Body::starchPercentOfWater($after));
                self::assertLessThanOrEqual($high, Body::starchPercentOfWater($after));
                $ways[$way->ingredient->key] = $way->grams;
            }
            foreach ([
                'plain-flour' => 2.0,
                'potato-starch' => 0.8,
                'arrowroot' => 0.9,
                'rice-flour' => 1.2,
            ] as $key => $ratio) {
                self::assertEqualsWithDelta(
                    $ratio,
                    $ways[$key] / $ways['cornflour'],
                    0.2 * $ratio,
                    "{$key} {$consistency}",
                );
            }
        }
        self::assertEqualsWithDelta(
            0.35,
            100.0 * self::way($sauce, 'coating', 'xanthan-gum')->grams / 550.0,
            0.2,
            'a gum acts at 0.2 to 0.5 % of the whole',
        );
    }

    public function test_a_sharp_sauce_is_thickened_last_and_a_thick_one_not_at_all(): void
    {
        self::assertStringContainsString(
            'it goes in last',
            (string) self::way(self::mix(['300 g water', '200 ml white vinegar']), 'coating', 'cornflour')->mind,
        );
        self::assertNull(self::way(self::mix(['500 g water']), 'coating', 'cornflour')->mind);
        self::assertSame(
            [],
            Thickening::to(self::mix(['500 g water', '40 g cornflour']), 'coating', Catalogue::shipped()),
        );
        $this->expectException(CookFault::class);
        Thickening::to(self::mix(['100 g oil']), 'coating', Catalogue::shipped());
    }

    private static function way(Mixture $sauce, string $consistency, string $key): Thickening
    {
        foreach (Thickening::to($sauce, $consistency, Catalogue::shipped()) as $way) {
            if ($way->ingredient->key === $key) {
                return $way;
            }
        }
        self::fail("{$key} is no way");
    }

    private static function sauce(): Mixture
    {
        return self::mix([
            '800 g tinned tomatoes',
            '100 g sugar',
            '100 ml cider vinegar',
            '10 g salt',
            '1 tsp cayenne',
        ]);
    }

    /** @param list<string> $lines */
    private static function mix(array $lines): Mixture
    {
        return Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric)->mixed();
    }
}
