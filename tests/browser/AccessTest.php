<?php

declare(strict_types=1);

namespace Tests\browser;

/** axe-core, injected into every screen at three widths, by day and by night. */
final class AccessTest extends BrowserTestCase
{
    protected static function startOptions(): array
    {
        return [];
    }

    public function test_no_serious_issue_on_any_screen(): void
    {
        foreach ([[1280, 800], [768, 1024], [390, 844]] as [$width, $height]) {
            self::resize($width, $height);
            foreach ([
                '/',
                '/sauce/1',
                '/sauce/5',
                '/sauce/8/cook',
                '/sauce/8/taste',
                '/sauce/8/compare?before=1',
                '/sauce/8/log',
                '/sauce/8/card',
                '/batch/8',
                '/batch/8/label',
                '/plan',
                '/trainer',
                '/backups',
                '/palate',
                '/pantry',
                '/typical',
                '/typical/pesto',
                '/nowhere/at/all',
            ] as $place) {
                self::paint('light');
                self::open($place);
                self::find('h1, [data-axis="heat"]');
                self::assertSame([], self::issues(), "{$place} at {$width}, light");
                // by night only the colours are others
                self::paint('dark');
                self::assertSame([], self::issues(rules: ['color-contrast']), "{$place} at {$width}, dark");
            }
        }
    }

    public function test_no_serious_issue_in_what_opens_on_a_screen(): void
    {
        self::resize(1280, 900);
        foreach (['method', 'swap', 'scale', 'thickness', 'keep', 'parts', 'versions'] as $panel) {
            self::open('/sauce/8');
            self::find("[data-choice=\"{$panel}\"]")->click();
            self::until(
                static fn(): bool => self::findAll(
                    '#panel [data-understood], #panel [data-keep], #panel [data-swap], #panel [data-scale], #panel [data-thicken], #panel [data-parts], #panel [data-version]',
                ) !== [],
                "{$panel} is open",
            );
            self::assertSame([], self::issues(), $panel);
        }
        self::find('[aria-label="What to do with line 2"]')->click();
        self::find('[role="menu"]');
        self::assertSame([], self::issues(), 'the menu of a line');
        self::resize(390, 844);
        self::open('/sauce/2/taste');
        self::find('form button[type="submit"]')->click();
        self::find('[data-word="too-salty"]')->click();
        self::assertSame([], self::issues(), 'words');
        self::find('[data-strength="far"]');
        self::$browser->executeScript(
            '[...document.querySelectorAll("button")].find((one) => one.textContent === "What do I add?").click()',
        );
        self::find('[data-dose="1"]');
        self::assertSame([], self::issues(), 'doses');
        self::find('[data-dose="1"]')->click();
        self::until(static fn(): bool => str_contains(self::text('main'), 'How is it now?'), 'it is asked again');
        self::$browser->executeScript(
            '[...document.querySelectorAll("button")].find((one) => one.textContent === "Good: leave it").click()',
        );
        self::find('[data-score="sour 0"]');
        self::assertSame([], self::issues(), 'farewell');
    }

    public function test_no_serious_issue_in_any_move_of_a_cook(): void
    {
        self::resize(390, 844);
        $cook = self::cook();
        self::open($cook);
        self::find('[aria-expanded]')->click();
        self::find('ol[aria-label="The whole sheet"]');
        self::assertSame([], self::issues(), 'the whole sheet');
        self::open($cook);
        $seen = [];
        do {
            $kind = (string) self::find('[data-move]')->getAttribute('data-move');
            if (!in_array($kind, $seen, true)) {
                $seen[] = $kind;
                self::assertSame([], self::issues(), $kind);
                self::assertLessThanOrEqual(
                    self::$browser->executeScript('return window.innerWidth'),
                    self::$browser->executeScript('return document.documentElement.scrollWidth'),
                    $kind,
                );
            }
            $isMore = self::$browser->executeScript(
                'const skip = [...document.querySelectorAll("button")].find((one) => one.textContent === "Skip"); const more = !skip.disabled; skip.click(); return more;',
            );
            usleep(150_000);
        } while ($isMore);
        self::assertSame(['pan-empty', 'measure', 'step', 'pan-reads', 'cool', 'readings', 'fill'], $seen);
    }

    public function test_nothing_is_wider_than_the_screen(): void
    {
        foreach ([360, 390, 768, 1280] as $width) {
            self::resize($width, 800);
            foreach ([
                '/',
                '/sauce/1',
                '/sauce/8/cook',
                '/sauce/8/taste',
                '/sauce/8/compare?before=1',
                '/sauce/8/log',
                '/batch/8',
                '/batch/8/label',
                '/plan',
                '/trainer',
                '/palate',
                '/pantry',
                '/typical',
                '/typical/pesto',
            ] as $place) {
                self::open($place);
                self::find('h1, [data-axis="heat"]');
                self::assertLessThanOrEqual(
                    self::$browser->executeScript('return window.innerWidth'),
                    self::$browser->executeScript('return document.documentElement.scrollWidth'),
                    "{$place} at {$width}",
                );
            }
        }
    }

    public function test_twelve_lines_and_their_balance_are_in_view_together(): void
    {
        self::resize(1280, 800 + 139);
        self::open('/');
        self::find('#begin-text')->sendKeys(
            implode(
                "\n",
                [
                    '1 400 g tin chopped tomatoes',
                    '½ cup ketchup',
                    '⅓ cup cider vinegar',
                    '½ cup light brown sugar',
                    '2 tbsp Worcestershire sauce',
                    '1 tbsp molasses',
                    '2 tsp smoked paprika',
                    '1 tsp mustard powder',
                    '3 cloves garlic',
                    '1 small onion',
                    '1½ tsp salt',
                    'a pinch of cayenne',
                ],
            ),
        );
        self::find('main button')->click();
        self::find('[data-axis="heat"]');
        $bottom = 'return Math.max(...[...document.querySelectorAll(\'ol[aria-label="Lines of the sauce"] li, [data-axis]\')].map((one) => one.getBoundingClientRect().bottom))';

        self::assertCount(12, self::findAll('ol[aria-label="Lines of the sauce"] li'));
        self::assertLessThanOrEqual(800, self::$browser->executeScript($bottom));
    }

    private static function paint(string $scheme): void
    {
        $before = self::colour();
        self::$browser->executeCustomCommand(
            '/session/:sessionId/goog/cdp/execute',
            'POST',
            [
                'cmd' => 'Emulation.setEmulatedMedia',
                'params' => ['features' => [['name' => 'prefers-color-scheme', 'value' => $scheme]]],
            ],
        );
        if ($scheme === 'dark') {
            self::until(static fn(): bool => self::colour() !== $before, 'it is painted by night');
        }
    }

    private static function colour(): string
    {
        return (string) self::$browser->executeScript('return getComputedStyle(document.body).backgroundColor');
    }

    /** @return string the place of a cook that has begun */
    private static function cook(): string
    {
        self::open('/sauce/5');
        $id = self::$browser->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; fetch("/api/sauces/5/cooks", {method: "POST", headers: {"Content-Type": "application/json"}, body: "{}"}).then((answer) => answer.json()).then((cook) => done(cook.id));',
        );
        self::assertIsInt($id);

        return "/cook/{$id}";
    }
}
