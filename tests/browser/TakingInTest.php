<?php

declare(strict_types=1);

namespace Tests\browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverElement;

/** Files and pasted texts onto the shelf, and copies of the kitchen. */
final class TakingInTest extends BrowserTestCase
{
    private const RECIPE = "# Dropped dip\n\n2 tbsp soy sauce\n1 tbsp honey\n";

    public function test_a_dropped_file_is_previewed_taken_in_and_undone(): void
    {
        self::open('/');
        self::find('#begin-text');
        self::$browser->executeScript(
            'const data = new DataTransfer(); data.items.add(new File([arguments[0]], "dip.txt", {type: "text/plain"})); window.dispatchEvent(new DragEvent("drop", {dataTransfer: data, cancelable: true}));',
            [self::RECIPE],
        );
        self::until(
            static fn(): bool => str_contains(self::text('[role="dialog"]'), 'Dropped dip (2 lines)'),
            'what would happen is shown first',
        );
        self::find('[data-take]')->click();
        self::until(static fn(): bool => str_contains(self::text('main'), 'Dropped dip'), 'it stands on the shelf');
        self::find('[data-undo-import]')->click();
        self::until(static fn(): bool => !str_contains(self::text('main'), 'Dropped dip'), 'and it never did');
    }

    public function test_several_files_dropped_at_once_come_in_together_and_each_that_is_none_is_named(): void
    {
        self::open('/');
        self::find('#begin-text');
        $drop = <<<'JS'
            const data = new DataTransfer();
            const half = new TextEncoder().encode('# Dropped half\n\nX tsp salt\n').map((byte) => (byte === 88 ? 0xbd : byte));
            data.items.add(new File(['# Dropped one\n\n2 tbsp honey\n'], 'one.txt', { type: 'text/plain' }));
            data.items.add(new File([half], 'half.txt', { type: 'text/plain' }));
            data.items.add(new File(['{"songs": []}'], 'songs.json', { type: 'application/json' }));
            data.items.add(new File(['{"films": []}'], 'films.json', { type: 'application/json' }));
            window.dispatchEvent(new DragEvent('drop', { dataTransfer: data, cancelable: true }));
            JS;
        self::$browser->executeScript($drop);
        self::until(static fn(): bool => count(self::findAll('[data-offered]')) === 2, 'both recipes are offered');
        $fault = self::text('[data-take-in-fault]');
        self::assertStringContainsString('songs.json:', $fault);
        self::assertStringContainsString('films.json:', $fault);
        self::find('[data-take]')->click();
        self::until(
            static fn(): bool => str_contains(self::text('main'), 'Dropped half')
                && str_contains(self::text('main'), 'Dropped one'),
            'both stand on the shelf',
        );
        self::$browser->executeScript(
            '[...document.querySelectorAll("main a")].find((one) => one.textContent.includes("Dropped half")).click()',
        );
        self::assertSame(
            '½ tsp salt',
            self::find('input[aria-label="Line 1"]')->getAttribute('value'),
            'its half is read as it was written',
        );
    }

    public function test_what_is_typed_in_a_page_from_before_a_restore_lands_on_nothing_else(): void
    {
        self::open('/');
        self::find('#begin-text')->sendKeys('100 g water');
        self::find('main button')->click();
        self::find('input[aria-label="Line 1"]');
        self::untilSaved();
        $address = (string) parse_url(self::$browser->getCurrentURL(), PHP_URL_PATH);
        $elsewhere = <<<'JS'
            const done = arguments[arguments.length - 1];
            const post = (path) => fetch('/api' + path, { method: 'POST', headers: { 'Content-Type': 'application/json', Accept: 'application/json' }, body: '{}' }).then((answer) => answer.json());
            post('/backups').then(() => fetch('/api/backups')).then((answer) => answer.json()).then((all) => post('/backups/' + all.copies[0].name + '/restore')).then((all) => done(JSON.stringify(all)));
            JS;
        self::assertStringContainsString('epoch', (string) self::$browser->executeAsyncScript($elsewhere));
        self::find('input[aria-label="Line 1"]')->sendKeys(' more');
        self::until(
            static fn(): WebDriverElement => self::$browser->findElement(
                WebDriverBy::xpath(
                    '//*[@role="alert"][contains(., "was put back since this page was opened")]//button[contains(., "Keep mine")]',
                ),
            ),
            'it is said',
        )->click();
        self::until(
            static fn(): bool => (string) parse_url(self::$browser->getCurrentURL(), PHP_URL_PATH) !== $address,
            'what was typed is a sauce of its own',
        );
        self::assertSame('100 g water more', self::find('input[aria-label="Line 1"]')->getAttribute('value'));
        self::open($address);
        self::assertSame(
            '100 g water',
            self::find('input[aria-label="Line 1"]')->getAttribute('value'),
            'what was put back stands',
        );
    }

    /** What somebody told stands beside the lines: a tap leads from one to the other, or takes in what was passed over. */
    public function test_a_telling_stands_beside_the_lines_that_were_written_down_from_it(): void
    {
        self::open('/');
        self::find('#begin-text')->sendKeys(
            'So I take half a cup of ketchup and I put in two tablespoons of honey, and then a spoonful of cider vinegar. '
            . 'My brother puts mustard in his. You stir it and let it simmer for ten minutes, and we have it with chips.',
        );
        self::find('main button')->click();
        self::find('[data-told] [data-use="passed"]');
        self::assertSame([], self::issues());
        self::tap('[data-told] [data-said="honey"]');
        self::until(static fn(): bool => str_contains(
            (string) self::$browser->switchTo()->activeElement()->getAttribute('value'),
            'honey',
        ), 'its line has the focus');
        $lines = static fn(): int => count(self::findAll('ol[aria-label="Lines of the sauce"] li'));
        $before = $lines();
        self::tap('[data-told] [data-use="passed"]');
        self::until(static fn(): bool => $lines() > $before, 'what was only talked of is taken in');
    }

    public function test_a_pasted_page_comes_in_and_what_is_there_is_left_out(): void
    {
        self::open('/');
        self::find('#begin-text');
        $paste = static function (string $text): void {
            self::$browser->executeScript(
                'const data = new DataTransfer(); data.setData("text/plain", arguments[0]); document.body.dispatchEvent(new ClipboardEvent("paste", {clipboardData: data, bubbles: true}));',
                [$text],
            );
        };
        $page = '<html><script type="application/ld+json">{"@type":"Recipe","name":"Page sauce","recipeIngredient":["100 g ketchup"]}</script></html>';
        $paste($page);
        self::find('[data-take]')->click();
        self::until(static fn(): bool => str_contains(self::text('main'), 'Page sauce'), 'it stands on the shelf');
        $paste($page);
        self::until(
            static fn(): bool => str_contains(self::text('[role="dialog"]'), 'there already: left out'),
            'it is known again',
        );
        self::$browser->executeScript(
            '[...document.querySelectorAll("[role=dialog] button")].find((one) => one.textContent === "Leave it").click()',
        );
        self::$browser->executeScript(
            'const data = new DataTransfer(); data.setData("text/plain", arguments[0]); document.getElementById("begin-text").dispatchEvent(new ClipboardEvent("paste", {clipboardData: data, bubbles: true, cancelable: true}));',
            [$page],
        );
        self::until(
            static fn(): bool => str_contains(self::text('[role="dialog"]'), 'there already: left out'),
            'a page is none of the lines, even where lines are typed',
        );
        self::$browser->executeScript(
            '[...document.querySelectorAll("[role=dialog] button")].find((one) => one.textContent === "Leave it").click()',
        );
        $paste('{"songs": []}');
        self::until(
            static fn(): bool => str_contains(self::text('[data-take-in-fault]'), 'Recipe'),
            'what is none says so',
        );
    }

    public function test_a_copy_is_made_shown_and_put_back(): void
    {
        self::open('/backups');
        self::find('[data-make-copy]')->click();
        self::until(
            static fn(): bool => str_contains(self::text('[data-newest]'), 'opens and is sound'),
            'the newest is checked',
        );
        self::open('/');
        self::find('#begin-text')->sendKeys('1 tsp salt');
        self::find('main button')->click();
        self::find('[data-axis="heat"]');
        self::untilSaved();
        self::open('/backups');
        $before = count(
            self::until(static fn(): array|false => self::findAll('[data-copy]') ?: false, 'the copies are listed'),
        );
        self::$browser->executeScript('document.querySelector("[data-copy] button").click()');
        self::until(static fn(): bool => str_contains(self::text('[data-copy-said]'), 'restored'), 'it is put back');
        self::assertSame($before + 1, count(self::findAll('[data-copy]')), 'and what was there before is a copy now');
    }
}
