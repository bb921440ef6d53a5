<?php

declare(strict_types=1);

namespace Tests\browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Key;

final class PantryTest extends BrowserTestCase
{
    public function test_a_product_of_ones_own_is_added_from_its_label_and_used(): void
    {
        self::open('/pantry');
        self::find('[data-ingredient="soy-sauce"]');
        self::find('input[type="search"]')->sendKeys('soy sauce');
        self::until(static fn(): bool => count(self::findAll('[data-ingredient]')) < 15, 'the search narrows');
        self::find('[data-ingredient="soy-sauce"] button')->click();
        self::until(
            static fn(): bool => str_contains(self::text('[data-ingredient="soy-sauce"]'), 'From:'),
            'its sources are shown',
        );
        self::$browser->findElement(WebDriverBy::xpath('//button[contains(., "I have one of these")]'))->click();
        self::find('[role="dialog"] input')->sendKeys('Towpath soy');
        self::labelled('Salt, g')->sendKeys('oops');
        self::button('Keep it')->click();
        self::until(
            static fn(): bool => str_contains(self::text('[role="dialog"] [role="alert"]'), 'not a number'),
            'the slip is named',
        );
        self::labelled('Salt, g')->sendKeys(Key::CONTROL . 'a');
        self::labelled('Salt, g')->sendKeys('9');
        self::button('Keep it')->click();
        self::until(static fn(): bool => str_contains(self::text('[data-pantry]'), 'Towpath soy'), 'it stands in the pantry');

        self::open('/');
        self::find('#begin-text')->sendKeys('100 g soy sauce');
        self::find('main button')->click();
        self::until(
            static fn(): bool => str_contains(self::text('ol[aria-label="Lines of the sauce"]'), 'Towpath soy'),
            'the line means mine',
        );
        self::assertSame('9.00', self::text('[data-axis="salt"] [data-value]'));
        self::untilSaved();

        self::open('/pantry');
        self::until(
            static fn(): bool => str_contains(self::text('select[aria-label="What it does where"]'), 'in an unnamed sauce'),
            'the sauces are there to choose from',
        );
        self::choose('select[aria-label="What it does where"]', 'in an unnamed sauce');
        self::find('input[type="search"]')->sendKeys('salt');
        self::until(
            static fn(): bool => str_contains(self::text('[data-ingredient="salt"] [data-spoonful]'), 'saltier'),
            'what a spoonful does to that sauce',
        );
        self::$browser->navigate()->refresh();
        self::find('[data-ingredient="salt"] [data-spoonful]');
    }

    public function test_figures_are_written_as_the_cook_writes_them(): void
    {
        self::open('/');
        self::find('#begin-text')->sendKeys("100 g water\n2 g salt");
        self::find('main button')->click();
        self::until(static fn(): bool => self::text('[data-axis="salt"] [data-value]') === '1.95', 'as the browser does');
        self::untilSaved();
        $bench = self::$browser->getCurrentURL();
        self::open('/settings');
        self::choose('main label:first-of-type select', 'Deutsch');
        self::until(static fn(): bool => str_contains(self::text('[data-example]'), '3,20'), 'the example follows');
        self::$browser->get($bench);
        self::until(static fn(): bool => self::text('[data-axis="salt"] [data-value]') === '1,95', 'and the bars');
        self::open('/settings');
        self::choose('main label:first-of-type select', 'as this browser writes them');
        self::until(static fn(): bool => str_contains(self::text('[data-example]'), '3.20'), 'and back');
    }

    public function test_a_doubtful_line_is_mended_with_one_key(): void
    {
        self::open('/');
        self::find('#begin-text')->sendKeys("2 tbsp tomato purée\n1 onion");
        self::find('main button')->click();
        self::until(
            static fn(): bool => count(self::findAll('button[aria-label^="Fix line"]')) === 2,
            'both lines offer a mend',
        );
        self::find('input[aria-label="Line 1"]')->click();
        self::type(Key::ALT, 'm');
        self::until(
            static fn(): bool => self::find('input[aria-label="Line 1"]')->getAttribute('value') === '2 tbsp tomato paste',
            'the other meaning is taken',
        );
        self::find('input[aria-label="Line 2"]')->click();
        self::type(Key::ALT, 'm');
        self::until(
            static fn(): bool => self::find('input[aria-label="Line 2"]')->getAttribute('value') === '110 g onion',
            'the weight is taken',
        );
        self::type(Key::ALT, 'm');
        self::until(
            static fn(): bool => self::find('input[aria-label="Line 2"]')->getAttribute('value') === '1 onion',
            'and given back',
        );
        self::find('[data-fact="sure"]')->click();
        self::assertStringContainsString('doubt about', self::text('[data-doubt]'));
    }

    private static function labelled(string $label): \Facebook\WebDriver\WebDriverElement
    {
        return self::$browser->findElement(
            WebDriverBy::xpath("//label[starts-with(normalize-space(.), '{$label}')]//input"),
        );
    }

    private static function button(string $text): \Facebook\WebDriver\WebDriverElement
    {
        return self::$browser->findElement(WebDriverBy::xpath("//button[contains(., '{$text}')]"));
    }
}
