<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\TestCase;
use Tests\core\Weighed;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Volume;
use Vinculum\Correction\Advice;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Candidate;
use Vinculum\Correction\Complaint;
use Vinculum\Correction\Correction;
use Vinculum\Correction\CorrectionLimits;
use Vinculum\Correction\CorrectionSearch;
use Vinculum\Correction\Objective;
use Vinculum\Correction\Room;
use Vinculum\Correction\Tongue;
use Vinculum\Correction\Wish;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Facts\FactsFile;
use Vinculum\Family\FamilyBook;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Optimisation\TasteCurve;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetWindow;
use Vinculum\Sensory\Taste;
use Vinculum\Sensory\TasteLoad;

final class CorrectionSearchTest extends TestCase
{
    private const SALTY_DIP = [
        '9 tbsp fish sauce',
        '3 tbsp lime juice',
        '3 tbsp sugar',
        '6 tbsp water',
        '2 cloves garlic',
        "1 bird's eye chilli",
    ];

    public function test_a_correction_does_what_it_says(): void
    {
        $batch = self::mix(self::SALTY_DIP);
        foreach (self::advise(self::SALTY_DIP, 'fish-sauce-dip')->corrections as $correction) {
            $recomputed = $batch;
            foreach ($correction->additions as $addition) {
                self::assertGreaterThan(0.0, $addition->grams);
                self::assertGreaterThan(0.0, $addition->firstDoseGrams);
                self::assertGreaterThanOrEqual(0.3 * $addition->grams, $addition->firstDoseGrams, $addition->measure->words());
                self::assertLessThanOrEqual(0.7 * $addition->grams, $addition->firstDoseGrams, $addition->measure->words());
                $recomputed = $recomputed->plus($addition->ingredient->grams($addition->grams));
            }
            self::assertEqualsWithDelta(
                FamilyBook::get('fish-sauce-dip')->target->distance(Taste::ofMixture($recomputed)),
                $correction->distanceAfter,
                1e-9,
            );
            self::assertEqualsWithDelta($recomputed->grams(), $batch->grams() + $correction->addedGrams, 1e-6);
            self::assertLessThanOrEqual(0.4 * $batch->grams() + 1e-6, $correction->addedGrams);
        }
    }

    /** Common practice: sugar, since nothing raw goes into it again; a cup of water makes soup of a chutney. */
    public function test_a_sauce_that_is_not_made_with_water_is_not_drowned_in_it(): void
    {
        $chutney = ['1 kg pears', '300 g onions', '150 g sultanas', '400 ml cider vinegar', '150 g brown sugar', '2 tsp salt'];
        $balance = Balance::of(Formula::fromTexts($chutney, Catalogue::shipped(), Measures::Metric, '1.4 kg'));
        $sour = Tongue::saying([['complaint' => 'too-sour', 'strength' => 'clear']])->target($balance->taste);
        self::assertNotNull($sour);
        $offered = (new Adviser(Weighed::balance($balance, 'chutney')))->toReach($sour, null)->corrections;
        self::assertSame('light-brown-sugar', $offered[0]->additions[0]->ingredient->key);
        foreach ($offered as $correction) {
            foreach ($correction->additions as $addition) {
                self::assertTrue(
                    $addition->ingredient->key !== 'water' || $addition->grams <= 0.11 * $balance->mixture->grams(),
                    $correction->additions[0]->measure->words(),
                );
            }
        }
    }

    public function test_what_leaves_a_sauce_much_worse_than_the_best_does_is_not_offered_beside_it(): void
    {
        $unsalted = [
            '450 g tomatillos',
            '340 g pineapple',
            '20 g chipotle paste',
            '90 g onion',
            '12 g garlic',
            '9 g coriander leaves',
            '30 g lime juice',
        ];
        $balance = Balance::of(Formula::fromTexts($unsalted, Catalogue::shipped(), Measures::Metric));
        $offered = (new Adviser(Weighed::balance($balance, 'green-salsa')))->answer(new Wish())->corrections;
        self::assertSame('salt', $offered[0]->additions[0]->ingredient->key);
        foreach ($offered as $correction) {
            self::assertLessThanOrEqual($offered[0]->cost + 3.0, $correction->cost);
        }
        self::assertNotContains('chipotle-in-adobo', array_map(
            static fn(Correction $one): string => $one->additions[0]->ingredient->key,
            $offered,
        ));
    }

    /** Also where a small batch wants a tenth of a gram. */
    public function test_the_first_dose_is_about_half_of_it_however_little_that_is(): void
    {
        $seen = 0;
        foreach (FamilyBook::all() as $style) {
            foreach ([0.05, 0.3, 1.0, 6.0] as $times) {
                $lines = array_map(
                    static fn(float $grams, string $name): string => $grams * $times . " g {$name}",
                    [200.0, 20.0, 6.0, 10.0, 0.5],
                    ['water', 'sugar', 'salt', 'white vinegar', 'cayenne'],
                );
                foreach (self::advise($lines, $style->key)->corrections as $correction) {
                    foreach ($correction->additions as $addition) {
                        self::assertThat(
                            $addition->firstDoseGrams / $addition->grams,
                            self::logicalAnd(self::greaterThanOrEqual(0.3), self::lessThanOrEqual(0.7)),
                            "{$addition->grams} g {$addition->ingredient->key}: {$addition->firstDose} of {$addition->measure->words()}",
                        );
                        $seen += (int) ($addition->grams < 0.5);
                    }
                }
            }
        }
        self::assertGreaterThan(10, $seen, 'tenths of a gram among them');
    }

    public function test_what_it_says_in_spoons_reads_back_as_the_same_grams(): void
    {
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Us);
        $read = 0;
        foreach (FamilyBook::all() as $style) {
            foreach (self::advise(
                ['200 g water', '30 g sugar', '30 g salt', '10 g white vinegar'],
                $style->key,
            )->corrections as $correction) {
                foreach ($correction->additions as $addition) {
                    $line = $resolver->resolve($addition->measure->of($addition->ingredient->name));
                    self::assertSame($addition->ingredient->key, $line->ingredient?->key, $line->text());
                    self::assertEqualsWithDelta(
                        $addition->grams,
                        $line->grams?->value,
                        0.02 * $addition->grams + 0.06,
                        $line->text(),
                    );
                    ++$read;
                }
            }
        }
        self::assertGreaterThan(100, $read);
    }

    /** The least change first, then what is plainest, another way, and the rest by cost to a quarter of a step. */
    public function test_the_first_three_answers_differ_and_the_rest_follow_by_cost(): void
    {
        $corrections = self::advise(self::SALTY_DIP, 'fish-sauce-dip')->corrections;
        self::assertGreaterThan(3, count($corrections));
        $keys = static fn(Correction $one): array => array_map(
            static fn($addition): string => $addition->ingredient->key,
            $one->additions,
        );
        foreach ($corrections as $correction) {
            self::assertGreaterThanOrEqual($corrections[0]->cost, $correction->cost);
            self::assertStringContainsString(' ', $correction->why);
        }
        self::assertNotSame($keys($corrections[0]), $keys($corrections[1]));
        self::assertNotSame($keys($corrections[1]), $keys($corrections[2]));
        $ranks = array_map(
            static fn(Correction $one): array => [round(4 * $one->cost), count($one->additions), $one->addedGrams],
            array_slice($corrections, 3),
        );
        $sorted = $ranks;
        sort($sorted);
        self::assertSame($sorted, $ranks);
    }

    public function test_why_names_what_thins_what_brings_and_what_puts_back(): void
    {
        $dip = ['3 tbsp fish sauce', '3 tbsp lime juice', '3 tbsp sugar', '6 tbsp water', '2 cloves garlic'];
        $why = self::complain($dip, 'too-salty', ['water', 'white-sugar', 'lime-juice'], 3)->corrections[0]->why;

        self::assertMatchesRegularExpression('/^water.* thins? the salt; .*puts? back what else moves$/', $why);
        self::assertSame(
            'lime juice brings acid',
            self::complain($dip, 'not-sour', ['lime-juice'], 1)->corrections[0]->why,
        );
        self::assertSame(
            ['raisins bring sweetness', 'molasses brings sweetness'],
            array_map(
                static fn(string $one): string => self::complain($dip, 'not-sweet', [$one], 1)->corrections[0]->why,
                ['raisin', 'molasses'],
            ),
        );
    }

    /**
     * Common practice: a fish-sauce dip that is too salty wants water and a little sugar; one without punch wants
     * citrus.
     */
    public function test_agrees_with_cooks_on_a_fish_sauce_dip(): void
    {
        $balanced = [
            '3 tbsp fish sauce',
            '3 tbsp lime juice',
            '3 tbsp sugar',
            '6 tbsp water',
            '2 cloves garlic',
            "1 bird's eye chilli",
        ];
        $keys = static fn(Advice $advice): array => array_map(
            static fn($one): string => $one->ingredient->key,
            $advice->corrections[0]->additions,
        );
        $salty = self::complain($balanced, 'too-salty', ['water', 'white-sugar', 'lime-juice', 'fish-sauce'], 3);
        $flat = self::complain($balanced, 'flat', ['water', 'white-sugar', 'lime-juice', 'fish-sauce'], 3);

        self::assertContains('water', $keys($salty));
        self::assertContains('lime-juice', $keys($flat));
        self::assertLessThan(
            0.0,
            Taste::ofMixture(self::mix($balanced))->stepsTo($salty->corrections[0]->after)['salt'],
        );
    }

    public function test_finds_what_a_fine_grid_finds(): void
    {
        $target = FamilyBook::get('tomato-barbecue')->target;
        mt_srand(11);
        for ($trial = 0; $trial < 20; ++$trial) {
            $batch = self::mix([
                mt_rand(150, 400) . ' g ketchup',
                mt_rand(0, 60) . ' g sugar',
                mt_rand(1, 90) . ' g cider vinegar',
                mt_rand(1, 14) . ' g salt',
                mt_rand(1, 120) . ' g water',
            ]);
            $rows = array_map(
                static fn(string $key): array => TasteCurve::row(
                    Candidate::of(Catalogue::shipped()->get($key))->perGram,
                ),
                ['light-brown-sugar', 'cider-vinegar'],
            );
            $objective = Objective::correcting(TasteLoad::of($batch), $target);
            $room = Room::in($batch, self::candidates(['light-brown-sugar', 'cider-vinegar']), null);
            $most = $room->most;
            $best = INF;
            for ($a = 0; $a <= 120; ++$a) {
                for ($b = 0; $a + $b <= 120; ++$b) {
                    $best = min($best, $objective->value($rows, [$most * $a / 120, $most * $b / 120]));
                }
            }
            $found = INF;
            foreach ([[0.0, 0.0], [$most / 4, $most / 4], [$most / 2, 0.0], [0.0, $most / 2]] as $start) {
                $found = min($found, $objective->fit($rows, $start, $room, [0, 1], 30)[1]);
            }
            self::assertLessThanOrEqual($best + 0.02, $found, "trial {$trial}");
        }
    }

    public function test_a_small_excess_is_mended_whatever_lies_below_its_threshold(): void
    {
        $advice = self::advise(
            [
                '2 red peppers, roasted',
                'juice of 2 oranges',
                '75 ml lemon juice',
                '80 ml sunflower oil',
                "5 bird's eye chillies",
                '6 cloves garlic',
                '2 tbsp smoked paprika',
                '2 tbsp red wine vinegar',
                '8 tsp salt',
            ],
            'peri',
        );

        self::assertGreaterThan(0.3, $advice->distanceBefore);
        self::assertNotSame([], $advice->corrections);
        self::assertLessThan($advice->distanceBefore, $advice->corrections[0]->distanceAfter);
        self::assertLessThan(0.6, min(array_map(
            static fn(Correction $one): float => $one->distanceAfter,
            $advice->corrections,
        )));
    }

    public function test_every_style_can_mend_a_batch_that_is_a_little_off(): void
    {
        $mended = 0;
        foreach (FamilyBook::all() as $style) {
            foreach (['90 g sugar', '25 g water', '14 g salt', '90 g cider vinegar'] as $slip) {
                $reference = RecipeReader::read(
                    (string) preg_replace(
                        '/^Yield:.*$/m',
                        '',
                        explode(
                            "\n\n",
                            (string) file_get_contents(FactsFile::folder() . "/styles/{$style->key}.txt"),
                        )[0],
                    ),
                );
                $lines = [...$reference->ingredientTexts(), $slip];
                $advice = self::advise($lines, $style->key);
                if ($advice->distanceBefore > 0.5) {
                    self::assertNotSame([], $advice->corrections, "{$style->key} with {$slip}");
                    self::assertLessThan($advice->distanceBefore, $advice->corrections[0]->distanceAfter);
                    ++$mended;
                }
            }
        }
        self::assertGreaterThan(20, $mended);
    }

    public function test_keeps_to_what_is_allowed(): void
    {
        $only = self::advise(self::SALTY_DIP, 'fish-sauce-dip', ['water'], 3);
        $single = self::advise(self::SALTY_DIP, 'fish-sauce-dip', null, 1);

        foreach ($only->corrections as $correction) {
            self::assertSame(
                ['water'],
                array_map(static fn($one): string => $one->ingredient->key, $correction->additions),
            );
        }
        foreach ($single->corrections as $correction) {
            self::assertCount(1, $correction->additions);
        }
    }

    public function test_never_fills_the_pan_beyond_its_capacity(): void
    {
        $batch = self::mix(self::SALTY_DIP);
        $capacity = Volume::millilitres($batch) + 40.0;
        $limits = new CorrectionLimits(self::candidates(['water', 'white-sugar', 'lime-juice']), 3, $capacity);
        $advice = CorrectionSearch::advise($batch, FamilyBook::get('fish-sauce-dip')->target, $limits);

        self::assertNotSame([], $advice->corrections);
        foreach ($advice->corrections as $correction) {
            self::assertLessThanOrEqual($capacity, Volume::millilitres($correction->mixture));
        }
        $full = CorrectionSearch::advise(
            $batch,
            FamilyBook::get('fish-sauce-dip')->target,
            new CorrectionLimits(self::candidates(['water']), 3, 10.0),
        );
        self::assertSame([], $full->corrections);
        self::assertStringContainsString('capacity', $full->notes[0]);
    }

    public function test_says_so_when_there_is_nothing_to_correct_or_to_correct_with(): void
    {
        $target = Target::of(['salt' => TargetWindow::between(1.0, 2.0)]);
        $batch = self::mix(['100 g water', '1.5 g salt']);
        $limits = new CorrectionLimits(self::candidates(['water']));

        self::assertStringContainsString(
            'Nothing needs adding',
            CorrectionSearch::advise($batch, $target, $limits)->notes[0],
        );
        self::assertStringContainsString(
            'Nothing may be added',
            CorrectionSearch::advise($batch, $target, new CorrectionLimits([]))->notes[0],
        );
        self::assertStringContainsString(
            'nothing in the pan',
            CorrectionSearch::advise(Mixture::nothing(), $target, $limits)->notes[0],
        );
        $hopeless = CorrectionSearch::advise(
            self::mix(['100 g water']),
            $target,
            new CorrectionLimits(self::candidates(['olive-oil'])),
        );
        self::assertSame([], $hopeless->corrections);
        self::assertNotSame([], $hopeless->notes);
    }

    public function test_tells_what_else_moves_and_what_allergen_comes_in(): void
    {
        $advice = self::complain(['300 g tomatoes', '4 g salt'], 'not-salty', ['soy-sauce'], 1);

        self::assertSame(
            ['gluten', 'soya'],
            [...array_intersect(['gluten', 'soya'], $advice->corrections[0]->allergensAdded)],
        );
        self::assertMatchesRegularExpression('/umami also \+\d/', implode(' ', $advice->corrections[0]->sideEffects));
    }

    public function test_a_complaint_moves_its_axis_and_holds_the_rest(): void
    {
        $now = Taste::of(20.0, 1.0, 2.0, 0.3, 100.0);
        foreach (Complaint::ofTaste() as $key) {
            $target = Complaint::named($key)->target($now);
            self::assertGreaterThan(0.9, $target->distance($now), $key);
            foreach (Axis::cases() as $axis) {
                self::assertNotNull($target->window($axis));
            }
        }
        self::assertEqualsWithDelta(
            2.0 / 1.15 ** 1.5,
            Complaint::named('too-salty')->target($now)->window(Axis::Salt)?->high,
            1e-9,
        );
    }

    /** @param list<string> $lines */
    private static function mix(array $lines): Mixture
    {
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Us);

        return array_reduce(
            $lines,
            static fn(Mixture $sum, string $line): Mixture => $sum->plus($resolver->resolve($line)->mixture()),
            Mixture::nothing(),
        );
    }

    /**
     * @param list<string> $keys
     *
     * @return list<Candidate>
     */
    private static function candidates(array $keys): array
    {
        return array_map(static fn(string $key): Candidate => Candidate::of(Catalogue::shipped()->get($key)), $keys);
    }

    /**
     * @param list<string> $lines
     * @param list<string>|null $with
     */
    private static function advise(array $lines, string $style, ?array $with = null, int $most = 3): Advice
    {
        $family = FamilyBook::get($style);

        return CorrectionSearch::advise(
            self::mix($lines),
            $family->target,
            new CorrectionLimits(self::candidates($with ?? $family->correctors), $most),
        );
    }

    /**
     * @param list<string> $lines
     * @param list<string> $with
     */
    private static function complain(array $lines, string $complaint, array $with, int $most): Advice
    {
        $batch = self::mix($lines);

        return CorrectionSearch::advise(
            $batch,
            Complaint::named($complaint)->target(Taste::ofMixture($batch)),
            new CorrectionLimits(self::candidates($with), $most),
        );
    }
}
