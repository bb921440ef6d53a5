<?php

declare(strict_types=1);

namespace App\Safe;

/**
 * Copies of the kitchen's data: made while the app runs, checked before they are trusted, put back in one piece.
 * Plain PHP, so that they work where nothing is installed.
 */
final readonly class Copies
{
    private const HEADER = "SQLite format 3\0";
    /** Without these it is no kitchen. */
    private const TABLES = ['sauces', 'lines', 'versions', 'migrations'];
    private const DAILY_KEPT = 7;
    private const PATIENCE_MILLISECONDS = 5000;

    /**
     * @param string $kitchen the database in use
     * @param string $folder  where copies are kept
     * @param string $root    of the project, for its migrations
     */
    public function __construct(private string $kitchen, private string $folder, private string $root) {}

    public static function ofThisKitchen(): self
    {
        $root = dirname(__DIR__, 2);
        $named = getenv('VINCULUM_DATABASE');
        $kitchen = is_string($named) && $named !== '' ? $named : "{$root}/storage/kitchen.sqlite";

        return new self($kitchen, is_string($named) && $named !== '' ? dirname($kitchen) . '/' . pathinfo($kitchen, PATHINFO_FILENAME) . '-copies' : "{$root}/storage/copies", $root);
    }

    /**
     * A consistent copy of the kitchen as it is now.
     *
     * @param string|null $file where to; among the kept copies when null
     *
     * @return string where it is
     *
     * @throws CopyFault
     */
    public function make(?string $file, string $why, \DateTimeImmutable $now): string
    {
        if (!is_file($this->kitchen) || filesize($this->kitchen) === 0) {
            throw CopyFault::noKitchen();
        }
        $file ??= $this->named($why, $now);
        if (!is_dir(dirname($file)) && !@mkdir(dirname($file), 0o700, true)) {
            throw CopyFault::cannotWrite($file);
        }
        $unfinished = "{$file}.unfinished";
        @unlink($unfinished);
        try {
            $from = new \SQLite3($this->kitchen, SQLITE3_OPEN_READWRITE);
            $from->enableExceptions(true);
            $from->busyTimeout(self::PATIENCE_MILLISECONDS);
            $from->exec('VACUUM INTO ' . "'" . \SQLite3::escapeString($unfinished) . "'");
            $from->close();
        } catch (\Exception) {
            @unlink($unfinished);
            throw CopyFault::cannotWrite($file);
        }
        $this->check($unfinished);
        $handle = fopen($unfinished, 'r+');
        if ($handle === false || !fsync($handle) || !fclose($handle) || !rename($unfinished, $file)) {
            @unlink($unfinished);
            throw CopyFault::cannotWrite($file);
        }
        chmod($file, 0o600);

        return $file;
    }

    /**
     * Makes the copy the kitchen. What was there before is kept as a copy itself, so that it can be undone.
     *
     * @return string|null the copy of what was there before; null where there was nothing
     *
     * @throws CopyFault when it cannot be one; then nothing is changed
     */
    public function putBack(string $file, \DateTimeImmutable $now): ?string
    {
        $this->check($file);
        $before = match (true) {
            !is_file($this->kitchen) || filesize($this->kitchen) === 0 => null,
            $this->opens($this->kitchen) => $this->make(null, 'before-restore', $now),
            default => $this->setAside($now),
        };
        try {
            $from = new \SQLite3($file, SQLITE3_OPEN_READONLY);
            $to = new \SQLite3($this->kitchen, SQLITE3_OPEN_READWRITE | SQLITE3_OPEN_CREATE);
            $to->enableExceptions(true);
            $to->busyTimeout(self::PATIENCE_MILLISECONDS);
            // SQLite writes the pages in one transaction: all of it, or nothing
            $isDone = $from->backup($to);
            $to->close();
            $from->close();
        } catch (\Exception) {
            $isDone = false;
        }

        return $isDone ? $before : throw CopyFault::notPutBack();
    }

    /** @throws CopyFault when there is a kitchen that cannot be used */
    public function checkKitchen(): void
    {
        clearstatcache();
        if (!file_exists($this->kitchen) || is_file($this->kitchen) && filesize($this->kitchen) === 0) {
            return;
        }
        if (!is_file($this->kitchen) || !is_writable($this->kitchen) || !is_writable(dirname($this->kitchen))) {
            throw CopyFault::closed($this->kitchen);
        }
        try {
            $this->check($this->kitchen);
        } catch (CopyFault $fault) {
            if ($fault->isOfANewer) {
                throw $fault;
            }
            $sound = array_filter($this->all(), fn(array $copy): bool => $this->opens($copy['file']));
            throw CopyFault::damagedKitchen($this->kitchen, array_values($sound)[0]['file'] ?? null);
        }
    }

    /** Whether a file is a sound kitchen of this or an older Vinculum. */
    public function opens(string $file): bool
    {
        try {
            $this->check($file);

            return true;
        } catch (CopyFault) {
            return false;
        }
    }

    /** @throws CopyFault when a file is no sound kitchen */
    public function check(string $file): void
    {
        if (!is_file($file)) {
            throw CopyFault::notThere($file);
        }
        if (@file_get_contents($file, false, null, 0, strlen(self::HEADER)) !== self::HEADER) {
            throw CopyFault::noCopy($file);
        }
        try {
            $copy = new \SQLite3($file, SQLITE3_OPEN_READONLY);
            $copy->enableExceptions(true);
            $sound = $copy->querySingle('PRAGMA integrity_check');
            $tables = [];
            $found = $copy->query("SELECT name FROM sqlite_master WHERE type = 'table'");
            while ($found instanceof \SQLite3Result && is_array($row = $found->fetchArray(SQLITE3_NUM))) {
                $tables[] = is_string($row[0]) ? $row[0] : '';
            }
            $newest = in_array('migrations', $tables, true) ? $copy->querySingle('SELECT MAX(migration) FROM migrations') : '';
            $copy->close();
        } catch (\Exception) {
            throw CopyFault::damaged($file);
        }
        if ($sound !== 'ok') {
            throw CopyFault::damaged($file);
        }
        if (array_diff(self::TABLES, $tables) !== []) {
            throw CopyFault::noCopy($file);
        }
        $ours = array_map(static fn(string $path): string => basename($path, '.php'), glob("{$this->root}/database/migrations/*.php") ?: []);
        if (is_string($newest) && $newest > max(['', ...$ours])) {
            throw CopyFault::newer($file);
        }
    }

    /** A copy a day, a few of them kept; null where today's is there already. */
    public function daily(\DateTimeImmutable $now): ?string
    {
        if (glob("{$this->folder}/kitchen-daily-{$now->format('Ymd')}-*.sqlite") !== []) {
            return null;
        }
        $made = $this->make(null, 'daily', $now);
        $all = glob("{$this->folder}/kitchen-daily-*.sqlite") ?: [];
        sort($all);
        array_map(unlink(...), array_slice($all, 0, max(0, count($all) - self::DAILY_KEPT)));

        return $made;
    }

    /** @return list<array{name: string, why: string, file: string, bytes: int, at: int}> the newest first */
    public function all(): array
    {
        $copies = array_map(static fn(string $file): array => ['name' => basename($file), 'why' => (string) preg_replace('/^kitchen-([a-z-]+)-\d.*$/', '$1', basename($file)), 'file' => $file, 'bytes' => (int) filesize($file), 'at' => (int) filemtime($file)], glob("{$this->folder}/kitchen-*.sqlite") ?: []);
        usort($copies, static fn(array $one, array $other): int => [$other['at'], $other['name']] <=> [$one['at'], $one['name']]);

        return $copies;
    }

    /** Whether the kitchen waits for migrations that it has not seen. */
    public function isOutdated(): bool
    {
        try {
            $kitchen = new \SQLite3($this->kitchen, SQLITE3_OPEN_READONLY);
            $kitchen->enableExceptions(true);
            $seen = (int) $kitchen->querySingle('SELECT COUNT(*) FROM migrations');
            $kitchen->close();
        } catch (\Exception) {
            return false;
        }

        return $seen < count(glob("{$this->root}/database/migrations/*.php") ?: []);
    }

    /** A kitchen that cannot be used makes room, and is kept as it is: somebody may yet read something from it. */
    private function setAside(\DateTimeImmutable $now): string
    {
        $aside = $this->named('set-aside', $now);
        if (!is_dir($this->folder) && !@mkdir($this->folder, 0o700, true) || !@rename($this->kitchen, $aside)) {
            throw CopyFault::notPutBack();
        }
        array_map(static fn(string $log): bool => @unlink($log), ["{$this->kitchen}-wal", "{$this->kitchen}-shm"]);

        return $aside;
    }

    private function named(string $why, \DateTimeImmutable $now): string
    {
        return "{$this->folder}/kitchen-{$why}-{$now->format('Ymd-His')}-" . substr($now->format('u'), 0, 3) . '.sqlite';
    }
}
