<?php

declare(strict_types=1);

namespace Tests\core\Ingredient;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Volume;
use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\NameMatch;
use Vinculum\Ingredient\NameSearch;
use Vinculum\Ingredient\NameWords;
use Vinculum\Ingredient\Texture;

final class CatalogueTest extends TestCase
{
    private const ALLERGENS = [
        'celery',
        'gluten',
        'crustaceans',
        'egg',
        'fish',
        'lupin',
        'milk',
        'molluscs',
        'mustard',
        'nuts',
        'peanuts',
        'sesame',
        'soya',
        'sulphites',
    ];

    /** @return iterable<string, array{string}> */
    public static function keys(): iterable
    {
        foreach (Catalogue::shipped()->keys() as $key) {
            yield $key => [$key];
        }
    }

    #[DataProvider('keys')]
    public function test_a_row_holds_together(string $key): void
    {
        $ingredient = Catalogue::shipped()->get($key);

        self::assertEqualsWithDelta(100.0, $ingredient->composition->mixture->grams(), 0.7, 'a hundred grams are a hundred grams');
        self::assertNotSame([], $ingredient->roles);
        self::assertSame([], array_diff($ingredient->suitability->allergens, self::ALLERGENS));
        foreach ($ingredient->sources as $source) {
            self::assertArrayHasKey(strtok($source, ' '), FactsFile::named('sources'));
        }
        foreach ($ingredient->composition->mixture->amounts() as $component => $amount) {
            self::assertTrue($amount >= 0.0 || $component === 'sid', "{$component} is not negative");
            self::assertArrayHasKey(
                Component::from($component)->group(),
                [...$ingredient->composition->grades, 'other' => true, 'buffer' => true],
                'every figure has a grade',
            );
        }
        // strong lactic acid holds its own anhydrides, which the specific volume of dilute acids does not describe
        if ($ingredient->portions->texture === Texture::Liquid && $key !== 'lactic-acid') {
            self::assertEqualsWithDelta(
                Volume::density($ingredient->composition->mixture),
                $ingredient->portions->density,
                0.14,
                'density agrees with composition',
            );
        }
        $acids = array_sum(
            array_map(
                static fn(string $acid): float => $ingredient->composition->mixture->amounts()[$acid] ?? 0.0,
                Component::acids(),
            ),
        );
        if ($acids > 0.0 && $acids < 50.0) {
            self::assertNotNull($ingredient->composition->ph, 'acids without a pH would have no strong ion difference');
        }
    }

    public function test_no_row_stands_twice_and_no_two_rows_claim_a_name_as_their_own(): void
    {
        $sections = [];
        foreach (glob(FactsFile::folder() . '/ingredients/*.ini') ?: [] as $path) {
            preg_match_all('/^\[(.+)\]/m', (string) file_get_contents($path), $found);
            $sections = [...$sections, ...$found[1]];
        }
        self::assertSame($sections, array_unique($sections));
        $owners = [];
        foreach (Catalogue::shipped()->all() as $ingredient) {
            foreach (array_unique([$ingredient->name, ...$ingredient->aliases]) as $name) {
                $words = implode(' ', NameWords::of($name));
                self::assertSame(
                    $ingredient->key,
                    $owners[$words] ?? $ingredient->key,
                    "\"{$name}\" means two things: make one of them a maybe",
                );
                $owners[$words] = $ingredient->key;
            }
        }
    }

    public function test_there_are_enough_of_them(): void
    {
        self::assertGreaterThanOrEqual(45, count(Catalogue::shipped()->keys()));
    }

    public function test_free_glutamate_only_from_sources_of_free_glutamate(): void
    {
        foreach (['white-sugar', 'neutral-oil', 'plain-flour', 'egg', 'milk', 'walnut'] as $key) {
            self::assertSame(0.0, Catalogue::shipped()->get($key)->composition->mixture->get(Component::Glutamate), $key);
        }
    }

    public function test_a_row_that_adds_up_to_too_much_is_refused(): void
    {
        $this->expectException(FactsFault::class);
        Ingredient::fromRow(
            new Row(
                'odd',
                [
                    'name' => 'Odd',
                    'of' => 'water 90, sucrose 20',
                    'grades' => 'D',
                    'sources' => 'estimate',
                    'roles' => 'base',
                ],
            ),
        );
    }

    public function test_diets_follow_from_allergens_and_alcohol(): void
    {
        $catalogue = Catalogue::shipped();

        self::assertSame(
            ['alcohol-free', 'no-added-sugar'],
            array_values(
                array_intersect(
                    ['alcohol-free', 'no-added-sugar', 'vegan', 'vegetarian'],
                    $catalogue->get('anchovy')->suitability->diets(),
                ),
            ),
        );
        self::assertNotContains('vegan', $catalogue->get('honey')->suitability->diets());
        self::assertContains('vegetarian', $catalogue->get('honey')->suitability->diets());
        self::assertNotContains('gluten-free', $catalogue->get('plain-flour')->suitability->diets());
        self::assertNotContains('alcohol-free', $catalogue->get('white-wine')->suitability->diets());
        self::assertNotContains('no-added-sugar', $catalogue->get('white-sugar')->suitability->diets());
    }

    public function test_names_are_found_in_every_shape(): void
    {
        $found = static fn(string $name): ?string => Catalogue::shipped()->names()->find($name, 1)[0]->key ?? null;
        $names = [
            'apple cider vinegar' => 'cider-vinegar', 'Cider Vinegars' => 'cider-vinegar',
            'vinegar, cider' => 'cider-vinegar', 'cyder vineger' => 'cider-vinegar',
            'fresh flat-leaf parsley' => 'parsley', 'tomatoes' => 'tomato', 'chili flakes' => 'chilli-flakes',
            'yogurt' => 'yoghurt', 'Worcestershire sauce' => 'worcester-sauce',
            'worcester sauce' => 'worcester-sauce', 'scallions' => 'spring-onion', 'corn starch' => 'cornflour',
            'freshly ground black pepper' => 'black-pepper', 'jalapeño' => 'jalapeno',
            'mayonaise' => 'mayonnaise', 'golden caster sugar' => 'white-sugar',
            'finely chopped cilantro' => 'coriander-leaf', 'smoked sweet paprika' => 'smoked-paprika',
        ];
        foreach ($names as $name => $key) {
            self::assertSame($key, $found($name), $name);
        }
    }

    public function test_a_generic_word_alone_names_nothing(): void
    {
        foreach (['sauce', 'paste', 'powder', 'unobtainium paste', 'seeds'] as $name) {
            self::assertLessThan(
                NameSearch::ACCEPTED,
                Catalogue::shipped()->names()->find($name, 1)[0]->score ?? 0.0,
                $name,
            );
        }
    }

    public function test_names_that_mean_two_things_offer_the_other(): void
    {
        $keys = array_map(
            static fn($match): string => $match->key,
            Catalogue::shipped()->names()->find('tomato purée', 3),
        );

        self::assertSame(['tomato-paste', 'passata'], array_slice($keys, 0, 2));
    }

    public function test_the_compiled_index_of_names_answers_as_the_built_one_and_takes_own_rows(): void
    {
        $rows = FactsFile::folderNamed('ingredients');
        $built = NameSearch::over($rows);
        $path = (string) tempnam(sys_get_temp_dir(), 'names');
        file_put_contents($path, NameSearch::compile($rows));
        NameSearch::useCompiled($path);
        unlink($path);
        $compiled = NameSearch::over(
            $rows + ['own-1' => new Row('own-1', ['name' => 'Towpath mustard', 'own' => 'dijon-mustard'])],
        );
        // others go on with an index built afresh
        NameSearch::compile($rows);

        foreach ([
            'cider vinegar',
            'vineger',
            'chopped tomatoes',
            'lemon juice',
            'soya',
            'smoked paprka',
            'zorp',
        ] as $name) {
            self::assertEquals($built->find($name), $compiled->find($name), $name);
        }
        foreach ($rows as $row) {
            foreach ([$row->text('name'), ...$row->list('also'), ...$row->list('maybe')] as $name) {
                // a best name of two that fit alike may be either
                self::assertSame(self::keysOf($built->find($name)), self::keysOf($compiled->find($name)), $name);
            }
        }
        self::assertSame('own-1', $compiled->find('towpath mustard')[0]->key);
        self::assertNotSame('own-1', $built->find('towpath mustard')[0]->key ?? '');
    }

    /**
     * @param list<NameMatch> $matches
     *
     * @return list<array{string, string}>
     */
    private static function keysOf(array $matches): array
    {
        return array_map(static fn(NameMatch $one): array => [$one->key, number_format($one->score, 6)], $matches);
    }
}
