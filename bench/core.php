#!/usr/bin/env php
<?php

declare(strict_types=1);

// Prints the median time of reading, balancing and advising on a twelve-line recipe, in process and over HTTP. php
// bench/core.php [address], with ./vinculum start running for the second part. Times are of this machine; the ratios
// travel. In process a name once looked up is remembered, so reading is timed warm; over HTTP every request looks up
// afresh.

require dirname(__DIR__) . '/core/autoload.php';

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Correction\Candidate;
use Vinculum\Correction\CorrectionLimits;
use Vinculum\Correction\CorrectionSearch;
use Vinculum\Correction\Objective;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Family\FamilyBook;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Optimisation\TasteCurve;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\TargetSize;
use Vinculum\Substitution\SwapReason;
use Vinculum\Substitution\SwapSearch;

const LINES = [
    '1 400 g tin chopped tomatoes',
    '½ cup ketchup',
    '⅓ cup (80 ml) cider vinegar',
    '1½ cups light brown sugar, packed',
    '2 tbsp Worcestershire sauce',
    '1 tbsp molasses',
    '2 tsp smoked paprika',
    '1 tsp mustard powder',
    '3 cloves garlic, crushed',
    '1 small onion, finely chopped',
    '5 tsp salt',
    'a pinch of cayenne',
];

/** @return float median milliseconds */
function median(callable $work, int $rounds): float
{
    $work();
    $times = [];
    for ($round = 0; $round < $rounds; ++$round) {
        $start = hrtime(true);
        $work();
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    sort($times);

    return $times[intdiv($rounds, 2)];
}

function line(string $what, float $milliseconds, ?float $against = null): void
{
    printf(
        "%-52s %8.2f ms%s\n",
        $what,
        $milliseconds,
        $against === null ? '' : sprintf('  %6.1f times', $milliseconds / $against),
    );
}

$catalogue = Catalogue::shipped();
$style = FamilyBook::get('tomato-barbecue');
$formula = Formula::fromTexts(LINES, $catalogue, Measures::Us);
$balance = Balance::of($formula);
$advise = static function (int $count, int $most) use ($catalogue, $style, $balance): void {
    $keys = array_slice(array_values(array_unique([...$style->correctors, ...$catalogue->keys()])), 0, $count);
    $limits = new CorrectionLimits(
        array_map(static fn(string $key): Candidate => Candidate::of($catalogue->get($key)), $keys),
        $most,
    );
    CorrectionSearch::advise($balance->mixture, $style->target, $limits);
};

echo "In process, twelve lines, median of 51:\n";
$parse = median(static fn() => Formula::fromTexts(LINES, $catalogue, Measures::Us), 51);
line('read and resolve', $parse);
$weigh = median(static fn() => Balance::of($formula), 51);
line('balance, with every band', $weigh);
foreach ([[10, 2], [10, 3], [30, 3]] as [$count, $most]) {
    line(
        "advise, {$count} candidates, up to {$most} additions",
        median(static fn() => $advise($count, $most), 15),
        $weigh,
    );
}
$three = array_map(
    static fn(string $key): array => TasteCurve::row(Candidate::of($catalogue->get($key))->perGram),
    ['cider-vinegar', 'light-brown-sugar', 'water'],
);
$objective = Objective::correcting($balance->load(), $style->target);
$most = 0.4 * $balance->mixture->grams();
$grid = median(static function () use ($objective, $three, $most): void {
    for ($a = 0; $a <= 20; ++$a) {
        for ($b = 0; $a + $b <= 20; ++$b) {
            for ($c = 0; $a + $b + $c <= 20; ++$c) {
                $objective->value($three, [$most * $a / 20, $most * $b / 20, $most * $c / 20]);
            }
        }
    }
}, 3);
line('one support of three by a grid of 1,771 points', $grid, $weigh);
line('120 such supports by the grid, as 10 candidates have', 120.0 * $grid, $weigh);
$all = median(static function () use ($catalogue, $style): void {
    $balance = Balance::of(Formula::fromTexts(LINES, $catalogue, Measures::Us));
    CorrectionSearch::advise(
        $balance->mixture,
        $style->target,
        new CorrectionLimits(
            array_map(static fn(string $key): Candidate => Candidate::of($catalogue->get($key)), $style->correctors),
        ),
    );
}, 51);
line('read + balance + advise', $all);
$sauce = Kitchen::shipped()->weigh(new Recipe(style: $style->key, lines: RecipeLine::numbered([...LINES, ...array_slice(LINES, 0, 8)])));
line(
    'scale, 20 lines, rounded to keep the balance',
    median(
        static fn() => Scale::of($sauce, TargetSize::factor('2.7')),
        21,
    ),
    $weigh,
);
line(
    'swap one line, ranked',
    median(
        static fn() => (new SwapSearch($sauce, 2, SwapReason::missing()))->substitutes(),
        15,
    ),
    $weigh,
);
$lines = [];
for ($number = 0; $number < 1000; ++$number) {
    $lines[] = LINES[$number % 12] . ($number % 7 === 0 ? ", batch {$number}" : '');
}
line('1,000 lines read and resolved', median(static fn() => Formula::fromTexts($lines, $catalogue, Measures::Us), 3));
$page = implode("\n", [
    'Smoky Weekend Sauce',
    'A sauce for the grill, and the one I make most often.',
    'Prep Time: 10 minutes',
    'Serves 8',
    'Ingredients',
    ...array_slice($lines, 0, 24),
    'Method',
    ...array_map(static fn(int $step): string => "{$step}. Simmer for {$step} minutes, stirring every minute.", range(1, 24)),
    'Notes',
    ...array_fill(0, 6, 'Keeps for two weeks in the fridge.'),
]);
line('a page of 60 lines read', median(static fn() => RecipeReader::read($page), 11));
printf("peak memory %.0f MB\n\n", memory_get_peak_usage() / 1e6);

$address = rtrim($argv[1] ?? 'http://127.0.0.1:8080', '/');
if (@file_get_contents("{$address}/api/idle") === false) {
    echo "No server at {$address}: start one for the times over HTTP.\n";
    exit(0);
}
$post = static fn(string $path): callable => static function () use ($address, $path): void {
    $body = json_encode(['lines' => LINES, 'style' => 'tomato-barbecue']);
    file_get_contents(
        $address . $path,
        false,
        stream_context_create([
            'http' => [
                'method' => 'POST',
                'header' => "Content-Type: application/json\r\nAccept: application/json\r\n",
                'content' => $body,
            ],
        ]),
    );
};
echo "Over HTTP, against a route that does nothing, median of 51:\n";
$idle = median(static fn() => file_get_contents("{$address}/api/idle"), 51);
line('nothing', $idle);
line('balance', median($post('/api/balance'), 51), $idle);
line('advise', median($post('/api/advise'), 51), $idle);
