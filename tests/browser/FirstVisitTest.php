<?php

declare(strict_types=1);

namespace Tests\browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Key;

final class FirstVisitTest extends BrowserTestCase
{
    private const SALTY = "5 tbsp fish sauce\n3 tbsp lime juice\n1 tbsp sugar\n3 tbsp water\n2 cloves garlic\n1 bird's eye chilli";

    public function test_a_first_visit_reaches_a_balance_previews_and_applies_a_correction_and_finds_it_again(): void
    {
        self::open('/');
        self::find('#begin-text')->sendKeys(self::SALTY);
        self::find('main button')->click();
        self::until(static fn(): bool => str_contains(self::text('[data-axis="salt"]'), '%'), 'the bars stand');
        self::find('input[aria-label="Name of the sauce"]')->sendKeys('Towpath dip');
        self::find('option[value="fish-sauce-dip"]')->click();
        self::until(
            static fn(): bool => str_contains(self::text('[data-axis="salt"] [data-verdict]'), 'too salty'),
            'the salt is judged',
        );

        $first = self::find('[data-correction="1"]');
        $value = self::text('[data-axis="salt"] [data-value]');
        self::$browser->action()->moveToElement($first)->perform();
        self::until(
            static fn(): bool => str_contains(
                (string) self::find('[data-axis="salt"] [role="slider"]')->getAttribute('aria-valuetext'),
                'would become',
            ),
            'the bars preview',
        );
        self::assertSame($value, self::text('[data-axis="salt"] [data-value]'), 'a preview changes nothing');

        $lines = count(self::findAll('ol[aria-label="Lines of the sauce"] li'));
        self::find('[data-correction="1"]')->click();
        self::until(
            static fn(): bool => count(self::findAll('ol[aria-label="Lines of the sauce"] li')) > $lines,
            'lines are added',
        );
        self::until(
            static fn(): bool => (float) self::text('[data-axis="salt"] [data-value]') < (float) $value,
            'there is less salt in it',
        );
        self::untilSaved();

        self::$browser->navigate()->refresh();
        self::until(
            static fn(): bool => self::find(
                'input[aria-label="Name of the sauce"]',
            )->getAttribute('value') === 'Towpath dip',
            'the sauce is there after a reload',
        );
        self::assertGreaterThan(6, count(self::findAll('ol[aria-label="Lines of the sauce"] li')));
        self::open('/');
        self::until(static fn(): bool => str_contains(self::text('ul'), 'Towpath dip'), 'it stands on the shelf');
    }

    public function test_the_same_by_keyboard_only(): void
    {
        self::open('/');
        self::find('#begin-text');
        self::until(
            static fn(): bool => self::$browser->switchTo()->activeElement()->getAttribute('id') === 'begin-text',
            'the list has the focus from the start',
        );
        self::type("4 tbsp soy sauce\n", '2 tbsp rice vinegar', Key::CONTROL, Key::ENTER);
        $style = self::find('select[aria-label="Family"]');
        $style->sendKeys('Seasoned');
        self::until(static fn(): bool => self::findAll('[data-correction="1"]') !== [], 'corrections are offered');
        self::type(Key::TAB);
        self::type(Key::ALT, 'c');
        self::until(
            static fn(): bool => self::$browser->switchTo()->activeElement()->getAttribute('data-correction') === '1',
            'the first correction has the focus',
        );
        self::until(static fn(): bool => self::findAll('[aria-valuetext*="would become"]') !== [], 'focus previews');
        $before = self::lines();
        self::type(Key::ENTER);
        self::until(static fn(): bool => count(self::lines()) > count($before), 'Enter adds');
        self::type(Key::CONTROL, 'z');
        self::until(static fn(): bool => self::lines() === $before, 'undo takes it back');
        self::type(Key::CONTROL, Key::SHIFT, 'z');
        self::until(static fn(): bool => count(self::lines()) > count($before), 'redo brings it again');

        self::type(Key::ALT, 'l');
        self::type(Key::END, Key::ENTER, '1 tsp sugar');
        self::until(static fn(): bool => in_array('1 tsp sugar', self::lines(), true), 'a line is put in between');
        self::assertSame('1 tsp sugar', self::lines()[1]);
        self::untilSaved();
        $kept = self::lines();
        self::$browser->navigate()->refresh();
        self::until(
            static fn(): bool => array_filter(self::lines()) === array_values(array_filter($kept)),
            'all of it is there after a reload',
        );
    }

    public function test_a_nonsense_line_is_marked_and_kept(): void
    {
        self::open('/');
        self::find('#begin-text')->sendKeys("100 g water\n3 tbsp zorp\n1/0 cup sugar\n5 g salt");
        self::find('main button')->click();
        self::until(
            static fn(): bool => count(self::findAll('li[data-status="unknown"]')) === 2,
            'both odd lines are marked',
        );
        self::assertStringContainsString('left out', self::text('li[data-status="unknown"]'));
        self::assertSame('3 tbsp zorp', self::lines()[1]);
        self::untilSaved();
        self::$browser->navigate()->refresh();
        self::until(static fn(): bool => (self::lines()[2] ?? '') === '1/0 cup sugar', 'they are kept as typed');
    }

    public function test_pasting_several_lines_makes_several_lines(): void
    {
        self::open('/');
        self::find('main button')->click();
        $field = self::find('input[aria-label="Line 1"]');
        $field->click();
        self::$browser->executeScript(
            "const data = new DataTransfer(); data.setData('text', '2 tbsp honey\\n\\n1 tsp salt\\n½ cup ketchup'); document.activeElement.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));",
        );
        self::until(
            static fn(): bool => self::lines() === ['2 tbsp honey', '1 tsp salt', '½ cup ketchup'],
            'three lines stand',
        );
        self::type(Key::CONTROL, 'z');
        self::until(static fn(): bool => self::lines() === [''], 'one undo takes the paste back');
        self::assertSame([''], self::lines());
    }

    public function test_two_windows_on_one_sauce_never_overwrite_each_other(): void
    {
        self::open('/');
        self::find('#begin-text')->sendKeys('100 g water');
        self::find('main button')->click();
        self::find('input[aria-label="Line 1"]');
        self::untilSaved();
        $address = (string) parse_url(self::$browser->getCurrentURL(), PHP_URL_PATH);
        $elsewhere = <<<'JS'
            const done = arguments[arguments.length - 1];
            const body = JSON.stringify({ revision: 1, lines: ['50 g salt'], measures: 'us', title: '' });
            fetch('/api' + arguments[0].replace('sauce', 'sauces'), { method: 'PUT', headers: { 'Content-Type': 'application/json', Accept: 'application/json' }, body }).then((answer) => done(answer.status));
            JS;
        self::assertSame(200, self::$browser->executeAsyncScript($elsewhere, [$address]));
        self::find('input[aria-label="Line 1"]')->sendKeys(' more');
        self::until(
            static fn(): bool => str_contains(self::text('[role="alert"]'), 'Nothing was overwritten'),
            'the conflict is said',
        );
        self::$browser->findElement(WebDriverBy::xpath('//button[contains(., "Keep mine")]'))->click();
        self::until(
            static fn(): bool => (string) parse_url(self::$browser->getCurrentURL(), PHP_URL_PATH) !== $address,
            'the copy is open',
        );
        self::until(static fn(): bool => (self::lines()[0] ?? '') === '100 g water more', 'mine is kept as a copy');
        self::open($address);
        self::until(static fn(): bool => (self::lines()[0] ?? '') === '50 g salt', 'theirs stands');
    }

    public function test_a_first_formula_is_drafted_and_a_word_of_the_tongue_is_answered(): void
    {
        self::open('/');
        self::find('main button')->click();
        self::find('input[aria-label="Line 1"]');
        self::find('option[value="sweet-and-sour"]')->click();
        self::until(static fn(): bool => self::findAll('main button.MuiButton-contained') !== [], 'a draft is offered');
        self::find('main button.MuiButton-contained')->click();
        self::until(static fn(): bool => count(self::lines()) >= 4, 'lines are drafted');
        foreach (['sweet', 'sour', 'salt'] as $axis) {
            self::until(
                static fn(): bool => self::text("[data-axis=\"{$axis}\"] [data-verdict]") === 'about right',
                "{$axis} is about right",
            );
        }
        self::find('option[value="not-hot"]')->click();
        self::until(static fn(): bool => self::findAll('[data-correction="1"]') !== [], 'the word is answered');
        self::assertMatchesRegularExpression('/cayenne|chilli|pepper/', self::text('[data-correction="1"]'));
        self::assertStringContainsString('stir and taste', self::text('[data-correction="1"]'));
    }

    /** @return list<string> */
    private static function lines(): array
    {
        return array_values(
            array_map(
                static fn($field): string => (string) $field->getAttribute('value'),
                self::findAll('ol[aria-label="Lines of the sauce"] input'),
            ),
        );
    }
}
