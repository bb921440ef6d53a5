#!/usr/bin/env php
<?php

declare(strict_types=1);

/*
 * Eight clients at once for a minute, each editing a sauce of its own, tasting a batch, taking in a recipe and asking
 * for
 * balances as fast as it is answered. Counts answers of 500 and more and updates that were lost, and prints the
 * balance's 95th
 * percentile against its lone median.
 *
 * Run it with: php bench/load.php [seconds]    (after ./vinculum start once, which installs what it needs)
 */

use Bench\Kitchen;

require dirname(__DIR__) . '/vendor/autoload.php';

const PORT = 8398;
const CLIENTS = 8;
const LINES = [
    '400 g tinned tomatoes',
    '80 ml cider vinegar',
    '100 g light brown sugar',
    '2 tbsp Worcestershire sauce',
    '1 tbsp molasses',
    '2 tsp smoked paprika',
    '3 cloves garlic',
    '1 onion',
    '1½ tsp salt',
    'a pinch of cayenne',
    '1 tbsp soy sauce',
    '2 tbsp tomato paste',
];

if (($argv[1] ?? '') === 'client') {
    $curl = curl_init();
    [$end, $client, $faults, $lost, $times, $counts] = [
        microtime(true) + (float) $argv[2],
        $argv[3],
        0,
        0,
        [],
        ['edit' => 0, 'balance' => 0, 'taste' => 0, 'import' => 0],
    ];
    $style = 'tomato-barbecue';
    [$status, $sauce] = Kitchen::askAt(
        $curl,
        PORT,
        'POST',
        '/api/sauces',
        ['title' => "Client {$client}", 'style' => $style, 'lines' => LINES],
    );
    [, $batch] = Kitchen::askAt($curl, PORT, 'POST', "/api/sauces/{$sauce['id']}/batches", []);
    $revision = $sauce['revision'];
    for ($round = 1; microtime(true) < $end; ++$round) {
        $lines = [...LINES, "{$round} g honey"];
        [$status, $answer] = Kitchen::askAt(
            $curl,
            PORT,
            'PUT',
            "/api/sauces/{$sauce['id']}",
            [
                'title' => "Client {$client}",
                'style' => $style,
                'measures' => 'us',
                'yield' => null,
                'revision' => $revision,
                'lines' => $lines,
            ],
        );
        $faults += $status >= 500 || $status === 0 ? 1 : 0;
        $revision = $answer['revision'] ?? $revision;
        ++$counts['edit'];
        for ($balance = 0; $balance < 3; ++$balance) {
            [$status, , $took] = Kitchen::askAt(
                $curl,
                PORT,
                'POST',
                '/api/balance',
                ['style' => $style, 'lines' => $lines],
            );
            $faults += $status >= 500 || $status === 0 ? 1 : 0;
            $times[] = $took;
            ++$counts['balance'];
        }
        [$status] = Kitchen::askAt(
            $curl,
            PORT,
            'POST',
            "/api/batches/{$batch['id']}/tastings",
            ['scores' => ['sour' => 1]],
        );
        $faults += $status >= 500 || $status === 0 ? 1 : 0;
        ++$counts['taste'];
        if ($round % 5 === 0) {
            [$status] = Kitchen::askAt(
                $curl,
                PORT,
                'POST',
                '/api/imports',
                ['contents' => "# Import {$client} {$round}\n100 g ketchup\n10 g salt\n"],
            );
            $faults += $status >= 500 || $status === 0 ? 1 : 0;
            ++$counts['import'];
        }
        [, $found] = Kitchen::askAt($curl, PORT, 'GET', "/api/sauces/{$sauce['id']}");
        $lost += end($found['lines']) !== "{$round} g honey" ? 1 : 0;
    }
    [, $kept] = Kitchen::askAt($curl, PORT, 'GET', "/api/batches/{$batch['id']}");
    $lost += max(0, $counts['taste'] - (int) ($kept['tasting_count'] ?? 0));
    echo json_encode(['faults' => $faults, 'lost' => $lost, 'times' => $times, 'counts' => $counts]);
    exit(0);
}

$seconds = (float) ($argv[1] ?? 60);
$kitchen = new Kitchen('load', PORT, '--empty');
$lone = [];
for ($round = 0; $round < 60; ++$round) {
    $lone[] = $kitchen->ask('POST', '/api/balance', ['style' => 'tomato-barbecue', 'lines' => LINES])[2];
}
$clients = [];
for ($client = 1; $client <= CLIENTS; ++$client) {
    $process = proc_open(
        ['php', __FILE__, 'client', (string) $seconds, (string) $client],
        [['file', '/dev/null', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']],
        $out,
    );
    assert(is_resource($process));
    $clients[] = [$process, $out[1]];
}
[$faults, $lost, $times, $counts] = [0, 0, [], []];
foreach ($clients as [$process, $out]) {
    $said = (array) json_decode((string) stream_get_contents($out), true);
    proc_close($process);
    $faults += $said['faults'] ?? 1000;
    $lost += $said['lost'] ?? 1000;
    array_push($times, ...($said['times'] ?? []));
    foreach ($said['counts'] ?? [] as $what => $count) {
        $counts[$what] = ($counts[$what] ?? 0) + $count;
    }
}
$kitchen->close();
[$alone, $late] = [Kitchen::at($lone, 0.5), Kitchen::at($times, 0.95)];
printf(
    "%d clients for %.0f s: %s\n",
    CLIENTS,
    $seconds,
    implode(
        ', ',
        array_map(static fn(string $what, int $count): string => "{$count} × {$what}", array_keys($counts), $counts),
    ),
);
printf("answers of 500 and more: %d; updates lost: %d\n", $faults, $lost);
printf(
    "balance alone, median %.0f ms; under load, 95th percentile %.0f ms: %.1f times (wanted: at most 6)\n",
    $alone,
    $late,
    $late / $alone,
);
exit($faults + $lost > 0 || $late > 6.0 * $alone ? 1 : 0);
