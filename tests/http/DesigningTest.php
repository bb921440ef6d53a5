<?php

declare(strict_types=1);

namespace Tests\http;

/** Writing, versions, sauces in sauces, and swaps over HTTP. */
final class DesigningTest extends HttpTestCase
{
    private const SAUCE = [
        'title' => 'Galley base',
        'style' => 'tomato-barbecue',
        'measures' => 'metric',
        'yield' => null,
        'lines' => ['300 g ketchup', '3 tbsp cider vinegar', '50 g sugar', '1 tsp salt', '¼ tsp cayenne'],
    ];

    public function test_a_half_written_line_is_completed_from_products_sauces_and_catalogue(): void
    {
        $this->postJson(
            '/api/products',
            [
                'name' => 'Ketter mustard',
                'like' => 'dijon-mustard',
                'stands_in' => false,
                'in_stock' => true,
                'price' => null,
                'pack_grams' => null,
                'label' => ['salt' => 5],
            ],
        )->assertCreated();
        $sauce = $this->postJson('/api/sauces', [...self::SAUCE, 'title' => 'Ketchup of the lock'])->json('id');
        $texts = fn(array $wish): array => array_column(
            $this->postJson('/api/suggest', $wish)->assertOk()->json('suggestions'),
            'text',
        );

        self::assertSame(
            ['2 tbsp ketchup of the lock', '2 tbsp Ketter mustard', '2 tbsp ketchup'],
            array_slice($texts(['text' => '2 tbsp ket']), 0, 3),
        );
        self::assertNotContains('2 tbsp ketchup of the lock', $texts(['text' => '2 tbsp ket', 'sauce' => $sauce]));
        self::assertSame([], $texts(['text' => null]));
        $this->postJson('/api/suggest', ['text' => str_repeat('a', 401)])->assertStatus(422);
    }

    public function test_sweet_over_sour_is_set_by_moving_the_lines(): void
    {
        $lines = ['300 ml tomato juice', '60 g sugar', '60 ml cider vinegar', 'For later:', '1 tsp salt'];
        $set = fn(mixed $ratio) => $this->postJson(
            '/api/ratio',
            ['lines' => $lines, 'measures' => 'metric', 'sweet_to_sour' => $ratio],
        );
        $before = $this->postJson('/api/balance', ['lines' => $lines, 'measures' => 'metric'])
            ->json('ratios.sweet_to_sour');
        $texts = $set($before / 1.5)->assertOk()->json('recipe_lines.*.text');
        self::assertSame(['300 ml tomato juice', 'For later:', '1 tsp salt'], array_values(array_intersect($texts, $lines)));
        self::assertEqualsWithDelta(
            $before / 1.5,
            $this->postJson('/api/balance', ['lines' => $texts, 'measures' => 'metric'])->json('ratios.sweet_to_sour'),
            1.0,
        );
        $notch = $this->postJson(
            '/api/ratio',
            ['lines' => $lines, 'measures' => 'metric', 'by_a_notch' => 'sweeter'],
        )->assertOk()->json('recipe_lines.*.text');
        self::assertGreaterThan(
            1.1 * $before,
            $this->postJson('/api/balance', ['lines' => $notch, 'measures' => 'metric'])->json('ratios.sweet_to_sour'),
        );
        foreach ([0, -3, 'much', null, 1e9] as $odd) {
            $set($odd)->assertStatus(422);
        }
        $this->postJson('/api/ratio', ['lines' => ['1 cup water'], 'sweet_to_sour' => 3])
            ->assertStatus(422)
            ->assertJsonPath(
                'message',
                'There is no ratio to set while the sauce is not both sweet and sour.',
            );
    }

    public function test_an_amount_is_nudged_by_a_notch_or_by_a_step(): void
    {
        $nudge = fn(array $more) => $this->postJson(
            '/api/nudge',
            ['lines' => ['300 g ketchup', '3 tbsp cider vinegar'], 'measures' => 'metric', ...$more],
        );

        self::assertSame('3½ tbsp cider vinegar', $nudge(['line' => 2, 'direction' => 'up'])->json('text'));
        self::assertSame('295 g ketchup', $nudge(['line' => 1, 'direction' => 'down', 'by' => 'notch'])->json('text'));
        $stepped = $nudge(['line' => 2, 'direction' => 'up', 'by' => 'step'])->json('text');
        $axis = fn(string $line): float => $this->postJson(
            '/api/balance',
            ['lines' => ['300 g ketchup', $line], 'measures' => 'metric'],
        )->json('axes.sour.steps');
        self::assertEqualsWithDelta(1.0, $axis($stepped) - $axis('3 tbsp cider vinegar'), 0.35);
        $nudge(['line' => 3, 'direction' => 'up'])->assertStatus(422)->assertJsonPath(
            'message',
            'No line has the number 3.',
        );
        $nudge(['line' => 1, 'direction' => 'sideways'])->assertStatus(422);
    }

    public function test_versions_are_kept_with_what_changed_and_nothing_twice(): void
    {
        $id = $this->postJson('/api/sauces', self::SAUCE)->json('id');
        self::assertSame(
            1,
            $this->postJson("/api/sauces/{$id}/versions")->assertOk()->json('number'),
            'nothing changed since it was added',
        );
        $this->putJson(
            "/api/sauces/{$id}",
            [
                ...self::SAUCE,
                'lines' => array_replace(self::SAUCE['lines'], [1 => '3½ tbsp cider vinegar', 4 => '½ tsp cayenne']),
                'revision' => 1,
            ],
        )->assertOk();
        $kept = $this->postJson("/api/sauces/{$id}/versions")->assertOk();

        self::assertSame(
            [2, '¼ tsp more cayenne pepper, ½ tbsp more cider vinegar, heat up 2.2 steps'],
            [$kept->json('number'), $kept->json('says')],
        );
        self::assertSame(
            [2, 1],
            array_column($this->getJson("/api/sauces/{$id}/versions")->json('versions'), 'number'),
        );
        self::assertSame(self::SAUCE['lines'], $this->getJson("/api/sauces/{$id}/versions/1")->json('lines.*.text'));
        $this->getJson("/api/sauces/{$id}/versions/7")->assertNotFound();
        $this->getJson('/api/sauces/4711/versions')->assertNotFound();
    }

    public function test_an_edit_after_a_long_pause_keeps_what_stood_before(): void
    {
        $id = $this->postJson('/api/sauces', self::SAUCE)->json('id');
        $this->putJson(
            "/api/sauces/{$id}",
            [...self::SAUCE, 'lines' => ['300 g ketchup'], 'revision' => 1],
        )->assertOk();
        $this->travel(11)->minutes();
        $this->putJson(
            "/api/sauces/{$id}",
            [...self::SAUCE, 'lines' => ['310 g ketchup'], 'revision' => 2],
        )->assertOk();

        self::assertSame(
            [['300 g ketchup'], self::SAUCE['lines']],
            array_map(
                static fn(array $version): array => array_column($version['lines'], 'text'),
                $this->getJson("/api/sauces/{$id}/versions")->json('versions'),
            ),
        );
    }

    public function test_two_states_are_compared_side_by_side(): void
    {
        $compared = $this->postJson(
            '/api/compare',
            [
                'lines' => ['300 g ketchup', '1 tsp salt'],
                'style' => 'ketchup',
                'before' => ['lines' => ['300 g ketchup', '2 tsp salt']],
            ],
        )->assertOk();

        self::assertStringStartsWith('1 tsp less salt', $compared->json('says'));
        self::assertLessThan($compared->json('axes_before.salt.value'), $compared->json('axes_after.salt.value'));
        self::assertSame(
            ['300 g ketchup', '300 g ketchup', null],
            array_values(array_intersect_key($compared->json('lines.0'), ['before' => 1, 'after' => 1, 'says' => 1])),
        );
        $this->postJson('/api/compare', ['lines' => []])->assertStatus(422);
        $this->postJson('/api/compare', ['lines' => [], 'before' => ['lines' => [['x']]]])->assertStatus(422);
    }

    public function test_a_variant_knows_what_it_was_forked_from(): void
    {
        $id = $this->postJson('/api/sauces', self::SAUCE)->json('id');

        self::assertSame(
            $id,
            $this->postJson('/api/sauces', [...self::SAUCE, 'forked_from' => $id])->json('forked_from'),
        );
        self::assertNull($this->postJson('/api/sauces', [...self::SAUCE, 'forked_from' => 4711])->json('forked_from'));
    }

    public function test_a_sauce_goes_into_another_with_its_composition_and_allergens(): void
    {
        $this->postJson(
            '/api/sauces',
            [...self::SAUCE, 'lines' => ['200 g fish sauce', '200 g sugar']],
        )->assertCreated();
        $balance = $this->postJson('/api/balance', ['lines' => ['100 g galley base', '100 g water']])->assertOk();
        $alone = $this->postJson('/api/balance', ['lines' => ['50 g fish sauce', '50 g sugar', '100 g water']]);

        self::assertSame('Galley base', $balance->json('lines.0.name'));
        self::assertEqualsWithDelta($alone->json('axes.salt.value'), $balance->json('axes.salt.value'), 1e-3);
        self::assertSame(['fish'], $balance->json('allergens'));
    }

    public function test_a_loop_of_sauces_is_refused_and_said(): void
    {
        $base = $this->postJson('/api/sauces', self::SAUCE)->json('id');
        $this->postJson(
            '/api/sauces',
            [
                ...self::SAUCE,
                'title' => 'Horseradish sauce of ours',
                'lines' => ['200 g galley base', '30 g horseradish'],
            ],
        );
        $third = $this->postJson(
            '/api/sauces',
            [...self::SAUCE, 'title' => 'Third sauce', 'lines' => ['200 g horseradish sauce of ours']],
        )->json('id');

        foreach (['100 g galley base', '100 g horseradish sauce of ours', '100 g third sauce'] as $line) {
            $refused = $this->postJson(
                '/api/balance',
                ['sauce' => $base, 'lines' => ['100 g water', $line]],
            )->assertOk();
            self::assertSame('unknown', $refused->json('lines.1.status'), $line);
            self::assertStringContainsString('cannot be part of itself', $refused->json('lines.1.note'));
        }
        self::assertSame(
            'measured',
            $this->postJson(
                '/api/balance',
                ['sauce' => $third, 'lines' => ['100 g galley base']],
            )->json('lines.0.status'),
        );
    }

    public function test_a_sauce_that_changes_changes_those_it_is_part_of(): void
    {
        $base = $this->postJson('/api/sauces', self::SAUCE)->json('id');
        $this->postJson(
            '/api/sauces',
            [...self::SAUCE, 'title' => 'Second', 'lines' => ['200 g galley base', '100 g water']],
        );
        $this->postJson(
            '/api/sauces',
            [...self::SAUCE, 'title' => 'Third of them', 'lines' => ['200 g second', '100 g water']],
        );
        $salt = fn(): array => array_map(
            static fn(array $one): float => $one['standing']['axes']['salt']['value'],
            array_column($this->getJson('/api/sauces')->json('sauces'), null, 'title'),
        );
        $before = $salt();
        $this->putJson(
            "/api/sauces/{$base}",
            [...self::SAUCE, 'lines' => [...self::SAUCE['lines'], '3 tsp salt'], 'revision' => 1],
        )->assertOk();

        foreach (['Second', 'Third of them'] as $title) {
            self::assertGreaterThan($before[$title] + 0.5, $salt()[$title], $title);
        }
    }

    public function test_a_line_is_swapped_for_a_reason(): void
    {
        $lines = ['1 cup ketchup', '2 tbsp soy sauce', '100 g sugar', '1 cup water'];
        $swaps = $this->postJson(
            '/api/swap',
            ['lines' => $lines, 'line' => 2, 'reason' => 'cannot-eat', 'allergens' => ['soya']],
        )->assertOk();
        self::assertNotSame([], $swaps->json('candidates'));
        foreach ($swaps->json('candidates') as $candidate) {
            self::assertContains('soya', $candidate['allergens_removed']);
            self::assertSame(2, $candidate['edits'][0]['id']);
        }
        foreach (['missing', 'season', 'cheaper', 'stronger', 'milder'] as $reason) {
            $this->postJson('/api/swap', ['lines' => $lines, 'line' => 3, 'reason' => $reason])->assertOk();
        }
        self::assertSame(
            ['honey'],
            array_column(
                $this->postJson('/api/swap', ['lines' => $lines, 'line' => 3, 'for' => 'honey'])->json('candidates'),
                'ingredient',
            ),
        );
        $this->postJson('/api/swap', ['lines' => $lines, 'line' => 9])->assertStatus(422)->assertJsonPath(
            'message',
            'There is no line 9: the ingredient lines run from 1 to 4.',
        );
        $this->postJson('/api/swap', ['lines' => $lines, 'line' => 1, 'for' => 'zorp'])->assertStatus(422);
        $this->postJson('/api/swap', ['lines' => $lines, 'line' => 1, 'allergens' => ['dust']])->assertStatus(422);
    }

    public function test_a_cheaper_swap_goes_by_the_prices_of_the_kitchens_own_products(): void
    {
        foreach ([['Dear vinegar', 9.0], ['Fair vinegar', 1.0]] as [$name, $price]) {
            $this->postJson(
                '/api/products',
                [
                    'name' => $name,
                    'like' => 'cider-vinegar',
                    'stands_in' => false,
                    'in_stock' => true,
                    'price' => $price,
                    'pack_grams' => 500,
                    'label' => ['acidity' => 5],
                ],
            )->assertCreated();
        }
        $found = array_column(
            $this->postJson(
                '/api/swap',
                ['lines' => ['100 ml dear vinegar', '200 g sugar'], 'line' => 1, 'reason' => 'cheaper'],
            )->json('candidates'),
            'name',
        );

        self::assertContains('Fair vinegar', $found);
    }

    public function test_a_whole_recipe_is_made_fit_for_someone(): void
    {
        $converted = $this->postJson(
            '/api/convert',
            [
                'lines' => ['1 cup mayonnaise', '½ cup sour cream', '1 tbsp lemon juice', '1 tsp salt'],
                'diets' => ['vegan'],
            ],
        )->assertOk();
        $again = $this->postJson('/api/balance', ['lines' => $converted->json('text')]);

        self::assertSame([], $converted->json('stuck'));
        self::assertContains('vegan', $again->json('diets'));
        foreach ($converted->json('after') as $axis => $reading) {
            self::assertEqualsWithDelta($reading['steps'], $again->json("axes.{$axis}.steps"), 0.4, $axis);
        }
    }

    public function test_unlocked_lines_are_solved_and_written_in_their_own_measures(): void
    {
        $lines = [
            'For the pot:',
            '300 g tomato paste [lock]',
            '2 tbsp cider vinegar',
            '20 g sugar',
            '1 clove garlic',
            '400 ml water',
        ];
        $design = $this->postJson(
            '/api/design',
            ['lines' => $lines, 'style' => 'ketchup', 'measures' => 'metric', 'batch_grams' => 780],
        )->assertOk();
        $before = $this->postJson(
            '/api/balance',
            ['lines' => $lines, 'style' => 'ketchup', 'measures' => 'metric'],
        )->json('distance');
        $texts = $design->json('recipe_lines.*.text');

        self::assertSame(['For the pot:', '300 g tomato paste [lock]'], array_slice($texts, 0, 2));
        self::assertContains('1 clove garlic', $texts, 'what is there for its smell stays');
        self::assertLessThan(
            $before,
            $this->postJson(
                '/api/balance',
                ['lines' => $texts, 'style' => 'ketchup', 'measures' => 'metric'],
            )->json('distance'),
        );
    }

    public function test_a_recipe_is_scaled_by_factor_jars_portions_and_what_there_is(): void
    {
        $scale = fn(array $how) => $this->postJson(
            '/api/scale',
            ['lines' => ['For the pot:', '600 g plums', '200 g sugar', '1 tsp salt'], 'measures' => 'metric', ...$how],
        );

        self::assertEqualsWithDelta(1500, $scale(['factor' => 2.5])->assertOk()->json('lines.1.grams'), 0.01);
        self::assertNull($scale(['factor' => 2.5])->json('lines.0.note'));
        self::assertEqualsWithDelta(0.95 * 500, $scale(['to' => '2 x 500 ml'])->json('fill.0.filled_ml'), 5.0);
        self::assertEqualsWithDelta(
            $scale(['to' => '2 x 500 ml'])->json('factor') / 0.9,
            $scale(['to' => '2 x 500 ml', 'loss' => 0.1])->json('factor'),
            1e-4,
        );
        self::assertEqualsWithDelta(0.5, $scale(['have' => 'plums 300 g'])->json('factor'), 1e-4);
        $scale(['serves' => 10, 'portion' => '30 ml'])->assertOk();
        self::assertStringContainsString(
            'Held back',
            $scale(['factor' => 3, 'hold_back' => true])->json('lines.3.note'),
        );
        $scale([])->assertStatus(422);
        $scale(['factor' => 0])->assertStatus(422)->assertJsonPath(
            'message',
            '"0" is no factor: use a number above 0 and up to 10000, such as 2.5.',
        );
        $scale(['have' => 'mango 3 g'])->assertStatus(422);
        $scale(['to' => '2 x 500 ml', 'head_space' => 2])->assertStatus(422);
    }

    public function test_a_sauce_is_boiled_down_or_thickened(): void
    {
        $thin = [
            'lines' => ['800 g tinned tomatoes', '600 g water', '80 g sugar', '60 ml cider vinegar', '9 g salt'],
            'style' => 'ketchup',
            'measures' => 'metric',
        ];
        $reduce = fn(array $how) => $this->postJson('/api/reduce', [...$thin, ...$how]);
        $window = $reduce(['by' => 'window', 'pan' => '24 cm', 'heat' => 'simmering'])->assertOk();

        self::assertGreaterThan(200, $window->json('evaporate_grams'));
        self::assertEqualsWithDelta(
            $window->json('evaporate_grams') / (7 * M_PI / 4 * 0.24 ** 2) * 0.06,
            $window->json('minutes.value'),
            0.1,
        );
        self::assertEqualsWithDelta(700, $reduce(['by' => 'volume', 'value' => 700])->json('millilitres'), 0.01);
        $salt = $this->postJson('/api/balance', $thin)->json('axes.salt');
        self::assertEqualsWithDelta(
            $salt['steps'] + $window->json('change_steps.salt'),
            $window->json('after.salt.steps'),
            1e-3,
            'the bars can show where it leads',
        );
        self::assertEqualsWithDelta($salt['window_steps'], $window->json('after.salt.window_steps'), 1e-6);
        self::assertNull($reduce(['by' => 'volume', 'value' => 700])->json('minutes'));
        $reduce(['by' => 'weight', 'value' => 99999])->assertStatus(422);
        $reduce(['by' => 'solids', 'value' => -1])->assertStatus(422)->assertJsonPath(
            'message',
            'Say how far as a number above zero.',
        );
        $this->postJson('/api/reduce', ['lines' => ['1 l water'], 'by' => 'window'])->assertStatus(422);
        $ways = $this->postJson('/api/thicken', [...$thin, 'consistency' => 'spooning'])->assertOk()->json('ways');
        self::assertSame('xanthan-gum', $ways[0]['ingredient'], 'the least of it first');
        $this->postJson('/api/thicken', [...$thin, 'consistency' => 'like concrete'])->assertStatus(422);
    }

    public function test_headings_are_no_ingredients(): void
    {
        $report = $this->postJson(
            '/api/balance',
            ['lines' => ['For the pot:', '100 g water', '', 'Off the heat:', '1 tsp salt [cold]']],
        )->assertOk();

        self::assertSame(
            ['heading', 'measured', 'heading', 'heading', 'measured'],
            array_column($report->json('lines'), 'status'),
        );
        self::assertContains('vegan', $report->json('diets'));
        self::assertSame([0, 5], $report->json('lines.1.amount'));
    }
}
