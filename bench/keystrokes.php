#!/usr/bin/env php
<?php

declare(strict_types=1);

/*
 * Keystroke to repainted bars: 100 edits of a 20-line sauce, one key at a time, in headless Chromium against the real
 * server on a kitchen of its own. Prints what the server took and the total apart, the most requests in flight at once,
 * how many questions were asked, and the size of the first load.
 *
 * Run it with: php bench/keystrokes.php    (after ./vinculum test, which installs what it needs)
 */

use Bench\KeystrokeTimes;
use Bench\Kitchen;

require dirname(__DIR__) . '/vendor/autoload.php';

const EDITS = 100;

$kitchen = new Kitchen('keystrokes', 8391, '--empty');
try {
    $found = KeystrokeTimes::on($kitchen, $kitchen->browser(1280, 939), EDITS);
} finally {
    $kitchen->close();
}
$loaded = $found->loaded;
[$median, $late] = [Kitchen::at($found->totals, 0.5), Kitchen::at($found->totals, 0.95)];
printf("%d edits of a %d-line sauce\n", count($found->totals), count(KeystrokeTimes::LINES));
printf(
    "  server, request to first byte   median %5.0f ms   95th percentile %5.0f ms\n",
    Kitchen::at($found->server, 0.5),
    Kitchen::at($found->server, 0.95),
);
printf(
    "  keystroke to repainted bars     median %5.0f ms   95th percentile %5.0f ms   (wanted: 60 and 120)\n",
    $median,
    $late,
);
printf("  requests in flight at once      at most %d\n", $found->inFlight());
printf("  ten keys in a burst asked       %d balances\n", $found->inBurst);
printf(
    "First load of the bench: %.0f kB of script, %.0f kB of style, %.0f kB of fonts (compressed; wanted: script under 240 kB)\n",
    $loaded['script'],
    $loaded['style'],
    $loaded['fonts'],
);
exit(count($found->totals) < EDITS || $median > 60.0 || $late > 120.0 || $loaded['script'] > 240.0 ? 1 : 0);
