<?php

declare(strict_types=1);

namespace Tests\core\Ingredient;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Chemistry\Acidity;
use Vinculum\Chemistry\Component;
use Vinculum\Ingredient\AllergenWords;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Grade;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\LabelFault;
use Vinculum\Ingredient\ProductLabel;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Sensory\Taste;

final class ProductLabelTest extends TestCase
{
    public function test_what_the_label_states_replaces_and_the_rest_is_inherited_one_grade_lower(): void
    {
        $generic = Catalogue::shipped()->get('ketchup');
        $mine = self::product('ketchup', ['sugars' => 12.0, 'salt' => 1.2, 'carbohydrate' => 14.0]);

        self::assertEqualsWithDelta(1.2, $mine->composition->mixture->get(Component::Salt), 1e-6);
        self::assertEqualsWithDelta(
            12.0,
            $mine->composition->mixture
                ->get(Component::Sucrose) + $mine->composition->mixture
                ->get(Component::Glucose) + $mine->composition->mixture
                ->get(Component::Fructose),
            1e-3,
        );
        self::assertEqualsWithDelta(
            $generic->composition->mixture->get(Component::Acetic),
            $mine->composition->mixture->get(Component::Acetic),
            1e-6,
        );
        self::assertEqualsWithDelta(100.0, $mine->composition->mixture->grams(), 0.01);
        self::assertSame(
            [Grade::A, Grade::A, Grade::D],
            [$mine->composition->grade('sugars'), $mine->composition->grade('salt'), $mine->composition->grade('umami')],
        );
        self::assertContains('own-label', $mine->sources);
    }

    /** Whatever the label does not state is the generic's, to the last field: so nothing is lost on the way. */
    public function test_a_label_that_states_nothing_is_the_generic_ingredient_under_another_name(): void
    {
        $compared = 0;
        foreach (['ketchup', 'white-vinegar', 'soy-sauce', 'lemon', 'egg', 'butter', 'mayonnaise', 'salt'] as $key) {
            [$generic, $mine] = [self::fields(Catalogue::shipped()->get($key)), self::fields(self::product($key, []))];
            foreach (['key', 'name', 'aliases', 'maybe', 'grades', 'sources', 'like', 'acidity'] as $own) {
                unset($generic[$own], $mine[$own]);
            }
            [$amounts, $others] = [$generic['mixture']->amounts(), $mine['mixture']->amounts()];
            self::assertEqualsWithDelta(array_filter($amounts), array_filter($others), 1e-6, $key);
            unset($generic['mixture'], $mine['mixture']);
            self::assertEquals($generic, $mine, $key);
            $compared += count($generic);
        }
        self::assertGreaterThan(80, $compared);
    }

    /** @return array<string, mixed> of an ingredient and of the three things it is made of */
    private static function fields(Ingredient $ingredient): array
    {
        $fields = get_object_vars($ingredient);
        unset($fields['composition'], $fields['portions'], $fields['suitability']);

        return $fields
            + get_object_vars($ingredient->composition)
            + get_object_vars($ingredient->portions)
            + get_object_vars($ingredient->suitability);
    }

    public function test_figures_per_serving_and_sodium_are_turned_into_grams_in_a_hundred(): void
    {
        $mine = self::product('soy-sauce', ['sodium' => 920.0], true, 15.0);

        self::assertEqualsWithDelta(920 * 2.54 / 1000 * 100 / 15, $mine->composition->mixture->get(Component::Salt), 1e-4);
    }

    public function test_the_acidity_of_a_vinegar_is_its_acid(): void
    {
        $four = self::product('white-vinegar', ['acidity' => 4.0]);
        $seven = self::product('white-vinegar', ['acidity' => 7.0]);

        self::assertEqualsWithDelta(
            7 / 4,
            Taste::ofMixture($seven->composition->mixture)->sour / Taste::ofMixture($four->composition->mixture)->sour,
            0.02,
        );
        self::assertEqualsWithDelta(
            2.43,
            Acidity::ph($seven->composition->mixture),
            0.01,
            'the strong ion difference is solved again',
        );
    }

    public function test_a_stated_scoville_rating_counts_as_sold(): void
    {
        self::assertEqualsWithDelta(
            5000.0,
            Taste::ofMixture(self::product('hot-sauce', [], shu: 5000.0)->composition->mixture)->heat,
            1e-6,
        );
    }

    public function test_a_product_stands_in_for_its_generic_and_answers_to_its_own_name(): void
    {
        $read = static fn(string $line, bool $standsIn): ?string => (new LineResolver(
            Catalogue::shipped()->withOwn([
                'own-1' => ProductLabel::of('Lock cottage ketchup', 'ketchup', [], false, null, null, null, $standsIn),
            ]),
            Measures::Us,
        ))->resolve($line)->ingredient?->key;

        self::assertSame('own-1', $read('2 tbsp ketchup', true));
        self::assertSame('ketchup', $read('2 tbsp ketchup', false));
        self::assertSame('own-1', $read('2 tbsp lock cottage ketchup', false));
        self::assertSame('soy-sauce', $read('2 tbsp soy sauce', true));
    }

    public function test_allergens_are_read_from_the_list_of_ingredients(): void
    {
        $cases = [
            'Water, WHEAT flour, soya beans, salt' => ['gluten', 'soya'],
            'Peanut butter, cocoa butter, coconut milk' => ['peanuts'],
            'Buckwheat, maltodextrin, eggplant' => [],
            'Barley malt vinegar, anchovies, preservative: E220' => ['gluten', 'fish', 'sulphites'],
            'Rapeseed oil, egg yolk, mustard, celery' => ['celery', 'egg', 'mustard'],
        ];
        foreach ($cases as $list => $allergens) {
            self::assertSame($allergens, AllergenWords::in($list), $list);
        }
        self::assertSame(['soya'], self::product('soy-sauce', [], ingredients: 'water, soya beans, salt')->suitability->allergens);
        self::assertSame(
            ['soya', 'gluten'],
            self::product('soy-sauce', [])->suitability->allergens,
            'without a list the generic is the cautious answer',
        );
    }

    /** @return iterable<string, array{string, array<string, float>, bool, float|null, float|null}> */
    public static function impossible(): iterable
    {
        yield 'below nothing' => ['salt', ['salt' => -1.0], false, null, null];
        yield 'more than all of it' => ['sugars', ['sugars' => 130.0], false, null, null];
        yield 'sugars beyond carbohydrate' => ['sugars', ['sugars' => 30.0, 'carbohydrate' => 20.0], false, null, null];
        yield 'a serving without weight' => ['serving_grams', ['salt' => 1.0], true, null, null];
        yield 'more than a hundred grams in all' => ['label', ['fat' => 60.0, 'sugars' => 50.0], false, null, null];
        yield 'hotter than the pure substance' => ['shu', [], false, null, 2e7];
    }

    /** @param array<string, float> $figures */
    #[DataProvider('impossible')]
    public function test_a_label_that_cannot_be_right_names_its_field(
        string $field,
        array $figures,
        bool $perServing,
        ?float $serving,
        ?float $shu,
    ): void {
        try {
            ProductLabel::of('Odd', 'ketchup', $figures, $perServing, $serving, $shu, null, true);
            self::fail('accepted');
        } catch (LabelFault $fault) {
            self::assertSame($field, $fault->field);
            self::assertStringEndsWith('.', rtrim($fault->getMessage(), '?') . '.');
        }
    }

    public function test_every_generic_takes_a_label_of_its_own_figures_and_stays_itself(): void
    {
        foreach (Catalogue::shipped()->all() as $generic) {
            $salt = $generic->composition->mixture->get(Component::Salt);
            $same = ProductLabel::of(
                'Mine',
                $generic->key,
                ['salt' => $salt],
                false,
                null,
                null,
                null,
                true,
            )->ingredient('own-1', $generic);
            self::assertSame(
                [
                    $generic->portions->forms,
                    $generic->portions->pouredAs,
                    $generic->portions->drainedShare,
                    $generic->portions->texture,
                    $generic->portions->density,
                    $generic->composition->ph,
                ],
                [$same->portions->forms, $same->portions->pouredAs, $same->portions->drainedShare, $same->portions->texture, $same->portions->density, $same->composition->ph],
                $generic->key,
            );
            self::assertEquals($generic->portions->units, $same->portions->units, $generic->key);
            foreach (Component::cases() as $component) {
                self::assertEqualsWithDelta(
                    $generic->composition->mixture->get($component),
                    $same->composition->mixture->get($component),
                    0.61 + 1e-3 * abs($generic->composition->mixture->get($component)),
                    "{$generic->key} {$component->value}",
                );
            }
            self::assertEqualsWithDelta(
                Taste::ofMixture($generic->composition->mixture)->sweet,
                Taste::ofMixture($same->composition->mixture)->sweet,
                0.02 + 1e-3 * Taste::ofMixture($generic->composition->mixture)->sweet,
                $generic->key,
            );
            self::assertEqualsWithDelta(
                Taste::ofMixture($generic->composition->mixture)->heat,
                Taste::ofMixture($same->composition->mixture)->heat,
                1e-3,
                $generic->key,
            );
        }
    }

    public function test_an_own_lemon_is_poured_as_juice_and_an_odd_name_captures_no_other_line(): void
    {
        $catalogue = Catalogue::shipped()->withOwn([
            'own-1' => ProductLabel::of('Galley lemon', 'lemon', [], false, null, null, null, true),
            'own-2' => ProductLabel::of('Sauce, sugar, 50% less salt', 'ketchup', [], false, null, null, null, false),
        ]);
        $read = static fn(string $line) => (new LineResolver($catalogue, Measures::Us))->resolve($line);

        self::assertSame('lemon-juice', $read('2 tbsp lemon')->ingredient?->key);
        self::assertEqualsWithDelta(
            (new LineResolver(Catalogue::shipped(), Measures::Us))->resolve('2 tbsp lemon')->grams->value ?? 0.0,
            $read('2 tbsp lemon')->grams->value ?? 0.0,
            0.1,
        );
        foreach ([
            '100 g sugar' => 'white-sugar',
            '5 g salt' => 'salt',
            '1 tbsp soy sauce' => 'soy-sauce',
        ] as $line => $key) {
            self::assertSame($key, $read($line)->ingredient?->key, $line);
        }
    }

    /** @param array<string, float|null> $figures */
    private static function product(
        string $like,
        array $figures,
        bool $perServing = false,
        ?float $serving = null,
        ?float $shu = null,
        ?string $ingredients = null,
    ): Ingredient {
        return Catalogue::shipped()->withOwn([
            'own-1' => ProductLabel::of('My own', $like, $figures, $perServing, $serving, $shu, $ingredients, true),
        ])->get('own-1');
    }
}
