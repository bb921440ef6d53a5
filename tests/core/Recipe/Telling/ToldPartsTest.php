<?php

declare(strict_types=1);

namespace Tests\core\Recipe\Telling;

use PHPUnit\Framework\TestCase;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Telling\Telling;

/** Two sauces told in one go become one recipe with two parts, and what both hold is not added up. */
final class ToldPartsTest extends TestCase
{
    private const DISHES = ['sauce', 'relish', 'dressing', 'salsa', 'glaze', 'dip'];

    public function test_each_part_stands_under_its_title_with_things_of_its_own(): void
    {
        $asked = 0;
        foreach (self::DISHES as $one) {
            foreach (array_diff(self::DISHES, [$one]) as $other) {
                foreach (['For the', 'Right, so for the', 'And then for the'] as $opens) {
                    $text = "So I'll tell you how we do these two. {$opens} {$one} you want two hundred grams of ketchup and two tablespoons of sugar, "
                        . "and I let it simmer for ten minutes. {$opens} {$other} you chop one red onion, add four gherkins and a teaspoon of sugar, and stir it all together.";
                    self::assertTrue(Telling::isOne($text), $text);
                    $recipe = Telling::read($text, Catalogue::shipped());
                    self::assertSame([
                        "For the {$one}:", 'two hundred grams of ketchup', 'two tablespoons of sugar',
                        "For the {$other}:", 'one red onion', 'four gherkins', 'a teaspoon of sugar',
                    ], $recipe->texts(), $text);
                    foreach ($recipe->ingredientLines() as $line) {
                        [$from, $to] = $line->said ?? [0, 0];
                        self::assertSame($line->text, mb_substr($text, $from, $to - $from));
                    }
                    $things = array_filter(Kitchen::shipped()->weigh($recipe)->formula->lines, static fn(ResolvedLine $line): bool => $line->source?->said !== null);
                    self::assertCount(5, $things);
                    ++$asked;
                }
            }
        }
        self::assertSame(90, $asked);
    }

    public function test_one_sauce_has_no_parts(): void
    {
        $recipe = Telling::read(
            "Okay so for the sauce you want two hundred grams of ketchup and two tablespoons of sugar, and I let it simmer for ten minutes. "
                . 'Then I add a splash of vinegar, and for the sauce to be nice you need a teaspoon of salt.',
            Catalogue::shipped(),
        );
        self::assertSame([], preg_grep('/:$/', $recipe->texts()));
    }
}
