<?php

declare(strict_types=1);

namespace Tests\http;

use App\Plain\Copies\BackupFault;
use App\Plain\Copies\Backups;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Backup and restore, on a kitchen of its own. */
final class CopiesTest extends TestCase
{
    private const RECIPE = '{"title": "", "style": null, "lines": [], "method": [], "measures": "metric", "yield": null,'
        . ' "part_ml": null, "pan": null, "servings": null, "set_aside": [], "let_go": []}';

    private string $folder;

    private string $kitchen;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir() . '/vinculum-copies-' . getmypid() . '-' . uniqid();
        mkdir($this->folder);
        $this->kitchen = "{$this->folder}/kitchen.sqlite";
        $this->execute(PHP_BINARY, [dirname(__DIR__, 2) . '/artisan', 'migrate', '--force'], touch($this->kitchen));
    }

    protected function tearDown(): void
    {
        exec('chmod -R u+w ' . escapeshellarg($this->folder) . '; rm -rf ' . escapeshellarg($this->folder));
    }

    public function test_a_copy_is_put_back_and_that_can_be_undone(): void
    {
        $this->shelve('Before');
        [$code, $said] = $this->vinculum('backup', "{$this->folder}/copy.sqlite");
        self::assertSame(0, $code, $said);
        $this->shelve('After');
        [$code, $said] = $this->vinculum('restore', "{$this->folder}/copy.sqlite");
        self::assertSame(0, $code, $said);
        self::assertSame(['Before'], $this->titles());
        self::assertSame(1, preg_match('/undo that: \.\/vinculum restore (\S+)/', $said, $found));
        self::assertSame(0, $this->vinculum('restore', $found[1])[0]);
        self::assertSame(['Before', 'After'], $this->titles());
    }

    /** What ./vinculum does, artisan does too, in the same words and to the same kitchen. */
    public function test_artisan_copies_and_puts_back_as_well(): void
    {
        $artisan = fn(string ...$said): array => $this->execute(PHP_BINARY, [dirname(__DIR__, 2) . '/artisan', ...$said], true);
        $this->shelve('Before');
        self::assertSame(0, $artisan('kitchen:backup', "{$this->folder}/copy.sqlite")[0]);
        [$code, $said] = $artisan('kitchen:backup', "{$this->folder}/copy.sqlite");
        self::assertSame(2, $code);
        self::assertStringContainsString('is there already', $said);
        $this->shelve('After');
        self::assertSame(0, $artisan('kitchen:restore', "{$this->folder}/copy.sqlite")[0]);
        self::assertSame(['Before'], $this->titles());
        [$code, $said] = $artisan('kitchen:restore', "{$this->folder}/none.sqlite");
        self::assertSame([2, true], [$code, str_contains($said, 'there is no file')]);
    }

    /** Somebody is in the middle of writing: the copy holds whole transactions, and the writer is not disturbed. */
    public function test_a_copy_while_somebody_writes_holds_whole_moves_only(): void
    {
        $this->shelve('Kept');
        $writer = $this->open();
        $writer->exec('BEGIN IMMEDIATE');
        $writer->exec("INSERT INTO sauces (recipe, revision, standing) VALUES (json_object('title', 'Half'), 1, '{}')");
        self::assertSame(0, $this->vinculum('backup', "{$this->folder}/copy.sqlite")[0]);
        $writer->exec('COMMIT');

        self::assertSame(['Kept'], $this->titles("{$this->folder}/copy.sqlite"));
        self::assertSame(['Kept', 'Half'], $this->titles());
    }

    /** @return iterable<string, array{callable(string): mixed, string}> */
    public static function noCopies(): iterable
    {
        yield 'not there' => [static fn(string $file): bool => true, 'no file'];
        yield 'no database' => [
            static fn(string $file): mixed => file_put_contents($file, 'dear diary'),
            'no copy of a kitchen',
        ];
        yield 'empty' => [static fn(string $file): mixed => file_put_contents($file, ''), 'no copy of a kitchen'];
        yield 'another database' => [
            static fn(string $file): mixed => (new \SQLite3($file))->exec('CREATE TABLE songs (title)'),
            'no copy of a kitchen',
        ];
        yield 'cut short' => [static function (string $file): void {
            copy(dirname($file) . '/sound.sqlite', $file);
            file_put_contents($file, substr((string) file_get_contents($file), 0, 20_000));
        }, 'damaged'];
        yield 'from a newer one' => [static function (string $file): void {
            copy(dirname($file) . '/sound.sqlite', $file);
            (new \SQLite3($file))->exec(
                "INSERT INTO migrations (migration, batch) VALUES ('2099_01_01_000000_fly', 9)",
            );
        }, 'newer Vinculum'];
    }

    /** @param callable(string): void $make */
    #[DataProvider('noCopies')]
    public function test_what_is_no_sound_copy_changes_nothing(callable $make, string $says): void
    {
        $this->shelve('Kept');
        $this->vinculum('backup', "{$this->folder}/sound.sqlite");
        $make("{$this->folder}/copy.sqlite");
        [$code, $said] = $this->vinculum('restore', "{$this->folder}/copy.sqlite");

        self::assertSame(2, $code);
        self::assertStringContainsString($says, $said);
        self::assertSame(1, substr_count($said, "\n"), 'one line');
        self::assertSame(['Kept'], $this->titles());
    }

    public function test_a_damaged_kitchen_is_said_before_anything_is_done_and_a_copy_takes_its_place(): void
    {
        $this->shelve('Kept');
        $this->vinculum('backup');
        [$copy] = glob("{$this->folder}/kitchen-copies/kitchen-by-hand-*.sqlite") ?: [''];
        file_put_contents($this->kitchen, random_bytes(30_000));
        [$code, $said] = $this->vinculum('start', '--no-build', '--port', '8398');
        self::assertSame(2, $code);
        self::assertStringContainsString(
            "damaged, and was left as it is. The newest sound copy: ./vinculum restore {$copy}",
            $said,
        );
        [$code, $said] = $this->vinculum('restore', $copy);
        self::assertSame(0, $code, $said);
        self::assertSame(['Kept'], $this->titles());
        self::assertMatchesRegularExpression('/is kept as .*kitchen-set-aside-/', $said);
        self::assertSame(
            30_000,
            filesize((glob("{$this->folder}/kitchen-copies/kitchen-set-aside-*") ?: [''])[0]),
            'and nobody threw the damaged one away',
        );
    }

    public function test_the_kitchen_of_a_newer_one_is_left_alone_and_can_be_replaced_by_an_older_copy(): void
    {
        $this->shelve('Older');
        $this->vinculum('backup', "{$this->folder}/older.sqlite");
        $this->open()->exec("INSERT INTO migrations (migration, batch) VALUES ('2099_01_01_000000_fly', 9)");
        [$code, $said] = $this->vinculum('start', '--no-build', '--port', '8398');
        self::assertSame(2, $code);
        self::assertStringContainsString('newer Vinculum', $said);
        self::assertSame(0, $this->vinculum('restore', "{$this->folder}/older.sqlite")[0]);
        self::assertSame(['Older'], $this->titles());
    }

    public function test_busy_is_busy_and_never_damage(): void
    {
        $this->shelve('Kept');
        $this->vinculum('backup');
        $other = $this->open();
        $other->exec(
            "PRAGMA locking_mode = EXCLUSIVE; BEGIN EXCLUSIVE; INSERT INTO settings (name, value) VALUES ('a', 'b')",
        );
        [$code, $said] = $this->vinculum('start', '--no-build', '--port', '8398');
        self::assertSame(2, $code);
        self::assertStringContainsString('is busy', $said);
        self::assertStringNotContainsString('damaged', $said);
        [$code, $said] = $this->vinculum(
            'restore',
            (glob("{$this->folder}/kitchen-copies/kitchen-by-hand-*.sqlite") ?: [''])[0],
        );
        self::assertSame(2, $code, $said);
        $other->exec('COMMIT');
        $other->close();
        self::assertSame(['Kept'], $this->titles());
        self::assertSame(
            [],
            glob("{$this->folder}/kitchen-copies/kitchen-set-aside-*"),
            'and a busy kitchen is not set aside',
        );
    }

    public function test_a_copy_goes_over_nothing_unless_told_to_and_never_over_the_kitchen(): void
    {
        $this->shelve('Kept');
        $copy = "{$this->folder}/copy.sqlite";
        self::assertSame(0, $this->vinculum('backup', $copy)[0]);
        $this->shelve('Later');
        [$code, $said] = $this->vinculum('backup', $copy);
        self::assertSame([2, ['Kept']], [$code, $this->titles($copy)]);
        self::assertStringContainsString('is there already', $said);
        self::assertSame(0, $this->vinculum('backup', $copy, '--replace')[0]);
        self::assertSame(['Kept', 'Later'], $this->titles($copy));
        symlink($copy, "{$this->folder}/link.sqlite");
        link($this->kitchen, "{$this->folder}/hard.sqlite");
        foreach ([
            "{$this->folder}/link.sqlite" => 'link',
            '/dev/null' => 'device',
            $this->folder => 'folder',
            $this->kitchen => 'kitchen itself',
            "{$this->folder}/./kitchen.sqlite" => 'kitchen itself',
            "{$this->folder}/hard.sqlite" => 'kitchen itself',
            "{$this->kitchen}-wal" => 'kitchen itself',
        ] as $target => $says) {
            [$code, $said] = $this->vinculum('backup', $target, '--replace');
            self::assertSame(2, $code, $target);
            self::assertStringContainsString($says, $said, $target);
        }
        self::assertSame(['Kept', 'Later'], $this->titles());
    }

    public function test_a_kitchen_that_is_gone_is_not_begun_anew_while_there_are_copies_of_it(): void
    {
        $this->shelve('Kept');
        $this->vinculum('backup');
        [$copy] = glob("{$this->folder}/kitchen-copies/kitchen-by-hand-*.sqlite") ?: [''];
        array_map(unlink(...), glob("{$this->kitchen}*") ?: []);
        [$code, $said] = $this->vinculum('start', '--no-build', '--port', '8398');
        self::assertSame(2, $code);
        self::assertStringContainsString("./vinculum restore {$copy}", $said);
        self::assertStringContainsString('--anew', $said);
        self::assertFileDoesNotExist($this->kitchen);
        (new Backups($this->kitchen, "{$this->folder}/kitchen-copies", dirname(__DIR__, 2)))->checkKitchen(true);
        self::assertSame(0, $this->vinculum('restore', $copy)[0]);
        self::assertSame(['Kept'], $this->titles());
    }

    public function test_a_file_laid_over_the_kitchen_while_changes_of_the_old_one_lie_beside_it_is_seen(): void
    {
        $backups = new Backups($this->kitchen, "{$this->folder}/kitchen-copies", dirname(__DIR__, 2));
        $this->shelve('Old');
        $backups->opened();
        $copy = $backups->make(null, 'by-hand', new \DateTimeImmutable());
        $writer = $this->open();
        $writer->exec(
            "PRAGMA wal_autocheckpoint = 0; INSERT INTO sauces (recipe, revision, standing) VALUES (json_object('title', 'Unwritten'), 1, '{}')",
        );
        copy("{$this->kitchen}-wal", "{$this->folder}/wal");
        $backups->checkKitchen();
        $writer->close();
        copy("{$this->folder}/wal", "{$this->kitchen}-wal");
        copy($copy, $this->kitchen);
        try {
            $backups->checkKitchen();
            self::fail('nothing was seen');
        } catch (BackupFault $fault) {
            self::assertStringContainsString('another file was put in place of the kitchen', $fault->getMessage());
        }
        $backups->putBack($this->kitchen, new \DateTimeImmutable());
        $backups->checkKitchen();
        self::assertSame(['Old'], $this->titles(), 'the file that is there now, without the changes of the other');
        self::assertCount(1, glob("{$this->folder}/kitchen-copies/kitchen-set-aside-*.sqlite") ?: []);
    }

    public function test_what_is_built_otherwise_is_no_copy(): void
    {
        $this->shelve('Kept');
        foreach ([
            'a trigger' => 'CREATE TRIGGER gone AFTER INSERT ON sauces BEGIN DELETE FROM lines; END',
            'a view' => 'CREATE VIEW all_sauces AS SELECT * FROM sauces',
            'another table' => 'CREATE TABLE extra (x)',
            'another column' => 'ALTER TABLE sauces ADD COLUMN extra TEXT',
        ] as $name => $sql) {
            $copy = "{$this->folder}/" . str_replace(' ', '-', $name) . '.sqlite';
            $this->vinculum('backup', $copy);
            $this->open($copy)->exec($sql);
            [$code, $said] = $this->vinculum('restore', $copy);
            self::assertSame(2, $code, $name);
            self::assertStringContainsString('is not as Vinculum makes it', $said, $name);
        }
        self::assertSame(['Kept'], $this->titles());
    }

    public function test_rows_that_no_kitchen_would_hold_are_refused_and_what_can_be_worked_out_is(): void
    {
        $this->shelve('Kept');
        foreach ([
            "UPDATE sauces SET recipe = json_set(recipe, '$.lines', json('[{}]'))" => 'recipe/lines/0',
            "UPDATE sauces SET recipe = json_remove(recipe, '$.title')" => 'title',
            "UPDATE sauces SET recipe = '\"a text\"'" => 'recipe',
            "UPDATE sauces SET recipe = json_set(recipe, '$.pan', json('[1]'))" => 'recipe/pan',
            "UPDATE sauces SET revision = 'many'" => 'revision',
            "INSERT INTO plans (title, ready, zone, rings, items) VALUES ('', 'someday', 'UTC', 2, '3')" => 'of plans',
        ] as $sql => $names) {
            $copy = "{$this->folder}/odd.sqlite";
            $this->vinculum('backup', $copy, '--replace');
            $this->open($copy)->exec($sql);
            [$code, $said] = $this->vinculum('restore', $copy);
            self::assertSame(2, $code, $sql);
            self::assertStringContainsString($names, $said, $sql);
            self::assertStringContainsString('Nothing was changed', $said);
        }
        self::assertSame(['Kept'], $this->titles());
        $this->vinculum('backup', "{$this->folder}/standing.sqlite");
        $this->open("{$this->folder}/standing.sqlite")->exec("UPDATE sauces SET standing = '[{\"axes\": 3}]'");
        [$code, $said] = $this->vinculum('restore', "{$this->folder}/standing.sqlite");
        self::assertSame(0, $code, $said);
        self::assertSame('{}', $this->open()->querySingle('SELECT standing FROM sauces'), 'it is worked out when it is asked for');
    }

    public function test_a_copy_of_another_page_size_or_with_its_log_beside_it_is_put_back_whole(): void
    {
        $this->shelve('Kept');
        $copy = "{$this->folder}/other.sqlite";
        $this->vinculum('backup', $copy);
        $other = $this->open($copy);
        $other->exec('PRAGMA page_size = 1024; VACUUM');
        $other->exec(
            "PRAGMA journal_mode = WAL; PRAGMA wal_autocheckpoint = 0; INSERT INTO sauces (recipe, revision, standing) VALUES (json_set('"
                . self::RECIPE
                . "', '$.title', 'In the log'), 1, '{}')",
        );
        // as after a crash: the log was never written into the file
        copy($copy, "{$this->folder}/crashed.sqlite");
        copy("{$copy}-wal", "{$this->folder}/crashed.sqlite-wal");
        $other->close();
        [$code, $said] = $this->vinculum('restore', "{$this->folder}/crashed.sqlite");
        self::assertSame(0, $code, $said);
        self::assertSame(['Kept', 'In the log'], $this->titles());
        self::assertSame([], glob("{$this->folder}/kitchen-copies/*.unfinished*"));
    }

    public function test_a_restore_begins_another_epoch_and_a_start_does_not(): void
    {
        $backups = new Backups($this->kitchen, "{$this->folder}/kitchen-copies", dirname(__DIR__, 2));
        $backups->opened();
        $epoch = $backups->epoch();
        self::assertGreaterThan(0, $epoch);
        $backups->opened();
        self::assertSame($epoch, $backups->epoch());
        $backups->putBack($backups->make(null, 'by-hand', new \DateTimeImmutable()), new \DateTimeImmutable());
        self::assertNotSame($epoch, $backups->epoch());
    }

    public function test_copies_of_every_kind_are_few_and_todays_is_kept_whatever_the_clock_says(): void
    {
        $backups = new Backups($this->kitchen, "{$this->folder}/copies", dirname(__DIR__, 2));
        $copy = $backups->make("{$this->folder}/one.sqlite", 'by-hand', new \DateTimeImmutable('2026-11-20 09:00'));
        for ($time = 0; $time < 15; ++$time) {
            $backups->putBack($copy, new \DateTimeImmutable("2026-11-20 09:00:{$time}"));
        }
        self::assertLessThanOrEqual(6, count($backups->folder->all()));
        foreach ([
            '2027-01-01',
            '2027-01-02',
            '2027-01-03',
            '2027-01-04',
            '2027-01-05',
            '2027-01-06',
            '2027-01-07',
            '2027-01-08',
        ] as $day) {
            $backups->daily(new \DateTimeImmutable("{$day} 09:00"));
        }
        $made = $backups->daily(new \DateTimeImmutable('2026-11-21 09:00'));
        self::assertNotNull($made);
        self::assertFileExists($made, 'the clock was set back, and yet today is kept');
        file_put_contents("{$this->folder}/copies/kitchen-daily-x.sqlite.abc.unfinished", 'left over');
        touch("{$this->folder}/copies/kitchen-daily-x.sqlite.abc.unfinished", time() - 7200);
        $backups->make(null, 'by-hand', new \DateTimeImmutable());
        self::assertSame([], glob("{$this->folder}/copies/*.unfinished"));
    }

    public function test_what_the_database_is_built_like_is_written_down_for_every_version(): void
    {
        exec(
            escapeshellarg(PHP_BINARY) . ' ' . escapeshellarg(dirname(__DIR__, 2) . '/bin/derive-schemas') . ' --check',
            $said,
            $code,
        );
        self::assertSame(0, $code, 'run bin/derive-schemas');
    }

    public function test_a_folder_in_place_of_a_kitchen_is_said(): void
    {
        exec('rm ' . escapeshellarg($this->kitchen));
        mkdir($this->kitchen);
        [$code, $said] = $this->vinculum('start', '--no-build', '--port', '8398');
        self::assertSame(2, $code);
        self::assertStringContainsString('may not be read and written', $said);
    }

    public function test_where_nothing_can_be_written_it_says_so(): void
    {
        $this->shelve('Kept');
        file_put_contents("{$this->folder}/file", 'in the way');
        [$code, $said] = $this->vinculum('backup', "{$this->folder}/file/copy.sqlite");

        self::assertSame(2, $code);
        self::assertStringContainsString('could not be written', $said);
        self::assertSame(2, $this->vinculum('restore')[0], 'a restore needs its file');
        self::assertSame(2, $this->vinculum('backup', '--help')[0]);
    }

    public function test_a_copy_a_day_and_only_a_few_of_them(): void
    {
        $backups = new Backups($this->kitchen, "{$this->folder}/copies", dirname(__DIR__, 2));
        for ($day = 1; $day <= 10; ++$day) {
            $now = new \DateTimeImmutable("2026-11-{$day} 09:00");
            self::assertNotNull($backups->daily($now));
            self::assertNull($backups->daily($now), 'once a day');
        }

        self::assertCount(7, $backups->folder->all());
        self::assertStringContainsString('20261110', implode(' ', array_column($backups->folder->all(), 'name')));
        self::assertStringNotContainsString('20261103', implode(' ', array_column($backups->folder->all(), 'name')));
    }

    public function test_an_upgrade_is_seen_before_it_is_made(): void
    {
        $backups = new Backups($this->kitchen, "{$this->folder}/copies", dirname(__DIR__, 2));
        self::assertSame([false, true], [$backups->isOutdated(), $backups->isCurrent()]);
        $this->open()->exec('DELETE FROM migrations WHERE id = (SELECT MAX(id) FROM migrations)');
        self::assertSame([true, false], [$backups->isOutdated(), $backups->isCurrent()]);
        self::assertFalse((new Backups("{$this->folder}/no", $this->folder, dirname(__DIR__, 2)))->isCurrent());
        $this->expectException(BackupFault::class);
        (new Backups(
            "{$this->folder}/none.sqlite",
            "{$this->folder}/copies",
            dirname(__DIR__, 2),
        ))->make(null, 'by-hand', new \DateTimeImmutable());
    }

    private function shelve(string $title): void
    {
        $this->open()->exec(
            "INSERT INTO sauces (recipe, revision, standing) VALUES (json_set('"
                . self::RECIPE
                . "', '$.title', '{$title}'), 1, '{}')",
        );
    }

    /** @return list<string> */
    private function titles(?string $file = null): array
    {
        $titles = [];
        $found = $this->open($file)->query("SELECT recipe->>'title' FROM sauces ORDER BY id");
        while ($found instanceof \SQLite3Result && is_array($row = $found->fetchArray(SQLITE3_NUM))) {
            $titles[] = (string) $row[0];
        }

        return $titles;
    }

    private function open(?string $file = null): \SQLite3
    {
        $database = new \SQLite3($file ?? $this->kitchen);
        $database->enableExceptions(true);

        return $database;
    }

    /** @return array{int, string} exit status, and all it said */
    private function vinculum(string ...$arguments): array
    {
        return $this->execute(dirname(__DIR__, 2) . '/vinculum', array_values($arguments), true);
    }

    /**
     * @param list<string> $arguments
     *
     * @return array{int, string}
     */
    private function execute(string $command, array $arguments, bool $isReady): array
    {
        self::assertTrue($isReady);
        exec(
            'VINCULUM_DATABASE=' . escapeshellarg($this->kitchen) . ' ' . implode(
                ' ',
                array_map(escapeshellarg(...), [$command, ...$arguments]),
            ) . ' 2>&1',
            $lines,
            $code,
        );

        return [$code, implode("\n", $lines) . "\n"];
    }
}
