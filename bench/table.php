#!/usr/bin/env php
<?php

declare(strict_types=1);

/*
 * One table of what is slow or quick, each against a reference of the same run, so that the ratios travel between
 * machines:
 * a bare Laravel skeleton of one route on the same servers, an empty page of the same libraries, and an independent optimiser.
 *
 * Run it with: php bench/table.php    (after ./vinculum test, which installs what it needs)
 */

use Bench\KeystrokeTimes;
use Bench\Kitchen;
use Bench\OptimiserTimes;
use Bench\Skeleton;

require dirname(__DIR__) . '/vendor/autoload.php';

const LINES = KeystrokeTimes::LINES;

$kitchen = new Kitchen('table', 8393);
$skeleton = new Skeleton(8391);
$line = static function (string $what, float $milliseconds, float $against, string $unit): void {
    printf("%-46s %9.1f ms   %7.2f × %s\n", $what, $milliseconds, $milliseconds / $against, $unit);
};
$median = static fn(int $rounds, callable $work): float => Kitchen::at(
    array_map(static fn(): float => $work(), range(1, $rounds)),
    0.5,
);
$ask = static function (string $method, string $path, mixed $body = null) use ($kitchen): float {
    [$status, , $took] = $kitchen->ask($method, $path, $body);

    return $status >= 200 && $status < 300 ? $took : NAN;
};
try {
    $formula = ['style' => 'tomato-barbecue', 'lines' => LINES];
    $first = $ask('POST', '/api/balance', $formula);
    // in turn, so that both meet the same machine
    [$bare, $own] = [[], []];
    for ($round = 0; $round < 61; ++$round) {
        $bare[] = $skeleton->ask();
        $own[] = $ask('GET', '/api/idle');
    }
    $idle = Kitchen::at($bare, 0.5);
    $line('the first request after a restart, a balance of 20 lines', $first, $idle, 'the skeleton');
    $line('a bare skeleton, its one route', $idle, $idle, 'itself');
    $line('our route that does nothing', Kitchen::at($own, 0.5), $idle, 'the skeleton');
    $line('start, database and demo kitchen made', $kitchen->readyAfter, $idle, 'the skeleton');
    $line(
        'balance, 20 lines',
        $median(41, static fn(): float => $ask('POST', '/api/balance', $formula)),
        $idle,
        'the skeleton',
    );
    $line(
        'advise, 20 lines',
        $median(15, static fn(): float => $ask('POST', '/api/advise', $formula)),
        $idle,
        'the skeleton',
    );
    $line(
        'scale, 20 lines',
        $median(15, static fn(): float => $ask('POST', '/api/scale', [...$formula, 'to' => '6 x 250 ml'])),
        $idle,
        'the skeleton',
    );
    $line(
        'swap a line',
        $median(9, static fn(): float => $ask('POST', '/api/swap', [...$formula, 'line' => 3])),
        $idle,
        'the skeleton',
    );
    $line('keep', $median(15, static fn(): float => $ask('POST', '/api/keep', $formula)), $idle, 'the skeleton');
    $recipes = implode(
        "\n",
        array_map(
            static fn(int $number): string => "# Import {$number}\n" . implode(
                "\n",
                array_slice(LINES, 0, 8),
            ) . "\n{$number} g water\n",
            range(1, 500),
        ),
    );
    $line(
        'take in 500 recipes of nine lines',
        $ask('POST', '/api/imports', ['contents' => $recipes]),
        $idle,
        'the skeleton',
    );
    $search = OptimiserTimes::on(20);
    $line('an independent optimiser, one batch', $search->theirs, $search->theirs, 'itself');
    $line('our search for corrections, the same batch', $search->ours, $search->theirs, 'the optimiser');

    $browser = $kitchen->browser(1280, 939);
    // the page of no sauce loads the same libraries and shows next to nothing
    $usable = static function (string $path, string $selector) use ($browser, $kitchen): float {
        $browser->get($kitchen->address($path));
        for ($wait = 0; $wait < 400; ++$wait) {
            $at = $browser->executeScript(
                'return document.querySelector(arguments[0]) === null ? null : performance.now()',
                [$selector],
            );
            if ($at !== null) {
                return (float) $at;
            }
            usleep(5_000);
        }

        return NAN;
    };
    // the first visit: what is loaded then is kept, and no longer counted
    $first = $usable('/sauce/8', '[data-axis="heat"]');
    usleep(500_000);
    $bytes = $kitchen->loaded();
    $usable('/nowhere', 'h1');
    $empty = $median(7, static fn(): float => $usable('/nowhere', 'h1'));
    $line('an empty page of the same libraries, usable', $empty, $empty, 'itself');
    $line('the shelf, usable', $median(7, static fn(): float => $usable('/', 'h2#shelf')), $empty, 'the empty page');
    $line(
        'the bench, usable',
        $median(7, static fn(): float => $usable('/sauce/8', '[data-axis="heat"]')),
        $empty,
        'the empty page',
    );
    $line('the bench at the very first visit, usable', $first, $empty, 'the empty page');
    $keys = KeystrokeTimes::on($kitchen, $browser, 60);
    $line('keystroke to repainted bars', Kitchen::at($keys->totals, 0.5), $idle, 'the skeleton');
    $line('keystroke to repainted bars, 95th percentile', Kitchen::at($keys->totals, 0.95), $idle, 'the skeleton');
    printf(
        "the bench loads %.0f kB of script, %.0f kB of style, %.0f kB of fonts, compressed\n",
        $bytes['script'],
        $bytes['style'],
        $bytes['fonts'],
    );
} finally {
    $skeleton->close();
    $kitchen->close();
}
