<?php

declare(strict_types=1);

namespace Tests\browser;

use Facebook\WebDriver\WebDriverKeys as Key;

/** A recipe as it stands on a page, pasted: onto the shelf, and into a sauce that is there. */
final class PagesTest extends BrowserTestCase
{
    private const PAGE = <<<'PAGE'
        Smoky Tomato Chutney
        My grandmother made this every September.
        Prep Time: 20 minutes
        Serves 12
        Ingredients
        For the pot:
        1 kg ripe tomatoes, chopped
        300 ml cider vinegar
        250 g light brown sugar
        1 tsp each ground cumin and smoked paprika
        2 tbsp tomato purée
        Method
        1. Simmer everything gently for an hour.
        2. Pot while hot.
        PAGE;

    public function test_a_page_pasted_onto_the_shelf_opens_understood_and_a_line_is_turned_into_another_kind(): void
    {
        self::open('/');
        self::paste('#begin-text', self::PAGE);
        self::find('main button')->click();
        self::until(static fn(): bool => str_contains(self::text('[data-axis="sour"]'), '%'), 'the bars stand');

        self::assertSame('Smoky Tomato Chutney', self::find('[aria-label="Name of the sauce"]')->getAttribute('value'));
        self::assertSame('tomato-chutney', self::find('select[aria-label="Family"]')->getAttribute('value'));
        self::assertCount(6, self::findAll('ol[aria-label="Lines of the sauce"] li'));
        // bars stand as they were stored until the lines are weighed anew
        self::until(
            static fn(): bool => str_contains(
                self::text('ol[aria-label="Lines of the sauce"] li:nth-child(5)'),
                'Ground cumin',
            ),
            'the lines are understood',
        );

        // what names several is given lines of their own, and undo takes that back
        self::find('[aria-label="Line 5"]')->click();
        self::type(Key::ALT, 'm');
        self::until(static fn(): bool => count(self::findAll('[data-line]')) === 7, 'two lines of one');
        self::assertSame('1 tsp smoked paprika', self::find('[aria-label="Line 6"]')->getAttribute('value'));

        // a word with another meaning elsewhere says so, and offers it
        self::until(
            static fn(): bool => str_contains(self::text('[data-line]:nth-child(7)'), 'likely'),
            'the purée is not sure',
        );
        self::find('[aria-label="Line 7"]')->click();
        self::type(Key::ALT, 'm');
        self::until(
            static fn(): bool => self::find('[aria-label="Line 7"]')->getAttribute('value') === '2 tbsp tomato paste',
            'the other meaning is taken',
        );

        // a line is set aside with one key, and comes back with another
        self::find('[aria-label="Line 7"]')->click();
        self::type(Key::ALT, 'a');
        self::until(static fn(): bool => count(self::findAll('[data-line]')) === 6, 'it is set aside');
        self::find('section[aria-label="Set aside"] button')->click();
        self::until(static fn(): bool => count(self::findAll('[data-aside]')) === 6, 'what was set aside is shown');
        self::assertStringContainsString('My grandmother', self::text('[data-aside="blurb"]'));
        self::find('[data-aside="note"] button')->sendKeys('i');
        self::until(static fn(): bool => count(self::findAll('[data-aside]')) === 5, 'it is an ingredient again');
        self::find('[data-aside="blurb"] button')->sendKeys('m');
        self::until(static fn(): bool => count(self::findAll('[data-aside]')) === 4, 'the blurb is a step now');
        self::untilSaved();
        self::$browser->navigate()->refresh();
        self::until(static fn(): bool => count(self::findAll('[data-line]')) >= 7, 'all of it is stored');
        self::assertStringContainsString('4 lines set aside', self::text('section[aria-label="Set aside"]'));
        self::assertSame([], self::issues());
    }

    public function test_a_page_pasted_into_an_empty_sauce_becomes_it(): void
    {
        self::open('/');
        self::find('main button')->click();
        self::until(static fn(): bool => self::findAll('[aria-label="Line 1"]') !== [], 'an empty bench');
        self::paste('[aria-label="Line 1"]', self::PAGE);
        self::until(
            static fn(): bool => self::find('[aria-label="Name of the sauce"]')->getAttribute('value') === 'Smoky Tomato Chutney',
            'the page is read',
        );
        self::until(
            static fn(): bool => str_contains(self::text('section[aria-label="Set aside"]'), '5 lines set aside'),
            'the rest is set aside',
        );
        self::until(static fn(): bool => self::findAll('[data-family="tomato-chutney"]') !== [], 'its family is offered');
        self::find('[data-family="tomato-chutney"]')->click();
        self::until(
            static fn(): bool => self::find('select[aria-label="Family"]')->getAttribute('value') === 'tomato-chutney',
            'the family is taken with one tap',
        );
        self::untilSaved();
    }

    /** What the clipboard holds, put into a field as a paste puts it. */
    private static function paste(string $selector, string $text): void
    {
        self::$browser->executeScript(
            <<<'JS'
                const [field, text] = [arguments[0], arguments[1]];
                field.focus();
                const data = new DataTransfer();
                data.setData('text', text);
                const event = new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true });
                if (field.dispatchEvent(event)) {
                  const kind = field.tagName === 'TEXTAREA' ? HTMLTextAreaElement : HTMLInputElement;
                  Object.getOwnPropertyDescriptor(kind.prototype, 'value').set.call(field, text);
                  field.dispatchEvent(new Event('input', { bubbles: true }));
                }
                JS,
            [self::find($selector), $text],
        );
    }
}
