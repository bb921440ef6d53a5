<?php

declare(strict_types=1);

namespace Tests\core\Labelling;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Labelling\Label;
use Vinculum\Labelling\LabelLine;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\ResolvedLine;

/**
 * Regulation (EU) 1169/2011 (from memory): Article 18 for the order, Article 21 for the emphasis, Annex VII for
 * compounds.
 */
final class LabelTest extends TestCase
{
    use TestTrait;

    public function test_compound_ingredients_are_broken_out_and_allergens_emphasised(): void
    {
        $label = Label::of(self::formula(['100 g mayonnaise', '300 g tomatoes', '20 g soy sauce', '5 g celery seed']));

        self::assertSame(
            [
                'tomato',
                'mayonnaise (oil, water, egg yolk, vinegar, sugar, salt, mustard)',
                'soy sauce (water, soya beans, wheat, salt)',
                'celery seed',
            ],
            array_map(static fn(LabelLine $line): string => $line->text(), $label->ingredients),
        );
        self::assertEqualsCanonicalizing(['egg', 'mustard', 'soy', 'soya', 'wheat', 'celery'], $label->emphasised());
        self::assertStringContainsString('bottle in your hand', $label->notes[0]);
    }

    public function test_the_same_thing_on_two_lines_counts_once_with_both_amounts(): void
    {
        $label = Label::of(self::formula(['30 g sugar', '50 g salt', '30 g sugar']));

        self::assertSame(
            ['white sugar', 'salt'],
            array_map(static fn(LabelLine $line): string => $line->text(), $label->ingredients),
        );
    }

    public function test_what_was_not_understood_is_left_to_the_cook(): void
    {
        self::assertStringContainsString('zorp', Label::of(self::formula(['3 g zorp']))->notes[0]);
    }

    public function test_the_list_descends_for_any_recipe_and_no_allergen_is_lost(): void
    {
        $keys = Catalogue::shipped()->keys();
        $this->limitTo(60)->forAll(
            Generators::vector(12, Generators::choose(0, count($keys) - 1)),
            Generators::vector(12, Generators::choose(1, 900)),
        )->then(static function (array $which, array $grams) use ($keys): void {
            $lines = array_map(
                static fn(int $index, int $amount): ResolvedLine => ResolvedLine::ofGrams(
                    Catalogue::shipped()->get($keys[$index]),
                    \Vinculum\Quantity\Amount::within((float) $amount, 0.01),
                ),
                $which,
                $grams,
            );
            $formula = Formula::of(array_values($lines));
            $label = Label::of($formula);
            $percents = array_map(static fn(LabelLine $line): float => $line->percent, $label->ingredients);
            $sorted = $percents;
            rsort($sorted);

            self::assertSame($sorted, $percents);
            self::assertEqualsWithDelta(100.0, array_sum($percents), 1e-6);
            foreach (Balance::allergensIn($formula) as $allergen) {
                $words = [$allergen, ...FactsFile::named('allergens')[$allergen]->list('words')];
                $found = array_filter(
                    $label->emphasised(),
                    static fn(string $said): bool => array_filter(
                        $words,
                        static fn(string $word): bool => str_contains($said, $word),
                    ) !== [],
                );
                self::assertNotSame([], $found, "{$allergen} is emphasised");
            }
        });
    }

    public function test_every_compound_is_in_the_catalogue_and_names_its_allergens(): void
    {
        foreach (FactsFile::named('compounds') as $key => $row) {
            self::assertTrue(Catalogue::shipped()->has($key), $key);
            self::assertSame(0, substr_count($row->text('of'), '*') % 2, $key);
        }
    }

    /** @param list<string> $lines */
    private static function formula(array $lines): Formula
    {
        return Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric);
    }
}
