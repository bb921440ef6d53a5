<?php

declare(strict_types=1);

namespace Tests\core\Recipe\Text;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Vinculum\Balance\Formula;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\Resolution\LineStatus;

/** Whatever is pasted, every line of it is an ingredient, a step, a heading, the title, or set aside. */
final class NothingVanishesTest extends TestCase
{
    private const SEED = 20261201;
    private const PAGES = 300;

    public function test_of_pages_made_from_any_lines_none_is_lost(): void
    {
        $dice = new Randomizer(new Mt19937(self::SEED));
        $lines = self::lines();
        $read = 0;
        for ($page = 0; $page < self::PAGES; ++$page) {
            $drawn = [];
            for ($count = $dice->getInt(2, 25); $count > 0; --$count) {
                $drawn[] = $lines[$dice->getInt(0, count($lines) - 1)];
            }
            try {
                $recipe = RecipeReader::written(implode("\n", $drawn));
            } catch (RecipeFault) {
                // "holds no ingredient line" says so
                continue;
            }
            ++$read;
            $there = self::told($recipe);
            foreach ($drawn as $line) {
                self::assertStringContainsString(self::letters($line), $there, implode("\n", $drawn));
            }
        }
        self::assertGreaterThan(200, $read);
    }

    /** All that goes in may stand in one line, however long: none of it is set aside, and a step that measures stays a step. */
    public function test_a_list_in_one_long_line_is_the_list(): void
    {
        $dice = new Randomizer(new Mt19937(self::SEED));
        $things = ['4 tbsp light soy sauce', '2 tbsp rice vinegar', '1 tbsp toasted sesame oil', '1 tbsp honey', '20 g ginger (grated)', '1 onion, finely sliced', '2 cloves garlic, crushed to a paste', '100 ml water', '1 tsp cornflour', '½ tsp chilli flakes', '200 g tomatoes, peeled and chopped', '1 tbsp fish sauce'];
        for ($many = 4; $many <= 12; ++$many) {
            foreach (['For the sauce: ', 'Ingredients: ', ''] as $lead) {
                $line = $lead . implode(', ', array_slice($dice->shuffleArray($things), 0, $many)) . '.';
                $step = 'Fry 1 onion in 2 tbsp oil for 5 minutes, add 400 g tomatoes, 1 tsp salt, 2 tbsp vinegar and 100 ml water, then simmer it all gently for 20 minutes until it is thick enough to coat a spoon.';
                $recipe = RecipeReader::written("Dipping sauce\n{$line}\nMethod:\n{$step}\nStir it all together and let it stand for 10 minutes.");
                $formula = Formula::fromTexts($recipe->texts(), Catalogue::shipped(), Measures::Metric);
                $known = array_filter($formula->lines, static fn($one): bool => $one->ingredient !== null && ($one->grams->value ?? 0.0) > 0.0);
                self::assertCount($many, $known, $line);
                self::assertContains($step, $recipe->method, $line);
            }
        }
    }

    /** Whatever ends it, a line of the list that says how much of a food goes in. */
    public function test_no_amount_of_a_food_in_a_list_becomes_a_heading_or_a_note(): void
    {
        $dice = new Randomizer(new Mt19937(self::SEED));
        $endings = ['', ':', ' :', '…', ' -', ';', ',', ' (!)', ' *', ':)'];
        $amounts = ['2 tbsp', '150 g', '½ cup', '3 tsp', '1 kg'];
        $seen = 0;
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $line = $amounts[$dice->getInt(0, 4)] . ' ' . mb_strtolower($ingredient->name) . $endings[$dice->getInt(0, 9)];
            $recipe = RecipeReader::written("Sauce\n\nIngredients\n1 onion\n{$line}\n1 tsp salt\n\nMethod\nSimmer 20 minutes.");
            self::assertContains($line, $recipe->texts(), $line);
            $formula = Formula::fromTexts($recipe->texts(), Catalogue::shipped(), Measures::Us);
            self::assertNotSame(LineStatus::Heading, $formula->lines[1]->status, $line);
            ++$seen;
        }
        self::assertGreaterThan(900, $seen);
    }

    /** @return non-empty-list<string> lines of every page that is kept, the tables of two columns aside */
    private static function lines(): array
    {
        $lines = [];
        foreach (glob(__DIR__ . '/../data/pages/*') ?: [] as $page) {
            foreach (file($page, FILE_IGNORE_NEW_LINES) ?: [] as $row) {
                $line = (string) preg_replace('/^[A-Z]\|/', '', $row);
                if (self::letters($line) !== '' && preg_match('/^[=;]|\|| {2}|\t/u', $line) !== 1) {
                    $lines[] = $line;
                }
            }
        }

        return $lines === [] ? [''] : $lines;
    }

    private static function told(Recipe $recipe): string
    {
        $texts = [
            $recipe->title, (string) $recipe->style, (string) $recipe->pan, (string) $recipe->yield,
            ...$recipe->texts(), ...$recipe->method, ...array_column($recipe->setAside, 'text'),
        ];

        return implode(' ', array_map(self::letters(...), $texts));
    }

    /** Its words alone: numbers of steps, bullets and marks of layout are no part of what a line says. */
    private static function letters(string $text): string
    {
        $text = (string) preg_replace('/^\W*(?:step\s*)?\d{1,2}\s*[.):]?\s+(?=\pL)/iu', '', mb_strtolower($text));
        $text = (string) preg_replace('/^\W*(?:title|style|pan|yield|directions|instructions|method|preparation)\s*:/iu', '', $text);

        return (string) preg_replace('/[^\pL]+/u', '', $text);
    }
}
