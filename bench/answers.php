#!/usr/bin/env php
<?php

declare(strict_types=1);

/*
 * Every invention of the tests over HTTP: the answer to a word of the tongue, and the swaps of one line. Prints the
 * median, the 95th percentile and the longest of each. Each is asked six times, and the last five count: once by their
 * median, and once by the quickest of them, which a neighbour on the same machine has held up least.
 *
 * Run it with: php bench/answers.php    (after ./vinculum test, which installs what it needs)
 */

use Bench\Kitchen;

require dirname(__DIR__) . '/vendor/autoload.php';

const WORDS = ['too-sweet', 'too-sour', 'too-salty', 'too-hot', 'flat', 'not-salty', 'too-thin', 'too-thick', 'harsh'];

$kitchen = new Kitchen('answers', 8395);
$rows = file(dirname(__DIR__) . '/tests/core/Family/data/inventions.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES);
$took = ['advise' => [], 'swap' => []];
for ($round = 0; $round < 6; $round++) {
    foreach (array_filter($rows ?: [], static fn(string $row): bool => $row[0] !== ';') as $number => $row) {
        [$family, , , $text] = explode(' | ', $row);
        $lines = explode(' / ', $text);
        $family = explode(', ', $family)[0];
        $sauce = ['lines' => $lines] + ($family === 'none' ? [] : ['style' => $family]);
        foreach ([
            'advise' => ['complaint' => WORDS[$number % count(WORDS)]],
            'swap' => ['line' => 1 + $number % count($lines)],
        ] as $question => $asked) {
            [$status, , $milliseconds] = $kitchen->ask('POST', "/api/{$question}", [...$sauce, ...$asked]);
            if ($status === 200) {
                $took[$question][$text][$round] = $milliseconds;
            } elseif ($round === 0) {
                fprintf(STDERR, "%s of %s: %d\n", $question, $text, $status);
            }
            usleep(10_000);
        }
    }
}
foreach ($took as $question => $texts) {
    foreach (['median' => 0.5, 'quickest' => 0.0] as $of => $share) {
        $each = array_map(static fn(array $rounds): float => Kitchen::at(array_slice($rounds, 1), $share), $texts);
        arsort($each);
        printf(
            "%-8s %d answers, %8s of five: median %5.1f ms, 95th percentile %5.1f ms, longest %5.1f ms (%s)\n",
            $question,
            count($each),
            $of,
            Kitchen::at(array_values($each), 0.5),
            Kitchen::at(array_values($each), 0.95),
            max($each),
            array_key_first($each),
        );
    }
}
