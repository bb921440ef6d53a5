<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\TestCase;
use Tests\core\Weighed;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Correction\Addition;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Candidate;
use Vinculum\Correction\Correction;
use Vinculum\Correction\UsualAdditions;
use Vinculum\Correction\Wish;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;

final class ScenesTest extends TestCase
{
    /** Of all scenes a cook follows the first answer in 95 of 100, and one of three in 99. */
    public function test_a_cook_would_follow_the_answers(): void
    {
        [$scenes, $first, $amongThree] = [0, [], []];
        foreach (Scenes::of(__DIR__ . '/data/scenes.txt') as $name => $scene) {
            $objections = array_map(
                static fn(Correction $one): ?string => $scene->objection($one),
                array_slice($scene->advice()->corrections, 0, 3),
            );
            ++$scenes;
            $objection = $objections === [] ? 'no answer' : $objections[0];
            if ($objection !== null) {
                $first[] = "{$name}: {$objection}";
            }
            if (!in_array(null, $objections, true)) {
                $amongThree[] = "{$name}: " . implode('; ', $objections);
            }
        }

        self::assertGreaterThanOrEqual(150, $scenes);
        self::assertLessThanOrEqual(0.05 * $scenes, count($first), implode("\n", $first));
        self::assertLessThanOrEqual(0.01 * $scenes, count($amongThree), implode("\n", $amongThree));
    }

    public function test_a_long_recipe_is_salted_with_the_salt_it_asks_for_to_taste(): void
    {
        $lines = [
            '1 (15-oz) tin sliced peaches in juice, drained', '1 1/2 cups ketchup', '3/4 cup cider vinegar', '1/2 cup dark brown sugar',
            '1/4 cup molasses', '2 chipotles in adobo', '1 small onion', '3 cloves garlic', '2 1/2 tsp smoked paprika', '1 tsp dry mustard',
            'salt and pepper', 'a knob of butter', 'juice of 1/2 lime',
        ];
        $catalogue = Catalogue::shipped();
        $balance = Balance::of(Formula::fromTexts($lines, $catalogue, Measures::Us));
        $sauce = Weighed::balance($balance, 'tomato-barbecue');
        $additions = UsualAdditions::to($sauce);
        $advice = (new Adviser($sauce))->answer(new Wish());

        self::assertSame(
            ['salt'],
            array_map(static fn(Addition $one): string => $one->ingredient->key, $advice->corrections[0]->additions),
        );
        self::assertSame('salt brings what it lacks', $advice->corrections[0]->why);
        $keys = array_map(static fn(Candidate $one): string => $one->ingredient->key, $additions);
        self::assertContains('water', $keys);
        foreach ($additions as $one) {
            self::assertTrue($one->ingredient->key !== 'salt' || $one->strange === 0.0, 'it is in the recipe');
        }
    }
}
