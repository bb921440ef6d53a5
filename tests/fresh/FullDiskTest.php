<?php

declare(strict_types=1);

namespace Tests\fresh;

use PHPUnit\Framework\TestCase;

/** A start where there is no room: on a disk of three megabytes, which only a box can mount. */
final class FullDiskTest extends TestCase
{
    private const PORT = 8377;

    public function test_on_a_full_disk_the_kitchen_is_served_to_be_read(): void
    {
        $disk = sys_get_temp_dir() . '/vinculum-full-' . getmypid();
        mkdir($disk);
        $begin = 'mount -t tmpfs -o size=3m tmpfs "$0" && touch "$0/kitchen.sqlite" && php artisan migrate --force '
            . '&& php artisan kitchen:demo && php bin/copies.php ready && (cat /dev/zero > "$0/fill"; exec ./vinculum '
            . 'start --no-build --port ' . self::PORT . ') 2>&1';
        $process = proc_open(
            // within a changed root nobody may make a user namespace, and root needs none
            ['unshare', posix_getuid() === 0 ? '-m' : '-rm', 'sh', '-c', $begin, $disk],
            [['file', '/dev/null', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
            dirname(__DIR__, 2),
            [
                'VINCULUM_DATABASE' => "{$disk}/kitchen.sqlite",
                'VINCULUM_WORKERS' => '2',
                'PATH' => (string) getenv('PATH'),
                'HOME' => (string) getenv('HOME'),
            ],
        );
        self::assertIsResource($process);
        stream_set_timeout($pipes[1], 60);
        $said = '';
        while (is_string($line = fgets($pipes[1])) && !str_contains($said .= $line, 'Ctrl+C')) {
        }
        self::assertStringContainsString('the disk is full: the kitchen is served to be read', $said);
        $address = 'http://127.0.0.1:' . self::PORT . '/api/sauces';
        self::assertStringContainsString('Damson', (string) file_get_contents($address));
        $answer = (string) file_get_contents($address, false, stream_context_create(['http' => [
            'method' => 'POST',
            'ignore_errors' => true,
            'content' => '{"lines": ["1 tsp salt"]}',
            'header' => "Accept: application/json\r\nContent-Type: application/json",
        ]]));
        self::assertStringContainsString('The disk was full', $answer);
        exec('pkill -INT -f ' . escapeshellarg('bin/server.php ' . self::PORT));
        proc_close($process);
        rmdir($disk);
    }
}
