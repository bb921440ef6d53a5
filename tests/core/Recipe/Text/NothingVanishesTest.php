<?php

declare(strict_types=1);

namespace Tests\core\Recipe\Text;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Recipe\Recipe;

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
            ...$recipe->lines, ...$recipe->method, ...array_column($recipe->setAside, 'text'),
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
