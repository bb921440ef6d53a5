<?php

declare(strict_types=1);

namespace Tests\core\CookSession;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Formula;
use Vinculum\CookSession\CookSheet;
use Vinculum\CookSession\SheetItem;
use Vinculum\CookSession\SheetStep;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;

/** Recipes with what a cook takes at each step, written by hand: "2: 3, 4 x0.5, out 6" is step, lines, shares, what comes out. */
final class CookSheetTest extends TestCase
{
    private const RIGHT_WANTED = 0.95;

    public function test_each_step_has_what_a_cook_takes_there(): void
    {
        [$all, $wrong] = [0, []];
        foreach (self::recipes() as $name => [$recipe, $expected]) {
            $found = self::found(self::sheet($recipe));
            $all += count($expected);
            foreach (array_diff($expected, $found) as $missing) {
                $wrong[] = "{$name}: {$missing} is missing";
            }
            foreach (array_diff($found, $expected) as $more) {
                $wrong[] = "{$name}: {$more} is too much";
            }
        }

        self::assertGreaterThan(150, $all);
        self::assertLessThan((1.0 - self::RIGHT_WANTED) * $all, count($wrong), implode("\n", $wrong));
    }

    /** Whatever a method says, every line goes in once, and no more of it than there is. */
    public function test_every_line_goes_in_once(): void
    {
        foreach (self::recipes() as $name => [$recipe]) {
            $shares = [];
            foreach (self::sheet($recipe)->steps as $step) {
                foreach ($step->uses as $item) {
                    $shares[$item->line] = ($shares[$item->line] ?? 0.0) + $item->share;
                }
            }
            self::assertCount(count(self::formula($recipe)->lines), $shares, $name);
            foreach ($shares as $line => $share) {
                self::assertEqualsWithDelta(1.0, $share, 1e-6, "{$name}, line " . ($line + 1));
            }
        }
    }

    /** Nothing is reworded, nothing is lost: the steps one after another are the method, but for claims of keeping and what joins two steps. */
    public function test_the_steps_are_the_method_as_it_was_written(): void
    {
        foreach (self::recipes() as $name => [$recipe]) {
            $words = static fn(string $text): string => (string) preg_replace('/\W+|\b(?:and )?then\b|\band (?=(?:simmer|boil|bubble|reduce|cook)\b)|^\d+\./u', '', $text);
            $sheet = implode('', array_map(static fn(SheetStep $step): string => $words($step->step->text), self::sheet($recipe)->steps));
            $method = $words((string) preg_replace('/\b(?:Keeps|Will keep)\b[^.]*\d[^.]*\./u', '', implode(' ', array_map(
                static fn(string $line): string => (string) preg_replace('/^\d+\. /', '', $line),
                $recipe->method,
            ))));
            self::assertSame($method, $sheet, $name);
        }
    }

    public function test_what_goes_in_after_the_heat_is_said_to(): void
    {
        $sheet = self::sheet(self::recipes()['onion-relish'][0]);

        self::assertSame(
            ['heat', 'heat', 'heat', 'off-heat', 'off-heat', 'cold'],
            array_map(static fn(SheetStep $step): string => $step->after, $sheet->steps),
        );
        self::assertSame([17.0, null, 30.0], array_map(static fn(SheetStep $step): ?float => $step->lookFrom, array_slice($sheet->steps, 0, 3)));
        self::assertTrue($sheet->pan?->isAssumed);
        self::assertLessThan(1200.0, $sheet->finished['grams'], '1.66 kg are boiled down until sticky');
        self::assertGreaterThan(600.0, $sheet->finished['grams']);
    }

    public function test_without_a_scale_nothing_is_weighed(): void
    {
        foreach (self::recipes() as $name => [$recipe]) {
            foreach (self::sheet($recipe, false)->ready as $item) {
                self::assertDoesNotMatchRegularExpression('/\d\s*(?:g|kg|oz|lb)\b/', $item->measure, "{$name}: {$item->text}");
            }
        }
    }

    /** Each thing by its own words, also where a line names two, and all of it text that can be sent. */
    public function test_each_thing_is_said_once_and_in_whole_letters(): void
    {
        foreach (['⅓', '⅔', '⅛', '½', '¼', '1⅓', '–'] as $amount) {
            $recipe = RecipeReader::read("# Dip\n{$amount} cup cider vinegar and 1 tbsp Dijon mustard\nsalt and pepper\nMethod:\nMix everything.");
            $ready = array_map(static fn(SheetItem $one): string => $one->says, self::sheet($recipe)->ready);
            self::assertSame(array_unique($ready), $ready, $amount);
            self::assertContains('1 tbsp Dijon mustard', $ready);
            foreach (self::sheet($recipe)->ready as $one) {
                self::assertTrue(mb_check_encoding("{$one->says}{$one->measure}{$one->text}", 'UTF-8'), $amount);
            }
        }
    }

    public function test_a_caution_is_said_once(): void
    {
        foreach (self::recipes() as $name => [$recipe]) {
            $codes = [];
            foreach (self::sheet($recipe)->steps as $step) {
                foreach ($step->cautions as $caution) {
                    $codes[] = $caution->code;
                }
            }
            self::assertSame(array_unique($codes), $codes, $name);
        }
    }

    /** @return array<string, array{Recipe, list<string>}> */
    private static function recipes(): array
    {
        $recipes = [];
        foreach (glob(__DIR__ . '/data/sheets/*.txt') ?: [] as $path) {
            [$text, $told] = explode("\n----\n", (string) file_get_contents($path));
            $expected = [];
            foreach (array_filter(explode("\n", $told)) as $line) {
                [$step, $things] = explode(': ', $line);
                foreach (explode(', ', $things) as $thing) {
                    $expected[] = "{$step}: {$thing}";
                }
            }
            $recipes[basename($path, '.txt')] = [RecipeReader::read($text), $expected];
        }

        return $recipes;
    }

    private static function formula(Recipe $recipe): Formula
    {
        return Formula::fromTexts($recipe->ingredientTexts(), Catalogue::shipped(), Measures::Metric, $recipe->yield)->ofIngredients();
    }

    private static function sheet(Recipe $recipe, bool $hasScale = true): CookSheet
    {
        return CookSheet::of(Kitchen::shipped()->weigh($recipe->in(Measures::Metric)), null, $hasScale);
    }

    /** @return list<string> */
    private static function found(CookSheet $sheet): array
    {
        $found = [];
        foreach ($sheet->steps as $number => $step) {
            foreach ($step->uses as $item) {
                if ($item->share > 0.0) {
                    $found[] = sprintf('%d: %d', $number + 1, $item->line + 1) . ($item->share > 0.99 ? '' : ' x' . round($item->share, 2));
                }
            }
            foreach ($step->takenOut as $line) {
                $found[] = sprintf('%d: out %d', $number + 1, $line + 1);
            }
        }

        return $found;
    }
}
