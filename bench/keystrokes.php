<?php

declare(strict_types=1);

/*
 * Keystroke to repainted bars: 100 edits of a 20-line sauce, one key at a time, in headless Chromium against the real
 * server on a kitchen of its own. Prints what the server took and the total apart, the most requests in flight at once,
 * how many questions were asked, and the size of the first load.
 *
 * Run it with: php bench/keystrokes.php    (after ./vinculum test, which installs what it needs)
 */

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;

require dirname(__DIR__) . '/vendor/autoload.php';

const EDITS = 100;
const PORT = 8391;
const DRIVER = 8392;
const SAUCE = ['1 400 g tin chopped tomatoes', '250 g ketchup', '80 ml cider vinegar', '100 g light brown sugar', '2 tbsp Worcestershire sauce', '1 tbsp molasses', '2 tsp smoked paprika', '1 tsp mustard powder', '3 cloves garlic', '1 small onion', '1½ tsp salt', 'a pinch of cayenne', '1 tbsp soy sauce', '2 tbsp tomato paste', '1 tsp ground cumin', '½ tsp black pepper', '1 tbsp olive oil', '100 ml water', '1 tsp liquid smoke', 'juice of half a lemon'];

$database = sys_get_temp_dir() . '/vinculum-bench-' . getmypid() . '.sqlite';
$profile = "{$database}-profile";
$root = dirname(__DIR__);
$quiet = [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']];
$server = proc_open(["{$root}/vinculum", 'start', '--no-build', '--empty', '--port', (string) PORT], $quiet, $pipes, $root, ['VINCULUM_DATABASE' => $database, 'PATH' => (string) getenv('PATH'), 'HOME' => (string) getenv('HOME')]);
$driver = proc_open(['chromedriver', '--port=' . DRIVER, '--silent'], $quiet, $pipes);
assert(is_resource($server) && is_resource($driver));
$answers = static fn(int $port, string $path): bool => @file_get_contents("http://127.0.0.1:{$port}{$path}", false, stream_context_create(['http' => ['timeout' => 1]])) !== false;
for ($wait = 0; $wait < 300 && !($answers(PORT, '/api/idle') && $answers(DRIVER, '/status')); ++$wait) {
    usleep(100_000);
}
$options = (new ChromeOptions())->addArguments(['--headless=new', '--no-sandbox', '--disable-gpu', '--window-size=1280,939', "--user-data-dir={$profile}"]);
$browser = RemoteWebDriver::create('http://127.0.0.1:' . DRIVER, DesiredCapabilities::chrome()->setCapability(ChromeOptions::CAPABILITY, $options));
$browser->manage()->timeouts()->setScriptTimeout(10);

try {
    $created = file_get_contents('http://127.0.0.1:' . PORT . '/api/sauces', false, stream_context_create(['http' => ['method' => 'POST', 'header' => "Content-Type: application/json\r\n", 'content' => json_encode(['title' => 'Twenty lines', 'style' => 'tomato-barbecue', 'measures' => 'metric', 'lines' => SAUCE], JSON_THROW_ON_ERROR)]]));
    $id = json_decode((string) $created, true, 512, JSON_THROW_ON_ERROR)['id'];
    $browser->get('http://127.0.0.1:' . PORT . "/sauce/{$id}");
    for ($wait = 0; $wait < 100 && $browser->findElements(WebDriverBy::cssSelector('[data-axis="heat"]')) === []; ++$wait) {
        usleep(100_000);
    }
    sleep(1);
    $loaded = $browser->executeScript('const all = performance.getEntriesByType("resource"); const sum = (kind) => all.filter((one) => one.name.includes(kind)).reduce((total, one) => total + one.encodedBodySize, 0); return {script: sum(".js"), style: sum(".css"), fonts: sum(".woff2"), ready: performance.getEntriesByType("navigation")[0].domInteractive};');
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
    $press = static function (string $key) use ($browser): void {
        $browser->executeCustomCommand('/session/:sessionId/actions', 'POST', ['actions' => [['type' => 'key', 'id' => 'keyboard', 'actions' => [['type' => 'keyDown', 'value' => $key], ['type' => 'keyUp', 'value' => $key]]]]]);
    };
    for ($edit = 0; $edit < EDITS; ++$edit) {
        $press($edit % 2 === 0 ? '5' : "\u{E003}");
        // one question to the browser, so that asking does not slow it down
        $browser->executeAsyncScript('const done = arguments[1]; const look = () => window.edits.length > arguments[0] ? done(true) : setTimeout(look, 20); setTimeout(look, 100)', [$edit]);
    }
    /** @var list<float> $totals */
    $totals = $browser->executeScript('return window.edits');
    /** @var list<array{string, float, float, float}> $requests */
    $requests = $browser->executeScript('return performance.getEntriesByType("resource").filter((one) => one.name.includes("/api/")).map((one) => [one.name.replace(/.*\/api\//, ""), one.requestStart, one.responseStart, one.responseEnd])');
    // typing at full speed: keys pressed without waiting for anything
    $before = count($requests);
    $burst = [];
    foreach (str_split('1234567890') as $digit) {
        array_push($burst, ['type' => 'keyDown', 'value' => $digit], ['type' => 'keyUp', 'value' => $digit], ['type' => 'pause', 'duration' => 15]);
    }
    $browser->executeCustomCommand('/session/:sessionId/actions', 'POST', ['actions' => [['type' => 'key', 'id' => 'keyboard', 'actions' => $burst]]]);
    sleep(1);
    /** @var list<array{string, float, float, float}> $all */
    $all = $browser->executeScript('return performance.getEntriesByType("resource").filter((one) => one.name.includes("/api/")).map((one) => [one.name.replace(/.*\/api\//, ""), one.requestStart, one.responseStart, one.responseEnd])');
} finally {
    $browser->quit();
    foreach ([$server, $driver] as $process) {
        proc_terminate($process, SIGTERM);
        proc_close($process);
    }
    array_map(unlink(...), glob("{$database}{,-wal,-shm,-journal}", GLOB_BRACE) ?: []);
    exec('rm -rf ' . escapeshellarg($profile));
}

$at = static function (array $times, float $share): float {
    sort($times);

    return $times === [] ? NAN : $times[(int) min(count($times) - 1, floor($share * count($times)))];
};
$inFlight = static function (array $requests): int {
    $most = 0;
    foreach ($requests as [, $start]) {
        $most = max($most, count(array_filter($requests, static fn(array $one): bool => $one[1] <= $start && $one[3] > $start)));
    }

    return $most;
};
$server = array_map(static fn(array $one): float => $one[2] - $one[1], array_values(array_filter($requests, static fn(array $one): bool => $one[0] === 'balance')));
printf("%d edits of a %d-line sauce\n", count($totals), count(SAUCE));
printf("  server, request to first byte   median %5.0f ms   95th percentile %5.0f ms\n", $at($server, 0.5), $at($server, 0.95));
printf("  keystroke to repainted bars     median %5.0f ms   95th percentile %5.0f ms   (wanted: 100 and 250)\n", $at($totals, 0.5), $at($totals, 0.95));
printf("  requests in flight at once      at most %d\n", $inFlight($all));
printf("  ten keys in a burst asked       %d balances\n", count(array_filter(array_slice($all, $before), static fn(array $one): bool => $one[0] === 'balance')));
printf("First load of the bench: %.0f kB of script, %.0f kB of style, %.0f kB of fonts (compressed; wanted: script under 300 kB)\n", $loaded['script'] / 1000, $loaded['style'] / 1000, $loaded['fonts'] / 1000);
exit(count($totals) < EDITS || $at($totals, 0.5) > 100.0 || $at($totals, 0.95) > 250.0 || $loaded['script'] > 300_000 ? 1 : 0);
