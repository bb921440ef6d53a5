#!/usr/bin/env php
<?php

declare(strict_types=1);

/*
 * From the scale to the screen: how long a weight takes from the moment the device shows it until the page does, in
 * headless Chromium against the real server and the stand-in scale.
 *
 * Run it with: php bench/scale.php    (after ./vinculum test, which installs what it needs)
 */

use Bench\Kitchen;

require dirname(__DIR__) . '/vendor/autoload.php';

const PORT = 8395;
const POURS = 25;

$kitchen = new Kitchen('scale', PORT);
$address = json_decode(
    (string) file_get_contents(Kitchen::root() . '/storage/servers/run-' . PORT . '/instruments.json'),
    true,
)['address'];
$device = stream_socket_client("tcp://{$address}");
assert(is_resource($device));
$ask = static function (array $what) use ($device): array {
    fwrite($device, json_encode($what) . "\n");

    return (array) json_decode((string) fgets($device), true);
};
$browser = $kitchen->browser(900, 900);
$late = [];
try {
    $browser->get($kitchen->address("/cook/{$kitchen->ask('POST', '/api/sauces/5/cooks', new stdClass())[1]['id']}"));
    sleep(3);
    // every weight the page paints, with the moment of the frame after it
    $browser->executeScript(
        'window.seen = []; const live = document.querySelector("[data-live]"); new MutationObserver(() => { const value = Number(live.dataset.live); requestAnimationFrame(() => setTimeout(() => window.seen.push([value, Date.now()]), 0)); }).observe(live, {attributes: true, attributeFilter: ["data-live"]});',
    );
    $total = 0.0;
    for ($pour = 0; $pour < POURS; ++$pour) {
        $ask(['do' => 'pour', 'grams' => 40, 'seconds' => 0.1]);
        $line = $total + 20.0;
        do {
            usleep(2_000);
            $shown = (float) $ask(['ask' => 'weight'])['grams'];
        } while ($shown < $line);
        $at = microtime(true) * 1000.0;
        usleep(900_000 + random_int(0, 200_000));
        $total += 40.0;
        $seen = array_values(
            array_filter(
                (array) $browser->executeScript('return window.seen'),
                static fn(array $one): bool => $one[0] >= $line && $one[1] >= $at - 50.0,
            ),
        );
        if ($seen !== []) {
            $late[] = max(0.0, $seen[0][1] - $at);
        }
    }
} finally {
    $kitchen->close();
}
sort($late);
printf(
    "Pours seen %d of %d; from device to screen: median %.0f ms, 95th percentile %.0f ms, longest %.0f ms (wanted: a median under 100 ms)\n",
    count($late),
    POURS,
    $late[intdiv(count($late), 2)],
    $late[(int) (0.95 * (count($late) - 1))],
    end($late),
);
