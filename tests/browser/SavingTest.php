<?php

declare(strict_types=1);

namespace Tests\browser;

use Facebook\WebDriver\WebDriverKeys as Key;

/** Nothing typed is lost: without the network, across a reload, and back through the visit. */
final class SavingTest extends BrowserTestCase
{
    public function test_what_is_typed_without_the_network_is_sent_when_it_is_back(): void
    {
        $address = self::begin('100 g water');
        self::network(false);
        self::find('input[aria-label="Line 1"]')->sendKeys(' from the lock');
        self::until(
            static fn(): bool => self::find('[data-saving]')->getAttribute('data-saving') === 'away',
            'the page says that the server is away',
        );
        self::assertSame('100 g water from the lock', self::find('input[aria-label="Line 1"]')->getAttribute('value'));
        self::network(true);
        self::until(
            static fn(): bool => self::find('[data-saving]')->getAttribute('data-saving') === 'saved',
            'it is sent by itself',
        );
        self::assertSame(['100 g water from the lock'], self::stored($address));
    }

    public function test_what_was_not_yet_sent_survives_a_reload(): void
    {
        $address = self::begin('100 g water');
        self::network(false);
        self::find('input[aria-label="Line 1"]')->sendKeys(' and more');
        self::until(
            static fn(): bool => self::find('[data-saving]')->getAttribute('data-saving') === 'away',
            'nothing could be sent',
        );
        self::network(true);
        self::$browser->navigate()->refresh();
        self::until(
            static fn(): bool => self::find(
                'input[aria-label="Line 1"]',
            )->getAttribute('value') === '100 g water and more',
            'it is still there',
        );
        self::untilSaved();
        self::assertSame(['100 g water and more'], self::stored($address));
    }

    public function test_a_kitchen_that_somebody_else_holds_is_said_and_tried_again(): void
    {
        $address = self::begin('100 g water');
        $other = new \SQLite3(self::database());
        $other->exec('BEGIN IMMEDIATE');
        self::find('input[aria-label="Line 1"]')->sendKeys(' in the meantime');
        self::until(
            static fn(): bool => str_contains(self::text('[data-troubled]'), 'Somebody else is writing'),
            'the page says why nothing is stored',
        );
        usleep(4_000_000);
        self::assertNotSame([], self::findAll('[data-troubled]'), 'and goes on saying it while it tries again');
        $other->exec('COMMIT');
        self::until(
            static fn(): bool => self::find('[data-saving]')->getAttribute('data-saving') === 'saved',
            'it is stored by itself',
        );
        self::assertSame([], self::findAll('[data-troubled]'));
        self::assertSame(['100 g water in the meantime'], self::stored($address));
    }

    public function test_undo_reaches_back_through_every_edit_of_the_visit(): void
    {
        self::begin('100 g water');
        self::find('input[aria-label="Line 1"]')->click();
        self::type(Key::END);
        for ($line = 1; $line <= 20; ++$line) {
            self::type(Key::ENTER);
        }
        self::until(
            static fn(): bool => count(self::findAll('ol[aria-label="Lines of the sauce"] li')) >= 2,
            'lines were added',
        );
        $added = count(self::findAll('ol[aria-label="Lines of the sauce"] li'));
        self::find('input[aria-label="Name of the sauce"]')->sendKeys('Twenty edits');
        for ($edit = 0; $edit < $added + 5; ++$edit) {
            self::type(Key::CONTROL, 'z');
        }
        self::until(
            static fn(): bool => count(self::findAll('ol[aria-label="Lines of the sauce"] li')) === 1,
            'all lines are taken back',
        );
        self::assertSame('', self::find('input[aria-label="Name of the sauce"]')->getAttribute('value'));
        self::assertSame('100 g water', self::find('input[aria-label="Line 1"]')->getAttribute('value'));
    }

    /** @return string the address of a sauce of these lines, saved */
    private static function begin(string $lines): string
    {
        self::open('/');
        self::find('#begin-text')->sendKeys($lines);
        self::find('main button')->click();
        self::find('input[aria-label="Line 1"]');
        self::untilSaved();

        return (string) parse_url(self::$browser->getCurrentURL(), PHP_URL_PATH);
    }

    private static function network(bool $isThere): void
    {
        self::$browser->executeCustomCommand(
            '/session/:sessionId/goog/cdp/execute',
            'POST',
            ['cmd' => 'Network.enable', 'params' => (object) []],
        );
        self::$browser->executeCustomCommand(
            '/session/:sessionId/goog/cdp/execute',
            'POST',
            [
                'cmd' => 'Network.emulateNetworkConditions',
                'params' => [
                    'offline' => !$isThere,
                    'latency' => 0,
                    'downloadThroughput' => -1,
                    'uploadThroughput' => -1,
                ],
            ],
        );
    }

    /** @return list<string> the lines as the server has them */
    private static function stored(string $address): array
    {
        $lines = self::$browser->executeAsyncScript(
            "const done = arguments[arguments.length - 1]; fetch('/api' + arguments[0].replace('sauce', 'sauces')).then((answer) => answer.json()).then((sauce) => done(sauce.lines.map((line) => line.text)));",
            [$address],
        );

        return is_array($lines) ? array_values($lines) : [];
    }

    public function test_a_page_that_cannot_be_drawn_says_so_and_leads_back_to_the_shelf(): void
    {
        $address = self::begin('100 g water');
        $kitchen = new \SQLite3(self::database());
        $kitchen->busyTimeout(5000);
        $id = (int) basename((string) parse_url($address, PHP_URL_PATH));
        // as no door of the kitchen would store it
        $kitchen->exec("UPDATE sauces SET standing = '{\"axes\": 3, \"colour\": {}}' WHERE id = {$id}");
        self::$browser->navigate()->refresh();
        self::until(
            static fn(): bool => str_contains(self::text('main'), 'This page could not be drawn'),
            'the page says what is the matter',
        );
        self::find('main a[href="/"]')->click();
        self::until(
            static fn(): bool => self::findAll('#begin-text') !== [] || str_contains(self::text('main'), 'Draw it again'),
            'the shelf is there, or says the same',
        );
        $kitchen->exec("DELETE FROM sauces WHERE id = {$id}");
        self::open('/');
        self::assertTrue(self::find('#begin-text')->isDisplayed(), 'the kitchen is as it was');
    }
}
