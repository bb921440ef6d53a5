<?php

declare(strict_types=1);

namespace Tests\browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverKeys as Key;

/** Someone who reads nothing: from the first page to a balance of their own, and help where it is looked for. */
final class FirstMinuteTest extends BrowserTestCase
{
    private const OWN = "1 tin chopped tomatoes\n½ cup cider vinegar\n3 tbsp brown sugar\n1 tsp salt\na pinch of cayenne";

    public function test_typing_at_once_and_one_stroke_show_a_balance(): void
    {
        self::open('/');
        self::find('#begin-text');
        self::until(
            static fn(): bool => self::$browser->executeScript('return document.activeElement.id') === 'begin-text',
            'what is typed goes into the list',
        );
        self::type(self::OWN);
        self::type(Key::CONTROL, "\n");
        foreach (['sweet', 'sour', 'salt', 'umami', 'heat'] as $axis) {
            self::until(
                static fn(): bool => preg_match('/\d/', self::text("[data-axis=\"{$axis}\"] [data-value]")) === 1,
                "{$axis} has a figure",
            );
        }
        self::assertStringContainsString(
            'tin',
            (string) self::find('input[aria-label="Line 1"]')->getAttribute('value'),
            'it stands as it was typed',
        );
        self::assertSame([], self::findAll('[role="alert"], [role="dialog"]'), 'nothing stands in between');
    }

    /** Under 0.02 of the screen, as the browser counts what moves by itself, on both sizes, with a caution that stops. */
    public function test_nothing_moves_under_the_hand(): void
    {
        $devtools = new ChromeDevToolsDriver(self::$browser);
        $devtools->execute('Page.enable', []);
        $devtools->execute('Page.addScriptToEvaluateOnNewDocument', ['source' => self::COUNTS_WHAT_MOVES]);
        foreach ([[1280, 800], [390, 844]] as [$width, $height]) {
            self::resize($width, $height);
            self::open('/');
            self::find('#begin-text');
            self::tap('#begin-text');
            self::type("1 cup ketchup\n2 tbsp soy sauce\n3 tbsp honey\n1 tsp salt\n2 cloves garlic");
            self::type(Key::CONTROL, "\n");
            self::find('[data-mend], [data-verdict]');
            self::untilSaved();
            foreach (['method', 'scale', 'keep', 'add'] as $tool) {
                self::tap("#panel-{$tool}");
                self::find("#panel-{$tool}[aria-selected=\"true\"]");
            }
            $moved = self::$browser->executeScript('return window.__moved');
            self::assertLessThan(0.02, (float) $moved, "{$width} x {$height}");
            self::assertIsNumeric($moved);
        }
        self::resize(1280, 800);
    }

    private const COUNTS_WHAT_MOVES = <<<'JS'
        window.__moved = 0;
        new PerformanceObserver((list) => {
          for (const shift of list.getEntries()) if (!shift.hadRecentInput) window.__moved += shift.value;
        }).observe({ type: 'layout-shift', buffered: true });
        JS;

    public function test_what_a_sauce_looks_like_is_its_measure_until_the_cook_says(): void
    {
        $glaze = static function (): void {
            self::open('/');
            self::find('#begin-text');
            self::tap('#begin-text');
            self::type("6 tbsp soy sauce\n3 tbsp mirin\n2 tbsp sake\n2 tsp sugar\n1 tsp grated ginger");
            self::type(Key::CONTROL, "\n");
            self::find('[data-family="teriyaki-glaze"]');
        };
        $family = static fn(): string => (string) self::$browser->executeScript(
            'return document.querySelector(\'select[aria-label="Family"]\')?.selectedOptions[0].text ?? ""',
        );
        $glaze();
        self::find('[data-axis="sweet"] [data-window]');
        self::find('[data-mend]');
        self::assertStringStartsWith('perhaps', $family());
        self::assertStringContainsString('It looks like', self::text('[data-makers]'));
        self::assertSame([], self::issues());
        // it is its own measure, and stays so
        self::tap('[data-no-family]');
        self::until(static fn(): bool => self::findAll('[data-window]') === [], 'there is no window any more');
        self::$browser->navigate()->refresh();
        self::until(static fn(): bool => self::text('[data-axis="sweet"] [data-value]') !== '', 'the bars stand');
        self::until(static fn(): bool => str_contains($family(), 'no family'), 'it is still its own measure');
        self::assertSame([], self::findAll('[data-window]'));

        $glaze();
        self::tap('[data-family="teriyaki-glaze"]');
        self::until(static fn(): bool => self::findAll('[data-no-family]') === [], 'it is taken');
        self::untilSaved();
        self::$browser->navigate()->refresh();
        self::find('[data-axis="sweet"] [data-window]');
        self::assertStringStartsNotWith('perhaps', $family());
    }

    public function test_a_button_with_nothing_typed_leads_on_too(): void
    {
        self::open('/');
        self::find('#begin-text');
        self::tap('main button');
        self::find('input[aria-label="Line 1"]');
        self::type('100 g ketchup', Key::ENTER, '1 tbsp lime juice');
        self::until(
            static fn(): bool => preg_match('/\d/', self::text('[data-axis="sour"] [data-value]')) === 1,
            'the bars stand',
        );
        self::assertSame('1 tbsp lime juice', self::find('input[aria-label="Line 2"]')->getAttribute('value'));
    }

    public function test_help_says_what_the_bars_mean_and_gives_the_place_back(): void
    {
        foreach ([[1280, 800], [390, 844]] as [$width, $height]) {
            self::resize($width, $height);
            self::open('/trainer');
            self::find('h1');
            self::tap('button[aria-label^="Help"]');
            self::until(static fn(): bool => str_contains(self::text('[role="dialog"]'), 'The whisker'), 'it opens');
            self::assertStringContainsString('what a tongue just notices', self::text('[role="dialog"]'));
            self::assertSame([], self::issues('[role="dialog"]'));
            self::assertLessThanOrEqual(
                self::$browser->executeScript('return window.innerWidth'),
                self::$browser->executeScript('return document.documentElement.scrollWidth'),
            );
            self::type(Key::ESCAPE);
            self::until(static fn(): bool => self::findAll('[role="dialog"]') === [], 'it closes');
            self::until(
                static fn(): bool => (bool) self::$browser->executeScript(
                    'return (document.activeElement.getAttribute("aria-label") ?? "").startsWith("Help")',
                ),
                'the focus is where it was',
            );
        }
    }

    public function test_a_question_mark_asks_for_help_unless_it_is_being_typed(): void
    {
        self::resize(1280, 800);
        self::open('/');
        self::find('#begin-text');
        self::tap('#begin-text');
        self::type('2 cups?');
        self::assertSame('2 cups?', self::find('#begin-text')->getAttribute('value'));
        self::assertSame([], self::findAll('[role="dialog"]'));
        self::open('/trainer');
        self::find('h1');
        self::type('?');
        self::until(static fn(): bool => str_contains(self::text('[role="dialog"]'), 'Ctrl+Z'), 'keys are told');
    }
}
