#!/usr/bin/env php
<?php

declare(strict_types=1);

/*
 * One table of what is slow or quick, each against a reference of the same run, so that the ratios travel between machines:
 * a route that does nothing, and an empty page of the same libraries.
 *
 * Run it with: php bench/table.php    (after ./vinculum test, which installs what it needs)
 */

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;

require dirname(__DIR__) . '/vendor/autoload.php';

const PORT = 8393;
const DRIVER = 8394;
const LINES = ['400 g tinned tomatoes', '250 g ketchup', '80 ml cider vinegar', '100 g light brown sugar', '2 tbsp Worcestershire sauce', '1 tbsp molasses', '2 tsp smoked paprika', '1 tsp mustard powder', '3 cloves garlic', '1 small onion', '1½ tsp salt', 'a pinch of cayenne', '1 tbsp soy sauce', '2 tbsp tomato paste', '1 tsp ground cumin', '½ tsp black pepper', '1 tbsp olive oil', '100 ml water', '1 tsp liquid smoke', 'juice of half a lemon'];

$root = dirname(__DIR__);
$database = sys_get_temp_dir() . '/vinculum-bench-table-' . getmypid() . '.sqlite';
$quiet = [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']];
$curl = curl_init();
$ask = static function (string $method, string $path, mixed $body = null) use ($curl): float {
    curl_setopt_array($curl, [CURLOPT_URL => 'http://127.0.0.1:' . PORT . $path, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 60, CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', 'Expect:'], CURLOPT_POSTFIELDS => $body === null ? null : json_encode($body)]);
    $start = hrtime(true);
    curl_exec($curl);
    $took = (hrtime(true) - $start) / 1e6;

    $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);

    return $status >= 200 && $status < 300 ? $took : NAN;
};
$median = static function (callable $work, int $rounds): float {
    $times = array_map(static fn(): float => $work(), range(1, $rounds));
    sort($times);

    return $times[intdiv($rounds, 2)];
};
$start = hrtime(true);
$server = proc_open(["{$root}/vinculum", 'start', '--no-build', '--port', (string) PORT], $quiet, $pipes, $root, ['VINCULUM_DATABASE' => $database, 'PATH' => (string) getenv('PATH'), 'HOME' => (string) getenv('HOME')]);
$driver = proc_open(['chromedriver', '--port=' . DRIVER, '--silent'], $quiet, $pipes);
assert(is_resource($server) && is_resource($driver));
for ($wait = 0; $wait < 1000 && is_nan($ask('GET', '/api/idle')); ++$wait) {
    usleep(10_000);
}
$ready = (hrtime(true) - $start) / 1e6;
$formula = ['style' => 'tomato-barbecue', 'lines' => LINES];
$idle = $median(static fn(): float => $ask('GET', '/api/idle'), 41);
$line = static function (string $what, float $milliseconds, float $against, string $unit): void {
    printf("%-44s %9.1f ms   %7.1f × %s\n", $what, $milliseconds, $milliseconds / $against, $unit);
};
$line('a route that does nothing', $idle, $idle, 'itself');
$line('start, database and demo kitchen made', $ready, $idle, 'nothing');
$line('balance, 20 lines', $median(static fn(): float => $ask('POST', '/api/balance', $formula), 41), $idle, 'nothing');
$line('advise, 20 lines', $median(static fn(): float => $ask('POST', '/api/advise', $formula), 15), $idle, 'nothing');
$line('scale, 20 lines', $median(static fn(): float => $ask('POST', '/api/scale', [...$formula, 'to' => '6 x 250 ml']), 15), $idle, 'nothing');
$line('swap a line', $median(static fn(): float => $ask('POST', '/api/swap', [...$formula, 'line' => 3]), 9), $idle, 'nothing');
$line('keep', $median(static fn(): float => $ask('POST', '/api/keep', $formula), 15), $idle, 'nothing');
$recipes = implode("\n", array_map(static fn(int $number): string => "# Import {$number}\n" . implode("\n", array_slice(LINES, 0, 8)) . "\n{$number} g water\n", range(1, 500)));
$line('take in 500 recipes of nine lines', $ask('POST', '/api/imports', ['contents' => $recipes]), $idle, 'nothing');
for ($wait = 0; $wait < 100 && @file_get_contents('http://127.0.0.1:' . DRIVER . '/status', false, stream_context_create(['http' => ['timeout' => 1]])) === false; ++$wait) {
    usleep(100_000);
}
$options = (new ChromeOptions())->addArguments(['--headless=new', '--no-sandbox', '--disable-gpu', '--window-size=1280,900', "--user-data-dir={$database}-profile"]);
$browser = RemoteWebDriver::create('http://127.0.0.1:' . DRIVER, DesiredCapabilities::chrome()->setCapability(ChromeOptions::CAPABILITY, $options));
try {
    // the page of no sauce loads the same libraries and shows next to nothing
    $usable = static function (string $path, string $selector) use ($browser): float {
        $browser->get('http://127.0.0.1:' . PORT . $path);
        for ($wait = 0; $wait < 400; ++$wait) {
            $at = $browser->executeScript('return document.querySelector(arguments[0]) === null ? null : performance.now()', [$selector]);
            if ($at !== null) {
                return (float) $at;
            }
            usleep(5_000);
        }

        return NAN;
    };
    $usable('/nowhere', 'h1');
    $empty = $median(static fn(): float => $usable('/nowhere', 'h1'), 7);
    $line('an empty page of the same libraries, usable', $empty, $empty, 'itself');
    $line('the shelf, usable', $median(static fn(): float => $usable('/', 'h2#shelf'), 7), $empty, 'the empty page');
    $line('the bench, usable', $median(static fn(): float => $usable('/sauce/8', '[data-axis="heat"]'), 7), $empty, 'the empty page');
    /** @var array{script: float, style: float, fonts: float} $bytes */
    $bytes = $browser->executeScript('const all = performance.getEntriesByType("resource"); const sum = (kind) => all.filter((one) => one.name.includes(kind)).reduce((total, one) => total + one.encodedBodySize, 0); return {script: sum(".js"), style: sum(".css"), fonts: sum(".woff2")};');
    printf("the bench loads %.0f kB of script, %.0f kB of style, %.0f kB of fonts, compressed\n", $bytes['script'] / 1000, $bytes['style'] / 1000, $bytes['fonts'] / 1000);
} finally {
    $browser->quit();
    foreach ([$server, $driver] as $process) {
        proc_terminate($process);
        proc_close($process);
    }
    array_map(unlink(...), glob("{$database}{,-wal,-shm}", GLOB_BRACE) ?: []);
    exec('rm -rf ' . escapeshellarg("{$database}-profile") . ' ' . escapeshellarg(substr($database, 0, -7) . '-copies'));
}
echo "keystroke to bars: php bench/keystrokes.php; searches against an independent optimiser: php bench/core.php\n";
