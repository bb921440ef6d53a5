<?php

declare(strict_types=1);

namespace Tests\core\Exchange;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Exchange\Csv;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Exchange\RecipeWriter;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\RecipeLine;

/**
 * The shapes of schema.org Recipe that are found in the wild (schema.org/Recipe, from memory), and the way back out.
 */
final class LinkedDataTest extends TestCase
{
    private const PLAIN = ['@type' => 'Recipe', 'name' => 'Dip', 'recipeIngredient' => ['2 tbsp soy sauce']];

    /** @return iterable<string, array{mixed}> */
    public static function shapes(): iterable
    {
        yield 'alone' => [self::PLAIN];
        yield 'in a list' => [[['@type' => 'Organization'], self::PLAIN]];
        yield 'in a graph' => [['@context' => 'https://schema.org', '@graph' => [['@type' => 'WebSite'], self::PLAIN]]];
        yield 'of several types' => [[...self::PLAIN, '@type' => ['Recipe', 'NewsArticle']]];
        yield 'as the main thing of a page' => [['@type' => 'WebPage', 'mainEntity' => self::PLAIN]];
        yield 'in a list of items' => [
            ['@type' => 'ItemList', 'itemListElement' => [['@type' => 'ListItem', 'item' => self::PLAIN]]],
        ];
        yield 'ingredients by their old name' => [
            ['@type' => 'Recipe', 'name' => 'Dip', 'ingredients' => '2 tbsp soy sauce'],
        ];
        yield 'with entities and marks' => [[...self::PLAIN, 'recipeIngredient' => ['<b>2</b> tbsp&nbsp;soy sauce']]];
    }

    #[DataProvider('shapes')]
    public function test_reads_every_shape_alone_and_inside_a_saved_page(mixed $shape): void
    {
        $json = (string) json_encode($shape);
        $page = "<!doctype html><html><head><script>var a = 1;</script><script type='application/ld+json'>{\"@type\": \"Person\"}</script>\n<script data-x type=\"application/ld+json\">\n<!-- {$json} -->\n</script></head><body><p>2 tbsp of nothing</p></body></html>";
        foreach ([$json, $page] as $contents) {
            $recipe = RecipeReader::read($contents);
            self::assertSame('Dip', $recipe->title);
            self::assertSame(
                ['2 tbsp soy sauce'],
                array_map(static fn(string $text): string => str_replace("\u{A0}", ' ', $text), $recipe->ingredientTexts()),
            );
        }
    }

    public function test_yields_as_number_text_or_list_and_durations(): void
    {
        $read = static fn(array $more): Recipe => RecipeReader::read((string) json_encode([...self::PLAIN, ...$more]));

        self::assertNull($read(['recipeYield' => 4])->yield);
        self::assertSame('500 ml', $read(['recipeYield' => ['4', '500 ml']])->yield);
        self::assertSame('2 cups', $read(['recipeYield' => '2 cups'])->yield);
        self::assertSame(['It is said to cook 75 minutes.'], $read(['cookTime' => 'PT1H15M'])->notes);
        self::assertSame([], $read(['cookTime' => 'soon', 'totalTime' => 'PT0M'])->notes);
        $sections = $read([
            'recipeInstructions' => [
                [
                    '@type' => 'HowToSection',
                    'name' => 'The pot',
                    'itemListElement' => [
                        ['@type' => 'HowToStep', 'text' => 'Simmer it', 'performTime' => 'PT20M'],
                        'Stir',
                    ],
                ],
                ['@type' => 'HowToStep', 'name' => 'Serve'],
            ],
        ]);
        self::assertSame(['The pot:', 'Simmer it [20 min]', 'Stir', 'Serve'], $sections->method);
    }

    public function test_several_recipes_in_one_file(): void
    {
        $titles = static fn(string $contents): array => array_map(
            static fn(Recipe $recipe): string => $recipe->title,
            RecipeReader::readAll($contents),
        );

        self::assertSame(
            ['Dip', 'Other'],
            $titles(
                (string) json_encode([
                    '@graph' => [
                        self::PLAIN,
                        [...self::PLAIN, 'name' => 'Other'],
                        [...self::PLAIN, 'recipeIngredient' => []],
                    ],
                ]),
            ),
        );
        self::assertSame(['One', 'Two'], $titles("# One\n1 tsp salt\n\nMethod:\nStir\n\n# Two\n2 tsp salt\n"));
    }

    public function test_written_and_read_again_it_is_the_same_in_both_forms(): void
    {
        $recipe = new Recipe(
            'Brown & good',
            'brown-sauce',
            RecipeLine::numbered(['For the pot:', '200 g dates', '½ cup "malt" vinegar', 'To finish:', '1 lime [cold]']),
            ['Simmer 20 minutes', 'Cool it'],
            yield: '500 ml',
            pan: '24 cm',
        );

        self::assertEquals($recipe, RecipeReader::read(RecipeWriter::text($recipe)));
        self::assertEquals($recipe, RecipeReader::read((string) json_encode(RecipeWriter::jsonLd($recipe))));
    }

    /** RFC 4180: CRLF, quotes doubled, fields with commas, quotes and breaks in quotes. */
    public function test_tables_written_are_tables_read(): void
    {
        $rows = [
            ['a' => 'plain', 'b' => 'with, comma'],
            ['a' => "two\r\nlines", 'b' => 'a "quote"'],
            ['a' => '=SUM(A1)', 'b' => '-3.5'],
        ];
        $csv = Csv::write(['a', 'b'], $rows);

        self::assertStringStartsWith("a,b\r\nplain,\"with, comma\"\r\n", $csv);
        self::assertStringContainsString("'=SUM(A1)", $csv, 'no spreadsheet takes it for a formula');
        self::assertSame($rows, Csv::read($csv));
        self::assertSame(
            [['a' => '1', 'b' => '']],
            Csv::read("\u{FEFF}A;B\n1\n"),
            'semicolons, a byte order mark and short rows',
        );
    }
}
