<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Facts\Words;
use Vinculum\Ingredient\AllergenWords;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Resolution\Sureness;

/** A telling word that is not understood makes a line unknown, never another thing. */
final class TellingWordsTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>}> */
    public static function names(): iterable
    {
        foreach (file(__DIR__ . '/data/telling-words.tsv', FILE_IGNORE_NEW_LINES) ?: [] as $row) {
            if (!str_starts_with($row, '#')) {
                [$name, $keys] = [...explode("\t", $row), ''];
                yield $name => [$name, array_values(array_filter(explode(' ', $keys)))];
            }
        }
    }

    public function test_there_are_three_hundred_of_them(): void
    {
        self::assertGreaterThanOrEqual(300, count(iterator_to_array(self::names())));
    }

    /** @param list<string> $allowed */
    #[DataProvider('names')]
    public function test_no_name_is_taken_for_another_by_one_of_its_words(string $name, array $allowed): void
    {
        foreach (["100 g {$name}", "2 tbsp {$name}", ucfirst($name), "1 cup " . ucwords($name)] as $text) {
            $line = self::read($text);
            self::assertContains($line->ingredient->key ?? 'unknown', [...$allowed, 'unknown'], $text);
            if ($line->ingredient === null) {
                self::assertSame([LineStatus::Unknown, null], [$line->status, $line->sure], $text);
                self::assertNotNull($line->note);
            }
        }
        if ($allowed !== []) {
            self::assertNotNull(self::read("100 g {$name}")->ingredient, 'and what is ours is found');
        }
    }

    public function test_peppers_that_are_counted_are_vegetables_and_pepper_by_the_spoon_is_ground(): void
    {
        foreach ([
            '3 peppers' => 'red-pepper',
            '1 pepper' => 'red-pepper',
            '200 g peppers' => 'red-pepper',
            '1 tsp pepper' => 'black-pepper',
            'a pinch of pepper' => 'black-pepper',
            '5 turns of pepper' => 'black-pepper',
            '1 tsp black pepper' => 'black-pepper',
            '2 red peppers' => 'red-pepper',
        ] as $text => $key) {
            self::assertSame($key, self::read($text)->ingredient?->key, $text);
        }
        self::assertSame(Sureness::Likely, self::read('3 peppers')->sure);
    }

    public function test_what_is_passed_over_is_said(): void
    {
        $sure = static fn(string $text): ?Sureness => self::read($text)->sure;
        self::assertSame(
            [Sureness::Certain, Sureness::Certain, Sureness::Certain],
            [$sure('2 tbsp soy sauce'), $sure('3 cloves garlic'), $sure('100 ml cider vinegar')],
        );
        self::assertSame(
            [Sureness::Likely, Sureness::Likely],
            [$sure('2 tbsp Mutters passata'), $sure('3 bruised tomatoes')],
        );
        self::assertStringContainsString('taken for passata', (string) self::read('2 tbsp Mutters passata')->note);
        self::assertNull(
            self::read('2 tbsp Oat passata')->ingredient,
            'what tells of a thing is no brand, however it is written',
        );
    }

    public function test_what_stands_for_something_near_is_said_to(): void
    {
        foreach ([
            'kidney beans',
            'pink salt',
            'horseradish sauce',
            'tuna',
            'squash',
        ] as $name) {
            $line = self::read("100 g {$name}");
            self::assertSame(Sureness::Likely, $line->sure, $name);
            self::assertStringContainsString('taken for', (string) $line->note);
        }
    }

    public function test_a_percentage_sets_the_strength(): void
    {
        $of = static fn(
            string $text,
            string $component,
        ): float => self::read($text)->hundredGrams->amounts()[$component] ?? 0.0;
        self::assertEqualsWithDelta(10.0, $of('200 ml 10% vinegar', 'acetic'), 0.01);
        self::assertEqualsWithDelta(24.0, $of('50 ml spirit vinegar (24 %)', 'acetic'), 0.01);
        self::assertEqualsWithDelta(
            7.0,
            $of(
                '50 ml white wine vinegar 7 % acidity',
                'acetic',
            ) + $of('50 ml white wine vinegar 7 % acidity', 'malic') + $of(
                '50 ml white wine vinegar 7 % acidity',
                'tartaric',
            ),
            0.3,
        );
        self::assertEqualsWithDelta(
            36.0,
            $of('100 ml 36% fat cream', 'fat') + $of('100 ml 36% cream', 'fat') - 36.0,
            0.01,
        );
        self::assertEqualsWithDelta(30.0, $of('50 g chocolate, 70% cocoa', 'sucrose'), 0.01);
        // OIML tables: 50 % by volume is 42.4 % by mass (from memory)
        self::assertEqualsWithDelta(42.4, $of('50 ml 50% whisky', 'ethanol'), 2.0);
        self::assertStringContainsString('taken at 10 % acid', (string) self::read('200 ml 10% vinegar')->note);
    }

    /** @return iterable<string, array{string}> */
    public static function keys(): iterable
    {
        foreach (Catalogue::shipped()->keys() as $key) {
            yield $key => [$key];
        }
    }

    /** Whatever a row is called, its allergens and diets are true of that name. */
    #[DataProvider('keys')]
    public function test_every_name_of_a_row_has_its_allergens_and_diets(string $key): void
    {
        $ingredient = Catalogue::shipped()->get($key);
        foreach ([$ingredient->name, ...$ingredient->aliases, ...$ingredient->maybe] as $name) {
            $said = array_diff(AllergenWords::in($name), self::saysOtherwise($name));
            self::assertSame([], array_values(array_diff($said, $ingredient->suitability->allergens)), $name);
            // a butter that is free of dairy is none of an animal
            foreach (self::brokenBy((string) preg_replace('/\b(?:dairy|egg)[- ]free \pL+/iu', '', $name)) as $diet) {
                self::assertNotContains($diet, $ingredient->suitability->diets(), $name);
            }
        }
    }

    /** A compound's allergens are those of what it is made of. */
    public function test_the_allergens_of_a_row_agree_with_what_it_is_made_of(): void
    {
        foreach (\Vinculum\Facts\FactsFile::named('compounds') as $key => $row) {
            preg_match_all('/\*([^*]+)\*/', $row->text('of'), $marked);
            $allergens = AllergenWords::in(implode(', ', $marked[1]));
            self::assertSame(
                [],
                array_values(array_diff($allergens, Catalogue::shipped()->get((string) $key)->suitability->allergens)),
                (string) $key,
            );
        }
    }

    /** @return list<string> allergens that a name's words hint at and its thing does not hold */
    private static function saysOtherwise(string $name): array
    {
        return match (true) {
            Words::areIn($name, ['vegan', 'vegetarian', 'mushroom oyster sauce']) => ['milk', 'fish', 'molluscs'],
            Words::areIn(
                $name,
                [
                    'coconut',
                    'almond butter',
                    'cashew butter',
                    'nut butter',
                    'peanut butter',
                    'cream of tartar',
                    'vegan',
                    'soya yoghurt',
                    'plant yoghurt',
                    'dairy-free yoghurt',
                    'dairy free yoghurt',
                    'tartar cream',
                    'balsamic cream',
                    'butter beans',
                    'oat cream',
                    'oat yoghurt',
                    'soya cream',
                    'plant butter',
                    'dairy-free spread',
                    'quince cheese',
                    'hazelnut butter',
                    'seed butter',
                    'cocoa butter',
                    'apple butter',
                    'prune butter',
                    'hazelnut milk',
                    'pistachio milk',
                    'macadamia milk',
                    'walnut milk',
                    'flax milk',
                    'seed milk',
                    'salad cream',
                    'cream-style corn',
                    'plant cream cheese',
                    'plant cheese',
                    'plant hard cheese',
                    'dairy-free cheese',
                    'dairy-free cream cheese',
                    'dairy-free parmesan',
                    'plant-based cheese',
                    'cashew cream cheese',
                    'almond cream cheese',
                ],
            ) => ['milk'],
            Words::areIn($name, ['bread and butter pickles']) => ['milk', 'gluten'],
            Words::areIn($name, ['custard apple']) => ['milk', 'egg'],
            Words::areIn($name, ['sea urchin roe']) => ['fish'],
            Words::areIn($name, ['mung bean noodles', 'bean thread noodles', 'konjac', 'peanut flour', 'carob']) => ['gluten'],
            Words::areIn($name, ['wheat free', 'wheat-free']) => ['gluten'],
            Words::areIn($name, ['egg-free', 'egg free']) => ['egg'],
            Words::areIn($name, ['oyster mushroom', 'oyster mushrooms']) => ['molluscs'],
            Words::areIn($name, ['crab seasoning', 'crab apple', 'crab apples']) => ['crustaceans'],
            Words::areIn($name, ['buckwheat', 'malt syrup', 'rice malt']) => ['gluten'],
            default => [],
        };
    }

    /** @return list<string> */
    private static function brokenBy(string $name): array
    {
        return [
            ...(
                Words::areIn(
                    $name,
                    [
                        'lard',
                        'dripping',
                        'tallow',
                        'bacon',
                        'pancetta',
                        'chicken',
                        'beef',
                        'duck',
                        'goose',
                        'pork',
                        'schmaltz',
                        'gelatine',
                        'gelatin',
                        'anchovy',
                        'anchovies',
                        'fish',
                        'shrimp',
                        'prawn',
                        'lobster',
                        'oyster',
                    ],
                )
                && !Words::areIn(
                    $name,
                    ['mushroom', 'mushrooms', 'crab seasoning', 'beef tomato', 'beef tomatoes', 'duck sauce', 'duck egg', 'duck eggs', 'vegan', 'vegetarian'],
                )
                    ? ['vegetarian', 'vegan']
                    : []
            ),
            ...(
                Words::areIn(
                    $name,
                    [
                        'honey',
                        'butter',
                        'ghee',
                        'egg',
                        'eggs',
                        'yoghurt',
                        'yogurt',
                        'buttermilk',
                        'parmesan',
                        'cheddar',
                    ],
                )
                && !Words::areIn(
                    $name,
                    [
                        'peanut butter',
                        'almond butter',
                        'hazelnut butter',
                        'nut butter',
                        'dairy-free yoghurt',
                        'dairy free yoghurt',
                        'soya yoghurt',
                        'soy yoghurt',
                        'soya yogurt',
                        'soy yogurt',
                        'coconut yoghurt',
                        'oat yoghurt',
                        'apple butter',
                        'prune butter',
                        'bread and butter pickles',
                        'hazelnut butter',
                        'seed butter',
                        'cocoa butter',
                        'cashew butter',
                        'butter beans',
                        'date honey',
                        'egg-free',
                        'egg free',
                        'vegan',
                        'plant',
                    ],
                )
                    ? ['vegan']
                    : []
            ),
            ...(
                Words::areIn(
                    $name,
                    [
                        'wine',
                        'sherry',
                        'sake',
                        'whisky',
                        'whiskey',
                        'vodka',
                        'rum',
                        'brandy',
                        'beer',
                        'port',
                        'vermouth',
                    ],
                )
                && !Words::areIn($name, ['vinegar', 'ginger beer', 'root beer', 'grape juice', 'wine must', 'port salut', 'port de salut']) ? ['alcohol-free'] : []
            ),
        ];
    }

    private static function read(string $text): ResolvedLine
    {
        return (new LineResolver(Catalogue::shipped(), Measures::Us))->resolve($text);
    }
}
