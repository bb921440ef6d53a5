<?php

declare(strict_types=1);

namespace Tests\http;

use App\Recipes\Sauce;

/** What somebody told stays beside the sauce that was written down from it. */
final class ToldTest extends HttpTestCase
{
    private const TOLD = "So I take half a cup of ketchup and I put in two tablespoons of honey, and then a spoonful of\n"
        . "cider vinegar. My brother puts mustard in his, I don't. You stir it and let it simmer for ten minutes, and we\n"
        . 'have it with sausages, you know.';

    public function test_what_was_told_is_given_back_letter_by_letter_with_the_things_in_it(): void
    {
        $sauce = $this->postJson('/api/sauces/written', ['text' => self::TOLD])->assertCreated()->json();
        self::assertTrue($sauce['is_told']);
        $passages = $this->getJson("/api/sauces/{$sauce['id']}/told")->assertOk()->json('passages');

        self::assertSame(self::TOLD, implode('', array_column($passages, 'text')));
        $uses = array_column(array_filter($passages, static fn(array $one): bool => $one['use'] !== null), 'use', 'ingredient');
        self::assertSame('in', $uses['ketchup'] ?? null);
        self::assertSame('in', $uses['honey'] ?? null);
        self::assertSame('in', $uses['cider-vinegar'] ?? null);
        self::assertContains('passed', $uses, 'the mustard is only talked of');
    }

    public function test_what_was_told_comes_back_with_its_kitchen(): void
    {
        $this->postJson('/api/sauces/written', ['text' => self::TOLD])->assertCreated();
        $file = $this->get('/api/export/kitchen')->assertOk()->streamedContent();
        Sauce::query()->forceDelete();
        $this->postJson('/api/imports', ['contents' => $file])->assertSuccessful();

        self::assertSame(self::TOLD, Sauce::query()->firstOrFail()->told);
    }

    public function test_a_list_was_told_by_nobody(): void
    {
        $sauce = $this->postJson('/api/sauces/written', ['text' => "200 g ketchup\n2 tbsp honey"])->assertCreated()->json();
        self::assertFalse($sauce['is_told']);
        self::assertSame('', implode('', array_column($this->getJson("/api/sauces/{$sauce['id']}/told")->json('passages'), 'text')));
        $this->getJson('/api/sauces/999999/told')->assertNotFound();
    }
}
