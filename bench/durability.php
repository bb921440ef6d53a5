#!/usr/bin/env php
<?php

declare(strict_types=1);

/*
 * What the server has acknowledged survives kill -9 of its processes at any moment. A hundred times: a writer edits a sauce as
 * fast as it can and notes every edit that was acknowledged; all server processes are killed; the server is started again; what
 * is stored must be the last acknowledged edit, or the one that was on its way.
 *
 * Run it with: php bench/durability.php [rounds]    (after ./vinculum start once, which installs what it needs)
 */

const PORT = 8397;

/** @return array{int, array<string, mixed>} status, and the answer */
function ask(string $method, string $path, mixed $body = null): array
{
    $answer = @file_get_contents('http://127.0.0.1:' . PORT . $path, false, stream_context_create(['http' => ['method' => $method, 'timeout' => 5, 'ignore_errors' => true, 'protocol_version' => 1.0, 'header' => "Content-Type: application/json\r\nAccept: application/json\r\n", 'content' => $body === null ? null : json_encode($body)]]));
    preg_match('/ (\d{3})/', $http_response_header[0] ?? '', $status);

    return [$answer === false ? 0 : (int) ($status[1] ?? 0), (array) json_decode((string) $answer, true)];
}

if (($argv[1] ?? '') === 'writer') {
    [, , $id, $revision, $count] = $argv;
    for ($edit = (int) $count; ; ++$edit) {
        echo "trying {$edit}\n";
        [$status, $answer] = ask('PUT', "/api/sauces/{$id}", ['title' => 'Survivor', 'style' => null, 'measures' => 'metric', 'yield' => null, 'revision' => (int) $revision, 'lines' => ["{$edit} g salt", '100 g tomatoes']]);
        if ($status !== 200) {
            exit(0);
        }
        $revision = $answer['revision'];
        echo "stored {$edit}\n";
    }
}

$rounds = (int) ($argv[1] ?? 100);
$root = dirname(__DIR__);
$database = sys_get_temp_dir() . '/vinculum-bench-durability-' . getmypid() . '.sqlite';
touch($database);
passthru('VINCULUM_DATABASE=' . escapeshellarg($database) . ' php ' . escapeshellarg("{$root}/artisan") . ' migrate --force > /dev/null');
$quiet = [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']];
$start = static function () use ($root, $database, $quiet): void {
    proc_open(['php', '-d', 'opcache.enable_cli=1', '-S', '127.0.0.1:' . PORT, '-t', 'public', 'bin/serve.php'], $quiet, $pipes, $root, ['VINCULUM_DATABASE' => $database, 'PHP_CLI_SERVER_WORKERS' => '4', 'PATH' => (string) getenv('PATH')]);
    for ($wait = 0; $wait < 200 && ask('GET', '/api/idle')[0] !== 200; ++$wait) {
        usleep(20_000);
    }
};
$kill = static fn() => exec('pkill -9 -f "127.0.0.1:' . PORT . ' -t public"');
mt_srand(7);
[$lost, $torn, $acknowledged] = [0, 0, 0];
$start();
[, $sauce] = ask('POST', '/api/sauces', ['title' => 'Survivor', 'measures' => 'metric', 'lines' => ['0 g salt', '100 g tomatoes']]);
[$id, $count] = [$sauce['id'], 1];
for ($round = 1; $round <= $rounds; ++$round) {
    [, $now] = ask('GET', "/api/sauces/{$id}");
    $writer = proc_open(['php', __FILE__, 'writer', (string) $id, (string) $now['revision'], (string) $count], [['file', '/dev/null', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']], $pipes);
    assert(is_resource($writer));
    usleep(mt_rand(80_000, 500_000));
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
}
$sound = (new SQLite3($database, SQLITE3_OPEN_READONLY))->querySingle('PRAGMA integrity_check');
$kill();
array_map(unlink(...), glob("{$database}*") ?: []);
printf("%d kills, %d edits acknowledged: %d lost, %d torn; the database is %s\n", $rounds, $acknowledged, $lost, $torn, $sound === 'ok' ? 'sound' : 'damaged');
exit($lost + $torn > 0 || $sound !== 'ok' ? 1 : 0);
