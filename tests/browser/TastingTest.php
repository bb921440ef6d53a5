<?php

declare(strict_types=1);

namespace Tests\browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverElement;
use Facebook\WebDriver\WebDriverKeys as Key;

/** At the pan, with one hand, on a small screen. */
final class TastingTest extends BrowserTestCase
{
    private const SALTY_DIP = "14 tbsp fish sauce\n3 tbsp lime juice\n3 tbsp sugar\n6 tbsp water\n2 cloves garlic\n1 bird's eye chilli";

    public function test_an_oversalted_dip_is_repaired_to_within_a_step_of_its_window(): void
    {
        self::resize(390, 844);
        self::atThePan('400');
        self::assertGreaterThan(2.0, self::off());
        $doses = 0;
        while (abs(self::off()) > 1.0 && $doses < 8) {
            $before = self::pan();
            if ($doses === 0) {
                self::tap('[data-word="too-salty"]');
                self::button('What do I add?')->click();
            } else {
                self::button('Better, but still so')->click();
            }
            self::assertGreaterThanOrEqual(
                2,
                count(
                    self::until(static fn(): array|false => self::findAll('[data-dose]') ?: false, 'doses are found'),
                ),
            );
            self::tap('[data-dose="1"]');
            self::until(static fn(): bool => self::pan() > $before, 'the dose is in the pan');
            ++$doses;
        }
        self::assertLessThanOrEqual(1.0, abs(self::off()));
        self::assertGreaterThan(0, $doses);
        self::button('Good: leave it')->click();
        self::tap('[data-score="heat -1"]');
        self::find('input[placeholder^="a chip"]')->sendKeys('a chip');
        self::button('Keep it')->click();
        self::button('Write the doses into the sauce')->click();
        self::until(
            static fn(): bool => str_contains(self::text('main'), 'They stand in the sauce now'),
            'the doses are in the formula',
        );
        self::open((string) preg_replace('~^https?://[^/]+|/taste$~', '', self::$browser->getCurrentURL()));
        self::until(
            static fn(): bool => count(self::findAll('ol[aria-label="Lines of the sauce"] input')) > 6,
            'the bench has them as lines',
        );
    }

    public function test_the_same_dip_is_repaired_by_keyboard_alone(): void
    {
        self::resize(1280, 900);
        self::atThePan('400');
        for ($doses = 0; $doses < 8 && abs(self::off()) > 1.0; ++$doses) {
            $before = self::pan();
            if ($doses === 0) {
                self::tabToAndPress('[data-word="too-salty"]');
            }
            self::tabToAndPress($doses === 0 ? '[data-ask="doses"]' : '[data-ask="again"]');
            self::tabToAndPress('[data-dose="1"]');
            self::until(static fn(): bool => self::pan() > $before, 'the dose is in the pan');
        }
        self::assertLessThanOrEqual(1.0, abs(self::off()));
        self::tabToAndPress('[data-ask="leave"]');
        self::tabToAndPress('[data-ask="keep"]');
        self::until(static fn(): bool => str_contains(self::text('main'), 'Kept.'), 'the tasting is kept');
    }

    public function test_the_way_back_and_a_slip(): void
    {
        self::resize(390, 844);
        self::atThePan('');
        self::tap('[data-word="not-sweet"]');
        self::tap('[data-word="not-sweet"] + div [data-strength="far"]');
        self::button('What do I add?')->click();
        self::tap('[data-dose="1"]');
        self::button('Too much: fix it')->click();
        self::until(
            static fn(): bool => str_contains(self::text('h2'), 'way back') && self::findAll('[data-dose]') !== [],
            'a way back is offered',
        );
        $before = self::pan();
        self::tap('[data-dose="1"]');
        self::until(
            static fn(): bool => self::pan() > $before
                && str_contains(self::text('[aria-label="The record of this pan"]'), 'the way back'),
            'and recorded',
        );
        self::press(self::button('Undo last dose'));
        self::until(static fn(): bool => abs(self::pan() - $before) < 1.0, 'a slip is taken off the record');
    }

    public function test_by_keyboard_and_what_is_learned_is_shown_and_can_be_forgotten(): void
    {
        self::resize(1280, 800);
        for ($time = 0; $time < 3; ++$time) {
            // a family that nothing else here is tasted as
            self::atThePan('', 'Walnut and garlic sauce');
            self::press(self::button('Tastes right: finish'));
            self::$browser->executeScript('arguments[0].focus()', [self::find('[data-score="sour 0"]')]);
            self::type(Key::ARROW_LEFT, Key::ARROW_UP);
            self::until(
                static fn(): bool => self::find('[data-score="sour -2"]')->getAttribute('aria-checked') === 'true',
                'arrows go from one degree to the next',
            );
            self::assertCount(
                1,
                self::findAll('[data-score^="sour"][tabindex="0"]'),
                'and the group is one stop of the Tab key',
            );
            self::press(self::button('Keep it'));
            self::until(static fn(): bool => str_contains(self::text('main'), 'Kept.'), 'the tasting is kept');
        }
        self::open('/palate');
        self::until(
            static fn(): bool => preg_match(
                '/you like it .*sharper.*from 3 tastings/',
                self::text('[data-family="walnut-sauce"] [data-learned]'),
            ) === 1,
            'it is said in words',
        );
        self::press(self::button('In use: switch it off'));
        self::button('Switched off: use it again');
        self::press(self::find('[data-family="walnut-sauce"] button'));
        self::until(
            static fn(): bool => str_starts_with(self::text('[data-family="walnut-sauce"] [data-learned]'), 'Forgotten'),
            'it is forgotten',
        );
    }

    public function test_targets_are_large_enough_and_all_is_in_reach_of_a_thumb(): void
    {
        self::resize(390, 844);
        self::atThePan('');
        foreach (self::findAll('[data-word], main button') as $target) {
            self::assertGreaterThanOrEqual(44, $target->getSize()->getHeight(), $target->getText());
        }
        self::assertLessThanOrEqual(390, self::$browser->executeScript('return document.documentElement.scrollWidth'));
    }

    private static function atThePan(string $grams, string $style = 'Fish sauce dip'): void
    {
        self::open('/');
        // what an earlier pan was said to be good at has moved the target
        self::$browser->executeAsyncScript(
            'fetch("/api/palate/fish-sauce-dip", {method: "DELETE", headers: {"Content-Type": "application/json"}}).then(arguments[arguments.length - 1]);',
        );
        self::find('#begin-text')->sendKeys(self::SALTY_DIP);
        self::find('main button')->click();
        self::choose('select[aria-label="Family"]', $style);
        self::until(
            static fn(): bool => str_contains(self::text('[data-axis="salt"] [data-verdict]'), 'salty'),
            'it is too salty for its style',
        );
        self::untilSaved();
        self::goTo('/taste');
        self::find('input[aria-label="Grams in the pan"]')->sendKeys($grams . Key::ENTER);
        self::find('[data-word]');
    }

    private static function off(): float
    {
        return (float) self::find('[data-axis="salt"]')->getAttribute('data-off');
    }

    /** Grams in the pan as the page says. */
    private static function pan(): float
    {
        return (float) self::text('[data-pan]');
    }

    private static function press(WebDriverElement $button): void
    {
        self::$browser->executeScript('arguments[0].focus()', [$button]);
        self::type(Key::ENTER);
    }

    private static function button(string $says): WebDriverElement
    {
        return self::until(
            static fn(): WebDriverElement => self::$browser->findElement(
                WebDriverBy::xpath("//button[normalize-space()=\"{$says}\"]"),
            ),
            "there is a button \"{$says}\"",
        );
    }
}
