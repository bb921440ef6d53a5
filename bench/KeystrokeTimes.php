<?php

declare(strict_types=1);

namespace Bench;

use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;

/** Edits of a 20-line sauce, one key at a time, from the key to the repainted bars. */
final readonly class KeystrokeTimes
{
    public const LINES = [
        '1 400 g tin chopped tomatoes',
        '250 g ketchup',
        '80 ml cider vinegar',
        '100 g light brown sugar',
        '2 tbsp Worcestershire sauce',
        '1 tbsp molasses',
        '2 tsp smoked paprika',
        '1 tsp mustard powder',
        '3 cloves garlic',
        '1 small onion',
        '1½ tsp salt',
        'a pinch of cayenne',
        '1 tbsp soy sauce',
        '2 tbsp tomato paste',
        '1 tsp ground cumin',
        '½ tsp black pepper',
        '1 tbsp olive oil',
        '100 ml water',
        '1 tsp liquid smoke',
        'juice of half a lemon',
    ];
    private const REQUESTS = 'return performance.getEntriesByType("resource").filter((one) => one.name.includes("/api/")).map((one) => [one.name.replace(/.*\/api\//, ""), one.requestStart, one.responseStart, one.responseEnd])';
    private const BACKSPACE = "\u{E003}";

    /**
     * @param list<float> $totals milliseconds of each edit
     * @param list<float> $server milliseconds to the first byte of each balance
     * @param list<array{string, float, float, float}> $requests address, sent, first byte, last byte
     * @param int $inBurst balances asked for by ten keys at full speed
     * @param array{script: float, style: float, fonts: float} $loaded kilobytes before the first key
     */
    private function __construct(
        public array $totals,
        public array $server,
        public array $requests,
        public int $inBurst,
        public array $loaded,
    ) {}

    public static function on(Kitchen $kitchen, RemoteWebDriver $browser, int $edits): self
    {
        $id = $kitchen->ask(
            'POST',
            '/api/sauces',
            ['title' => 'Twenty lines', 'style' => 'tomato-barbecue', 'measures' => 'metric', 'lines' => self::LINES],
        )[1]['id'];
        $browser->get($kitchen->address("/sauce/{$id}"));
        for ($wait = 0; $wait < 100 && $browser->findElements(
            WebDriverBy::cssSelector('[data-axis="heat"]'),
        ) === []; ++$wait) {
            usleep(100_000);
        }
        sleep(1);
        $loaded = $kitchen->loaded();
        // a key is pressed, and the bars are repainted when the frame after their change has been shown
        $browser->executeScript(<<<'JS'
            performance.clearResourceTimings();
            performance.setResourceTimingBufferSize(5000);
            window.edits = [];
            let pressed = 0;
            window.addEventListener('keydown', () => { pressed = performance.now(); }, true);
            new MutationObserver(() => {
                const from = pressed;
                pressed = 0;
                if (from > 0) requestAnimationFrame(() => setTimeout(() => window.edits.push(performance.now() - from), 0));
            }).observe(document.querySelector('section[aria-label="Balance"]'), {subtree: true, attributes: true, attributeFilter: ['data-steps']});
            JS);
        $field = $browser->findElement(WebDriverBy::cssSelector('input[aria-label="Line 2"]'));
        $field->click();
        $browser->executeScript('arguments[0].setSelectionRange(3, 3)', [$field]);
        for ($edit = 0; $edit < $edits; ++$edit) {
            self::press($browser, $edit % 2 === 0 ? '5' : self::BACKSPACE);
            // one question to the browser, so that asking does not slow it down
            $browser->executeAsyncScript(
                'const done = arguments[1]; const look = () => window.edits.length > arguments[0] ? done(true) : setTimeout(look, 20); setTimeout(look, 100)',
                [$edit],
            );
        }
        /** @var list<float> $totals */
        $totals = $browser->executeScript('return window.edits');
        /** @var list<array{string, float, float, float}> $before */
        $before = $browser->executeScript(self::REQUESTS);
        // typing at full speed: keys pressed without waiting for anything
        self::press($browser, ...str_split('1234567890'));
        sleep(1);
        /** @var list<array{string, float, float, float}> $all */
        $all = $browser->executeScript(self::REQUESTS);
        $server = array_map(
            static fn(array $one): float => $one[2] - $one[1],
            array_values(array_filter($before, self::isBalance(...))),
            $loaded,
        );

        return new self(
            $totals,
            $server,
            $all,
            count(array_filter(array_slice($all, count($before)), self::isBalance(...))),
            $loaded,
        );
    }

    /** The most requests that were on their way at once. */
    public function inFlight(): int
    {
        $most = 0;
        foreach ($this->requests as [, $start]) {
            $most = max(
                $most,
                count(
                    array_filter($this->requests, static fn(array $one): bool => $one[1] <= $start && $one[3] > $start),
                ),
            );
        }

        return $most;
    }

    /** @param array{string, float, float, float} $request */
    private static function isBalance(array $request): bool
    {
        return $request[0] === 'balance';
    }

    private static function press(RemoteWebDriver $browser, string ...$keys): void
    {
        $strokes = [];
        foreach ($keys as $key) {
            array_push(
                $strokes,
                ['type' => 'keyDown', 'value' => $key],
                ['type' => 'keyUp', 'value' => $key],
                ['type' => 'pause', 'duration' => 15],
            );
        }
        $browser->executeCustomCommand(
            '/session/:sessionId/actions',
            'POST',
            ['actions' => [['type' => 'key', 'id' => 'keyboard', 'actions' => $strokes]]],
        );
    }
}
