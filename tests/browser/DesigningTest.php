<?php

declare(strict_types=1);

namespace Tests\browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverElement;
use Facebook\WebDriver\WebDriverKeys as Key;

/** Designing and adjusting a sauce, live: with the pointer, and with nothing but the keyboard. */
final class DesigningTest extends BrowserTestCase
{
    public function test_a_sauce_is_designed_from_an_empty_bench_by_keyboard_alone(): void
    {
        self::begin('');
        self::choose('select[aria-label="Family"]', 'Vinaigrette');
        self::find('input[aria-label="Line 1"]')->sendKeys('90 ml oliv');
        self::until(static fn(): bool => in_array('90 ml olive oil', self::offers(), true), 'names are offered');
        for ($presses = 0; self::chosenOffer() !== '90 ml olive oil' && $presses < 8; ++$presses) {
            self::type(Key::ARROW_DOWN);
            usleep(80_000);
        }
        self::type(Key::ENTER);
        self::until(static fn(): bool => self::lines()[0] === '90 ml olive oil', 'the name is taken');
        self::type("\n", '1 tsp cider vinegar');
        self::type("\n", "1 tsp dijon mustard\n", '¼ tsp salt');
        self::until(
            static fn(): bool => count(self::lines()) === 4 && self::steps('sour') > 0.0,
            'the balance follows',
        );
        self::type(Key::ARROW_UP, Key::ARROW_UP, Key::ARROW_UP, Key::HOME);
        self::type(Key::ALT, 'k');
        self::until(static fn(): bool => self::lines()[0] === '90 ml olive oil [lock]', 'the oil is locked');
        self::until(static fn(): bool => self::findAll('[data-solve]') !== [], 'there is something to solve');
        self::type(Key::ALT, 'u');
        self::until(static fn(): bool => self::lines()[1] !== '1 tsp cider vinegar', 'the unlocked lines are set');
        self::until(
            static fn(): bool => self::verdict('sour') === 'about right',
            'and stand where the style wants them',
        );
        self::assertSame('90 ml olive oil [lock]', self::lines()[0]);
        self::type(Key::CONTROL, 'z');
        self::until(static fn(): bool => self::lines()[1] === '1 tsp cider vinegar', 'in one move that is undone');
    }

    public function test_a_typical_sauce_is_found_fitted_to_what_is_there_and_made_ones_own(): void
    {
        self::open('/typical');
        self::until(static fn(): bool => count(self::findAll('[data-family]')) > 140, 'every family has its face');
        self::find('input[type="search"]')->sendKeys('pasta basil');
        self::until(static fn(): bool => count(self::findAll('[data-family]')) < 6, 'a word or two narrows them down');
        self::tap('[data-family="pesto"] a');
        self::until(static fn(): bool => str_contains(self::text('[data-draft]'), 'pine nuts'), 'the plain one');
        self::find('#at-hand')->sendKeys('basil, walnuts, parmesan, olive oil, garlic');
        self::until(
            static fn(): bool => str_contains(self::text('[data-draft]'), 'walnuts')
                && !str_contains(self::text('[data-draft]'), 'pine nuts'),
            'what is there takes the place of what is not',
        );
        self::tap('[data-own]');
        self::until(static fn(): bool => in_array('walnuts', array_map(
            static fn(string $line): string => (string) preg_replace('/^[\d.½¼¾⅓⅔]+ g /u', '', $line),
            self::lines(),
        ), true), 'the bench opens on it');
        self::until(static fn(): bool => self::verdict('salt') !== '', 'weighed against its family');
    }

    /** A mark under the finger is asked about as it goes; left there, it is this sauce's own place, until it is dropped. */
    public function test_a_mark_is_pulled_offers_follow_and_where_it_is_left_is_the_aim(): void
    {
        self::begin("300 g ketchup\n3 tbsp cider vinegar\n60 g brown sugar\n1 tsp salt");
        self::choose('select[aria-label="Family"]', 'Tomato barbecue sauce');
        self::until(static fn(): bool => self::verdict('sour') !== '', 'it is weighed');
        $bar = self::find('[data-axis="sour"] [role="slider"]');
        self::$browser->action()->moveToElement($bar)->clickAndHold()->moveByOffset(40, 0)->moveByOffset(40, 0)->perform();
        self::until(static fn(): bool => self::findAll('[data-held]') !== [], 'the mark is in the hand');
        self::until(
            static fn(): bool => self::findAll('[data-correction="1"]') !== [] && self::findAll('[data-considered]') !== [],
            'offers say what would bring it there, and the other marks what that does to them',
        );
        self::assertSame([], self::findAll('[data-placed]'));
        self::$browser->action()->release()->perform();
        self::until(static fn(): bool => self::findAll('[data-placed="sour"]') !== [], 'left there, it is the aim');
        self::until(static fn(): bool => str_contains(self::verdict('sour'), 'sharp'), 'and is told against it');
        self::untilSaved();
        self::$browser->navigate()->refresh();
        self::until(static fn(): bool => self::findAll('[data-placed="sour"]') !== [], 'it is this sauce\'s, and stays');
        self::find('[data-axis="sour"] [role="slider"]')->sendKeys(Key::ARROW_LEFT);
        self::until(static fn(): bool => self::findAll('[data-axis="sour"] [data-own]') !== [], 'arrows move it too');
        self::find('[data-axis="sour"] [role="slider"]')->sendKeys(Key::DELETE);
        self::until(static fn(): bool => self::findAll('[data-placed]') === [], 'and it is dropped');
        self::type(Key::CONTROL, 'z');
        self::until(static fn(): bool => self::findAll('[data-placed="sour"]') !== [], 'which is undone like any edit');
    }

    public function test_amounts_go_by_a_notch_and_by_a_noticeable_step(): void
    {
        self::begin("300 g ketchup\n3 tbsp cider vinegar\n1 tsp salt");
        self::focusLine(2);
        self::type(Key::HOME, Key::ARROW_UP);
        self::until(static fn(): bool => self::lines()[1] === '3½ tbsp cider vinegar', 'a notch more');
        self::type(Key::ARROW_DOWN);
        self::type(Key::ARROW_DOWN);
        self::until(static fn(): bool => self::lines()[1] === '2½ tbsp cider vinegar', 'two notches less');
        self::until(
            static fn(): bool => abs(self::steps('sour') - self::computed(self::lines(), 'sour')) < 0.01,
            'the bars have followed',
        );
        $before = self::steps('sour');
        self::type(Key::SHIFT, Key::ARROW_UP);
        self::until(
            static fn(): bool => self::lines()[1] !== '2½ tbsp cider vinegar'
                && abs(self::steps('sour') - self::computed(self::lines(), 'sour')) < 0.01,
            'as much as one can notice',
        );
        self::assertEqualsWithDelta(1.0, self::steps('sour') - $before, 0.35);
        self::type(Key::END, Key::ARROW_UP);
        self::assertSame(
            'Line 1',
            self::$browser->switchTo()->activeElement()->getAttribute('aria-label'),
            'outside the amount the arrows go from line to line',
        );
    }

    public function test_lines_are_moved_marked_and_put_under_stages(): void
    {
        self::begin("100 g water\n10 g salt\n20 g sugar");
        self::focusLine(3);
        self::type(Key::ALT, Key::ARROW_UP);
        self::until(
            static fn(): bool => self::lines() === ['100 g water', '20 g sugar', '10 g salt'],
            'the line went up',
        );
        self::button('Add a stage')->click();
        self::until(static fn(): bool => in_array('Off the heat:', self::lines(), true), 'a stage begins');
        self::find('[aria-label="What to do with line 1"]')->click();
        self::item('Move to “Off the heat”')->click();
        self::until(
            static fn(): bool => self::written() === ['20 g sugar', '10 g salt', 'Off the heat:', '100 g water'],
            'the line stands under the stage',
        );
        self::find('[aria-label="What to do with line 1"]')->click();
        self::item('Steeped and taken out')->click();
        self::until(
            static fn(): bool => self::lines()[0] === '20 g sugar [steeped]' && str_contains(self::note(1), 'steeped'),
            'it is marked, and counted so',
        );
        self::drag(1, 2);
        self::until(
            static fn(): bool => self::written() === [
                '10 g salt',
                '20 g sugar [steeped]',
                'Off the heat:',
                '100 g water',
            ],
            'and moved by its handle',
        );
        self::untilSaved();
        self::$browser->navigate()->refresh();
        self::until(
            static fn(): bool => self::written() === [
                '10 g salt',
                '20 g sugar [steeped]',
                'Off the heat:',
                '100 g water',
            ],
            'all of it is kept',
        );
    }

    public function test_what_makes_the_sauce_what_it_is_can_be_seen(): void
    {
        self::begin("100 ml soy sauce\n5 g salt\n200 ml water");
        self::until(static fn(): bool => self::findAll('[data-axis="salt"] button') !== [], 'the bars are there');
        self::find('[data-axis="salt"] button')->click();
        self::until(
            static fn(): bool => preg_match(
                '/^\d+ % of the salt comes from soy sauce, \d+ % of the salt comes from salt$/',
                self::text('[data-makers]'),
            ) === 1,
            'the shares are said',
        );
        self::assertStringContainsString('% of salt', self::note(1));
        self::find('[data-choice="parts"]')->click();
        self::assertSame('1 : 2', self::text('[data-parts]'));
    }

    public function test_a_creamy_sauce_is_made_vegan_in_one_move_and_back(): void
    {
        self::begin("220 g mayonnaise\n100 g sour cream\n1 tbsp lemon juice\n1 tsp salt");
        self::until(static fn(): bool => self::findAll('[data-choice="swap"]') !== [], 'the bench is there');
        self::find('[data-choice="swap"]')->click();
        self::button('Propose the swaps')->click();
        self::until(
            static fn(): bool => count(self::findAll('[data-proposed]')) === 2,
            'both swaps are proposed together',
        );
        self::find('[data-convert]')->click();
        self::until(
            static fn(): bool => preg_match('/Fits\s+vegan/', self::text('[aria-label="What to know"]')) === 1,
            'the sauce is vegan',
        );
        self::assertStringNotContainsString('Holds egg', self::text('[aria-label="What to know"]'));
        self::type(Key::CONTROL, 'z');
        self::until(
            static fn(): bool => self::written() === [
                '220 g mayonnaise',
                '100 g sour cream',
                '1 tbsp lemon juice',
                '1 tsp salt',
            ],
            'one undo takes all of it back',
        );
    }

    public function test_a_creamy_sauce_is_made_vegan_by_keyboard_alone(): void
    {
        self::begin("220 g mayonnaise\n1 tbsp lemon juice\n1 tsp salt");
        self::focusLine(1);
        self::type(Key::ALT, 's');
        self::find('[data-propose]');
        self::tabToAndPress('[data-propose]');
        self::tabToAndPress('[data-convert]');
        self::until(
            static fn(): bool => preg_match('/Fits\s+vegan/', self::text('[aria-label="What to know"]')) === 1,
            'the sauce is vegan',
        );
    }

    public function test_a_line_is_swapped_by_keyboard_with_its_preview(): void
    {
        self::begin("300 g ketchup\n100 g sugar\n200 ml water\n50 ml cider vinegar");
        self::focusLine(2);
        self::type(Key::ALT, 's');
        $first = self::find('[data-swap]');
        $name = (string) $first->getAttribute('data-swap');
        self::$browser->executeScript('arguments[0].focus()', [$first]);
        self::type(Key::ENTER);
        self::until(
            static fn(): bool => self::lines()[1] !== '100 g sugar' && self::ingredient(2) === $name,
            'the substitute stands in its place',
        );
    }

    public function test_twenty_edits_are_undone_and_redone(): void
    {
        self::begin("300 g ketchup\n60 g salt");
        $stood = [self::lines()];
        for ($edit = 1; $edit <= 20; ++$edit) {
            // in another line than before, so that it is an edit of its own
            self::focusLine(1 + $edit % 2);
            self::type(Key::HOME, Key::ARROW_UP);
            self::until(static fn(): bool => self::lines() !== end($stood), "edit {$edit} is made");
            $stood[] = self::lines();
        }
        for ($edit = 20; $edit >= 1; --$edit) {
            self::type(Key::CONTROL, 'z');
            self::until(static fn(): bool => self::lines() === $stood[$edit - 1], "edit {$edit} is undone");
        }
        self::type(Key::CONTROL, Key::SHIFT, 'z');
        self::until(static fn(): bool => self::lines() === $stood[1], 'and one redone');
    }

    public function test_a_recipe_is_scaled_into_jars_with_before_and_after_in_view(): void
    {
        self::begin("600 g plums\n200 g sugar\n1 tsp salt\n1 pinch cayenne");
        self::find('[data-choice="scale"]')->click();
        self::find('[data-scale="to"]')->sendKeys('4 x 500 ml, 2 x 100 ml');
        self::until(
            static fn(): bool => count(self::findAll('[data-scaled]')) === 4
                && count(self::findAll('[data-fill]')) === 2,
            'the sheet is there',
        );
        self::assertMatchesRegularExpression('/4 × 500 ml: 47\d ml in each/', self::text('[data-fill]'));
        self::find('[data-make-it]')->click();
        self::until(
            static fn(): bool => preg_match('/^1\d\d\d g plums$/', self::lines()[0]) === 1,
            'the recipe has that size',
        );
        self::type(Key::CONTROL, 'z');
        self::until(static fn(): bool => self::lines()[0] === '600 g plums', 'and one undo takes it back');
        self::find('[data-choice="scale"]')->click();
        $size = self::find('[data-scale="to"]');
        self::$browser->executeScript('arguments[0].select()', [$size]);
        $size->sendKeys('a bucket');
        self::until(
            static fn(): bool => str_contains(self::text('#panel'), 'names no volume or weight'),
            'what cannot be is said',
        );
    }

    public function test_boiling_down_and_thickening_stand_side_by_side(): void
    {
        self::begin("800 g tinned tomatoes\n400 g water\n80 g sugar\n10 g salt");
        self::find('[data-choice="thickness"]')->click();
        self::find('[data-reduce]')->sendKeys('700');
        self::until(
            static fn(): bool => str_contains(self::text('[data-plan]'), 'fills 700 ml'),
            'the plan says where it ends',
        );
        self::assertStringContainsString('Name the pan', self::text('#panel'));
        self::find('#panel input[placeholder="24 cm"]')->sendKeys('24 cm');
        self::until(
            static fn(): bool => str_contains(self::text('#panel'), 'minutes, likely'),
            'with a pan the minutes are told',
        );
        self::find('[data-curve]');
        self::find('[data-reduce]')->sendKeys('000');
        self::until(
            static fn(): bool => str_contains(self::text('#panel'), 'boiling only takes away'),
            'what cannot be is said',
        );
        self::tabToAndPress('[data-thicken="cornflour"]');
        self::until(
            static fn(): bool => array_filter(
                self::lines(),
                static fn(string $line): bool => str_ends_with($line, 'cornflour'),
            ) !== [],
            'the starch is in',
        );
    }

    public function test_versions_are_kept_compared_returned_to_and_forked(): void
    {
        self::begin("300 g ketchup\n3 tbsp cider vinegar");
        self::until(static fn(): bool => self::findAll('[data-choice="versions"]') !== [], 'the bench is there');
        self::untilSaved();
        self::find('[data-choice="versions"]')->click();
        self::until(static fn(): bool => count(self::findAll('[data-version]')) === 1, 'the first version is there');
        self::focusLine(2);
        self::type(Key::HOME, Key::ARROW_UP);
        self::until(static fn(): bool => self::lines()[1] === '3½ tbsp cider vinegar', 'it is changed');
        self::button('Keep it as it stands')->click();
        self::until(
            static fn(): bool => count(self::findAll('[data-version]')) === 2
                && str_contains(self::text('[data-version="2"]'), '½ tbsp more cider vinegar'),
            'and kept, with what changed',
        );
        self::find('[data-version="1"] a')->click();
        self::until(
            static fn(): bool => str_starts_with(self::text('[data-says]'), '½ tbsp more cider vinegar'),
            'side by side it is said in words',
        );
        self::assertCount(5, self::findAll('[data-axis]'));
        self::assertCount(1, self::findAll('tr[data-changed="true"]'));
        self::$browser->navigate()->back();
        self::find('[data-choice="versions"]')->click();
        self::until(
            static fn(): bool => self::findAll('[data-version="1"] button') !== [],
            'the versions are there again',
        );
        self::find('[data-version="1"] button')->click();
        self::until(static fn(): bool => self::lines()[1] === '3 tbsp cider vinegar', 'the old one is back');
        self::untilSaved();
        self::button('Start a variant')->click();
        self::until(
            static fn(): bool => str_ends_with(
                (string) self::find('input[aria-label="Name of the sauce"]')->getAttribute('value'),
                '(variant)',
            ),
            'a variant has a bench of its own',
        );
    }

    private static function begin(string $lines): void
    {
        self::open('/');
        self::find('#begin-text')->sendKeys($lines);
        self::find('main button')->click();
        self::find('input[aria-label="Line 1"]');
        if ($lines !== '') {
            self::find('[data-axis="heat"]');
        }
    }

    /** @return list<string> as they stand on the page */
    private static function lines(): array
    {
        $values = self::$browser->executeScript(
            'return [...document.querySelectorAll(\'ol[aria-label="Lines of the sauce"] input\')].map((one) => one.value)',
        );

        return is_array($values) ? array_values(array_map(strval(...), $values)) : [];
    }

    /** @return list<string> without empty ones */
    private static function written(): array
    {
        return array_values(array_filter(self::lines(), static fn(string $line): bool => $line !== ''));
    }

    private static function focusLine(int $number): void
    {
        self::find("input[aria-label=\"Line {$number}\"]")->click();
    }

    private static function note(int $number): string
    {
        return self::text("ol[aria-label=\"Lines of the sauce\"] li:nth-child({$number}) [id^=line-note]");
    }

    /** @return list<string> */
    private static function offers(): array
    {
        return array_map(static fn(WebDriverElement $one): string => $one->getText(), self::findAll('[data-offer]'));
    }

    private static function chosenOffer(): string
    {
        return (self::findAll('[data-offer][aria-selected="true"]')[0] ?? null)?->getText() ?? '';
    }

    private static function verdict(string $axis): string
    {
        return self::text("[data-axis=\"{$axis}\"] [data-verdict]");
    }

    /** Where the page says that an axis stands, in steps. */
    private static function steps(string $axis): float
    {
        return (float) self::find("[data-axis=\"{$axis}\"]")->getAttribute('data-steps');
    }

    /** @param list<string> $lines */
    private static function computed(array $lines, string $axis): float
    {
        return (float) self::answer($lines)['axes'][$axis]['steps'];
    }

    private static function ingredient(int $line): string
    {
        return (string) self::answer(self::lines())['lines'][$line - 1]['ingredient'];
    }

    /**
     * @param list<string> $lines
     *
     * @return array<string, mixed>
     */
    private static function answer(array $lines): array
    {
        $answer = self::$browser->executeAsyncScript(
            'const done = arguments[1]; fetch("/api/balance", {method: "POST", headers: {"Content-Type": "application/json"}, body: JSON.stringify({lines: arguments[0]})}).then((one) => one.json()).then(done)',
            [$lines],
        );

        return is_array($answer) ? $answer : [];
    }

    public function test_one_press_beside_a_bar_brings_it_in_and_the_fraction_is_set(): void
    {
        self::resize(1280, 900);
        self::open('/');
        self::find('#begin-text')->sendKeys("90 ml olive oil\n30 ml white wine vinegar\n1 tbsp honey");
        self::find('main button')->click();
        self::choose('select[aria-label="Family"]', 'Vinaigrette');
        self::until(static fn(): bool => self::findAll('[data-mend="salt"]') !== [], 'salt has a way in');
        self::assertStringContainsString('salt', self::verdict('salt'));
        self::find('[data-let-go="salt"]')->click();
        self::until(static fn(): bool => self::verdict('salt') === 'does not count here', 'or it is left out');
        self::untilSaved();
        self::$browser->navigate()->refresh();
        self::until(static fn(): bool => self::verdict('salt') === 'does not count here', 'and stays so');
        self::find('[data-let-go="salt"]')->click();
        self::until(static fn(): bool => self::findAll('[data-mend="salt"]') !== [], 'counted again, it has its way in');
        $wayIn = self::find('[data-mend="salt"]');
        $place = $wayIn->getLocation()->getX();
        self::$browser->action()->moveToElement($wayIn)->perform();
        self::until(static fn(): bool => self::verdict('salt') === 'about right', 'looked at, it shows what it does');
        self::assertSame($place, $wayIn->getLocation()->getX(), 'and stays under the pointer');
        $wayIn->click();
        self::until(
            static fn(): bool => count(array_filter(self::lines(), static fn(string $line): bool => $line !== '')) === 4,
            'pressed, it is a line',
        );
        self::until(static fn(): bool => self::findAll('[data-mend="salt"]') === [], 'and needs no way in');
        self::assertSame('about right', self::verdict('salt'));

        $before = (float) self::find('[data-hand]')->getAttribute('data-hand');
        $lines = self::lines();
        self::find('[data-hand]')->click();
        self::find('[data-ratio="sharper"]')->click();
        self::until(
            static fn(): bool => (float) self::find('[data-hand]')->getAttribute('data-hand') < 0.97 * $before,
            'the fraction is less',
        );
        self::assertNotSame($lines, self::lines());
        self::assertSame([], self::issues());
        self::type(Key::ESCAPE);
        self::until(static fn(): bool => self::findAll('[data-ratio]') === [], 'it closes');
        self::type(Key::CONTROL, 'z');
        self::until(static fn(): bool => self::lines() === $lines, 'and is taken back');
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

    private static function item(string $says): WebDriverElement
    {
        return self::until(
            static fn(): WebDriverElement => self::$browser->findElement(
                WebDriverBy::xpath("//li[@role=\"menuitem\"][normalize-space()=\"{$says}\"]"),
            ),
            "the menu has \"{$says}\"",
        );
    }

    /** Takes a line by its handle to where another is. */
    private static function drag(int $from, int $to): void
    {
        $middle = static function (int $line): array {
            $handle = self::find("ol[aria-label=\"Lines of the sauce\"] li:nth-child({$line}) > span");

            return [
                'x' => $handle->getLocation()->getX() + 10,
                'y' => $handle->getLocation()->getY() + intdiv($handle->getSize()->getHeight(), 2),
            ];
        };
        [$start, $end] = [$middle($from), $middle($to)];
        self::$browser->executeCustomCommand('/session/:sessionId/actions', 'POST', ['actions' => [['type' => 'pointer', 'id' => 'hand', 'parameters' => ['pointerType' => 'mouse'], 'actions' => [
            ['type' => 'pointerMove', 'duration' => 0, ...$start], ['type' => 'pointerDown', 'button' => 0],
            ['type' => 'pointerMove', 'duration' => 150, ...$end], ['type' => 'pointerUp', 'button' => 0],
        ]]]]);
    }
}
