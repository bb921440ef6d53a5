<?php

declare(strict_types=1);

namespace Tests\core\Exchange;

use PHPUnit\Framework\TestCase;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Facts\FactsFile;
use Vinculum\Recipe\Recipe;

final class RecipeReaderTest extends TestCase
{
    public function test_reads_plain_text_with_keys_stages_and_method(): void
    {
        $recipe = RecipeReader::read(
            "# Brown sauce\r\nStyle: brown-sauce\r\nYield: 500 ml\r\nPan: 24 cm\r\n\r\nFor the pot:\r\n200 g dates\r\n300 ml malt vinegar\r\n\r\nTo finish:\r\njuice of 1 lemon [cold]\r\n\r\nMethod:\r\nSimmer it.\r\nCool it.\r\n",
        );

        self::assertSame(
            ['Brown sauce', 'brown-sauce', '500 ml', '24 cm'],
            [$recipe->title, $recipe->style, $recipe->yield, $recipe->pan],
        );
        self::assertSame(['200 g dates', '300 ml malt vinegar', 'juice of 1 lemon [cold]'], self::texts($recipe));
        self::assertSame(
            ['For the pot', 'For the pot', 'To finish'],
            array_values($recipe->stages()),
        );
        self::assertSame(['Simmer it.', 'Cool it.'], $recipe->method);
    }

    /** Whatever heading a page may give a method, marked or bare, its steps are steps and no ingredients. */
    public function test_a_method_is_a_method_under_any_heading(): void
    {
        foreach (FactsFile::named('page')['cue-method']->list('is') as $heading) {
            foreach ([ucfirst($heading), ucfirst($heading) . ':', '## ' . ucfirst($heading), mb_strtoupper($heading)] as $written) {
                $recipe = RecipeReader::read(
                    "# Plum sauce\nMakes 500 ml\n\n1 kg plums\n200 ml cider vinegar\n1 tsp salt\n\n{$written}\n"
                    . "Simmer the plums in the vinegar for 40 minutes.\nSalt it and bottle it.\n",
                );

                self::assertSame('Plum sauce', $recipe->title, $written);
                self::assertSame(['1 kg plums', '200 ml cider vinegar', '1 tsp salt'], self::texts($recipe), $written);
                self::assertCount(2, $recipe->method, $written);
            }
        }
    }

    public function test_reads_json_ld_in_a_graph_with_steps_in_sections(): void
    {
        $json = json_encode(['@context' => 'https://schema.org', '@graph' => [
            ['@type' => 'WebPage'],
            ['@type' => ['Thing', 'Recipe'], 'name' => 'Dip &amp; sauce', 'recipeYield' => ['4', '250 ml'], 'recipeIngredient' => [
                '2 tbsp soy sauce',
                '&frac12; cup water',
            ],
                'recipeInstructions' => [
                    [
                        '@type' => 'HowToSection',
                        'itemListElement' => [['@type' => 'HowToStep', 'text' => '<p>Mix.</p><p>Rest.</p>']],
                    ],
                    'Serve.',
                ]],
        ]]);
        $recipe = RecipeReader::read((string) $json);

        self::assertSame('Dip & sauce', $recipe->title);
        self::assertSame(['2 tbsp soy sauce', '½ cup water'], self::texts($recipe));
        self::assertSame('250 ml', $recipe->yield);
        self::assertSame(['Mix.', 'Rest.', 'Serve.'], $recipe->method);
    }

    public function test_reads_other_encodings(): void
    {
        self::assertSame(['½ cup jalapeños'], self::texts(RecipeReader::read("\xEF\xBB\xBF½ cup jalapeños")));
        self::assertSame(
            ['½ cup jalapeños'],
            self::texts(RecipeReader::read((string) mb_convert_encoding('½ cup jalapeños', 'Windows-1252', 'UTF-8'))),
        );
        self::assertSame(
            ['½ cup jalapeños'],
            self::texts(RecipeReader::read("\xFF\xFE" . mb_convert_encoding('½ cup jalapeños', 'UTF-16LE', 'UTF-8'))),
        );
    }

    public function test_says_what_is_wrong_with_what_is_no_recipe(): void
    {
        $cases = [
            str_repeat('1 g salt ', 600_000) => '5 MB',
            str_repeat("1 g salt\n", 20_001) => 'no recipe',
            "\x7FELF\0\0\1" => 'not a text file',
            '{"@type":"Recipe",' => 'cannot be read',
            '{"@type":"Person"}' => 'no schema.org Recipe',
            '{"@type":"Recipe","recipeIngredient":[]}' => 'No ingredient line',
            "# Only a title\n\nMethod:\nStir." => 'No ingredient line',
            '' => 'No ingredient line',
            str_repeat('[', 200) . '"a"' => 'cannot be read',
        ];
        foreach ($cases as $contents => $says) {
            try {
                RecipeReader::read((string) $contents);
                self::fail("accepted: {$says}");
            } catch (RecipeFault $fault) {
                self::assertStringContainsString($says, $fault->getMessage());
                self::assertStringNotContainsString("\n", $fault->getMessage());
            }
        }
    }

    /** @return list<string> */
    private static function texts(Recipe $recipe): array
    {
        return $recipe->ingredientTexts();
    }
}
