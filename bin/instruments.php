<?php

declare(strict_types=1);

/*
 * A stand-in for the instruments of a kitchen: a scale, a pH meter, a refractometer and a probe that behave like real
 * ones
 * and speak the line protocol of docs/instruments.md on loopback. ./vinculum start runs it; it writes where it listens,
 * and its process number, into the file it is given.
 *
 * php bin/instruments.php FILE
 */

use Vinculum\Instrument\SimulatedSample;
use Vinculum\Instrument\SimulatedScale;

require dirname(__DIR__) . '/core/autoload.php';

const TICK = 0.02;
const MOST_CLIENTS = 64;
const LONGEST_LINE = 4096;

/** A draw from the standard normal distribution (Box and Muller). */
function noise(): float
{
    return sqrt(-2.0 * log(random_int(1, PHP_INT_MAX) / PHP_INT_MAX)) * cos(
        2.0 * M_PI * random_int(0, PHP_INT_MAX) / PHP_INT_MAX,
    );
}

/** @return array<string, mixed> the answer to one line */
function answer(string $line, SimulatedScale $scale, SimulatedSample $sample): array
{
    $asked = json_decode($line, true, 8);
    if (!is_array($asked)) {
        return ['fault' => 'That is no line of JSON.'];
    }
    $figure = static fn(string $name, float $least, float $most): float => max(
        $least,
        min($most, is_numeric($asked[$name] ?? null) ? (float) $asked[$name] : 0.0),
    );
    switch ($asked['ask'] ?? $asked['do'] ?? null) {
        case 'hello':
            return [
                'version' => 1,
                'instruments' => ['scale', 'ph-meter', 'refractometer', 'probe'],
                'stand_in' => true,
            ];
        case 'weight':
            return ['instrument' => 'scale', ...$scale->reading(noise())];
        case 'tare':
            $scale->tare();

            return ['instrument' => 'scale', ...$scale->reading(0.0)];
        case 'ph':
            return ['instrument' => 'ph-meter', ...$sample->electrode(noise())];
        case 'solids':
            return ['instrument' => 'refractometer', ...$sample->refractometer(noise())];
        case 'temperature':
            return ['instrument' => 'probe', 'celsius' => $sample->thermometer(noise())];
        case 'pour':
            $scale->pour($figure('grams', -10_000.0, 10_000.0), $figure('seconds', 0.05, 60.0));

            return ['poured' => true];
        case 'clear':
            $scale->clear();

            return ['cleared' => true];
        case 'dip':
            $sample->dip($figure('ph', 0.0, 14.0), $figure('percent', 0.0, 95.0), $figure('celsius', -20.0, 120.0));

            return ['dipped' => true];
        default:
            return [
                'fault' => 'Nobody here knows that. Ask weight, ph, solids, temperature or hello, do tare, pour, clear or dip.',
            ];
    }
}

$server = stream_socket_server('tcp://127.0.0.1:0', $number, $why);
if ($server === false || !isset($argv[1])) {
    fwrite(
        STDERR,
        'The stand-in instruments cannot listen: ' . ($why ?: 'no file was named for their address') . ".\n",
    );
    exit(1);
}
file_put_contents(
    $argv[1],
    json_encode(['address' => stream_socket_get_name($server, false), 'process' => getmypid()]),
);
$parent = posix_getppid();
[$scale, $sample, $clients, $buffers, $last] = [new SimulatedScale(), new SimulatedSample(), [], [], hrtime(true)];
while (posix_getppid() === $parent) {
    $ready = [$server, ...$clients];
    $write = $except = null;
    $isReady = @stream_select($ready, $write, $except, 0, (int) (1e6 * TICK)) > 0;
    $now = hrtime(true);
    $passed = ($now - $last) / 1e9;
    $last = $now;
    $scale->pass($passed);
    $sample->pass($passed);
    foreach ($isReady ? $ready : [] as $stream) {
        if ($stream === $server) {
            $client = stream_socket_accept($server, 0);
            if ($client !== false && count($clients) < MOST_CLIENTS) {
                stream_set_blocking($client, false);
                $clients[(int) $client] = $client;
                $buffers[(int) $client] = '';
            }
            continue;
        }
        $read = (string) fread($stream, LONGEST_LINE);
        $buffers[(int) $stream] .= $read;
        while (($end = strpos($buffers[(int) $stream], "\n")) !== false) {
            @fwrite($stream, json_encode(answer(substr($buffers[(int) $stream], 0, $end), $scale, $sample)) . "\n");
            $buffers[(int) $stream] = substr($buffers[(int) $stream], $end + 1);
        }
        if (feof($stream) || strlen($buffers[(int) $stream]) > LONGEST_LINE) {
            fclose($stream);
            unset($clients[(int) $stream], $buffers[(int) $stream]);
        }
    }
}
