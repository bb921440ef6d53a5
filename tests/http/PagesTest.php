<?php

declare(strict_types=1);

namespace Tests\http;

use App\Batches\Batch;
use App\Recipes\Sauce;
use Vinculum\Recipe\RecipeLine;

/** Whole pages, through every way in: understood, stored with all that stood on them, and going out again. */
final class PagesTest extends HttpTestCase
{
    private const PAGE = <<<'PAGE'
        Smoky Tomato Chutney
        My grandmother made this every September.
        Prep Time: 20 minutes
        Serves 12
        Makes about 6 jars.
        Ingredients
        For the pot:
        1 kg ripe tomatoes, chopped
        2 onions
        300 ml cider vinegar
        250 g light brown sugar
        1 tsp each ground cumin and smoked paprika
        salt and pepper
        Method
        1. Simmer everything gently for an hour, stirring every 10 minutes.
        2. Pot while hot.
        Notes
        Keeps 6 months in a cool place.
        PAGE;

    public function test_a_pasted_page_opens_understood_in_its_family_and_nothing_of_it_is_lost(): void
    {
        $sauce = $this->postJson('/api/sauces/written', ['text' => self::PAGE])->assertStatus(201);

        $sauce->assertJsonPath('title', 'Smoky Tomato Chutney')
            ->assertJsonPath('style', 'tomato-chutney')
            ->assertJsonPath('servings', 12)
            ->assertJsonPath('lines.0.text', 'For the pot:')
            ->assertJsonPath('lines.1.text', '1 kg ripe tomatoes, chopped')
            ->assertJsonPath('method.1', 'Pot while hot.');
        self::assertSame(
            ['blurb', 'time', 'yield', 'yield', 'heading', 'heading', 'heading', 'note'],
            array_column((array) $sauce->json('set_aside'), 'why'),
        );
        $all = implode("\n", [
            (string) $sauce->json('title'),
            ...(array) $sauce->json('lines.*.text'),
            ...(array) $sauce->json('method'),
            ...array_column((array) $sauce->json('set_aside'), 'text'),
        ]);
        foreach (explode("\n", self::PAGE) as $line) {
            self::assertStringContainsString((string) preg_replace('/^\d\. /', '', $line), $all);
        }
    }

    public function test_a_page_can_be_read_without_being_stored(): void
    {
        $before = Sauce::query()->count();
        $page = $this->postJson('/api/pages', ['text' => self::PAGE])->assertOk();

        $page->assertJsonPath('title', 'Smoky Tomato Chutney')->assertJsonPath('style', null);
        self::assertSame($before, Sauce::query()->count());
        $this->postJson('/api/pages', ['text' => '{"@type": "Person"}'])->assertStatus(422);
    }

    public function test_an_edit_that_says_nothing_of_what_was_set_aside_keeps_it(): void
    {
        $sauce = $this->postJson('/api/sauces/written', ['text' => self::PAGE]);
        $id = $sauce->json('id');
        $edit = ['title' => 'Mine', 'style' => null, 'measures' => 'us', 'yield' => null, 'lines' => ['1 kg tomatoes']];

        $kept = $this->putJson("/api/sauces/{$id}", [...$edit, 'revision' => 1])->assertOk();
        self::assertSame($sauce->json('set_aside'), $kept->json('set_aside'));
        $taken = $this->putJson("/api/sauces/{$id}", [
            ...$edit,
            'revision' => 2,
            'set_aside' => [['text' => 'Serve cold', 'why' => 'note']],
            'servings' => 4,
            'let_go' => ['heat'],
        ])->assertOk();
        self::assertSame([['text' => 'Serve cold', 'why' => 'note']], $taken->json('set_aside'));
        self::assertSame([4, ['heat']], [$taken->json('servings'), $taken->json('let_go')]);
    }

    public function test_an_axis_let_go_of_has_no_window(): void
    {
        $formula = ['lines' => ['5 tbsp fish sauce', '3 tbsp lime juice'], 'style' => 'fish-sauce-dip'];
        $with = $this->postJson('/api/balance', $formula);
        $without = $this->postJson('/api/balance', [...$formula, 'let_go' => ['heat', 'sweet']]);

        self::assertNotNull($with->json('axes.heat.window'));
        self::assertNull($without->json('axes.heat.window'));
        self::assertLessThan($with->json('distance'), $without->json('distance'));
        $this->postJson('/api/balance', [...$formula, 'let_go' => ['colour']])->assertStatus(422);
    }

    public function test_a_row_that_names_several_is_swapped_and_nudged_as_one_row(): void
    {
        $formula = ['lines' => ['For the pot:', '1 tsp each ground cumin and smoked paprika', '500 g tomatoes']];
        $lines = $this->postJson('/api/balance', $formula)->json('lines');

        self::assertSame([1, 2, 2, 3], array_column($lines, 'id'));
        self::assertSame([null, 1, 2, null], array_column($lines, 'part'));
        self::assertSame('1 tsp smoked paprika', $lines[2]['alone']);
        $swap = $this->postJson('/api/swap', [...$formula, 'line' => 3])->assertOk();
        $swap->assertJsonPath('ingredient', 'tomato');
        $nudged = $this->postJson('/api/nudge', [...$formula, 'line' => 2, 'direction' => 'up'])->assertOk();
        $nudged->assertJsonPath('text', '1¼ tsp ground cumin + 1 tsp smoked paprika');
        self::assertSame(
            ['cumin', 'smoked-paprika'],
            array_column($this->postJson('/api/balance', ['lines' => [$nudged->json('text')]])->json('lines'), 'ingredient'),
        );
    }

    public function test_a_batch_has_each_ingredient_in_a_line_of_its_own(): void
    {
        $id = $this->postJson('/api/sauces', ['lines' => ['1 tsp each salt and sugar', '500 g tomatoes']])->json('id');
        $cook = $this->postJson("/api/sauces/{$id}/cooks", [])->assertStatus(201);
        $batch = Batch::query()->findOrFail($cook->json('id'));

        self::assertSame(['1 tsp salt', '1 tsp sugar', '500 g tomatoes'], $batch->recipe->texts());
        $measured = array_values(array_filter(
            (array) $cook->json('moves'),
            static fn(mixed $move): bool => is_array($move) && $move['kind'] === 'measure',
        ));
        self::assertCount(3, $measured);
        // a batch of an earlier version keeps its numbering: the first ingredient of such a line is what it was read as
        $older = $batch->replicate();
        $older->recipe = $batch->recipe->withLines(
            array_map(
                static fn(RecipeLine $line): RecipeLine => $line->apart(),
                RecipeLine::numbered(['1 tsp each salt and sugar', '500 g tomatoes']),
            ),
            null,
        );
        $older->save();
        self::assertCount(2, (array) $this->getJson("/api/batches/{$older->id}")->json('balance.lines'));
    }

    public function test_what_was_set_aside_goes_out_with_the_kitchen_and_comes_in_again(): void
    {
        $this->postJson('/api/sauces/written', ['text' => self::PAGE]);
        $file = (string) $this->get('/api/export/kitchen')->streamedContent();

        self::assertStringContainsString('"version": 4', $file);
        Sauce::query()->forceDelete();
        $this->postJson('/api/imports', ['contents' => $file])->assertStatus(201);
        $sauce = Sauce::query()->firstOrFail();
        self::assertSame(12, $sauce->recipe->servings);
        self::assertCount(8, $sauce->recipe->setAside);
    }
}
