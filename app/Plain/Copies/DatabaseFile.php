<?php

declare(strict_types=1);

namespace App\Plain\Copies;

/**
 * One SQLite file, looked at without the framework. Its header holds two numbers of ours: the epoch of the kitchen
 * (PRAGMA application_id), which only a restore changes, and a mark (PRAGMA user_version), which is new at every start.
 */
final readonly class DatabaseFile
{
    private const HEADER = "SQLite format 3\0";
    private const PATIENCE_MILLISECONDS = 5000;
    /** Offset of user_version in the header: https://www.sqlite.org/fileformat2.html */
    private const MARK_AT = 60;
    private const PAGE_BYTES = 4096;
    /** Without these it is no kitchen. */
    private const TABLES = ['sauces', 'versions', 'migrations'];

    private function __construct(private string $file) {}

    public static function at(string $file): self
    {
        return new self($file);
    }

    public function hasHeader(): bool
    {
        return @file_get_contents($this->file, false, null, 0, strlen(self::HEADER)) === self::HEADER;
    }

    /** @throws \Exception when it cannot be opened */
    public function open(int $flags): \SQLite3
    {
        $database = new \SQLite3($this->file, $flags);
        $database->enableExceptions(true);
        $database->busyTimeout(self::PATIENCE_MILLISECONDS);

        return $database;
    }

    /**
     * What it is built like, once its integrity is checked.
     *
     * @param string $named what it is called where it is told about
     *
     * @return array{newest: string|null, sql: list<string>} the newest migration it has seen, null where it is no
     *     kitchen; and what made it
     *
     * @throws BackupFault when it is damaged, busy or cannot be read
     */
    public function schema(string $named): array
    {
        return $this->ask($named, static function (\SQLite3 $database) use ($named): array {
            if ($database->querySingle('PRAGMA integrity_check') !== 'ok') {
                throw BackupFault::damaged($named);
            }
            [$tables, $sql] = [[], []];
            $found = $database->query(
                "SELECT type, name, sql FROM sqlite_master WHERE name NOT LIKE 'sqlite_%' ORDER BY type, name",
            );
            while ($found instanceof \SQLite3Result && is_array($row = $found->fetchArray(SQLITE3_NUM))) {
                [$type, $name, $text] = array_map(
                    static fn(mixed $value): string => is_string($value) ? $value : '',
                    $row,
                );
                $sql[] = KitchenSchema::normalised($text);
                if ($type === 'table') {
                    $tables[] = $name;
                }
            }
            $newest = array_diff(self::TABLES, $tables) === []
                ? $database->querySingle('SELECT MAX(migration) FROM migrations')
                : null;

            return ['newest' => is_string($newest) ? $newest : null, 'sql' => $sql];
        });
    }

    /** @throws BackupFault */
    public function setting(string $name): ?string
    {
        return $this->ask($this->file, static function (\SQLite3 $database) use ($name): ?string {
            $query = $database->prepare('SELECT value FROM settings WHERE name = :name');
            $query === false || $query->bindValue(':name', $name);
            $found = $query === false ? false : $query->execute();
            $row = $found === false ? false : $found->fetchArray(SQLITE3_NUM);

            return is_array($row) && is_string($row[0]) ? $row[0] : null;
        });
    }

    /** @throws BackupFault */
    public function epoch(): int
    {
        return $this->ask(
            $this->file,
            static fn(\SQLite3 $database): int => (int) $database->querySingle('PRAGMA application_id'),
        );
    }

    /** @throws BackupFault */
    public function beginEpoch(int $epoch): void
    {
        $this->change("PRAGMA application_id = {$epoch}");
    }

    /** Writes the mark, and what waits beside the file into it. @throws BackupFault */
    public function mark(int $mark): void
    {
        $this->change("PRAGMA user_version = {$mark}; PRAGMA wal_checkpoint(TRUNCATE)");
    }

    /** The mark as it lies in the file, whatever lies beside it. */
    public function markOnDisk(): int
    {
        $bytes = @file_get_contents($this->file, false, null, self::MARK_AT, 4);
        $number = is_string($bytes) && strlen($bytes) === 4 ? unpack('N', $bytes) : false;

        return is_array($number) && is_int($number[1]) ? $number[1] : 0;
    }

    /** Brings a copy into the shape that can be written over a kitchen, whatever its page size and journal. @throws BackupFault */
    public function normalise(int $epoch): void
    {
        $this->change(
            'PRAGMA journal_mode = DELETE; PRAGMA page_size = '
                . self::PAGE_BYTES
                . "; VACUUM; PRAGMA application_id = {$epoch}",
        );
    }

    private function change(string $statements): void
    {
        try {
            $database = $this->open(SQLITE3_OPEN_READWRITE);
            $database->exec($statements);
            $database->close();
        } catch (\Exception) {
            throw BackupFault::cannotWrite($this->file);
        }
    }

    /**
     * @template T
     *
     * @param callable(\SQLite3): T $work
     *
     * @return T
     *
     * @throws BackupFault busy is busy and closed is closed; damaged is what SQLite calls so
     */
    private function ask(string $named, callable $work): mixed
    {
        $database = null;
        try {
            $database = $this->open(SQLITE3_OPEN_READONLY);
            $answer = $work($database);
            $database->close();

            return $answer;
        } catch (BackupFault $fault) {
            throw $fault;
        } catch (\Exception) {
            throw match ($database?->lastErrorCode()) {
                5, 6 => BackupFault::busy($named),
                11, 26 => BackupFault::damaged($named),
                1 => BackupFault::noCopy($named),
                default => BackupFault::unreadable($named),
            };
        }
    }
}
