<?php

declare(strict_types=1);

namespace Tests\core\Substitution;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\core\Family\Classics;
use Tests\core\Weighed;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Energy;
use Vinculum\Ingredient\Shops;
use Vinculum\Quantity\Measures;
use Vinculum\Report\ConversionReport;
use Vinculum\Report\SwapsReport;
use Vinculum\Substitution\Conversion;
use Vinculum\Substitution\DietaryNeeds;
use Vinculum\Substitution\StandIn;
use Vinculum\Substitution\Swap;
use Vinculum\Substitution\SwapAddition;
use Vinculum\Substitution\SwapFault;
use Vinculum\Substitution\SwapReason;
use Vinculum\Substitution\SwapSearch;
use Vinculum\Substitution\SwapTask;

final class SwapSearchTest extends TestCase
{
    private const SAUCE = [
        '1 cup ketchup',
        '½ cup cider vinegar',
        '200 g white sugar',
        '2 tsp salt',
        '1 tbsp soy sauce',
        '½ tsp cayenne',
        '1 cup water',
        '1 tbsp cornflour',
    ];
    private const CREAMY = [
        '1 cup mayonnaise',
        '½ cup sour cream',
        '1 tbsp lemon juice',
        '1 tsp salt',
        '3 tbsp basil',
        '1 tbsp dijon mustard',
    ];

    /** Alcohol-free beer for beer, unsalted peanut butter for peanut butter: over every row that is a thing without something. */
    public function test_a_thing_without_something_stands_in_for_the_thing(): void
    {
        [$asked, $missed] = [0, []];
        $catalogue = Catalogue::shipped();
        foreach ($catalogue->all() as $ingredient) {
            $isSo = preg_match('/^(?:alcohol-free|gluten-free|reduced-salt|unsalted|low-fat|light|vegan|plant|imitation) (.+)$/', mb_strtolower($ingredient->name), $of) === 1;
            $plain = $isSo ? $catalogue->names()->find($of[1], 1)[0] ?? null : null;
            if ($plain === null || !$plain->isExact || $plain->key === $ingredient->key) {
                continue;
            }
            ++$asked;
            if (StandIn::for($catalogue->get($plain->key), $ingredient)->class > StandIn::USUAL) {
                $missed[] = "{$ingredient->key} for {$plain->key}";
            }
        }
        self::assertGreaterThan(12, $asked);
        // a cheese of its own, which stands in for parmesan
        self::assertSame(['vegan-parmesan for cheddar'], $missed);
        self::assertSame('vegan-parmesan', StandIn::for($catalogue->get('parmesan'), $catalogue->get('vegan-parmesan'))->kind);
    }

    /**
     * Common practice (handbook, part C): ¾ cup of honey, about 1.3 times the weight, for a cup of sugar, and less
     * liquid; equal sweetness needs a little more.
     */
    public function test_honey_for_sugar(): void
    {
        $swap = self::swap(self::SAUCE, 3, 'honey');

        self::assertEqualsWithDelta(1.3, $swap->grams / 200.0, 0.2 * 1.3);
        self::assertLessThan(0.5, $swap->taste->residual);
        self::assertSame(
            ['water'],
            array_map(static fn(SwapAddition $one): string => $one->ingredient->key, $swap->compensations),
        );
        self::assertLessThan(-30.0, $swap->compensations[0]->grams);
    }

    /** Common practice: one cornflour, two flour; the other starches by weight as the handbook's table of thickening. @return iterable<string, array{string, float}> */
    public static function starches(): iterable
    {
        yield 'plain flour' => ['plain-flour', 2.0];
        yield 'potato starch' => ['potato-starch', 0.8];
        yield 'arrowroot' => ['arrowroot', 0.9];
        yield 'rice flour' => ['rice-flour', 1.2];
    }

    #[DataProvider('starches')]
    public function test_starches_by_how_they_thicken(string $starch, float $ratio): void
    {
        self::assertEqualsWithDelta($ratio, self::swap(self::SAUCE, 8, $starch)->grams / 8.0, 0.2 * $ratio);
    }

    /** Common practice: a third of dried herb for fresh, by spoon. @return iterable<string, array{string, string, string}> */
    public static function herbs(): iterable
    {
        yield 'basil' => ['3 tbsp basil', 'dried-basil', '1 tbsp'];
        yield 'mint' => ['3 tbsp mint', 'dried-mint', '1 tbsp'];
        yield 'dill' => ['6 tsp dill', 'dried-dill', '2 tsp'];
        yield 'parsley' => ['3 tbsp parsley', 'dried-parsley', '1 tbsp'];
    }

    #[DataProvider('herbs')]
    public function test_dried_for_fresh(string $fresh, string $dried, string $measure): void
    {
        $lines = array_replace(self::CREAMY, [4 => $fresh]);
        $swap = self::swap($lines, 5, $dried);
        $wanted = self::formula(["{$measure} " . str_replace('-', ' ', $dried)])->lines[0]->grams->value ?? 0.0;

        self::assertEqualsWithDelta($wanted, $swap->grams, 0.2 * $wanted);
    }

    /** By weight a salt is a salt; by the spoon fine salt is about half of flakes (common practice). */
    public function test_crystal_salts_by_weight(): void
    {
        $swap = self::swap(['500 g tinned tomatoes', '2 tsp salt', '1 tbsp oil'], 2, 'flake-salt');

        self::assertEqualsWithDelta(12.0, $swap->grams, 0.6);
        $flakesInTwoTeaspoons = self::formula(['2 tsp flaky sea salt'])->lines[0]->grams->value ?? 0.0;
        self::assertEqualsWithDelta(2.0, $swap->grams / $flakesInTwoTeaspoons, 0.4);
    }

    /** A vinegar is swapped by its acid: twice the acid, half the vinegar, and water for the rest. */
    public function test_vinegars_by_strength(): void
    {
        $catalogue = Catalogue::shipped();
        foreach (['red-wine-vinegar', 'strong-vinegar', 'rice-vinegar', 'white-vinegar'] as $key) {
            $acid = $catalogue
                ->get('cider-vinegar')->composition->mixture
                ->amounts()['acetic'] / $catalogue
                ->get($key)->composition->mixture
                ->amounts()['acetic'];
            self::assertEqualsWithDelta($acid, self::swap(self::SAUCE, 2, $key)->grams / 119.6, 0.12 * $acid, $key);
        }
    }

    /** Pods and powders go by Scoville units as they are, not by the rating of the dried pod. */
    public function test_pods_to_powder_by_heat_as_it_is(): void
    {
        $catalogue = Catalogue::shipped();
        $lines = ['500 g tinned tomatoes', '24 g red chillies', '1 tsp salt'];
        $shu = static fn(string $key): float => array_sum(
            array_intersect_key(
                $catalogue->get($key)->composition->mixture->amounts(),
                ['capsaicinoid_heat' => 1, 'other_heat' => 1],
            ),
        ) / 100.0;
        foreach (['cayenne', 'birds-eye-chilli', 'jalapeno'] as $key) {
            $wanted = 24.0 * $shu('red-chilli') / $shu($key);
            self::assertEqualsWithDelta($wanted, self::swap($lines, 2, $key)->grams, 0.2 * $wanted, $key);
        }
    }

    public function test_a_swap_does_what_it_says(): void
    {
        foreach ([[self::SAUCE, null], [self::CREAMY, null], [self::SAUCE, '500 ml']] as [$lines, $yield]) {
            $formula = self::formula($lines, $yield);
            $before = Balance::of($formula)->taste;
            foreach (array_keys($lines) as $line) {
                foreach (self::search($formula, $line, SwapReason::missing())->substitutes() as $swap) {
                    $moved = $before->stepsTo(Balance::of($swap->applied($formula))->taste);
                    self::assertEqualsWithDelta($moved, $swap->taste->steps, 1e-9);
                    self::assertEqualsWithDelta(
                        sqrt(array_sum(array_map(static fn(float $one): float => $one ** 2, $moved))),
                        $swap->taste->residual,
                        1e-9,
                    );
                    self::assertLessThanOrEqual(2, count($swap->compensations));
                    self::assertGreaterThan(0.0, $swap->grams);
                    self::assertContains($swap->class, [1, 2, 3, 4]);
                    foreach ($swap->compensations as $one) {
                        $stands = $one->line === null ? 0.0 : $formula->lines[$one->line]->grams->value ?? 0.0;
                        self::assertGreaterThanOrEqual(
                            -$stands - 1e-9,
                            $one->grams,
                            'no more is taken out than is there',
                        );
                    }
                }
            }
        }
    }

    /** Handbook, "Substituting": by class, the commoner first, then by residual; of what is as near what a cook thinks of first. */
    public function test_ranked_by_kinship_then_residual_then_as_a_cook_would_think_of_it(): void
    {
        foreach ([2, 3, 5, 6] as $line) {
            $formula = self::formula(self::SAUCE);
            $gone = $formula->lines[$line - 1]->ingredient ?? self::fail('the line is not known');
            $swaps = self::search($formula, $line - 1, SwapReason::missing())->substitutes();
            self::assertGreaterThan(2, count($swaps));
            $ranks = array_map(
                static fn(Swap $one): array => [
                    // one that lets the main axis go by more than a step comes after its class
                    $one->class + (int) (abs($one->taste->steps[$one->taste->main?->value] ?? 0.0) > 1.0),
                    $one->class,
                    Shops::of($one->ingredient)->value,
                    round(hypot($one->taste->residual, 0.5 * $one->misfit) / 1.5),
                    StandIn::for($gone, $one->ingredient)->place,
                    round(4 * hypot($one->taste->residual, 0.5 * $one->misfit)),
                    -$one->aromaSimilarity,
                    count($one->compensations),
                ],
                $swaps,
            );
            $sorted = $ranks;
            sort($sorted);
            self::assertSame($sorted, $ranks);
        }
    }

    /** The first answer where two cheeses, nuts or syrups of a shop are about as near as one another (common practice). */
    public function test_of_what_is_about_as_near_the_first_is_what_a_cook_would_reach_for(): void
    {
        $first = static function (array $lines, int $line): ?string {
            $swaps = self::search(self::formula($lines), $line - 1, SwapReason::missing())->substitutes();

            return ($swaps[0] ?? null)?->ingredient->key;
        };
        $cheese = ['40 g butter', '40 g flour', '500 ml milk', '150 g gruyere', '1/2 tsp salt'];
        self::assertSame('emmental', $first($cheese, 4));
        $harissa = ['80 g dried red chillies', '4 cloves garlic', '1 tsp caraway seeds', '1 tsp cumin', '1/2 tsp salt', '60 ml olive oil'];
        self::assertSame('fennel-seed', $first($harissa, 3));
        $peppers = ['100 g almonds', '200 g roasted red peppers', '1 clove garlic', '60 ml olive oil', '1 tbsp sherry vinegar'];
        self::assertSame('jarred-pepper', $first($peppers, 2));
        self::assertSame('yellow-pepper', $first(str_replace('roasted ', '', $peppers), 2));
    }

    /** What is made up for is made up for in spoons that there are. */
    public function test_nothing_is_put_in_or_left_out_by_less_than_the_smallest_spoon(): void
    {
        $count = 0;
        foreach ([...Classics::all()] as $number => [, $title, $balance]) {
            if ($number % 7 !== 0) {
                continue;
            }
            foreach (array_keys($balance->formula->lines) as $line) {
                if ($balance->formula->lines[$line]->ingredient === null || ($balance->formula->lines[$line]->grams->value ?? 0.0) <= 0.0) {
                    continue;
                }
                foreach (self::search($balance->formula, $line, SwapReason::missing())->substitutes() as $swap) {
                    foreach ($swap->compensations as $one) {
                        ++$count;
                        self::assertDoesNotMatchRegularExpression('/^0\.\d g/', $one->measure->words(), $title);
                    }
                }
            }
        }
        self::assertGreaterThan(20, $count);
    }

    public function test_an_amount_stays_between_half_and_twice_of_the_usual(): void
    {
        $formula = self::formula(self::SAUCE);
        foreach (array_keys(self::SAUCE) as $line) {
            $gone = $formula->lines[$line]->ingredient;
            self::assertNotNull($gone);
            foreach (self::search($formula, $line, SwapReason::missing())->substitutes() as $swap) {
                $ratio = StandIn::for($gone, $swap->ingredient)->ratio;
                if ($ratio !== null) {
                    $usual = $ratio * ($formula->lines[$line]->grams->value ?? 0.0);
                    self::assertGreaterThan(0.4 * $usual - 1.0, $swap->grams, "{$gone->key}: {$swap->ingredient->key}");
                    self::assertLessThan(2.3 * $usual + 1.0, $swap->grams, "{$gone->key}: {$swap->ingredient->key}");
                }
            }
        }
    }

    public function test_a_near_relative_of_an_allergen_is_never_first_and_is_cautioned(): void
    {
        $formula = self::formula(['100 g basil', '60 g walnuts', '100 ml olive oil', '4 g salt']);
        $swaps = self::search($formula, 1, SwapReason::cannotEat(['nuts'], []))->substitutes();
        $near = array_values(array_filter(
            $swaps,
            static fn(Swap $one): bool => in_array('a near relative of what someone cannot eat: ask first', $one->notes, true),
        ));

        self::assertContains('pine-nut', array_map(static fn(Swap $one): string => $one->ingredient->key, $near));
        self::assertNotContains($swaps[0], $near);
        self::assertSame($near, array_slice($swaps, -count($near)));
    }

    public function test_less_of_something_is_less_of_it(): void
    {
        $formula = self::formula(['200 g mayonnaise', '60 ml soy sauce', '40 g white sugar', '50 ml lemon juice']);
        foreach ([
            [0, SwapReason::fewerCalories(), static fn(Mixture $one): float => Energy::of($one)],
            [1, SwapReason::lessSalt(), static fn(Mixture $one): float => $one->get(Component::Salt)],
            [2, SwapReason::lessSugar(), static fn(Mixture $one): float => Energy::sugars($one)],
        ] as [$line, $reason, $burden]) {
            $swaps = self::search($formula, $line, $reason)->substitutes();
            self::assertNotSame([], $swaps, $reason->key);
            self::assertLessThan(
                $burden($formula->lines[$line]->mixture()),
                $burden($swaps[0]->ingredient->grams($swaps[0]->grams)),
                $reason->key,
            );
        }
    }

    /**
     * More freedom never does worse: with compensations allowed the weighted merit can only fall, so a plain amount is
     * no better.
     */
    public function test_no_plain_amount_of_the_substitute_beats_the_one_found_by_much(): void
    {
        $formula = self::formula(self::SAUCE);
        $before = Balance::of($formula)->taste;
        foreach (['honey' => 2, 'red-wine-vinegar' => 1, 'tamari' => 4] as $key => $line) {
            $swap = self::search($formula, $line, SwapReason::missing())->with(Catalogue::shipped()->get($key));
            self::assertNotNull($swap);
            $best = INF;
            for ($grams = 1.0; $grams < 500.0; $grams *= 1.02) {
                $moved = $before->stepsTo(
                    Balance::of(Swap::placed($formula, $line, Catalogue::shipped()->get($key), $grams, []))->taste,
                );
                $best = min($best, sqrt(array_sum(array_map(static fn(float $one): float => $one ** 2, $moved))));
            }
            self::assertLessThan($best + 0.3, $swap->taste->residual, $key);
        }
    }

    public function test_reasons_decide_who_may_stand_in(): void
    {
        $sauce = self::formula(self::SAUCE);
        foreach (self::search($sauce, 4, SwapReason::cannotEat(['soya'], []))->substitutes() as $swap) {
            self::assertNotContains('soya', $swap->ingredient->suitability->allergens);
            self::assertContains('soya', $swap->suitability->allergensRemoved);
        }
        foreach (self::search(
            self::formula(['1 kg damsons', '300 g sugar']),
            0,
            SwapReason::outOfSeason(1),
        )->substitutes() as $swap) {
            self::assertTrue(SwapReason::isInSeason($swap->ingredient->key, 1), $swap->ingredient->key);
        }
        $milder = self::search($sauce, 5, SwapReason::milder())->substitutes();
        self::assertNotSame([], $milder);
        foreach ($milder as $swap) {
            self::assertEqualsWithDelta(-2.5, $swap->taste->steps['heat'], 1.0, $swap->ingredient->key);
        }
        foreach (self::search(
            self::formula(['100 ml maple syrup', '200 ml cider vinegar']),
            0,
            SwapReason::cheaper(),
        )->substitutes() as $swap) {
            self::assertNotContains($swap->ingredient->key, FactsFile::named('costs')['high']->list('of'));
        }
        $priced = self::search(
            self::formula(['100 g honey', '200 ml cider vinegar']),
            0,
            SwapReason::cheaper(['honey' => 1.0, 'white-sugar' => 2.0]),
        )->substitutes();
        self::assertNotContains(
            'white-sugar',
            array_map(static fn(Swap $one): string => $one->ingredient->key, $priced),
        );
    }

    /** A season that runs over the turn of the year. */
    /** Every food that has a stand-in has one without an amount too, of the nearest class and weighed as nothing. */
    public function test_a_line_without_an_amount_is_answered_by_kinship(): void
    {
        $answered = 0;
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $key = $ingredient->key;
            $formula = self::formula([$ingredient->name, '100 ml water']);
            if ($formula->lines[0]->ingredient?->key !== $key || $formula->lines[0]->countsInTheMixture()) {
                continue;
            }
            $swaps = self::search($formula, 0, SwapReason::missing())->substitutes();
            $answered += (int) ($swaps !== []);
            foreach ($swaps as $at => $swap) {
                self::assertSame(0.0, $swap->grams);
                self::assertNotSame($key, $swap->ingredient->key);
                self::assertLessThan(StandIn::NUMBERS, $swap->class, "{$key}: {$swap->ingredient->key}");
                self::assertGreaterThanOrEqual($at === 0 ? 0 : $swaps[$at - 1]->class, $swap->class, $key);
                self::assertMatchesRegularExpression(
                    '/^(about .*(as much|weight)|much less, a pinch at a time)$/',
                    $swap->measure->words(),
                );
                self::assertSame(mb_strtolower($swap->ingredient->name), $swap->written($formula, Measures::Us, true)[0][0]);
            }
        }

        self::assertGreaterThan(800, $answered);
    }

    /** What has its body from fat is replaced by about as much, and nothing waters it down. */
    public function test_no_water_goes_beside_a_fat(): void
    {
        foreach (['170 g butter', '150 ml olive oil', '1 cup mayonnaise', '½ cup peanut butter', '½ cup tahini'] as $line) {
            $formula = self::formula([$line, '2 egg yolks', '1 tbsp lemon juice', '2 tbsp water', '½ tsp salt']);
            $was = $formula->lines[0]->grams->value ?? 0.0;
            foreach (self::search($formula, 0, SwapReason::missing())->substitutes() as $swap) {
                $added = array_map(static fn(SwapAddition $one): string => $one->ingredient->key, $swap->compensations);
                self::assertNotContains('water', $added, "{$line}: {$swap->ingredient->key}");
                self::assertGreaterThan(0.6 * $was, $swap->grams, "{$line}: {$swap->ingredient->key}");
            }
        }
    }

    public function test_seasons(): void
    {
        self::assertSame(
            [true, true, false, true],
            array_map(static fn(int $month): bool => SwapReason::isInSeason('pear', $month), [8, 1, 5, 12]),
        );
        self::assertTrue(SwapReason::isInSeason('salt', 2));
    }

    public function test_a_creamy_sauce_made_vegan_is_vegan_and_near_what_it_was(): void
    {
        $formula = self::formula(self::CREAMY);
        $conversion = Conversion::of(Weighed::formula($formula), [SwapReason::cannotEat([], ['vegan'])]);

        self::assertSame([], $conversion->stuck);
        self::assertSame([0, 1], array_map(static fn(Swap $one): int => $one->line, $conversion->swaps));
        self::assertContains('vegan', $conversion->after->balance()->diets());
        // sugar that was under its threshold comes over it, and no water goes into what has its body from fat
        self::assertLessThan(4.0, $conversion->residual);
        self::assertEqualsWithDelta(
            Balance::of($formula)->taste->stepsTo($conversion->after->balance()->taste),
            $conversion->changeSteps,
            1e-9,
        );
    }

    public function test_without_soya_and_without_added_sugar(): void
    {
        $soya = Conversion::of(Weighed::formula(self::formula(self::SAUCE)), [SwapReason::cannotEat(['soya'], [])]);
        self::assertNotContains('soya', $soya->after->balance()->allergens());
        self::assertCount(1, $soya->swaps);

        $sugar = Conversion::of(Weighed::formula(self::formula(['200 g white sugar', '100 ml cider vinegar', '300 g tinned tomatoes', '100 ml water'])), [SwapReason::cannotEat([], ['no-added-sugar'])]);
        self::assertContains('no-added-sugar', $sugar->after->balance()->diets());
        self::assertLessThan(1.0, $sugar->residual);
    }

    public function test_what_nothing_can_replace_is_said(): void
    {
        $formula = self::formula(['200 g double cream', '100 g khoya', '1 tsp salt']);
        $conversion = Conversion::of(Weighed::formula($formula), [SwapReason::cannotEat([], ['vegan'])]);

        self::assertSame([1], array_keys($conversion->stuck));
        self::assertSame([0], array_map(static fn(Swap $one): int => $one->line, $conversion->swaps));
        self::assertNotContains('vegan', $conversion->after->balance()->diets());
        self::assertSame(
            [['line' => 2, 'text' => '100 g khoya', 'why' => 'Nothing that is known does the work of khoya and '
                . 'is vegan: leave it out, or find one that fits.']],
            ConversionReport::of($conversion)->stuck,
        );
    }

    public function test_a_locked_line_is_not_taken_from(): void
    {
        $swap = self::search(
            self::formula(['200 g sugar', '1 cup water [lock]', '½ cup cider vinegar', '1 tsp salt']),
            0,
            SwapReason::missing(),
        )->with(Catalogue::shipped()->get('honey'));
        foreach ($swap->compensations ?? [] as $one) {
            self::assertNotSame(1, $one->line);
        }
        self::assertNotNull($swap);
    }

    /** A custard or a curd is set by egg: what only holds oil sets nothing; a mayonnaise is held by it. */
    public function test_what_sets_is_not_replaced_by_what_holds(): void
    {
        foreach (['500 ml milk', '300 ml double cream', '200 ml lemon juice', '400 ml coconut milk', '300 ml orange juice'] as $base) {
            $set = (new SwapSearch(
                Weighed::formula(self::formula([$base, '5 egg yolks', '90 g sugar'])),
                1,
                SwapReason::cannotEat(['egg'], []),
            ))->substitutes();
            self::assertNotSame([], $set);
            self::assertSame('cornflour', $set[0]->ingredient->key, $base);
            foreach ($set as $one) {
                self::assertGreaterThan(0.0, $one->ingredient->composition->mixture->get(Component::Thickening), $one->ingredient->key);
            }
        }
        $held = (new SwapSearch(Weighed::formula(self::formula(['3 egg yolks', '250 ml olive oil', '1 tbsp lemon juice'])), 0, SwapReason::cannotEat(['egg'], [])))->substitutes();
        self::assertSame('aquafaba', $held[0]->ingredient->key);
    }

    /** Less salt is half the salt, and no amount of soy sauce; also in a whole recipe, where the first taste is aimed at. */
    public function test_salt_is_halved_where_less_is_wanted(): void
    {
        foreach (['2 tsp salt', '12 g coarse salt', '1 tbsp flake salt'] as $salt) {
            $lines = ['300 g ketchup', '3 tbsp soy sauce', '60 ml cider vinegar', '60 g brown sugar', $salt];
            $sauce = Weighed::formula(self::formula($lines));
            $first = (new SwapSearch($sauce, 4, SwapReason::lessSalt()))->substitutes()[0];
            self::assertSame($sauce->formula->lines[4]->ingredient, $first->ingredient);
            self::assertEqualsWithDelta(0.5, $first->grams / ($sauce->formula->lines[4]->grams->value ?? 1.0), 0.13, $salt);
            $whole = Conversion::of($sauce, [SwapReason::lessSalt()])->after->balance()->mixture;
            self::assertLessThan(0.7 * $sauce->balance()->mixture->get(Component::Salt), $whole->get(Component::Salt));
        }
    }

    /** A line is counted as its reader counts it: by its text, and by the thing where a text names several. */
    public function test_a_line_that_names_two_things_counts_once(): void
    {
        $formula = self::formula(['salt and pepper', '2 tbsp soy sauce and 1 tbsp honey', '¼ cup bourbon']);
        $key = static fn(int $number, int $part = 1): ?string => $formula->lines[SwapTask::lineNumbered($formula, $number, $part)]->ingredient?->key;

        self::assertSame(
            ['salt', 'black-pepper', 'soy-sauce', 'honey', 'whisky'],
            [$key(1), $key(1, 2), $key(2), $key(2, 2), $key(3)],
        );
        foreach ([[4, 1, 'run from 1 to 3'], [2, 3, 'names 2 things'], [3, 2, 'names one thing']] as [$number, $part, $says]) {
            try {
                SwapTask::lineNumbered($formula, $number, $part);
                self::fail($says);
            } catch (SwapFault $fault) {
                self::assertStringContainsString($says, $fault->getMessage());
            }
        }
    }

    public function test_there_must_be_something_to_replace(): void
    {
        foreach ([
            [['10 g salt'], 3, 'There is no line 4'],
            [['3 tbsp zorp'], 0, 'names no ingredient'],
            [[], 0, 'no ingredient line'],
        ] as [$lines, $line, $message]) {
            try {
                self::search(self::formula($lines), $line, SwapReason::missing());
                self::fail($message);
            } catch (SwapFault $fault) {
                self::assertStringContainsString($message, $fault->getMessage());
            }
        }
    }

    /** Dried leaves are no sauce of leaves; prunes are no leaves, whatever pickled walnuts smell of. */
    public function test_what_is_dried_stands_in_for_what_is_no_leaf(): void
    {
        $first = static fn(array $lines): array => array_map(
            static fn($swap): string => $swap->ingredient->key,
            self::search(self::formula($lines), 0, SwapReason::missing())->substitutes(),
        );

        self::assertContains('prune', $first(['200 g pickled walnuts', '180 g dates', '250 ml malt vinegar', '300 ml water', '2 tsp salt']));
        self::assertNotContains('dried-basil', $first(['60 g basil', '40 g pine nuts', '40 g parmesan', '120 ml olive oil']));
    }

    public function test_its_shape_is_the_contracts_and_its_lines_read_back(): void
    {
        $formula = self::formula(self::SAUCE);
        $json = SwapsReport::of(
            Weighed::formula($formula),
            2,
            self::search($formula, 2, SwapReason::missing())->substitutes(),
        )->toArray();

        self::assertSame([3, 'white-sugar'], [$json['line'], $json['ingredient']]);
        foreach ($json['candidates'] as $candidate) {
            self::assertSame([], array_diff(
                [
                    'ingredient',
                    'grams',
                    'measure',
                    'compensations',
                    'change_steps',
                    'residual_steps',
                    'class',
                    'allergens_added',
                    'allergens_removed',
                    'diets_gained',
                    'note',
                ],
                array_keys($candidate),
            ));
            $lines = self::SAUCE;
            foreach ($candidate['edits'] as $edit) {
                $lines[$edit['id'] - 1] = $edit['text'];
            }
            $again = self::formula([...$lines, ...$candidate['added']]);
            self::assertSame($candidate['ingredient'], $again->lines[2]->ingredient?->key, $again->lines[2]->text());
            foreach (Balance::of($formula)->taste->stepsTo(Balance::of($again)->taste) as $axis => $moved) {
                self::assertEqualsWithDelta(
                    $candidate['change_steps'][$axis],
                    $moved,
                    0.35,
                    "{$candidate['ingredient']} {$axis}",
                );
            }
        }
    }

    /**
     * Any thing of the catalogue, in a little and in a lot, with and without a yield: finite figures, and no allergen
     * told wrongly.
     */
    public function test_whatever_is_swapped_the_figures_are_finite_and_the_allergens_true(): void
    {
        $keys = Catalogue::shipped()->keys();
        $found = 0;
        foreach (array_chunk($keys, 9) as $number => $chunk) {
            $name = mb_strtolower(Catalogue::shipped()->get($chunk[0])->name);
            $formula = self::formula(
                [
                    [1, 40, 300][$number % 3] . " g {$name}",
                    '200 g water',
                    '50 g sugar',
                    '40 g cider vinegar',
                    '6 g salt',
                    '100 g ketchup',
                ],
                $number % 2 === 0 ? null : '380 g',
            );
            if ($formula->lines[0]->ingredient === null) {
                continue;
            }
            $before = Balance::of($formula)->allergens();
            foreach (self::search($formula, 0, SwapReason::missing())->substitutes() as $swap) {
                foreach ([
                    ...$swap->taste->steps,
                    $swap->grams,
                    $swap->taste->residual,
                    $swap->misfit,
                    $swap->aromaSimilarity,
                ] as $figure) {
                    self::assertTrue(is_finite($figure), "{$name} → {$swap->ingredient->key}");
                }
                $after = Balance::of($swap->applied($formula))->allergens();
                self::assertEqualsCanonicalizing(array_diff($after, $before), $swap->suitability->allergensAdded);
                self::assertEqualsCanonicalizing(array_diff($before, $after), $swap->suitability->allergensRemoved);
                self::assertNotSame('', $swap->measure);
                ++$found;
            }
        }
        self::assertGreaterThan(100, $found);
    }

    public function test_every_fact_about_swaps_names_an_ingredient_that_there_is(): void
    {
        $catalogue = Catalogue::shipped();
        foreach (['works', 'characters', 'costs'] as $file) {
            foreach (FactsFile::named($file) as $row) {
                foreach ($row->list('of') as $key) {
                    self::assertTrue($catalogue->has($key), "{$file} [{$row->key}]: {$key}");
                }
                foreach (array_keys($row->amounts('strength')) as $key) {
                    self::assertContains($key, $row->list('of'), "{$file} [{$row->key}]: {$key}");
                }
            }
        }
        foreach (FactsFile::named('seasons') as $row) {
            self::assertTrue($catalogue->has($row->key), $row->key);
            self::assertCount(2, $row->numbers('months'));
        }
        $doing = array_unique(
            array_merge(
                [],
                ...array_map(static fn($row): array => $row->list('of'), array_values(FactsFile::named('works'))),
            ),
        );
        self::assertGreaterThan(
            0.75 * count($catalogue->keys()),
            count($doing),
            'most of the catalogue can be swapped',
        );
    }

    /** @param list<string> $lines */
    private static function swap(array $lines, int $line, string $for): Swap
    {
        $swap = self::search(
            self::formula($lines),
            $line - 1,
            SwapReason::missing(),
        )->with(Catalogue::shipped()->get($for));
        self::assertNotNull($swap);

        return $swap;
    }

    private static function search(Formula $formula, int $line, SwapReason $reason): SwapSearch
    {
        return new SwapSearch(Weighed::formula($formula), $line, $reason);
    }

    /** @param list<string> $lines */
    private static function formula(array $lines, ?string $yield = null): Formula
    {
        return Formula::fromTexts(array_values($lines), Catalogue::shipped(), Measures::Us, $yield);
    }

    public function test_a_conversion_says_what_it_cannot_measure_or_does_not_know(): void
    {
        $formula = Formula::fromTexts(
            ['100 g sugar', '60 ml lime juice', 'fish sauce, to taste', 'butter for frying', '1 tsp quillfennel'],
            Catalogue::shipped(),
            Measures::Us,
        );
        $stuck = static fn(string $for): array => Conversion::of(Weighed::formula($formula), DietaryNeeds::parse($for))->stuck;

        self::assertSame([4], array_keys($stuck('vegan')));
        self::assertStringContainsString('Nobody knows what it is', $stuck('no soy')[4]);
        self::assertSame([], $stuck('low salt'), 'less of what is not there is nothing');
    }
}
