<?php

declare(strict_types=1);

namespace Tests\core\Exchange;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Vinculum\Exchange\Csv;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Exchange\RecipeWriter;
use Vinculum\Exchange\WebPage;
use Vinculum\Facts\FactsFile;
use Vinculum\Recipe\Recipe;

/** Nothing is locked in: what goes out comes back in as it was, for any recipe and any table. */
final class WrittenAndReadTest extends TestCase
{
    private const SEED = 20261124;
    private const PIECES = [
        '½ cup',
        '1½ tsp',
        '2–3',
        'a pinch of',
        '400 g tin',
        '12',
        'cloves',
        'garlic',
        'crème fraîche',
        'chilli',
        'cider vinegar',
        '"00" flour',
        '& salt',
        '<1 %',
        'café',
        '日本',
        'naïve',
        "cook's",
        '(to taste)',
        '[hold]',
        ', chopped',
        '\\',
        '100 %',
    ];

    /** @return iterable<string, array{string}> */
    public static function references(): iterable
    {
        foreach (glob(FactsFile::folder() . '/styles/*.txt') ?: [] as $path) {
            yield basename($path, '.txt') => [(string) file_get_contents($path)];
        }
    }

    #[DataProvider('references')]
    public function test_every_reference_recipe_comes_back_from_both_forms(string $text): void
    {
        foreach (RecipeReader::readAll($text) as $recipe) {
            self::assertComesBack($recipe);
        }
    }

    public function test_three_hundred_random_recipes_come_back_from_both_forms(): void
    {
        for ($number = 0; $number < 300; ++$number) {
            self::assertComesBack(self::anyRecipe($number));
        }
    }

    public function test_cells_come_back_whatever_marks_they_begin_with_or_hold(): void
    {
        $cells = [
            "'=1+1",
            "''=1",
            '=SUM(A1)',
            "'plain",
            "it's",
            'a;b',
            'a;b,c',
            "two\nlines",
            '"quoted"',
            '-3',
            '@x',
            "\tindented",
            "'",
            "'+",
        ];
        $rows = array_map(static fn(string $cell): array => ['name' => $cell, 'other; column' => 'x'], $cells);
        self::assertSame(
            array_map(static fn(array $row): array => ['name' => $row['name'], 'other; column' => 'x'], $rows),
            Csv::read(Csv::write(['name', 'other; column'], $rows)),
        );
        self::assertSame(
            [['name' => 'a,b', 'note' => 'c']],
            Csv::read("name;note\n\"a,b\";c\n"),
            'another country\'s separator',
        );
    }

    public function test_what_would_take_all_memory_is_read_in_one_pass_or_refused(): void
    {
        $hostile = [
            'scripts that never close' => str_repeat('<script type="application/ld+json">x ', 29_700),
            'scripts alone' => 'application/ld+json' . str_repeat('<script', 600_000),
            'empty values' => '[' . str_repeat('{},[],', 800_000) . '[]]',
            'brackets' => str_repeat('[', 2_000_000),
            'titles' => str_repeat("# a\n1 g salt\n", 100_000),
        ];
        foreach ($hostile as $name => $text) {
            memory_reset_peak_usage();
            $held = memory_get_usage();
            try {
                RecipeReader::readAll($text);
                self::fail("{$name} were taken for recipes");
            } catch (RecipeFault $fault) {
                self::assertNotSame('', $fault->getMessage());
            }
            self::assertLessThan(128e6, memory_get_peak_usage() - $held, $name);
        }
    }

    public function test_a_page_is_read_however_its_script_is_written(): void
    {
        $json = (string) json_encode(
            RecipeWriter::jsonLd(self::anyRecipe(1)),
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_HEX_TAG,
        );
        $expected = self::anyRecipe(1)->ingredientTexts();
        $pages = [
            "<SCRIPT TYPE=application/ld+json>{$json}</SCRIPT>",
            "<script nonce='x' type='application/ld+json' id=\"a\">\n//\n</script><script type=\"application/ld+json\">  {$json}  </script >",
            "<script type=\"application/ld+json\"><![CDATA[{$json}]]></script>",
            '<script type="application/ld+json">{"broken": </script><script type="application/ld+json">'
                . $json
                . '</script>',
            "\u{FEFF}<!doctype html>\n<script type=\"application/ld+json\">{$json}</script>",
            mb_convert_encoding("\u{FEFF}<script type=\"application/ld+json\">{$json}</script>", 'UTF-16LE', 'UTF-8'),
        ];
        foreach ($pages as $number => $page) {
            self::assertSame($expected, RecipeReader::read($page)->ingredientTexts(), "page {$number}");
        }
        self::assertFalse(WebPage::holdsData('<p>application/json</p>'));
        $this->expectException(RecipeFault::class);
        RecipeReader::read('<script type="application/ld+json">{"@type": "Song", "name": "Recipe"}</script>');
    }

    /** A text in a script may hold a raw break, which strict JSON forbids and many pages have. */
    public function test_raw_breaks_in_a_script_are_forgiven(): void
    {
        $page = "<script type=\"application/ld+json\">{\"@type\": \"Recipe\", \"name\": \"Dip\", \"recipeIngredient\": [\"2 tbsp\nsoy sauce\"]}</script>";

        self::assertSame(['2 tbsp soy sauce'], RecipeReader::read($page)->ingredientTexts());
    }

    /** PHP's own reader of comma-separated values understands what is written, and its own writer is understood. */
    public function test_random_tables_agree_with_another_reader_and_writer(): void
    {
        $dice = new Randomizer(new Mt19937(self::SEED));
        for ($number = 0; $number < 100; ++$number) {
            $rows = [];
            for ($row = $dice->getInt(1, 6); $row > 0; --$row) {
                $rows[] = [
                    'name' => self::words($dice, 3),
                    'note' => self::words($dice, 2) . ($row % 2 === 0 ? ",\r\n\"twice\"" : ''),
                    'grams' => (string) $dice->getInt(0, 900),
                ];
            }
            $ours = Csv::write(['name', 'note', 'grams'], $rows);
            self::assertSame(
                [['name', 'note', 'grams'], ...array_map(array_values(...), $rows)],
                self::readByPhp($ours),
            );
            self::assertSame(
                $rows,
                Csv::read(self::writtenByPhp([['name', 'note', 'grams'], ...array_map(array_values(...), $rows)])),
            );
        }
    }

    private static function assertComesBack(Recipe $recipe): void
    {
        $text = RecipeWriter::text($recipe);
        self::assertEquals($recipe, RecipeReader::read($text), $text);
        $whole = $recipe->withExtras(
            new Recipe(
                servings: $recipe->servings,
                setAside: [['text' => 'Prep time: 10 min', 'why' => 'time'], ['text' => 'Keeps a week', 'why' => 'note']],
                ignoredAxes: ['heat'],
            ),
        );
        self::assertEquals($whole, RecipeReader::read(RecipeWriter::text($whole)), RecipeWriter::text($whole));
        $json = (string) json_encode(RecipeWriter::jsonLd($recipe));
        self::assertEquals($recipe, RecipeReader::read($json), $json);
        self::assertEquals(
            $recipe,
            RecipeReader::read("<html><script type=\"application/ld+json\">{$json}</script></html>"),
        );
    }

    private static function anyRecipe(int $seed): Recipe
    {
        $dice = new Randomizer(new Mt19937(self::SEED + $seed));
        $lines = [];
        foreach ([null, 'For the pot', 'To finish'] as $stage) {
            for ($line = $dice->getInt(1, 5); $line > 0; --$line) {
                $lines[] = [self::words($dice, 5), $stage];
            }
        }
        $method = array_map(
            static fn(int $step): string => "Stir {$step} times " . self::words($dice, 4),
            range(1, $dice->getInt(1, 4)),
        );

        return new Recipe(
            'Sauce ' . self::words($dice, 2),
            'ketchup',
            Recipe::underHeadings($lines),
            $method,
            yield: "{$dice->getInt(1, 9)} × 250 ml",
            pan: "{$dice->getInt(12, 40)} cm",
            servings: $dice->getInt(1, 12),
        );
    }

    private static function words(Randomizer $dice, int $most): string
    {
        $words = array_map(
            static fn(int $number): string => self::PIECES[$number],
            $dice->pickArrayKeys(self::PIECES, $dice->getInt(1, $most)),
        );

        return "{$dice->getInt(1, 99)} g " . implode(' ', $words);
    }

    /** @return list<list<string|null>> */
    private static function readByPhp(string $csv): array
    {
        $file = fopen('php://memory', 'w+');
        self::assertIsResource($file);
        fwrite($file, $csv);
        rewind($file);
        $rows = [];
        while (($row = fgetcsv($file, null, ',', '"', '')) !== false) {
            $rows[] = $row;
        }

        return $rows;
    }

    /** @param list<list<string>> $rows */
    private static function writtenByPhp(array $rows): string
    {
        $file = fopen('php://memory', 'w+');
        self::assertIsResource($file);
        foreach ($rows as $row) {
            fputcsv($file, $row, ',', '"', '', "\r\n");
        }
        rewind($file);

        return (string) stream_get_contents($file);
    }
}
