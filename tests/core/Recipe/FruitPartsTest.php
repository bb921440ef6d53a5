<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Vocabulary;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** The zest of a fruit is not its juice: asked of every fruit of which one of the two is known. */
final class FruitPartsTest extends TestCase
{
    public function test_no_part_of_a_fruit_is_taken_for_the_other(): void
    {
        $fruits = [];
        foreach (Catalogue::shipped()->all() as $ingredient) {
            foreach ([$ingredient->name, ...$ingredient->aliases] as $name) {
                if (preg_match('/^([\pL -]+) (?<! in )(?:juice|zest)$/iu', mb_strtolower($name), $found) === 1) {
                    $fruits[$found[1]] = true;
                }
            }
        }
        [$asked, $wrong] = [0, []];
        foreach (array_keys($fruits) as $fruit) {
            foreach (["zest of 2 {$fruit}s", "grated zest of 1 {$fruit}", "1 {$fruit}, zested", "zest and juice of 1 {$fruit}"] as $text) {
                foreach (Formula::fromTexts([$text], Catalogue::shipped(), Measures::Metric)->lines as $at => $line) {
                    ++$asked;
                    $isOther = $at === 0 && preg_match('/\bjuice\b/iu', $line->ingredient->name ?? '') === 1
                        || $at === 1 && preg_match('/\bzest\b/iu', $line->ingredient->name ?? '') === 1;
                    if ($isOther) {
                        $wrong[] = "{$text}: {$line->ingredient?->name}";
                    }
                }
            }
        }

        self::assertSame([], $wrong);
        self::assertGreaterThan(200, $asked);
    }

    /** A tin or a weight of fruit "with its juice" is all of it: the juice alone is only what is pressed, or said to be alone. */
    public function test_what_is_packed_goes_in_with_its_juice(): void
    {
        $asked = 0;
        foreach (Catalogue::shipped()->all() as $juice) {
            if (preg_match('/^([\pL ]+) juice$/iu', $juice->name, $found) !== 1) {
                continue;
            }
            $fruit = mb_strtolower($found[1]) . 's';
            $key = static fn(string $text): ?string => Formula::fromTexts([$text], Catalogue::shipped(), Measures::Metric)->lines[0]->ingredient?->key;
            if (in_array($key("400 g {$fruit}"), [null, $juice->key], true) || $key("400 g {$fruit}, juice only") !== $juice->key) {
                continue;
            }
            foreach (['400 g tin', '400 g', '1 tin'] as $amount) {
                foreach ([', with their juice', ' with its juice', ' and their juice', ' and juice', ', with juice', ', plus all their juice'] as $with) {
                    self::assertNotSame($juice->key, $key("{$amount} {$fruit}{$with}"), "{$amount} {$fruit}{$with}");
                    ++$asked;
                }
            }
            self::assertSame($juice->key, $key("400 g {$fruit}, juiced"), $fruit);
        }
        self::assertGreaterThan(100, $asked);
    }

    /** Whose juice comes by the fruit has its zest by the fruit too. */
    public function test_a_zest_that_is_known_is_known_by_the_fruit(): void
    {
        foreach (Catalogue::shipped()->all() as $ingredient) {
            if (preg_match('/^([\pL ]+) zest$/iu', $ingredient->name, $found) === 1) {
                $line = Formula::fromTexts(["zest of 1 {$found[1]}"], Catalogue::shipped(), Measures::Metric)->lines[0];
                self::assertInstanceOf(Ingredient::class, $line->ingredient, $ingredient->name);
                self::assertNotNull($line->grams, $ingredient->name);
            }
        }
    }

    /** What goes in with the juice that it lies in is no juice, whichever fruit it is and however that is said. */
    public function test_what_goes_in_with_its_juice_is_not_its_juice(): void
    {
        foreach (Vocabulary::row('in-its-juice')->list('words') as $said) {
            foreach (['pineapple', 'tomatoes', 'clams', 'peaches', 'butter beans', 'oysters'] as $name) {
                [$plain] = self::resolver()->entries("1 can {$name}");
                $behind = str_starts_with($said, 'with') ? ["1 can {$name} {$said}"] : [];
                foreach ([...$behind, "1 can {$name}, {$said}", "1 can {$name} ({$said})"] as $text) {
                    $read = self::resolver()->entries($text);
                    self::assertCount(1, $read, $text);
                    self::assertSame($plain->ingredient?->key, $read[0]->ingredient?->key, $text);
                }
            }
        }
    }

    public function test_zest_first_and_then_juice_is_both(): void
    {
        foreach (['1 lime, zest then juice', '½ lemon – zest first, then juice', '2 lemons, zested then juiced', '1 orange: zest, then juice'] as $text) {
            $keys = array_map(static fn(ResolvedLine $line): string => (string) $line->ingredient?->key, self::resolver()->entries($text));
            self::assertMatchesRegularExpression('/^(\w+)-zest \1-juice$/', implode(' ', $keys), $text);
        }
    }

    private static function resolver(): LineResolver
    {
        return new LineResolver(Catalogue::shipped(), Measures::Us);
    }
}
