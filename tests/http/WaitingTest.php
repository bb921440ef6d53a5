<?php

declare(strict_types=1);

namespace Tests\http;

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

/** Two who write at once: the second waits for the first, and neither is refused. */
final class WaitingTest extends HttpTestCase
{
    public function test_a_move_that_reads_first_waits_for_one_that_is_writing(): void
    {
        $file = sys_get_temp_dir() . '/vinculum-waiting-' . getmypid() . '.sqlite';
        touch($file);
        config(['database.connections.sqlite.database' => $file]);
        DB::purge('sqlite');
        $this->app?->make(Kernel::class)->call('migrate', ['--force' => true]);
        $script = '$k = new SQLite3($argv[1]); $k->busyTimeout(5000); $k->exec("BEGIN IMMEDIATE"); $k->exec("INSERT INTO settings (name, value) VALUES (\'other\', \'1\')"); echo "holding\n"; usleep(500000); $k->exec("COMMIT");';
        $other = proc_open([PHP_BINARY, '-r', $script, $file], [1 => ['pipe', 'w']], $pipes);
        self::assertIsResource($other);
        self::assertSame("holding\n", fgets($pipes[1]));
        $answer = $this->postJson('/api/sauces', ['title' => 'Patient', 'lines' => ['1 tsp salt', '400 g ketchup']]);
        proc_close($other);

        $answer->assertCreated();
        self::assertSame('1', DB::table('settings')->where('name', 'other')->value('value'));
        DB::disconnect('sqlite');
        array_map(unlink(...), glob("{$file}*") ?: []);
    }

    public function test_a_kitchen_that_cannot_be_written_is_told_and_nothing_is_acknowledged(): void
    {
        $file = sys_get_temp_dir() . '/vinculum-broken-' . getmypid() . '.sqlite';
        file_put_contents($file, str_repeat('this is no database ', 300));
        config(['database.connections.sqlite.database' => $file]);
        DB::purge('sqlite');
        $answer = $this->postJson('/api/sauces', ['title' => 'Lost', 'lines' => []]);

        self::assertSame(503, $answer->getStatusCode());
        self::assertStringContainsString('nothing was stored', (string) $answer->json('message'));
        DB::purge('sqlite');
        unlink($file);
    }
}
