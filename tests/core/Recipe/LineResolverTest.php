<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Chemistry\Component;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Resolution\Sureness;

final class LineResolverTest extends TestCase
{
    /**
     * @return iterable<string, array{string, string, float, float, string}> line, ingredient, grams, tolerance, status
     */
    public static function lines(): iterable
    {
        $rows = [
            // weights are weights
            ['250 g sugar', 'white-sugar', 250, .001, 'measured'],
            ['1 lb 4 oz plums', 'plum', 566.99, .001, 'measured'],
            // common practice: half a US cup of ketchup about 128 g, 50 g (thin) syrup about 3 tablespoons, half a
            // tablespoon of butter 7 g
            ['½ cup ketchup', 'ketchup', 128, .12, 'measured'],
            ['½ cup tomato sauce', 'tomato-sauce', 128, .12, 'measured'],
            ['½ tablespoon butter', 'butter', 7, .12, 'measured'],
            ['3 tablespoons syrup', 'sugar-syrup', 50, .12, 'measured'],
            ['3 tablespoons golden syrup', 'golden-syrup', 63, .05, 'measured'],
            // common practice: fine salt about 6 g a teaspoon, flakes about half
            ['1 tsp salt', 'salt', 6, .01, 'measured'],
            ['1 tsp flaky sea salt', 'flake-salt', 3, .05, 'measured'],
            ['1 cup packed brown sugar', 'light-brown-sugar', 220, .02, 'measured'],
            // the weight wins over the cup
            ['½ cup (110 g) light brown sugar, packed', 'light-brown-sugar', 110, .001, 'measured'],
            ['2 onions (about 300 g)', 'onion', 300, .001, 'measured'],
            // counts are taken from the unit table
            ['3–4 cloves garlic, crushed', 'garlic', 14, .001, 'assumed'],
            ['3 garlic cloves', 'garlic', 12, .001, 'assumed'],
            ['juice of half a lemon', 'lemon-juice', 22.5, .001, 'assumed'],
            ['1 lemon, juiced', 'lemon-juice', 45, .001, 'assumed'],
            ['zest of 1 orange', 'orange-zest', 6, .001, 'assumed'],
            ['2 tbsp lemon', 'lemon-juice', 30.5, .01, 'measured'],
            ['10 mint leaves', 'mint', 1, .001, 'assumed'],
            ['handful of mint leaves', 'mint', 10, .001, 'assumed'],
            ['1 star anise', 'star-anise', 1, .001, 'assumed'],
            ['2 cloves', 'cloves', .2, .001, 'assumed'],
            ['1 cinnamon stick', 'cinnamon', 3, .001, 'assumed'],
            ['2 celery sticks', 'celery', 90, .001, 'assumed'],
            // vague measures
            ['a pinch of cayenne', 'cayenne', .111, .01, 'assumed'],
            ['12 turns of the mill', 'black-pepper', .6, .001, 'assumed'],
            ['glug of olive oil', 'olive-oil', 13.7, .01, 'assumed'],
            // tins
            ['2 × 400 g tins chopped tomatoes, drained', 'tinned-tomatoes', 496, .001, 'measured'],
            ['1 tin tomatoes', 'tinned-tomatoes', 411, .001, 'assumed'],
            // what leans on its alternative
            ['1 cup red or white wine vinegar', 'red-wine-vinegar', 239, .01, 'measured'],
            ['vinegar, white, 100 g', 'white-vinegar', 100, .001, 'measured'],
        ];
        foreach ($rows as $row) {
            yield $row[0] => $row;
        }
    }

    /** What is said of a herb behind its name may finish the name, and is no doubt. */
    public function test_leaves_picked_are_the_leaves_of_the_herb(): void
    {
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Us);
        foreach (['mint', 'basil', 'parsley'] as $herb) {
            foreach (['leaves picked', 'leaves only', 'picked'] as $said) {
                self::assertSame(Sureness::Certain, $resolver->resolve("20 g {$herb}, {$said}")->sure, "{$herb}, {$said}");
            }
        }
    }

    #[DataProvider('lines')]
    public function test_resolves(
        string $text,
        string $ingredient,
        float $grams,
        float $tolerance,
        string $status,
    ): void {
        $line = self::resolve($text);

        self::assertSame($ingredient, $line->ingredient?->key);
        self::assertNotNull($line->grams);
        self::assertEqualsWithDelta($grams, $line->grams->value, $grams * $tolerance);
        self::assertSame($status, $line->status->value);
        self::assertLessThanOrEqual($line->grams->value, $line->grams->low());
    }

    public function test_doubt_follows_the_way_of_measuring(): void
    {
        $spread = static fn(string $text): float
            => self::resolve($text)->grams->deviation / self::resolve($text)->grams->value;

        self::assertEqualsWithDelta(0.01, $spread('100 g salt'), 1e-9);
        self::assertEqualsWithDelta(0.05, $spread('1 cup vinegar'), 1e-9);
        self::assertEqualsWithDelta(0.10, $spread('1 tsp salt'), 1e-9);
        self::assertEqualsWithDelta(0.18, $spread('1 cup packed brown sugar'), 1e-9);
        self::assertEqualsWithDelta(0.22, $spread('1 onion'), 1e-9);
        self::assertGreaterThan(0.45, $spread('a pinch of salt'));
    }

    public function test_says_why(): void
    {
        self::assertSame('1 clove taken as 4 g', self::resolve('1 clove garlic')->note);
        self::assertStringContainsString('differ by', (string) self::resolve('1 cup (50 g) sugar')->note);
        self::assertStringContainsString('62 %', (string) self::resolve('1 400 g tin tomatoes, drained')->note);
    }

    public function test_no_amount_is_to_taste_and_counts_as_none(): void
    {
        $line = self::resolve('salt and freshly ground black pepper, to taste');

        self::assertSame(LineStatus::ToTaste, $line->status);
        self::assertSame('salt', $line->ingredient?->key);
        self::assertFalse($line->countsInTheMixture());
    }

    public function test_what_cannot_be_known_is_kept_and_marked_with_the_way_out(): void
    {
        foreach (['3 tbsp zorp', 'Mix everything well', '2 cups moon dust', ''] as $text) {
            $line = self::resolve($text);
            self::assertSame(LineStatus::Unknown, $line->status, $text);
            self::assertSame($text, $line->text());
            self::assertNull($line->ingredient);
            self::assertNotNull($line->note);
        }
        foreach (['1/0 cup sugar', '-3 tsp salt', 'a million tonnes of salt', '0 g honey', '4 soy sauce'] as $text) {
            $line = self::resolve($text);
            self::assertSame(LineStatus::Unknown, $line->status, $text);
            self::assertNotNull($line->ingredient, $text);
            self::assertFalse($line->countsInTheMixture());
        }
    }

    public function test_roasting_takes_water_and_leaves_the_rest(): void
    {
        $raw = self::resolve('400 g red pepper');
        $roasted = self::resolve('400 g red pepper [roasted]');

        self::assertEqualsWithDelta(400.0 * 0.73, $roasted->mixture()->grams(), 0.5);
        self::assertEqualsWithDelta(
            $raw->mixture()->get(Component::Fructose),
            $roasted->mixture()->get(Component::Fructose),
            1e-6,
        );
    }

    public function test_a_pod_without_its_placenta_or_unbroken_gives_less_heat(): void
    {
        $heat = static fn(string $text): float => self::resolve($text)->mixture()->get(Component::CapsaicinoidHeat);

        self::assertEqualsWithDelta(0.5, $heat('2 red chillies, deseeded') / $heat('2 red chillies'), 1e-9);
        self::assertEqualsWithDelta(0.1, $heat('1 habanero, left whole') / $heat('1 habanero'), 1e-9);
    }

    public function test_what_is_steeped_and_taken_out_leaves_half_of_what_dissolves(): void
    {
        $kelp = self::resolve('10 g kelp [steeped]')->mixture();

        self::assertEqualsWithDelta(0.11, $kelp->get(Component::Glutamate), 1e-9);
        self::assertSame(0.0, $kelp->get(Component::Fibre));
    }

    private static function resolve(string $text): ResolvedLine
    {
        return (new LineResolver(Catalogue::shipped(), Measures::Us))->resolve($text);
    }
}
