<?php

declare(strict_types=1);

namespace Tests\core\Substitution;

use PHPUnit\Framework\TestCase;
use Tests\core\Family\Classics;
use Tests\core\Weighed;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Complaint;
use Vinculum\Correction\Wish;
use Vinculum\Ingredient\AllergenWords;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Substitution\Conversion;
use Vinculum\Substitution\DietaryNeeds;
use Vinculum\Substitution\SwapReason;
use Vinculum\Substitution\SwapSearch;

/** Nothing that is offered unasked brings an allergen or an animal thing that the recipe lacks. */
final class NothingNewTest extends TestCase
{
    /** Every classic, every complaint, towards its family. */
    public function test_no_correction_brings_one(): void
    {
        $seen = 0;
        foreach (Classics::all() as $number => [$style, $title, $balance]) {
            $has = [$balance->allergens(), Balance::dietsOf($balance->formula)];
            foreach (['too-hot', 'not-salty', 'flat', 'too-sour'] as $at => $word) {
                if (($number + $at) % 4 !== 0) {
                    continue;
                }
                $advice = (new Adviser(Weighed::balance($balance)))->answer(new Wish(Complaint::named($word)));
                foreach ($advice->corrections as $correction) {
                    foreach ($correction->additions as $addition) {
                        $suits = $addition->ingredient->suitability;
                        self::assertSame([], array_diff($suits->allergens, $has[0]), "{$title}, {$word}");
                        if (in_array('vegan', $has[1], true)) {
                            self::assertContains('vegan', $suits->diets(), "{$title}, {$word}");
                        }
                        ++$seen;
                    }
                }
            }
        }
        self::assertGreaterThan(100, $seen);
    }

    /** Every line of every classic without allergens. */
    public function test_no_swap_brings_one_into_a_sauce_without_any(): void
    {
        $seen = 0;
        foreach (Classics::all() as [, $title, $balance]) {
            if ($balance->allergens() !== []) {
                continue;
            }
            $isVegan = in_array('vegan', $balance->diets(), true);
            foreach ($balance->formula->lines as $line => $resolved) {
                if ($resolved->ingredient === null || !$resolved->countsInTheMixture() || $line % 3 !== 0) {
                    continue;
                }
                $search = new SwapSearch(Weighed::balance($balance), $line, SwapReason::missing());
                foreach ($search->substitutes() as $swap) {
                    self::assertSame([], $swap->suitability->allergensAdded, "{$title}: {$resolved->text()}");
                    self::assertTrue(
                        !$isVegan || in_array('vegan', $swap->ingredient->suitability->diets(), true),
                        "{$title}: {$resolved->text()}",
                    );
                    ++$seen;
                }
            }
        }
        self::assertGreaterThan(100, $seen);
    }

    public function test_a_near_relative_that_stays_is_warned_of(): void
    {
        $formula = Formula::fromTexts(
            ['50 g pine nuts', '30 g walnuts', '100 ml olive oil', '50 g basil'],
            Catalogue::shipped(),
            Measures::Metric,
        );
        $conversion = Conversion::of(
            Weighed::formula($formula, measures: Measures::Metric),
            DietaryNeeds::parse('vegan, without nuts'),
        );
        self::assertStringContainsString('pine nut', implode(' ', $conversion->notes));
    }

    public function test_a_line_nobody_understood_still_shows_its_allergens(): void
    {
        foreach ([
            'smoked oysters in zorp' => 'molluscs', 'octopus' => 'molluscs', 'giant couscous zorp' => 'gluten',
            'bulgur' => 'gluten', 'pearl barley' => 'gluten', 'seitan' => 'gluten', 'lupin flour' => 'lupin',
            'marzipan' => 'nuts', 'whey zorp' => 'milk', 'halva' => 'sesame',
        ] as $text => $allergen) {
            self::assertContains($allergen, AllergenWords::in($text), $text);
            self::assertContains(
                $allergen,
                Balance::of(Formula::fromTexts(["100 g {$text}"], Catalogue::shipped(), Measures::Metric))->allergens(),
                $text,
            );
        }
        self::assertSame([], AllergenWords::in('zorp without nuts, egg-free, no milk'));
    }

    public function test_what_packs_often_hold_is_counted_and_told(): void
    {
        $balance = Balance::of(Formula::fromTexts(['10 g stock cube', '1 l water'], Catalogue::shipped(), Measures::Metric));
        self::assertContains('gluten', $balance->allergens());
        self::assertSame([], array_intersect(['vegan', 'vegetarian', 'gluten-free'], $balance->diets()));
        self::assertStringContainsString('often hold', implode(' ', $balance->notes));
        foreach (['date-syrup', 'fruit-concentrate', 'birch-syrup', 'vincotto', 'pasta-sauce', 'white-miso'] as $key) {
            self::assertNotContains('no-added-sugar', Catalogue::shipped()->get($key)->suitability->diets(), $key);
        }
    }
}
