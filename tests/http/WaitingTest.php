<?php

declare(strict_types=1);

namespace Tests\http;

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

/**
 * Two who write at once: the second waits for the first. And where nothing can be stored, that is said, and nothing is
 * acknowledged.
 */
final class WaitingTest extends HttpTestCase
{
    public function test_a_move_that_reads_first_waits_for_one_that_is_writing(): void
    {
        $file = $this->kitchenOnDisk('waiting');
        $script = '$k = new SQLite3($argv[1]); $k->busyTimeout(5000); $k->exec("BEGIN IMMEDIATE"); $k->exec("INSERT INTO settings (name, value) VALUES (\'other\', \'1\')"); echo "holding\n"; usleep(500000); $k->exec("COMMIT");';
        $other = proc_open([PHP_BINARY, '-r', $script, $file], [1 => ['pipe', 'w']], $pipes);
        self::assertIsResource($other);
        self::assertSame("holding\n", fgets($pipes[1]));
        $answer = $this->postJson('/api/sauces', ['title' => 'Patient', 'lines' => ['1 tsp salt', '400 g ketchup']]);
        proc_close($other);

        $answer->assertCreated();
        self::assertSame('1', DB::table('settings')->where('name', 'other')->value('value'));
        $this->clearAway($file);
    }

    public function test_a_kitchen_held_too_long_is_said(): void
    {
        $file = $this->kitchenOnDisk('held');
        $other = new \SQLite3($file);
        $other->exec('BEGIN IMMEDIATE');
        DB::statement('PRAGMA busy_timeout = 100');
        $answer = $this->postJson('/api/sauces', ['title' => 'Hasty', 'lines' => []]);
        self::assertSame(503, $answer->getStatusCode());
        self::assertStringContainsString('Somebody else is writing', (string) $answer->json('message'));
        $other->exec('ROLLBACK');
        $this->postJson('/api/sauces', ['title' => 'Patient', 'lines' => []])->assertCreated();
        self::assertSame(['Patient'], array_column((array) $this->getJson('/api/sauces')->json('sauces'), 'title'));
        $this->clearAway($file);
    }

    /** Room for what is there and a little more; SQLite then says what it says on a full disk. */
    public function test_a_full_disk_is_said_and_what_was_acknowledged_before_is_kept(): void
    {
        DB::statement('PRAGMA max_page_count = ' . ((int) DB::selectOne('PRAGMA page_count')->page_count + 6));
        $stored = [];
        for ($sauce = 1; $sauce <= 60; ++$sauce) {
            $answer = $this->postJson(
                '/api/sauces',
                [
                    'title' => "Sauce {$sauce}",
                    'lines' => array_fill(
                        0,
                        40,
                        '100 g tomatoes, skinned, seeded, and chopped as finely as patience allows',
                    ),
                ],
            );
            if ($answer->getStatusCode() !== 201) {
                break;
            }
            $stored[] = "Sauce {$sauce}";
        }

        self::assertSame(503, $answer->getStatusCode());
        self::assertStringContainsString('disk is full', (string) $answer->json('message'));
        self::assertStringContainsString('Nothing was stored', (string) $answer->json('message'));
        self::assertEqualsCanonicalizing(
            $stored,
            array_column((array) $this->getJson('/api/sauces')->json('sauces'), 'title'),
            'all that was acknowledged, and nothing else',
        );
        DB::statement('PRAGMA max_page_count = 1000000');
        $this->postJson('/api/sauces', ['title' => 'With room again', 'lines' => ['1 tsp salt']])->assertCreated();
    }

    public function test_a_kitchen_that_may_only_be_read_is_read_and_says_why_it_is_not_written(): void
    {
        $this->postJson('/api/sauces', ['title' => 'There', 'lines' => ['1 tsp salt']]);
        DB::statement('PRAGMA query_only = 1');
        $answer = $this->postJson('/api/sauces', ['title' => 'Not there', 'lines' => []]);

        self::assertSame(503, $answer->getStatusCode());
        self::assertStringContainsString('may only be read', (string) $answer->json('message'));
        $this->getJson('/api/sauces')->assertOk()->assertJsonCount(1, 'sauces');
    }

    public function test_a_kitchen_that_is_gone_is_said(): void
    {
        config([
            'database.connections.sqlite.database' => sys_get_temp_dir()
                . '/vinculum-none-'
                . getmypid()
                . '/kitchen.sqlite',
        ]);
        DB::purge('sqlite');
        $answer = $this->getJson('/api/sauces');

        self::assertSame(503, $answer->getStatusCode());
        self::assertMatchesRegularExpression('/kitchen\'s (data|file)/', (string) $answer->json('message'));
        DB::purge('sqlite');
    }

    public function test_a_kitchen_that_cannot_be_written_is_told_and_nothing_is_acknowledged(): void
    {
        $file = sys_get_temp_dir() . '/vinculum-broken-' . getmypid() . '.sqlite';
        file_put_contents($file, str_repeat('this is no database ', 300));
        config(['database.connections.sqlite.database' => $file]);
        DB::purge('sqlite');
        $answer = $this->postJson('/api/sauces', ['title' => 'Lost', 'lines' => []]);

        self::assertSame(503, $answer->getStatusCode());
        self::assertStringContainsString('Nothing was stored', (string) $answer->json('message'));
        DB::purge('sqlite');
        unlink($file);
    }

    private function kitchenOnDisk(string $name): string
    {
        $file = sys_get_temp_dir() . "/vinculum-{$name}-" . getmypid() . '.sqlite';
        touch($file);
        config(['database.connections.sqlite.database' => $file]);
        DB::purge('sqlite');
        $this->app?->make(Kernel::class)->call('migrate', ['--force' => true]);

        return $file;
    }

    private function clearAway(string $file): void
    {
        DB::disconnect('sqlite');
        array_map(unlink(...), glob("{$file}*") ?: []);
    }
}
