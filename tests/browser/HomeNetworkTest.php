<?php

declare(strict_types=1);

namespace Tests\browser;

use App\Plain\Door\Passphrase;

/** The kitchen from another device of the house: asked for the passphrase, let in, and out again. */
final class HomeNetworkTest extends BrowserTestCase
{
    private const PHRASE = 'four plums in a pot';

    protected static function beforeTheServer(string $door): void
    {
        (new Passphrase("{$door}/passphrase"))->set(self::PHRASE);
    }

    protected static function startOptions(): array
    {
        return ['--lan'];
    }

    /** The name that the house knows this machine by leads to it, whatever the network here is like. */
    protected static function browserOptions(): array
    {
        return ['--host-resolver-rules=MAP ' . self::host() . ' 127.0.0.1'];
    }

    public function test_a_device_comes_in_with_the_passphrase_and_leaves_again(): void
    {
        self::resize(390, 844);
        self::open('/', self::host());
        self::find('[data-entrance]');
        self::assertStringNotContainsString('Damson', self::text('body'), 'nothing is shown before');
        self::assertSame([], self::issues());
        self::find('input[type="password"]')->sendKeys("not this one\n");
        self::until(
            static fn(): bool => str_contains(self::text('[data-entrance] [role="alert"]'), 'not the passphrase'),
            'a wrong one is said to be wrong',
        );
        $field = self::find('input[type="password"]');
        self::$browser->executeScript('arguments[0].select()', [$field]);
        $field->sendKeys(self::PHRASE . "\n");
        self::until(
            static fn(): bool => str_contains(self::text('main'), 'Damson'),
            'what was asked for comes by itself',
        );
        self::assertSame([], self::findAll('[data-entrance]'));
        self::assertSame('', self::$browser->executeScript('return document.cookie'), 'no script reads the cookie');

        self::open('/sauce/5', self::host());
        self::find('[data-batch]');
        self::$browser->manage()->deleteAllCookies();
        self::tap('[data-choice="scale"]');
        self::find('[data-scale="to"]')->sendKeys('4 x 250 ml');
        self::find('[data-entrance]');
        self::find('input[type="password"]')->sendKeys(self::PHRASE . "\n");
        self::find('[data-cook-it]');
        self::assertSame(
            '4 x 250 ml',
            self::find('[data-scale="to"]')->getAttribute('value'),
            'a session that ends takes nothing away that was typed',
        );
        self::tap('[data-cook-it]');
        self::find('[data-move]');
        self::find('input[aria-label="Grams by hand"]')->sendKeys('800');
        self::tap('[data-accept]');
        self::until(
            static fn(): bool => self::text('[data-waiting]') === 'Kept',
            'a cook is recorded',
        );

        self::open('/backups', self::host());
        self::assertStringContainsString('https://' . self::host(), self::text('[data-door]'));
        self::assertMatchesRegularExpression('/(?:[0-9A-F]{2} ){31}[0-9A-F]{2}/', self::text('[data-door]'));
        self::tap('[data-leave]');
        self::find('[data-entrance]');
        self::assertStringNotContainsString('Damson', self::text('body'));
    }

    public function test_this_machine_itself_needs_no_passphrase(): void
    {
        self::open('/');
        self::until(static fn(): bool => str_contains(self::text('main'), 'Damson'), 'the shelf opens');
        self::assertSame([], self::findAll('[data-entrance]'));
    }

    private static function host(): string
    {
        return strtolower((string) gethostname());
    }
}
