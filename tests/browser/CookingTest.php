<?php

declare(strict_types=1);

namespace Tests\browser;

/** A demo sauce from its size to the weight of the pan, with the stand-in scale, its over-pour and its death. */
final class CookingTest extends BrowserTestCase
{
    protected static function startOptions(): array
    {
        return [];
    }

    public function test_a_demo_sauce_is_cooked_from_its_size_to_the_weight_of_the_pan(): void
    {
        self::resize(390, 844);
        self::open('/sauce/5');
        self::find('[data-batch]');
        self::tap('[data-choice="scale"]');
        self::find('[data-scale="to"]')->sendKeys('4 x 250 ml');
        self::tap('[data-cook-it]');
        self::until(static fn(): bool => str_contains(self::$browser->getCurrentURL(), '/cook/'), 'the cook begins');
        $batch = (int) basename(self::$browser->getCurrentURL());

        // the empty pan
        self::until(static fn(): bool => self::move() === 'pan-empty', 'the pan comes first');
        self::pourAndAccept('line');
        $pan = (float) self::sheet($batch)['pan']['empty_grams'];
        self::assertEqualsWithDelta(850.0, $pan, 2.0);

        // the first thing a quarter over its line: the rest is rebalanced so that it tastes as planned
        $planned = self::measures($batch);
        self::pourAndAccept('over');
        self::find('[data-rebalancing]');
        self::assertCount(3, self::findAll('[data-way]'));
        self::tap('[data-way="solved"]');
        self::until(static fn(): bool => self::findAll('[data-rebalancing]') === [], 'the choice is taken');
        $now = self::measures($batch);
        self::assertEqualsWithDelta(
            1.25 * $planned[0]['grams'],
            $now[0]['actual_grams'],
            0.02 * $planned[0]['grams'] + 1.0,
        );
        self::assertContains('changed to keep the balance', $now[1]['notes']);
        self::assertNotEqualsWithDelta($planned[1]['grams'], $now[1]['grams'], 1.0);

        while (self::move() === 'measure' && self::text('[data-move]') !== '') {
            self::pourAndAccept('line');
        }

        // two timers, and a reload in the middle of them
        self::assertSame('step', self::move());
        self::tap('[data-start-timer]');
        self::until(static fn(): bool => count(self::findAll('[data-timer]')) === 1, 'the first timer runs');
        $minutes = self::find('input[aria-label="Minutes"]');
        $minutes->clear();
        self::$browser->executeScript('arguments[0].select()', [$minutes]);
        $minutes->sendKeys('3');
        self::tap('[data-start-timer]');
        self::until(
            static fn(): bool => count(self::findAll('[data-timer]')) === 2
                && self::find('[data-waiting]')->getAttribute('data-waiting') === '0',
            'the second runs beside it',
        );
        $before = self::sheet($batch)['timers'];
        self::$browser->navigate()->refresh();
        self::until(static fn(): bool => count(self::findAll('[data-timer]')) === 2, 'both run on after the reload');
        self::assertSame($before, self::sheet($batch)['timers']);
        self::assertMatchesRegularExpression('/1[0-5]:\d\d/', self::text('[data-timer]'));
        self::assertSame('step', self::move(), 'and it is still the same move');
        self::tap('[data-done]');

        // the stand-in dies: the cook goes on by hand
        self::until(static fn(): bool => self::move() === 'pan-reads', 'the pan is weighed');
        $stop = (float) self::find('[data-stop-at]')->getAttribute('data-stop-at');
        self::assertEqualsWithDelta($pan + self::sheet($batch)['pan']['sauce_grams'], $stop, 0.5);
        self::find('[data-live]');
        posix_kill(self::standIn(), SIGSTOP);
        self::until(
            static fn(): bool => str_contains(self::text('main'), 'Go on by hand'),
            'the page says that the scale is silent',
        );
        self::find('input[aria-label="Grams by hand"]')->sendKeys((string) round($stop));
        self::tap('[data-accept]');
        self::until(static fn(): bool => self::move() === 'cool', 'it goes on');
        self::tap('[data-heat-off]');
        self::until(
            static fn(): bool => str_contains(self::text('[data-move]'), 'within'),
            'the watch over the cooling begins',
        );
        $degrees = self::find('input[aria-label="Degrees by hand"]');
        $degrees->sendKeys("82\n");
        self::until(
            static fn(): bool => str_contains(self::text('[data-cooling]'), '82'),
            'the temperature is written down',
        );

        $sheet = self::sheet($batch);
        self::assertEqualsWithDelta(round($stop) - $pan, $sheet['pan']['weighed_sauce_grams'], 0.5);
        self::assertSame(
            [$now[0]['actual_grams']],
            array_column(array_slice(self::measures($batch), 0, 1), 'actual_grams'),
            'what went in is in the batch',
        );
        self::assertContains('step-done', array_column($sheet['events'], 'kind'));
    }

    public function test_a_method_is_written_understood_and_set_by_hand(): void
    {
        self::resize(1280, 900);
        self::open('/sauce/4');
        self::find('[data-batch]');
        self::tap('[data-choice="method"]');
        $pan = self::find('input[aria-label="Pan"]');
        $pan->sendKeys('24 cm');
        $step = self::find('input[aria-label="Step 1"]');
        self::$browser->executeScript('arguments[0].select()', [$step]);
        $step->sendKeys('Simmer for an hour and a quarter');
        self::until(
            static fn(): bool => self::find('input[aria-label="Minutes of step 1"]')->getAttribute('value') === '75',
            'it is understood',
        );
        self::until(
            static fn(): bool => str_contains(self::text('[data-batch]'), 'finished'),
            'the bars show the finished sauce',
        );
        $before = self::text('[data-batch]');
        $minutes = self::find('input[aria-label="Minutes of step 1"]');
        self::$browser->executeScript('arguments[0].select()', [$minutes]);
        $minutes->sendKeys("20\n");
        self::until(
            static fn(): bool => str_contains(
                (string) self::find('input[aria-label="Step 1"]')->getAttribute('value'),
                '[20 min]',
            ),
            'what was set by hand stands in the step',
        );
        self::until(static fn(): bool => self::text('[data-batch]') !== $before, 'and less water leaves');
        $finished = self::text('[data-axis="salt"]');
        self::tap('[data-as-mixed]');
        self::until(
            static fn(): bool => self::text('[data-axis="salt"]') !== $finished,
            'the bars show where it stood before',
        );
        self::untilSaved();
        self::$browser->navigate()->refresh();
        self::tap('[data-choice="method"]');
        self::until(
            static fn(): bool => self::find('input[aria-label="Minutes of step 1"]')->getAttribute('value') === '20',
            'it is kept',
        );
    }

    /** A page as it is found, made fit for the stove, and cooked to the jars by who has no scale, the server gone half way. */
    public function test_a_page_is_cooked_by_hand_without_a_scale_while_the_server_goes(): void
    {
        self::resize(1280, 900);
        self::open('/');
        $sauce = self::sent('PUT', '/api/kitchen', ['has_scale' => false]) === null ? 0 : self::sent('POST', '/api/sauces/written', [
            'text' => "Red onion and fig jam\n\nIngredients\n1 kg red onions, sliced\n3 tbsp olive oil\n150 ml port\n"
                . "100 ml red wine vinegar\n120 g soft brown sugar\n2 bay leaves\n1 star anise\n1 tsp salt\n\nMethod\n"
                . "Sweat the onions in the oil for 30 minutes, lid on.\n"
                . "Add everything else and simmer uncovered for 35 minutes until sticky.\n"
                . "Fish out the spices, then jar. Makes 3 jars. Keeps 3 months in the fridge.\n",
        ])['id'];

        // the jars' size is asked for where they stand, and a thing is given another step by hand
        self::open("/sauce/{$sauce}");
        self::find('[data-jar-size="3"] input')->sendKeys('250 ml');
        self::find('[data-jar-size="3"] button')->click();
        self::until(static fn(): bool => self::findAll('[data-jar-size]') === [], 'the size is taken');
        self::until(static fn(): bool => str_contains(self::text('[data-batch]'), '750 ml finished'), 'and is the yield');
        self::tap('[data-choice="method"]');
        self::until(static fn(): bool => str_contains(self::text('[data-line]'), 'step 1'), 'the lines say their steps');
        self::find('#panel [aria-expanded="false"]')->click();
        self::choose('[data-link="8"] select', '1. Sweat the onions in the oil for 30 minutes, lid on.');
        self::until(
            static fn(): bool => str_contains(
                (string) self::find('input[aria-label="Step 1"]')->getAttribute('value'),
                '[with salt]',
            ),
            'it stands in the step',
        );
        self::until(
            static fn(): bool => str_contains(self::text('[data-line]:nth-of-type(8)'), 'step 1'),
            'and the line says so',
        );
        self::untilSaved();

        self::resize(390, 844);
        self::open("/sauce/{$sauce}/cook");
        self::until(static fn(): bool => str_contains(self::text('section[aria-label="What it takes"]'), 'cup'), 'in cups');
        self::assertDoesNotMatchRegularExpression('/\d (?:g|kg)\b/', self::text('section[aria-label="What it takes"]'));
        self::find('form button[type="submit"]')->click();
        self::until(static fn(): bool => str_contains(self::$browser->getCurrentURL(), '/cook/'), 'the cook begins');
        $batch = (int) basename(self::$browser->getCurrentURL());
        $done = 0;
        while (self::move() !== 'fill') {
            self::assertLessThan(40, $done, 'it comes to its end');
            $at = self::text('[aria-expanded]');
            self::assertDoesNotMatchRegularExpression('/\d (?:g|kg)\b/', self::text('[data-move]'));
            // what asks for an instrument is passed over
            $isMine = in_array(self::move(), ['measure', 'step'], true);
            $isMine ? self::tap(self::move() === 'measure' ? '[data-accept]' : '[data-done]') : self::skip();
            self::until(static fn(): bool => self::text('[aria-expanded]') !== $at, 'the next move comes');
            ++$done;
            match ($done) {
                3 => self::stopServer(),
                7 => self::startServer(),
                default => null,
            };
        }
        self::tap('[data-finish]');
        $sheet = self::sheet($batch);
        $kinds = array_count_values(array_column($sheet['events'], 'kind'));
        self::assertSame([8, 3], [$kinds['measured'], $kinds['step-done']], 'each once, those of the time without a server too');
        self::assertStringContainsString('750 ml', self::text('[data-move]'));
        self::sent('PUT', '/api/kitchen', ['has_scale' => true]);
    }

    private static function skip(): void
    {
        self::$browser->executeScript(
            '[...document.querySelectorAll("button")].find((button) => button.textContent === "Skip").click()',
        );
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return array<string, mixed>|null
     */
    private static function sent(string $method, string $path, array $body): ?array
    {
        $answer = self::$browser->executeAsyncScript(<<<'JS'
            const [method, path, body, done] = arguments;
            fetch(path, {method, headers: {'Content-Type': 'application/json'}, body: JSON.stringify(body)})
                .then((answer) => answer.json()).then(done, () => done(null));
            JS, [$method, $path, $body]);

        return is_array($answer) ? $answer : null;
    }

    private static function pourAndAccept(string $how): void
    {
        $at = self::text('[aria-expanded]');
        self::tap("[data-pour=\"{$how}\"]");
        usleep(1_500_000);
        self::until(
            static fn(): bool => self::find('[data-live]')->getAttribute('data-settled') === 'true'
                && (float) self::find('[data-live]')->getAttribute('data-live') > 0.0
                || self::find('[data-live]')->getAttribute('data-live') === '0'
                && self::isATrace(),
            'the scale comes to rest',
        );
        self::tap('[data-accept]');
        self::until(static fn(): bool => self::text('[aria-expanded]') !== $at, 'the next move comes');
    }

    /** Less than the scale can show. */
    private static function isATrace(): bool
    {
        return preg_match('/put on 0\.\d/', self::text('[data-pour="line"]')) === 1;
    }

    private static function move(): string
    {
        return (string) self::find('[data-move]')->getAttribute('data-move');
    }

    /** @return array<string, mixed> */
    private static function sheet(int $batch): array
    {
        self::until(
            static fn(): bool => self::find('[data-waiting]')->getAttribute('data-waiting') === '0',
            'what happened is sent',
        );
        $found = self::$browser->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; fetch(`/api/batches/${arguments[0]}/cook`).then((answer) => answer.json()).then(done);',
            [$batch],
        );
        self::assertIsArray($found);

        return $found;
    }

    /** @return list<array<string, mixed>> what is to be measured, in order */
    private static function measures(int $batch): array
    {
        return array_values(array_filter(array_column(self::sheet($batch)['moves'], 'measure')));
    }

    private static function standIn(): int
    {
        $file = sprintf(
            '%s/storage/servers/run-%d/instruments.json',
            dirname(__DIR__, 2),
            parse_url(self::$browser->getCurrentURL(), PHP_URL_PORT),
        );

        return (int) json_decode((string) file_get_contents($file), true)['process'];
    }
}
