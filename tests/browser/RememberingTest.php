<?php

declare(strict_types=1);

namespace Tests\browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Key;

/** The log, keeping, labels on paper, plans and the trainer, in the demo kitchen. */
final class RememberingTest extends BrowserTestCase
{
    protected static function startOptions(): array
    {
        return [];
    }

    public function test_batches_over_time_and_what_changed_between_two(): void
    {
        self::resize(1280, 900);
        self::open('/sauce/8/log');
        self::assertGreaterThanOrEqual(
            6,
            count(
                self::until(
                    static fn(): array|false => self::findAll('[data-batch-row]') ?: false,
                    'the batches are there',
                ),
            ),
        );
        self::find('section[aria-label="Over time"] svg');
        self::find('[data-choice="sweet"]')->click();
        self::until(
            static fn(): bool => str_starts_with((string) self::find('[data-over="sweet"]')->getAttribute('aria-label'), 'Sweet over time'),
            'the chart shows the axis',
        );
        self::assertStringContainsString('estimated', self::text('section[aria-label="Measured and estimated"]'));
        self::until(static fn(): bool => self::text('[data-changed]') !== '', 'two batches are compared');
        $first = self::text('[data-changed]');
        self::$browser->executeScript(
            'const select = document.querySelector("[aria-label=\"From batch\"]"); const set = Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value").set; set.call(select, select.options[0].value); select.dispatchEvent(new Event("change", {bubbles: true}));',
        );
        self::until(static fn(): bool => self::text('[data-changed]') !== $first, 'another pair changes otherwise');
    }

    /** Two tellings of a sauce, or any two sauces, lie side by side: what differs, line by line, and where the bars moved. */
    public function test_a_sauce_is_laid_beside_another(): void
    {
        self::resize(1280, 900);
        self::open('/sauce/8/compare');
        self::until(
            static fn(): bool => self::$browser->executeScript('return document.querySelector("optgroup option") !== null') === true,
            'other sauces are offered',
        );
        $other = self::$browser->executeScript(
            'const select = document.querySelector("[aria-label=\"Compare this\"]"); const option = [...select.options].find((one) => one.value.startsWith("sauce-"));'
            . ' const set = Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value").set; set.call(select, option.value); select.dispatchEvent(new Event("change", {bubbles: true})); return option.text;',
        );
        self::assertNotSame('', (string) $other);
        self::until(static fn(): bool => str_contains(self::text('[data-says]'), 'is new'), 'what differs is told');
        self::until(static fn(): bool => self::text('[data-changed="true"]') !== '', 'and line by line');
        self::assertStringContainsString('the other sauce', self::text('section[aria-label="Taste before and after"]'));
        self::assertStringContainsString('before=sauce-', self::$browser->getCurrentURL());
    }

    public function test_a_measured_ph_changes_how_long_it_keeps_and_a_correction_is_added(): void
    {
        self::resize(1280, 900);
        self::open('/sauce/8/log');
        self::find('[data-batch-row] a')->click();
        self::until(static fn(): bool => str_contains(self::$browser->getCurrentURL(), '/batch/'), 'the batch opens');
        self::assertStringContainsString('21 to 30 days', self::text('[data-keep-words]'));
        self::entry('pH measured', '4.9');
        self::until(
            static fn(): bool => str_contains(self::text('[data-keep-words]'), '3 to 4 days'),
            'measured, it keeps for less',
        );
        self::find('[aria-label="Take back: pH 4.90 measured"]')->click();
        self::until(
            static fn(): bool => str_contains(self::text('[data-keep-words]'), '21 to 30 days'),
            'taken back, it keeps again',
        );
        self::assertStringContainsString('pH 4.90 measured', self::text('main'), 'and the slip stands in the record');
        self::entry('pH measured', '15');
        self::until(
            static fn(): bool => str_contains(
                self::text('main [role="alert"]'),
                'No sauce has a pH below 1 or above 11',
            ),
            'a pH of 15 is refused',
        );
        self::entry('How many', '2', 'Filled');
        self::until(static fn(): bool => count(self::findAll('[data-jar]')) >= 2, 'the jars have their codes');
        self::find('[data-jar] button')->click();
        self::until(
            static fn(): bool => self::find('[data-jar] button')->getAttribute('aria-pressed') === 'true',
            'one is finished',
        );
        self::find('section[aria-label="Use"] input[type="checkbox"]');
        self::assertStringContainsString('never', strtolower(self::text('main')));
        self::until(static fn(): bool => count(self::findAll('[data-part]')) === 2, 'it is divided for its uses');
    }

    public function test_labels_and_the_recipe_card_come_out_on_paper(): void
    {
        self::resize(1280, 900);
        self::open('/batch/8/label');
        self::until(static fn(): bool => count(self::findAll('[data-label]')) === 8, 'the labels are there');
        $label = self::printed('label', true);
        foreach (['Damson ketchup', 'Ingredients:', 'damson, cider vinegar', 'use by', 'DK'] as $words) {
            self::assertStringContainsString($words, $label['text']);
        }
        self::assertStringNotContainsString('Back to the batch', $label['text'], 'only the labels are printed');
        self::assertSame([1, 8], [$label['pages'], substr_count($label['text'], 'Ingredients:')]);
        self::assertEqualsWithDelta([595.0, 842.0], $label['size'], 2.0, 'A4, in points');
        self::open('/sauce/8/card');
        self::until(static fn(): bool => str_contains(self::text('[data-card]'), 'Keeps'), 'the card is there');
        $card = self::printed('card', false);
        foreach ([
            'Damson ketchup',
            '1.2 kg damsons, stoned',
            'Rub through a sieve',
            'Never at room temperature',
        ] as $words) {
            self::assertStringContainsString($words, $card['text']);
        }
        self::assertSame(1, $card['pages']);
    }

    public function test_a_label_with_sixty_ingredients_says_when_it_does_not_fit(): void
    {
        self::resize(1280, 900);
        self::open('/sauce/1');
        $batch = self::$browser->executeAsyncScript(<<<'JS'
            const done = arguments[arguments.length - 1];
            const send = (path, body) => fetch(path, {method: 'POST', headers: {'Content-Type': 'application/json'}, body: JSON.stringify(body)}).then((answer) => answer.json());
            fetch('/api/pantry').then((answer) => answer.json()).then(async (pantry) => {
                const lines = pantry.ingredients.filter((one) => one.name.length <= 20).sort((one, other) => other.name.length - one.name.length).slice(0, 60).map((item, index) => `${100 - index} g ${item.name}`);
                const sauce = await send('/api/sauces', {title: 'Everything', lines});
                const batch = await send(`/api/sauces/${sauce.id}/batches`, {});
                done(batch.id);
            });
            JS);
        self::open("/batch/{$batch}/label");
        self::until(static fn(): bool => self::findAll('[data-label]') !== [], 'the labels are there');
        self::find('[data-choice="a4x21"]')->click();
        self::until(static fn(): bool => self::findAll('[data-too-long]') !== [], 'it says that it does not fit');
        self::find('[data-choice="a4x4"]')->click();
        self::until(static fn(): bool => self::findAll('[data-too-long]') === [], 'on a large label it does');
    }

    public function test_a_plan_is_laid_out_kept_and_read_by_a_calendar(): void
    {
        self::resize(1280, 900);
        self::open('/plan');
        self::until(static fn(): bool => count(self::findAll('[data-task]')) > 8, 'it opens on the plan that is due next');
        self::find('[data-plan] button')->click();
        self::until(static fn(): bool => count(self::findAll('[data-task]')) > 8, 'the demo plan is laid out');
        self::assertStringContainsString('Begin', self::text('[data-plan-starts]'));
        self::assertStringContainsString('Damson', self::text('[data-shopping]'));
        self::find('[data-plan-sauce="6"]')->click();
        self::until(
            static fn(): bool => str_contains(self::text('[data-timeline]'), 'Pickled-walnut'),
            'a sauce more is laid out too',
        );
        self::find('[data-keep-plan]')->click();
        $calendar = self::find('[data-calendar]')->getAttribute('href');
        $file = (string) self::$browser->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; fetch(arguments[0]).then((answer) => answer.text()).then(done);',
            [$calendar],
        );
        self::assertStringStartsWith('BEGIN:VCALENDAR', $file);
        self::assertGreaterThan(10, substr_count($file, 'BEGIN:VEVENT'));
        self::$browser->executeScript(
            'const field = document.querySelector("input[type=datetime-local]"); const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set; set.call(field, "2020-01-01T12:00"); field.dispatchEvent(new Event("input", {bubbles: true}));',
        );
        self::until(
            static fn(): bool => str_contains(self::text('[data-plan-fault]'), 'earliest possible'),
            'a day in the past says what is possible',
        );
    }

    public function test_the_trainer_asks_and_learns(): void
    {
        self::resize(390, 844);
        self::open('/trainer');
        self::find('[data-choice="sweet"]')->click();
        self::until(
            static fn(): bool => str_contains(self::text('[data-own]'), '0 answers'),
            'nothing is known of sweetness yet',
        );
        self::assertCount(5, self::findAll('[data-glass]'));
        self::$browser->findElement(WebDriverBy::xpath('//button[contains(., "For whoever pours")]'))->click();
        for ($trial = 1; $trial <= 4; ++$trial) {
            // whoever pours says where the stronger one stands
            $order = (string) self::$browser->executeScript(
                'return document.querySelector("[data-order]").textContent',
            );
            self::assertSame(1, preg_match('/Left: glass ([A-E])\. Right: glass ([A-E])/', $order, $found));
            self::find($found[1] > $found[2] ? '[data-guess="left"]' : '[data-guess="right"]')->click();
            self::until(
                static fn(): bool => str_starts_with(self::text('[data-own]'), "{$trial} answer"),
                'the answer is counted',
            );
            self::assertSame('Right.', self::text('[data-said]'));
        }
        $order = (string) self::$browser->executeScript('return document.querySelector("[data-order]").textContent');
        self::assertStringContainsString('glass C', $order, 'two steps down to one step apart');
    }

    private static function entry(string $label, string $value, string $button = 'Add to the record'): void
    {
        $field = self::until(
            static fn() => self::$browser->findElement(
                WebDriverBy::xpath("//input[@aria-label='{$label}'] | //label[contains(., '{$label}')]//input"),
            ),
            "{$label} is there",
        );
        $field->clear();
        $field->sendKeys(Key::CONTROL . 'a');
        $field->sendKeys($value);
        self::$browser->findElement(WebDriverBy::xpath("//button[contains(., '{$button}')]"))->click();
    }

    /** @return array{text: string, pages: int, size: array{float, float}} what the printer would get */
    private static function printed(string $name, bool $ownSize): array
    {
        $answer = self::$browser->executeCustomCommand(
            '/session/:sessionId/goog/cdp/execute',
            'POST',
            ['cmd' => 'Page.printToPDF', 'params' => ['preferCSSPageSize' => $ownSize, 'printBackground' => false]],
        );
        $file = sys_get_temp_dir() . "/vinculum-{$name}-" . getmypid() . '.pdf';
        file_put_contents($file, base64_decode((string) $answer['data']));
        $text = (string) shell_exec('pdftotext -layout ' . escapeshellarg($file) . ' - 2>/dev/null');
        $facts = (string) shell_exec('pdfinfo ' . escapeshellarg($file) . ' 2>/dev/null');
        unlink($file);
        preg_match('/Pages:\s+(\d+)/', $facts, $pages);
        preg_match('/Page size:\s+([\d.]+) x ([\d.]+)/', $facts, $size);

        return [
            'text' => $text,
            'pages' => (int) ($pages[1] ?? 0),
            'size' => [(float) ($size[1] ?? 0), (float) ($size[2] ?? 0)],
        ];
    }
}
