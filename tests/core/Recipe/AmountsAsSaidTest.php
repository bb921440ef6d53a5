<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Formula;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\Mend;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** Amounts as people say them. A US cup is 236.6 ml, a spoon 14.8 ml (NIST Handbook 44); the rest is common practice. */
final class AmountsAsSaidTest extends TestCase
{
    /** @return array<string, array{float, float}> grams from and to */
    private static function amounts(): array
    {
        return [
            'half of a cup of water' => [117.0, 119.0], 'three fourths of a cup water' => [176.0, 179.0], '2 thirds of a cup of water' => [156.0, 159.0],
            'a cup and a half of water' => [353.0, 356.0], 'a third of a cup, or 83 ml, of water' => [78.0, 84.0], 'a good spoonful of water' => [15.0, 19.0],
            'a spoon of water' => [14.0, 15.5], 'a shake of salt' => [0.5, 1.0], '2 cranks of black pepper' => [0.05, 0.2], 'a little more than 2 tbsp water' => [29.0, 36.0],
            'at least 2 tbsp water' => [29.0, 31.0], 'heaped tsp salt' => [8.0, 8.8], 'heaped cup of flour' => [140.0, 160.0], 'scant tbsp salt' => [15.0, 17.0],
            '1 doz. eggs' => [560.0, 640.0], '1 pat butter' => [4.0, 6.0], 'a walnut-sized knob of butter' => [10.0, 20.0], 'three-finger pinch of salt' => [0.4, 1.2],
            '1 breakfast cup sugar' => [220.0, 260.0], '1 pint (568 ml) water' => [560.0, 575.0], '2 x 400g tins tomatoes, drained (480 g drained weight)' => [480.0, 480.0],
            '1 (packed) cup brown sugar' => [200.0, 230.0], 'Peanut butter 200 g (1 cup)' => [200.0, 200.0], '200g/7oz/1 cup peanut butter' => [200.0, 200.0],
            'cider vinegar 50% 100 g' => [100.0, 100.0], 'milk 50%' => [50.0, 50.0],
        ];
    }

    /** @param array{float, float} $grams */
    #[DataProvider('said')]
    public function test_an_amount_is_what_a_cook_means_by_it(string $text, array $grams): void
    {
        $entries = self::resolver()->entries($text);

        self::assertCount(1, $entries, $text);
        self::assertGreaterThanOrEqual($grams[0] - 0.5, $entries[0]->grams?->value, $text);
        self::assertLessThanOrEqual($grams[1] + 0.5, $entries[0]->grams?->value, $text);
    }

    /** @return iterable<string, array{string, array{float, float}}> */
    public static function said(): iterable
    {
        foreach (self::amounts() as $text => $grams) {
            yield $text => [$text, $grams];
        }
    }

    /** However full a spoon is said to be, before the thing or behind it. */
    public function test_a_heap_counts_wherever_it_stands(): void
    {
        foreach (FactsFile::named('words')['fills']->list('behind') as $fill) {
            foreach (['tbsp', 'tsp', 'cup'] as $unit) {
                foreach (['sugar', 'gochujang', 'plain flour', 'ground cumin'] as $name) {
                    $before = self::resolver()->resolve("1 {$fill} {$unit} {$name}")->grams->value ?? 0.0;
                    foreach (["1 {$unit} {$name}, {$fill}", "1 {$unit} {$name} ({$fill})", "1 {$unit} {$name} {$fill}"] as $text) {
                        $behind = self::resolver()->resolve($text)->grams->value ?? 0.0;
                        self::assertEqualsWithDelta($before, $behind, 0.01, $text);
                    }
                }
            }
        }
        self::assertEqualsWithDelta(100.0, self::resolver()->resolve('100 g sugar, heaped')->grams?->value, 0.01);
    }

    /** "2 tbsp butter, plus a knob", "1 cup stock, plus 1 more": what goes in later is not lost, whatever it is counted in. */
    public function test_what_is_added_later_is_counted_too(): void
    {
        foreach (['2 tbsp', '50 g', '1 cup', '100 ml', '3 tsp'] as $amount) {
            foreach (['butter', 'sugar', 'lemon juice', 'olive oil'] as $name) {
                $unit = explode(' ', $amount)[1];
                $one = self::resolver()->resolve("1 {$unit} {$name}")->grams->value ?? 0.0;
                foreach (['1 more' => $one, '1 more at the end' => $one, "1 {$unit}" => $one, 'a knob for the end' => null, 'a handful to finish' => null] as $more => $grams) {
                    $entries = self::resolver()->entries("{$amount} {$name}, plus {$more}");
                    self::assertCount(2, $entries, "{$amount} {$name}, plus {$more}");
                    self::assertSame($entries[0]->ingredient?->key, $entries[1]->ingredient?->key);
                    self::assertEqualsWithDelta($grams ?? $entries[1]->grams?->value, $entries[1]->grams?->value, 0.01, "{$amount} {$name}, plus {$more}");
                }
            }
        }
        self::assertCount(1, self::resolver()->entries('1 tsp salt, plus extra'));
    }

    public function test_as_much_as_another_is_measured_like_it(): void
    {
        $lines = Formula::fromTexts(
            ['3 tbsp honey', 'same amount of soy sauce', '1 tsp salt', 'vinegar, as much as the honey', 'about the same as the honey of water'],
            Catalogue::shipped(),
            Measures::Us,
        )->lines;
        foreach ([1, 3, 4] as $line) {
            self::assertEqualsWithDelta(3.0, $lines[$line]->written->measured?->middle(), 1e-9);
            self::assertSame('tablespoon', $lines[$line]->written->measured?->unit?->name);
        }
        $alone = self::resolver()->entries('the same amount of soy sauce')[0];
        self::assertSame([LineStatus::ToTaste, null], [$alone->status, $alone->grams]);
        self::assertStringContainsString('As much as what?', (string) $alone->note);
    }

    public function test_numbers_of_what_nobody_counts_are_parts_and_a_part_is_as_large_as_it_is_said_to_be(): void
    {
        $millilitres = static fn(ResolvedLine $line): ?float => $line->millilitres;
        self::assertSame([300.0, 100.0], array_map($millilitres, self::resolver()->entries('soy 3, mirin 1')));
        self::assertSame([150.0, 220.0], array_map(
            static fn(ResolvedLine $line): ?float => $line->grams?->value,
            self::resolver()->entries('3 eggs, 2 onions'),
        ));
        $formula = Formula::fromTexts(['1 part = 50 ml', '3 parts oil', '1 part vinegar'], Catalogue::shipped(), Measures::Us);
        self::assertSame([150.0, 50.0], array_map($millilitres, $formula->ingredientLines()));
        $mugs = Formula::fromTexts(['1 mug water', 'my mug holds 350 ml', '2 mugs water', '½ mug honey'], Catalogue::shipped(), Measures::Us);
        self::assertSame([300.0, 700.0, 175.0], array_map($millilitres, $mugs->ingredientLines()));
        self::assertSame(LineStatus::Measured, $mugs->ingredientLines()[1]->status);
    }

    public function test_one_amount_for_two_things_is_halved_and_says_so(): void
    {
        foreach (self::resolver()->entries('1 cup sugar and salt') as $line) {
            self::assertSame(LineStatus::Assumed, $line->status);
            self::assertEqualsWithDelta(118.3, $line->millilitres, 0.1);
            self::assertStringContainsString('half of each', (string) $line->note);
        }
    }

    public function test_what_is_said_loosely_goes_in_to_taste_and_says_so(): void
    {
        foreach (['a ton of garlic', 'loads of garlic', 'lots of garlic', 'a little garlic', 'garlic, as much as you like'] as $text) {
            $line = self::resolver()->resolve($text);
            self::assertSame(['garlic', LineStatus::ToTaste], [$line->ingredient?->key, $line->status], $text);
        }
        self::assertStringContainsString('no amount', (string) self::resolver()->resolve('a ton of garlic')->note);
    }

    public function test_an_amount_for_each_of_so_many_is_none_of_the_batch_and_says_so(): void
    {
        $said = [
            'coarse salt (1 tsp per bottle)', 'lemon juice, 2 tbsp per litre', '1 tsp salt per kg of tomatoes', 'salt: 20 g per kilo', '1 bay leaf per jar',
            '20 g salt per litre water', '1 tbsp sugar per 500 ml', 'vinegar 1 tbsp per person', 'a pinch of sugar per tomatillo',
        ];
        foreach ($said as $text) {
            $entries = self::resolver()->entries($text);
            self::assertCount(1, $entries, $text);
            self::assertSame(LineStatus::Unknown, $entries[0]->status, $text);
            self::assertNotNull($entries[0]->ingredient, $text);
            self::assertStringContainsString('altogether', (string) $entries[0]->note, $text);
        }
    }

    public function test_one_tap_makes_a_spoon_a_tablespoon_and_keeps_the_rest(): void
    {
        $mends = Mend::for(self::resolver()->resolve('1 spoon yellow mustard, heaped'), Catalogue::shipped());
        self::assertSame(
            ['1 tbsp yellow mustard, heaped', '1 tsp yellow mustard, heaped'],
            array_slice(array_map(static fn(Mend $mend): string => $mend->text, $mends), 0, 2),
        );
    }

    public function test_a_tool_is_no_food(): void
    {
        foreach (['1 funnel', '1 pepper mill', '2 x 250 ml jars', 'a sieve', '1 blender'] as $text) {
            self::assertNull(self::resolver()->resolve($text)->ingredient, $text);
        }
    }

    /** "1 tbsp fresh oregano or 1 tsp dried": of two forms, each with its amount, the first counts, whatever the thing. */
    public function test_of_two_forms_each_with_an_amount_the_first_counts(): void
    {
        $things = [
            'fresh oregano' => ['dried', 'ground'], 'fresh thyme' => ['dried'], 'fresh basil' => ['dried'], 'fresh dill' => ['dried'],
            'turmeric root' => ['ground', 'powder'], 'fresh ginger' => ['ground', 'powdered'], 'garlic' => ['powder', 'granules'],
            'fresh red chilli' => ['flakes', 'dried'], 'lemongrass' => ['paste'], 'onion' => ['powder'], 'tomatoes' => ['purée', 'tinned'],
        ];
        $asked = 0;
        foreach ($things as $thing => $forms) {
            foreach ($forms as $form) {
                foreach ([['2 tbsp', '1 tsp'], ['30 g', '2 tsp'], ['1 cup', '1 tbsp'], ['100 g', '20 g']] as [$much, $little]) {
                    $alone = self::resolver()->entries("{$much} {$thing}")[0];
                    foreach (["{$much} {$thing} or {$little} {$form}", "{$much} {$thing} (or {$little} {$form})"] as $text) {
                        $entries = self::resolver()->entries($text);
                        self::assertCount(1, $entries, $text);
                        self::assertSame($alone->ingredient?->key, $entries[0]->ingredient?->key, $text);
                        self::assertSame($alone->grams?->value, $entries[0]->grams?->value, $text);
                        ++$asked;
                    }
                }
            }
        }
        self::assertGreaterThan(100, $asked);
        foreach (['pinch', 'dash', 'a pinch', 'a good pinch', '2 pinches'] as $some) {
            $each = self::resolver()->entries("{$some} each of cayenne and nutmeg");
            self::assertSame(['cayenne', 'nutmeg'], array_map(static fn(ResolvedLine $line): ?string => $line->ingredient?->key, $each));
            self::assertGreaterThan(0.0, min(array_map(static fn(ResolvedLine $line): float => $line->grams->value ?? 0.0, $each)), $some);
        }
    }

    private static function resolver(): LineResolver
    {
        return new LineResolver(Catalogue::shipped(), Measures::Us);
    }
}
