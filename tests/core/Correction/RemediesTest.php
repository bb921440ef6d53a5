<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\TestCase;
use Tests\core\Family\Classics;
use Tests\core\Weighed;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Component;
use Vinculum\Cooking\MethodReader;
use Vinculum\Correction\Addition;
use Vinculum\Correction\Advice;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Complaint;
use Vinculum\Correction\Correction;
use Vinculum\Correction\Wish;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;

/** What is done about a sauce of which the trouble is no taste (handbook, "Correcting a batch" a, b, i). */
final class RemediesTest extends TestCase
{
    private const WHITE_SAUCE = ['50 g butter', '50 g flour', '600 ml milk', '½ tsp salt'];
    private const SIMMERED = ['Melt the butter, stir in the flour, add the milk and simmer for 10 minutes.'];

    /** Every word over every classic: an answer that says what is done, with nothing that somebody could not eat before. */
    public function test_every_word_is_answered_for_every_sauce(): void
    {
        $answers = 0;
        foreach (Classics::all() as [, $title, $balance]) {
            foreach (array_keys(FactsFile::named('remedies')) as $word) {
                $found = self::ask($balance, (string) $word)->corrections;
                self::assertNotSame([], $found, "{$title}: {$word}");
                foreach ($found as $one) {
                    ++$answers;
                    self::assertNotNull($one->does, "{$title}: {$word}");
                    self::assertMatchesRegularExpression('/^[A-Z].{15,}\.$/', $one->does->text);
                    self::assertSame([], $one->allergensAdded, "{$title}: {$word}");
                    self::assertTrue(is_finite($one->distanceAfter));
                    foreach ($one->additions as $addition) {
                        self::assertTrue($balance->formula->isFitFor($addition->ingredient), "{$title}: {$word}");
                    }
                }
            }
        }

        self::assertGreaterThan(1000, $answers);
    }

    /** What is boiled down weighs less in the pan, and what is loosened or thickened weighs more. */
    public function test_thin_is_boiled_down_and_thick_is_loosened(): void
    {
        foreach (Classics::all() as [, $title, $balance]) {
            $grams = $balance->mixture->grams();
            foreach (self::ask($balance, 'too-thin')->corrections as $one) {
                if ($one->does?->kind === 'reduce') {
                    self::assertLessThan($grams, $one->does->panReadsGrams ?? INF, $title);
                    self::assertLessThan(25.0, $balance->mixture->percent(Component::Fat), "{$title}: an emulsion splits");
                }
            }
            foreach (self::ask($balance, 'too-thick')->corrections as $one) {
                self::assertGreaterThan($grams, $one->mixture->grams(), $title);
            }
        }
    }

    /** A white sauce holds milk, and is cooked: it is boiled down or bound, and not hung in a cloth. */
    public function test_what_was_cooked_is_not_drained_of_its_whey(): void
    {
        $kinds = static fn(array $method): array => array_map(
            static fn(Correction $one): ?string => $one->does?->kind,
            self::ask(self::sauce(self::WHITE_SAUCE, $method), 'too-thin')->corrections,
        );

        self::assertSame(['reduce', 'whisk'], $kinds(self::SIMMERED));
        self::assertSame(['strain'], $kinds(['Stir everything together.']));
    }

    /** What swims on a gravy is lifted off; a mayonnaise holds its fat. */
    public function test_greasy_is_skimmed_where_fat_swims(): void
    {
        $first = static fn(array $lines): ?string => self::ask(self::sauce($lines, ['Mix.']), 'greasy')->corrections[0]->does?->kind;

        self::assertSame('drain', $first(['50 g butter', '40 g flour', '600 ml beef stock']));
        self::assertSame('whisk', $first(['2 egg yolks', '250 ml sunflower oil', '1 tbsp lemon juice']));
    }

    /** Nothing raw and no dry starch goes into what was cooked, whatever the tongue says of it. */
    public function test_no_dry_starch_goes_into_what_was_cooked(): void
    {
        foreach (['50 g flour', '20 g cornflour', '30 g potato starch'] as $starch) {
            $lines = ['50 g butter', $starch, '600 ml beef stock', '2 tbsp soy sauce', '1 small onion'];
            $sauce = self::sauce($lines, ['Melt the butter, add the starch and the stock and simmer for 10 minutes.']);
            foreach (['too-salty', 'too-sour', 'not-salty', 'flat', 'too-sweet'] as $word) {
                foreach (self::ask($sauce, $word)->corrections as $one) {
                    self::assertSame([], array_intersect(
                        self::keysOf($one),
                        ['plain-flour', 'cornflour', 'potato-starch', 'onion'],
                    ), "{$starch}: {$word}");
                }
            }
        }
    }

    public function test_a_flat_white_sauce_gets_salt_for_acid_has_no_place_in_it(): void
    {
        $found = self::ask(self::sauce(self::WHITE_SAUCE, self::SIMMERED), 'flat')->corrections;

        self::assertSame(['salt'], self::keysOf($found[0]));
        self::assertLessThan(2.0, $found[0]->addedGrams);
    }

    /** Of pods no more than twice what is there goes in at once. */
    public function test_heat_that_is_missing_is_no_bowl_of_pods(): void
    {
        foreach (['1 jalapeno', '2 red chillies', '1 serrano'] as $pod) {
            $salsa = self::sauce(['4 tomatoes', '½ onion', $pod, '1 tbsp lime juice', '½ tsp salt'], ['Chop and mix.']);
            $there = $salsa->formula->lines[2]->grams->value ?? 0.0;
            foreach (self::ask($salsa, 'not-hot')->corrections as $one) {
                foreach ($one->additions as $addition) {
                    if ($addition->ingredient->key === $salsa->formula->lines[2]->ingredient?->key) {
                        self::assertLessThan(2.6 * $there, $addition->grams, $pod);
                    }
                }
            }
        }
    }

    private static function ask(Balance $balance, string $word): Advice
    {
        return (new Adviser(Weighed::balance($balance, null, Measures::Metric)))->answer(new Wish(Complaint::named($word)));
    }

    /**
     * @param list<string> $lines
     * @param list<string> $method
     */
    private static function sauce(array $lines, array $method): Balance
    {
        return Balance::of(
            Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric),
            MethodReader::treatment($method),
        );
    }

    /** @return list<string> */
    private static function keysOf(Correction $correction): array
    {
        return array_map(static fn(Addition $one): string => $one->ingredient->key, $correction->additions);
    }
}
