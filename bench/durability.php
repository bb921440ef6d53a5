#!/usr/bin/env php
<?php

declare(strict_types=1);

/*
 * What the server has acknowledged survives kill -9 of any of its processes at any moment. A hundred times: a writer
 * edits a sauce as fast as it can and notes every edit that was acknowledged, while two tabs shelve sauces, add doses and
 * write notes, each under a key, and send a third of them again as if the answer had been lost; all server processes are
 * killed, or every other time first any one of them; the server is started again, and each tab sends again what was not
 * answered. What is stored must be the last acknowledged edit, or the one that was on its way; and each thing that a tab
 * meant, once. At the end a disk of a few megabytes is filled with sauces until one is refused: all before it must be
 * there.
 *
 * Run it with: php bench/durability.php [rounds]    (after ./vinculum start once, which installs what it needs)
 */

const PORT = 8397;

/** @return array{int, array<string, mixed>} status, and the answer */
function ask(string $method, string $path, mixed $body = null, ?string $key = null): array
{
    $answer = @file_get_contents(
        'http://127.0.0.1:' . PORT . $path,
        false,
        stream_context_create([
            'http' => [
                'method' => $method,
                'timeout' => 5,
                'ignore_errors' => true,
                'protocol_version' => 1.0,
                'header' => "Content-Type: application/json\r\nAccept: application/json\r\n"
                    . ($key === null ? '' : "Idempotency-Key: {$key}\r\n"),
                'content' => $body === null ? null : json_encode($body),
            ],
        ]),
    );
    preg_match('/ (\d{3})/', $http_response_header[0] ?? '', $status);

    return [$answer === false ? 0 : (int) ($status[1] ?? 0), (array) json_decode((string) $answer, true)];
}

if (($argv[1] ?? '') === 'writer') {
    [, , $id, $revision, $count] = $argv;
    for ($edit = (int) $count; ; ++$edit) {
        echo "trying {$edit}\n";
        [$status, $answer] = ask(
            'PUT',
            "/api/sauces/{$id}",
            [
                'title' => 'Survivor',
                'style' => null,
                'measures' => 'metric',
                'yield' => null,
                'revision' => (int) $revision,
                'lines' => ["{$edit} g salt", '100 g tomatoes'],
            ],
        );
        if ($status !== 200) {
            exit(0);
        }
        $revision = $answer['revision'];
        echo "stored {$edit}\n";
    }
}

/** What a tab means to store, sent under its own key; the status of the answer. */
function mean(string $name, int $number, int $sauce, int $batch): int
{
    $what = "{$name} {$number}";
    [$path, $body] = match ($number % 3) {
        0 => ['/api/sauces', ['title' => $what, 'lines' => ['1 tsp salt']]],
        1 => [
            "/api/batches/{$batch}/doses",
            ['additions' => [['ingredient' => 'salt', 'grams' => 1, 'measure' => $what]], 'says' => []],
        ],
        default => ["/api/batches/{$batch}/record", ['kind' => 'note', 'words' => $what]],
    };

    return ask('POST', $path, $body, str_replace(' ', '-', "key-of-{$what}"))[0];
}

if (($argv[1] ?? '') === 'tab') {
    [, , $name, $sauce, $batch, $number] = $argv;
    for ($number = (int) $number; ; ++$number) {
        echo "means {$number}\n";
        $status = mean($name, $number, (int) $sauce, (int) $batch);
        // the answer to every third is lost on its way: the page asks again
        if ($status === 201 && mt_rand(0, 2) === 0) {
            echo "lost {$number}\n";
            $status = mean($name, $number, (int) $sauce, (int) $batch);
        }
        if ($status !== 201) {
            echo "unanswered {$number} {$status}\n";
            exit(0);
        }
    }
}

$rounds = (int) ($argv[1] ?? 100);
$root = dirname(__DIR__);
$database = sys_get_temp_dir() . '/vinculum-bench-durability-' . getmypid() . '.sqlite';
touch($database);
passthru(
    'VINCULUM_DATABASE='
        . escapeshellarg($database)
        . ' php '
        . escapeshellarg("{$root}/artisan")
        . ' migrate --force > /dev/null',
);
$quiet = [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']];
$server = null;
$start = static function () use ($root, $database, $quiet, &$server): void {
    $server = proc_open(
        ['php', 'bin/server.php', (string) PORT],
        $quiet,
        $pipes,
        $root,
        ['VINCULUM_DATABASE' => $database, 'VINCULUM_WORKERS' => '4', 'PATH' => (string) getenv('PATH')],
    );
    for ($wait = 0; $wait < 200 && ask('GET', '/api/idle')[0] !== 200; ++$wait) {
        usleep(20_000);
    }
};
// the processes this script started and those they started, by their number: nothing else on the machine is touched
$processes = static function () use (&$server): array {
    $family = is_resource($server) ? [proc_get_status($server)['pid']] : [];
    for ($at = 0; $at < count($family); ++$at) {
        array_push(
            $family,
            ...array_map(
                intval(...),
                array_filter(
                    explode(
                        ' ',
                        trim((string) @file_get_contents("/proc/{$family[$at]}/task/{$family[$at]}/children")),
                    ),
                ),
            ),
        );
    }

    return $family;
};
$started = [];
$kill = static function () use ($processes, &$started): void {
    array_map(
        static fn(int $process): bool => posix_kill($process, SIGKILL),
        array_unique([...$started, ...$processes()]),
    );
    $started = [];
};
$killOne = static function () use ($processes, &$started): void {
    // the workers outlive the one that started them
    $started = $processes();
    posix_kill($started[mt_rand(0, count($started) - 1)], SIGKILL);
};
mt_srand(7);
[$lost, $torn, $acknowledged] = [0, 0, 0];
$start();
[, $sauce] = ask(
    'POST',
    '/api/sauces',
    ['title' => 'Survivor', 'measures' => 'metric', 'lines' => ['0 g salt', '100 g tomatoes']],
);
[$id, $count] = [$sauce['id'], 1];
[, $of] = ask('POST', '/api/sauces', ['title' => 'Of the tabs', 'measures' => 'metric', 'lines' => ['1 kg tomatoes']]);
$meant = ['one' => 0, 'other' => 0];
$lostAnswers = 0;
for ($round = 1; $round <= $rounds; ++$round) {
    [, $now] = ask('GET', "/api/sauces/{$id}");
    $writer = proc_open(
        ['php', __FILE__, 'writer', (string) $id, (string) $now['revision'], (string) $count],
        [['file', '/dev/null', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']],
        $pipes,
    );
    assert(is_resource($writer));
    [, $batch] = ask('POST', "/api/sauces/{$of['id']}/cooks", ['factor' => 1], "round-{$round}-of-the-bench");
    $tabs = [];
    foreach ($meant as $name => $number) {
        $arguments = [$name, $of['id'], $batch['id'] ?? 0, $number];
        $tabs[$name] = proc_open(
            ['php', __FILE__, 'tab', ...array_map(strval(...), $arguments)],
            [['file', '/dev/null', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']],
            $tabPipes[$name],
        );
    }
    usleep(mt_rand(80_000, 500_000));
    if ($round % 2 === 0) {
        $killOne();
        usleep(mt_rand(20_000, 150_000));
    }
    $kill();
    $said = (string) stream_get_contents($pipes[1]);
    proc_close($writer);
    preg_match_all('/stored (\d+)/', $said, $stored);
    preg_match_all('/trying (\d+)/', $said, $tried);
    [$last, $onItsWay] = [(int) (end($stored[1]) ?: $count - 1), (int) (end($tried[1]) ?: $count)];
    $acknowledged += count($stored[1]);
    $start();
    [$status, $found] = ask('GET', "/api/sauces/{$id}");
    $there = (int) ($found['lines'][0] ?? -1);
    if ($status !== 200 || count($found['lines'] ?? []) !== 2) {
        ++$torn;
    } elseif ($there !== $last && $there !== $onItsWay) {
        ++$lost;
    }
    $count = max($last, $there) + 1;
    foreach ($tabs as $name => $tab) {
        $did = (string) stream_get_contents($tabPipes[$name][1]);
        assert(is_resource($tab));
        proc_close($tab);
        $lostAnswers += substr_count($did, 'lost ');
        preg_match_all('/means (\d+)/', $did, $means);
        if (preg_match('/unanswered (\d+)/', $did, $unanswered) === 1) {
            ++$lostAnswers;
            for ($try = 0; $try < 5; ++$try) {
                if (mean($name, (int) $unanswered[1], $of['id'], $batch['id'] ?? 0) === 201) {
                    break;
                }
                usleep(200_000);
            }
        }
        $meant[$name] = (int) (end($means[1]) ?: $meant[$name] - 1) + 1;
    }
}
$kitchen = new SQLite3($database, SQLITE3_OPEN_READONLY);
$stored = [];
foreach ([
    "SELECT recipe->>'title' FROM sauces",
    "SELECT additions->0->>'measure' FROM doses",
    "SELECT words FROM cook_events WHERE kind = 'note'",
] as $sql) {
    $found = $kitchen->query($sql);
    while ($found instanceof SQLite3Result && is_array($row = $found->fetchArray(SQLITE3_NUM))) {
        $stored[] = (string) $row[0];
    }
}
$times = array_count_values($stored);
[$once, $missing, $doubled] = [0, 0, 0];
foreach ($meant as $name => $number) {
    for ($one = 0; $one < $number; ++$one) {
        match ($times["{$name} {$one}"] ?? 0) {
            0 => ++$missing,
            1 => ++$once,
            default => ++$doubled,
        };
    }
}
$sound = (new SQLite3($database, SQLITE3_OPEN_READONLY))->querySingle('PRAGMA integrity_check');
$kill();
array_map(unlink(...), glob("{$database}*") ?: []);
printf(
    "%d kills, %d edits acknowledged: %d lost, %d torn; the database is %s\n",
    $rounds,
    $acknowledged,
    $lost,
    $torn,
    $sound === 'ok' ? 'sound' : 'damaged',
);
printf(
    "two tabs: %d things meant, %d answers lost: %d there once, %d missing, %d doubled\n",
    array_sum($meant),
    $lostAnswers,
    $once,
    $missing,
    $doubled,
);

$disk = sys_get_temp_dir() . '/vinculum-bench-disk-' . getmypid();
mkdir($disk);
$script = 'mount -t tmpfs -o size=2m tmpfs "$0" && touch "$0/kitchen.sqlite" && php artisan migrate --force >/dev/null && exec php bin/server.php '
    . PORT;
$server = proc_open(
    ['unshare', '-rm', 'sh', '-c', $script, $disk],
    $quiet,
    $pipes,
    $root,
    ['VINCULUM_DATABASE' => "{$disk}/kitchen.sqlite", 'PATH' => (string) getenv('PATH')],
);
for ($wait = 0; $wait < 200 && ask('GET', '/api/idle')[0] !== 200; ++$wait) {
    usleep(20_000);
}
for ($shelved = 0; $shelved < 500; ++$shelved) {
    [$status, $answer] = ask(
        'POST',
        '/api/sauces',
        [
            'title' => "Filler {$shelved}",
            'measures' => 'metric',
            'lines' => array_fill(0, 150, '100 g tomatoes, skinned, seeded, and chopped as finely as patience allows'),
        ],
    );
    if ($status !== 201) {
        break;
    }
}
[$there, $page] = [0, 1];
do {
    [, $sauceService] = ask('GET', "/api/sauces?page={$page}");
    $there += count($sauceService['sauces'] ?? []);
    ++$page;
} while ($sauceService['more'] ?? false);
$kill();
rmdir($disk);
$isFull = $status === 503 && str_contains((string) ($answer['message'] ?? ''), 'full');
echo $wait === 200
    ? "full disk: not tried, a small disk cannot be made here\n"
    : sprintf(
        "full disk: %d sauces acknowledged, %d there; then it said %d, %s\n",
        $shelved,
        $there,
        $status,
        $answer['message'] ?? 'nothing',
    );
exit($lost + $torn + $missing + $doubled > 0 || $sound !== 'ok' || $wait < 200 && (!$isFull || $there !== $shelved) ? 1 : 0);
