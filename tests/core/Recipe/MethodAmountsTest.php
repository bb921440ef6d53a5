<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Vinculum\Kitchen\Kitchen;

/** What a method measures and no line holds is said; what a line holds is not said again. */
final class MethodAmountsTest extends TestCase
{
    private const AMOUNTS = ['200 ml', '2 tbsp', 'a cup of', '½ cup', '100g', 'another 3 tablespoons of', '150 ml of hot', 'a further 50 ml'];
    private const FOODS = ['water', 'white wine', 'cider vinegar', 'olive oil', 'sugar', 'stock', 'milk'];
    private const STEPS = ['Add A F.', 'Simmer with A F for 20 minutes.', 'Pour in A F and stir.', 'Deglaze with A F, then cook down.', 'Whisk the flour into A F.'];

    public function test_what_the_method_alone_measures_is_said_and_nothing_else(): void
    {
        $dice = new Randomizer(new Mt19937(20261201));
        $kitchen = Kitchen::shipped();
        $said = 0;
        for ($recipe = 0; $recipe < 400; ++$recipe) {
            [$amount, $food, $step] = array_map(
                static fn(array $of): string => $of[$dice->getInt(0, count($of) - 1)],
                [self::AMOUNTS, self::FOODS, self::STEPS],
            );
            $isListed = $recipe % 2 === 0;
            $lines = ['500 g tomatoes', '10 g salt', '20 g plain flour', ...($isListed ? ["300 g {$food}"] : [])];
            $text = "# Relish\n\n" . implode("\n", $lines) . "\n\nMethod:\n" . strtr($step, ['A' => $amount, 'F' => $food]) . "\nServe with 300 g pasta.\n";
            $notes = implode(' ', $kitchen->weigh($kitchen->read($text))->notes());
            self::assertSame(!$isListed, str_contains($notes, 'stands in no line'), $text);
            self::assertStringNotContainsString('pasta', $notes);
            $said += $isListed ? 0 : 1;
        }
        self::assertSame(200, $said);
    }
}
