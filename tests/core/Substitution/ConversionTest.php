<?php

declare(strict_types=1);

namespace Tests\core\Substitution;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\core\Family\Classics;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Substitution\Conversion;
use Vinculum\Substitution\DietaryNeeds;

/** Whole recipes made fit for someone, as a cook would have it (common practice). */
final class ConversionTest extends TestCase
{
    /** @return iterable<string, array{list<string>, string, array<string, string>}> lines, for whom, what takes which place */
    public static function recipes(): iterable
    {
        yield 'stock of vegetables, from a pack without gluten' => [
            ['30 g butter', '30 g plain flour', '500 ml beef stock'],
            'vegetarian, gluten-free',
            ['stock' => 'vegetable-stock', 'plain-flour' => 'cornflour'],
        ];
        yield 'bread without gluten for bread' => [
            ['3 roasted red peppers', '80 g almonds', '1 slice bread', '60 ml olive oil', '1 tbsp sherry vinegar'],
            'gluten-free',
            ['breadcrumbs' => 'gluten-free-bread'],
        ];
        yield 'what stands in another line is no stand-in' => [
            ['3 tbsp fermented black beans', '2 tbsp soy sauce', '1 tsp sugar', '2 cloves garlic'],
            'gluten-free',
            ['soy-sauce' => 'tamari', 'fermented-black-beans' => 'fermented-black-beans'],
        ];
        yield 'a near relative of what someone cannot eat keeps nothing else off' => [
            ['200 g yoghurt', '400 g tomatoes', '100 ml double cream', '50 g cashews', '1 tsp salt'],
            'without milk, without nuts',
            ['double-cream' => 'oat-cream'],
        ];
        yield 'a root for a root' => [['200 g mayonnaise', '100 g celeriac', '1 tbsp capers'], 'without celery', ['celeriac' => 'kohlrabi']];
        yield 'what a first swap brings opens no door to a second: nuts, by way of a fat that may hold them' => [
            ['50 g butter', '50 g plain flour', '600 ml milk', '½ tsp salt'],
            'vegan',
            ['butter' => 'vegan-butter', 'milk' => 'oat-milk'],
        ];
        yield 'the very thing from a pack for whoever eats it' => [
            ['400 ml coconut milk', '2 tbsp green curry paste', '2 tbsp fish sauce', '1 tbsp lime juice'],
            'vegan',
            ['green-curry-paste' => 'green-curry-paste', 'fish-sauce' => 'soy-sauce'],
        ];
        yield 'less sugar is of what sweetens, and no syrup' => [
            ['300 g red chillies', '150 ml white vinegar', '20 g sugar'],
            'less sugar',
            ['white-sugar' => 'xylitol'],
        ];
        yield 'juice of the same fruit for wine' => [
            ['300 ml red wine', '300 ml beef stock', '1 shallot', '20 g butter'],
            'alcohol-free',
            ['red-wine' => 'grape-juice'],
        ];
    }

    /**
     * @param list<string> $lines
     * @param array<string, string> $wanted
     */
    #[DataProvider('recipes')]
    public function test_each_line_becomes_what_a_cook_would_take(array $lines, string $for, array $wanted): void
    {
        $conversion = self::converted($lines, $for);
        $taken = [];
        foreach ($conversion->swaps as $swap) {
            $taken[(string) $conversion->before->formula->lines[$swap->line]->ingredient?->key] = $swap->ingredient->key;
        }

        self::assertEquals($wanted, array_intersect_key($taken, $wanted));
    }

    /** Over classics of every family: nothing is put in twice, and what comes of it reads back as fit. */
    public function test_what_is_written_is_fit_and_says_nothing_twice(): void
    {
        $kitchen = Kitchen::shipped();
        $asked = 0;
        foreach (Classics::all() as $number => [, $title, $balance]) {
            $lines = [];
            foreach ($balance->formula->lines as $line) {
                if ($line->ingredient !== null && ($line->grams->value ?? 0.0) > 0.0) {
                    $lines[] = sprintf('%.1f g %s', $line->grams->value ?? 0.0, $line->ingredient->name);
                }
            }
            $for = ['vegan', 'gluten-free', 'without milk, without egg', 'without soya, vegetarian'][$number % 4];
            $conversion = self::converted($lines, $for);
            $written = RecipeLine::texts($conversion->written());
            $new = array_slice($written, count($lines));
            $names = array_map(static fn(string $line): string => (string) preg_replace('/^.*?(\\pL[\\pL ]+)$/u', '$1', $line), $new);
            self::assertSame(array_values(array_unique($names)), $names, "{$title}: " . implode(' / ', $written));
            if ($conversion->stuck === []) {
                $after = $kitchen->weigh(new Recipe(lines: $conversion->written()));
                foreach (DietaryNeeds::parse($for) as $reason) {
                    foreach ($after->formula->lines as $line) {
                        self::assertTrue($line->ingredient === null || $reason->tolerates($line->ingredient), "{$title}, {$for}: {$line->text()}");
                    }
                }
            }
            ++$asked;
        }
        self::assertGreaterThan(100, $asked);
    }

    /** @param list<string> $lines */
    private static function converted(array $lines, string $for): Conversion
    {
        $kitchen = Kitchen::shipped();

        return Conversion::of($kitchen->weigh(new Recipe(lines: RecipeLine::numbered($lines))), DietaryNeeds::parse($for));
    }
}
