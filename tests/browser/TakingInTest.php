<?php

declare(strict_types=1);

namespace Tests\browser;

/** Files and pasted texts onto the shelf, and copies of the kitchen. */
final class TakingInTest extends BrowserTestCase
{
    private const RECIPE = "# Dropped dip\n\n2 tbsp soy sauce\n1 tbsp honey\n";

    public function test_a_dropped_file_is_previewed_taken_in_and_undone(): void
    {
        self::open('/');
        self::find('#begin-text');
        self::$browser->executeScript('const data = new DataTransfer(); data.items.add(new File([arguments[0]], "dip.txt", {type: "text/plain"})); window.dispatchEvent(new DragEvent("drop", {dataTransfer: data, cancelable: true}));', [self::RECIPE]);
        self::until(static fn(): bool => str_contains(self::text('[role="dialog"]'), 'Dropped dip (2 lines)'), 'what would happen is shown first');
        self::find('[data-take]')->click();
        self::until(static fn(): bool => str_contains(self::text('main'), 'Dropped dip'), 'it stands on the shelf');
        self::find('[data-undo-import]')->click();
        self::until(static fn(): bool => !str_contains(self::text('main'), 'Dropped dip'), 'and it never did');
    }

    public function test_a_pasted_page_comes_in_and_what_is_there_is_left_out(): void
    {
        self::open('/');
        self::find('#begin-text');
        $paste = static function (string $text): void {
            self::$browser->executeScript('const data = new DataTransfer(); data.setData("text/plain", arguments[0]); document.body.dispatchEvent(new ClipboardEvent("paste", {clipboardData: data, bubbles: true}));', [$text]);
        };
        $page = '<html><script type="application/ld+json">{"@type":"Recipe","name":"Page sauce","recipeIngredient":["100 g ketchup"]}</script></html>';
        $paste($page);
        self::find('[data-take]')->click();
        self::until(static fn(): bool => str_contains(self::text('main'), 'Page sauce'), 'it stands on the shelf');
        $paste($page);
        self::until(static fn(): bool => str_contains(self::text('[role="dialog"]'), 'there already: left out'), 'it is known again');
        self::$browser->executeScript('[...document.querySelectorAll("[role=dialog] button")].find((one) => one.textContent === "Leave it").click()');
        self::$browser->executeScript('const data = new DataTransfer(); data.setData("text/plain", arguments[0]); document.getElementById("begin-text").dispatchEvent(new ClipboardEvent("paste", {clipboardData: data, bubbles: true, cancelable: true}));', [$page]);
        self::until(static fn(): bool => str_contains(self::text('[role="dialog"]'), 'there already: left out'), 'a page is none of the lines, even where lines are typed');
        self::$browser->executeScript('[...document.querySelectorAll("[role=dialog] button")].find((one) => one.textContent === "Leave it").click()');
        $paste('{"songs": []}');
        self::until(static fn(): bool => str_contains(self::text('[data-take-in-fault]'), 'Recipe'), 'what is none says so');
    }

    public function test_a_copy_is_made_shown_and_put_back(): void
    {
        self::open('/copies');
        self::find('[data-make-copy]')->click();
        self::until(static fn(): bool => str_contains(self::text('[data-newest]'), 'opens and is sound'), 'the newest is checked');
        self::open('/');
        self::find('#begin-text')->sendKeys('1 tsp salt');
        self::find('main button')->click();
        self::find('[data-axis="heat"]');
        self::untilSaved();
        self::open('/copies');
        $before = count(self::until(static fn(): array|false => self::findAll('[data-copy]') ?: false, 'the copies are listed'));
        self::$browser->executeScript('document.querySelector("[data-copy] button").click()');
        self::until(static fn(): bool => str_contains(self::text('[data-copy-said]'), 'put back'), 'it is put back');
        self::assertSame($before + 1, count(self::findAll('[data-copy]')), 'and what was there before is a copy now');
    }
}
