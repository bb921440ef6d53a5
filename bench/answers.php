#!/usr/bin/env php
<?php

declare(strict_types=1);

/*
 * Every invention of the tests over HTTP: the answer to a word of the tongue, and the swaps of one line. Prints the
 * median, the 95th percentile and the longest of each, once the server has been asked for all of them already.
 *
 * Run it with: php bench/answers.php    (after ./vinculum test, which installs what it needs)
 */

use Bench\Kitchen;

require dirname(__DIR__) . '/vendor/autoload.php';

const WORDS = ['too-sweet', 'too-sour', 'too-salty', 'too-hot', 'flat', 'not-salty', 'too-thin', 'too-thick', 'harsh'];

$kitchen = new Kitchen('answers', 8395);
$rows = file(dirname(__DIR__) . '/tests/core/Family/data/inventions.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES);
$times = [];
foreach (['warming', 'measured'] as $round) {
    $times = ['advise' => [], 'swap' => []];
    foreach (array_filter($rows ?: [], static fn(string $row): bool => $row[0] !== ';') as $number => $row) {
        [$family, , , $text] = explode(' | ', $row);
        $lines = explode(' / ', $text);
        $family = explode(', ', $family)[0];
        $sauce = ['lines' => $lines] + ($family === 'none' ? [] : ['style' => $family]);
        foreach ([
            'advise' => ['complaint' => WORDS[$number % count(WORDS)]],
            'swap' => ['line' => 1 + $number % count($lines)],
        ] as $question => $asked) {
            [$status, , $took] = $kitchen->ask('POST', "/api/{$question}", [...$sauce, ...$asked]);
            if ($status === 200) {
                $times[$question][$text] = $took;
            } else {
                fprintf(STDERR, "%s of %s: %d\n", $question, $text, $status);
            }
            usleep(10_000);
        }
    }
}
foreach ($times as $question => $each) {
    printf(
        "%-8s %4d answers: median %5.1f ms, 95th percentile %5.1f ms, longest %5.1f ms (%s)\n",
        $question,
        count($each),
        Kitchen::at(array_values($each), 0.5),
        Kitchen::at(array_values($each), 0.95),
        max($each),
        array_search(max($each), $each, true),
    );
}
