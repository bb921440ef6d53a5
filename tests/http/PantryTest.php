<?php

declare(strict_types=1);

namespace Tests\http;

final class PantryTest extends HttpTestCase
{
    public function test_what_a_spoonful_does_is_told_of_the_sauce_as_it_stands(): void
    {
        $does = fn(int $sauce, string $what): array => array_column(
            (array) $this->getJson("/api/sauces/{$sauce}/spoonfuls")->assertOk()->json('spoonfuls'),
            null,
            'ingredient',
        )[$what];
        $small = ['measures' => 'metric', 'lines' => ['30 ml soy sauce', '15 ml rice vinegar', '1 tsp honey']];
        $large = [...$small, 'lines' => ['3 l soy sauce', '1.5 l rice vinegar', '100 tsp honey']];
        $dip = $this->postJson('/api/sauces', $small)->json('id');
        $vat = $this->postJson('/api/sauces', $large)->json('id');

        self::assertSame('1 tsp', $does($dip, 'honey')['measure']);
        self::assertStringContainsString('sweeter', $does($dip, 'honey')['says']);
        self::assertSame(
            ['moves none of the five', false],
            [$does($vat, 'honey')['says'], $does($vat, 'honey')['noticed']],
        );
        $own = $this->postJson('/api/products', self::SOY)->assertCreated()->json('id');
        self::assertStringContainsString('saltier', $does($dip, "own-{$own}")['says']);
        $empty = $this->postJson('/api/sauces', ['lines' => ['zorp']])->json('id');
        $this->getJson("/api/sauces/{$empty}/spoonfuls")->assertOk()->assertExactJson(['spoonfuls' => []]);
        $this->getJson('/api/sauces/99999/spoonfuls')->assertNotFound();
    }

    public const SOY = [
        'name' => 'Towpath soy',
        'like' => 'soy-sauce',
        'stands_in' => true,
        'in_stock' => true,
        'price' => 2.4,
        'pack_grams' => 250,
        'label' => ['salt' => 9.0, 'ingredients' => 'water, soya beans, salt'],
    ];

    public function test_an_own_product_is_an_ingredient_of_a_pasted_page(): void
    {
        $page = "Quick dip\n\nTowpath soy\n2 tbsp honey\n1 tsp salt\n\nWhisk it.";
        $lines = fn(): array => $this->postJson('/api/sauces/written', ['text' => $page])->assertCreated()->json('lines.*.text');
        self::assertSame(['Towpath soy:', '2 tbsp honey', '1 tsp salt'], $lines(), 'a name nobody knows heads a list');

        $this->postJson('/api/products', self::SOY)->assertCreated();

        self::assertSame(['Towpath soy', '2 tbsp honey', '1 tsp salt'], $lines());
        self::assertSame(
            ['Towpath soy', '2 tbsp honey', '1 tsp salt'],
            $this->postJson('/api/pages', ['text' => $page])->assertOk()->json('lines.*.text'),
        );
    }

    public function test_the_pantry_shows_what_each_thing_does(): void
    {
        $items = collect($this->getJson('/api/pantry')->assertOk()->json('ingredients'))->keyBy('key');

        self::assertGreaterThanOrEqual(220, $items->count());
        self::assertSame('salt', $items['salt']['lever']['axis']);
        self::assertSame('sour', $items['white-vinegar']['lever']['axis']);
        self::assertSame('heat', $items['cayenne']['lever']['axis']);
        self::assertSame('umami', $items['msg']['lever']['axis']);
        self::assertNull($items['water']['lever']);
        // 2 g of salt in 100 g is raised one step, 15 %, by about 3.2 g in a litre
        self::assertEqualsWithDelta(3.3, $items['salt']['lever']['grams'], 0.2);
        foreach ($items as $item) {
            self::assertNotSame([], $item['sources'], $item['key']);
            self::assertEqualsWithDelta(100.0, array_sum($item['parts']), 1.0, $item['key']);
        }
    }

    public function test_an_own_product_is_used_before_the_generic_until_it_is_taken_out(): void
    {
        $salt = fn(): float => $this->postJson(
            '/api/balance',
            ['lines' => ['100 g soy sauce']],
        )->json('axes.salt.value');
        self::assertEqualsWithDelta(14.5, $salt(), 0.01);
        $id = $this->postJson('/api/products', self::SOY)->assertCreated()->assertJson([
            'name' => 'Towpath soy',
            'label' => ['salt' => 9],
        ])->json('id');
        $this->refreshKitchen();
        self::assertEqualsWithDelta(9.0, $salt(), 0.01);
        self::assertSame(
            "own-{$id}",
            $this->postJson('/api/balance', ['lines' => ['1 tbsp towpath soy']])->json('lines.0.ingredient'),
        );
        self::assertNotContains(
            'gluten',
            $this->postJson('/api/balance', ['lines' => ['1 tbsp soy sauce']])->json('allergens'),
        );
        $this->putJson("/api/products/{$id}", [...self::SOY, 'stands_in' => false])->assertOk();
        $this->refreshKitchen();
        self::assertEqualsWithDelta(14.5, $salt(), 0.01);
        $this->deleteJson("/api/products/{$id}")->assertNoContent();
        $this->deleteJson("/api/products/{$id}")->assertNotFound();
    }

    public function test_corrections_use_what_the_kitchen_has(): void
    {
        $added = fn(): array => array_unique(
            array_merge(
                [],
                ...array_map(
                    static fn(array $one): array => array_column($one['additions'], 'ingredient'),
                    $this->postJson(
                        '/api/advise',
                        ['lines' => ['200 g water', '10 g sugar', '10 g soy sauce'], 'style' => 'seasoned-soy'],
                    )->json('corrections'),
                ),
            ),
        );
        self::assertContains('soy-sauce', $added());
        $id = $this->postJson('/api/products', self::SOY)->json('id');
        $this->refreshKitchen();
        self::assertContains("own-{$id}", $added());
        self::assertNotContains('soy-sauce', $added());
        $this->putJson("/api/products/{$id}", [...self::SOY, 'in_stock' => false])->assertOk();
        $this->refreshKitchen();
        self::assertSame([], array_intersect(['soy-sauce', "own-{$id}"], $added()));
    }

    public function test_a_label_that_cannot_be_right_is_refused_by_field(): void
    {
        $cases = [
            [['label' => ['salt' => -1]], 'salt', 'below zero'],
            [['label' => ['sugars' => 30, 'carbohydrate' => 10]], 'sugars', 'Swap the two'],
            [['label' => ['salt' => 'much']], 'label.salt', 'not a number'],
            [['label' => ['per_serving' => true, 'salt' => 1]], 'serving_grams', 'fill in its grams'],
            [['name' => ''], 'name', 'needs a name'],
            [['like' => 'moon-dust'], 'like', 'most like'],
        ];
        foreach ($cases as [$change, $field, $says]) {
            $answer = $this->postJson('/api/products', [...self::SOY, ...$change])->assertStatus(422);
            self::assertArrayHasKey($field, (array) $answer->json('fields'));
            self::assertStringContainsString($says, (string) $answer->json('message'));
        }
    }

    public function test_a_doubtful_line_comes_with_its_mends_and_the_line_to_weigh_is_named(): void
    {
        $answer = $this->postJson(
            '/api/balance',
            ['lines' => ['2 tbsp tomato purée', '1 onion', 'a glug of fish sauce', '1 cup water']],
        );

        self::assertContains(['says' => 'Tomato paste', 'text' => '2 tbsp tomato paste'], $answer->json('lines.0.mends'));
        self::assertContains(
            ['says' => 'weighed, about 110 g', 'text' => '110 g onion'],
            $answer->json('lines.1.mends'),
        );
        self::assertMatchesRegularExpression(
            '/^\d+ % of the doubt about \w+ comes from line 3, fish sauce: weigh it/',
            (string) $answer->json('doubt_advice'),
        );
        self::assertNull(
            $this->postJson('/api/balance', ['lines' => ['100 g water', '3 g salt']])->json('doubt_advice'),
        );
    }

    /** What a new request would see. */
    private function refreshKitchen(): void
    {
        $this->app?->forgetScopedInstances();
    }
}
