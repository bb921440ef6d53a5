<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Item;
use Vinculum\Recipe\Parser\LineGrammar;
use Vinculum\Recipe\Resolution\NameReading;

final class LineGrammarTest extends TestCase
{
    /**
     * @return iterable<string, array{string, float, float, string, string}> line, low, high, unit or thing counted,
     *     name
     */
    public static function amounts(): iterable
    {
        $rows = [
            ['2 tbsp honey', 2, 2, 'tablespoon', 'honey'],
            ['1/2 cup sugar', .5, .5, 'cup', 'sugar'],
            ['½ cup sugar', .5, .5, 'cup', 'sugar'],
            ['1½ cups sugar', 1.5, 1.5, 'cup', 'sugar'],
            ['1 1/2 cups sugar', 1.5, 1.5, 'cup', 'sugar'],
            ['1-1/2 cups sugar', 1.5, 1.5, 'cup', 'sugar'],
            ['1⁄4 tsp salt', .25, .25, 'teaspoon', 'salt'],
            ['1.5 dl cream', 1.5, 1.5, 'decilitre', 'cream'],
            ['1,5 dl cream', 1.5, 1.5, 'decilitre', 'cream'],
            ['1,000 g tomatoes', 1000, 1000, 'gram', 'tomatoes'],
            ['.5 tsp salt', .5, .5, 'teaspoon', 'salt'],
            ['half a cup of sugar', .5, .5, 'cup', 'sugar'],
            ['one and a half cups ketchup', 1.5, 1.5, 'cup', 'ketchup'],
            ['three quarters of a cup of sugar', .75, .75, 'cup', 'sugar'],
            ['a quarter of a whole lemon', .25, .25, 'whole', 'lemon'],
            ['half a lemon', .5, .5, 'whole', 'lemon'],
            ['a couple of dashes hot sauce', 2, 2, 'dash', 'hot sauce'],
            ['a dozen damsons', 12, 12, 'whole', 'damsons'],
            ['3–4 cloves garlic, crushed', 3, 4, 'clove', 'garlic'],
            ['2 to 3 tablespoons capers', 2, 3, 'tablespoon', 'capers'],
            ['1/2 - 3/4 cup water', .5, .75, 'cup', 'water'],
            ['1 tsp to 1 tbsp cayenne', 1, 3, 'teaspoon', 'cayenne'],
            ['2 tbsp + 1 tsp soy sauce', 7 / 3, 7 / 3, 'tablespoon', 'soy sauce'],
            ['1 cup plus 2 tablespoons sugar', 1.125, 1.125, 'cup', 'sugar'],
            ['1 lb 4 oz plums', 1.25, 1.25, 'pound', 'plums'],
            ['2 × 400 g tins chopped tomatoes', 800, 800, 'gram', 'chopped tomatoes'],
            ['2 400g tins tomatoes', 800, 800, 'gram', 'tomatoes'],
            ['1 (14 oz) can tomato sauce', 14, 14, 'ounce', 'tomato sauce'],
            ['one 14-ounce can crushed tomatoes', 14, 14, 'ounce', 'crushed tomatoes'],
            ['4 tins (400 g each) tomatoes', 1600, 1600, 'gram', 'tomatoes'],
            ['garlic, 3 cloves', 3, 3, 'clove', 'garlic'],
            ['Ketchup: 1 cup', 1, 1, 'cup', 'Ketchup'],
            ['ketchup 200 g', 200, 200, 'gram', 'ketchup'],
            ['1-inch piece of ginger', 1, 1, 'inch', 'ginger'],
            ['1 thumb-sized piece of fresh ginger', 1, 1, 'thumb', 'fresh ginger'],
            ['pinch of salt', 1, 1, 'pinch', 'salt'],
            ['generous tablespoon honey', 1, 1, 'tablespoon', 'honey'],
            ['12 turns of the mill black pepper', 12, 12, 'turn', 'black pepper'],
            ['3 parts soy sauce', 3, 3, 'part', 'soy sauce'],
            ['1 T soy sauce', 1, 1, 'tablespoon', 'soy sauce'],
            ['1 t salt', 1, 1, 'teaspoon', 'salt'],
            ['• 2 cups sugar', 2, 2, 'cup', 'sugar'],
            ['- 2 cups sugar', 2, 2, 'cup', 'sugar'],
            ['2 cloves', 2, 2, 'whole', 'cloves'],
        ];
        foreach ($rows as $row) {
            yield $row[0] => $row;
        }
    }

    #[DataProvider('amounts')]
    public function test_reads_the_amount(string $text, float $low, float $high, string $unit, string $name): void
    {
        $line = self::grammar()->read($text)->first();

        self::assertNotNull($line->measured);
        self::assertEqualsWithDelta($low, $line->measured->low, 1e-9);
        self::assertEqualsWithDelta($high, $line->measured->high, 1e-9);
        self::assertSame($unit, $line->measured->unit->name ?? $line->measured->counted);
        self::assertSame($name, $line->name);
        self::assertSame($text, $line->text, 'the line is kept as typed');
        self::assertFalse($line->isNonsense);
    }

    public function test_reads_an_amount_said_twice(): void
    {
        foreach ([
            '½ cup (110 g) sugar' => 110.0,
            '⅓ cup / 83 ml vinegar' => 83.0,
            '400g/14oz tomatoes' => 14.0,
            '2 onions (about 300 g)' => 300.0,
            '2 onions (150 g each)' => 300.0,
            '100ml/3½fl oz vinegar' => 3.5,
        ] as $text => $second) {
            $line = self::grammar()->read($text)->first();
            self::assertEqualsWithDelta($second, ($line->forms[0] ?? null)?->middle(), 1e-9, $text);
        }
    }

    public function test_reads_parts_of_fruit(): void
    {
        foreach ([
            'juice of 1 lemon' => 'juice',
            'the juice of half a lemon' => 'juice',
            '1 lemon, juiced' => 'juice',
            'zest of 2 limes' => 'zest',
            '1 lemon (juice only)' => 'juice',
            '1 lemon, sliced' => null,
        ] as $text => $part) {
            self::assertSame($part, self::grammar()->read($text)->first()->part, $text);
        }
    }

    public function test_of_a_fruit_two_parts_are_two_things(): void
    {
        foreach (['zest and juice of 1 orange', '1 orange, zest and juice', '1 orange (zest and juice)'] as $text) {
            $items = self::grammar()->read($text)->items;
            self::assertSame(['zest', 'juice'], array_map(static fn(Item $one): ?string => $one->part, $items), $text);
        }
    }

    public function test_reads_alternatives_options_and_tags(): void
    {
        $grammar = self::grammar();

        self::assertSame(['maple syrup'], $grammar->read('1 tbsp honey or maple syrup')->first()->alternatives);
        self::assertSame([], $grammar->read('1 tsp salt, or to taste')->first()->alternatives);
        self::assertSame(['optional'], $grammar->read('1 tsp dried oregano (optional)')->first()->tags);
        self::assertSame(['cold', 'lock'], $grammar->read('2 limes, juiced [cold] [lock]')->first()->tags);
        self::assertSame(['drained'], $grammar->read('1 tin chickpeas, drained')->first()->tags);
        self::assertSame([], $grammar->read('1 tin chickpeas, undrained')->first()->tags);
        self::assertSame('finely chopped', $grammar->read('1 small onion, finely chopped')->first()->preparation);
        self::assertSame(1.4, $grammar->read('1 heaped tbsp mustard powder')->first()->measured?->fill);
        self::assertSame('small', $grammar->read('1 small onion')->first()->measured?->size);
    }

    public function test_marks_numbers_that_cannot_be_amounts(): void
    {
        foreach (['1/0 cup sugar', '-2 cups sugar', '0 g salt', '−1 tsp salt', '99999999999999 cups water'] as $text) {
            self::assertTrue(self::grammar()->read($text)->first()->isNonsense, $text);
        }
    }

    public function test_no_bytes_make_it_fail(): void
    {
        mt_srand(7);
        $pieces = [
            '1',
            '/',
            '½',
            '(',
            ')',
            'cup',
            'tbsp',
            ' ',
            '-',
            'to',
            'or',
            'of',
            'a',
            '×',
            ',',
            '[cold]',
            'salt',
            "\xFF",
            '🥫',
            "\t",
            '.',
            '0',
            'juice',
            'half',
            ':',
            '&',
            '+',
        ];
        for ($trial = 0; $trial < 3000; ++$trial) {
            $text = '';
            for ($length = mt_rand(0, 14); $length > 0; --$length) {
                $text .= $pieces[mt_rand(0, count($pieces) - 1)] . (mt_rand(0, 1) ? ' ' : '');
            }
            self::assertSame($text, self::grammar()->read($text)->text);
        }
    }

    private static function grammar(): LineGrammar
    {
        return new LineGrammar(Measures::Us, new NameReading(Catalogue::shipped()));
    }
}
