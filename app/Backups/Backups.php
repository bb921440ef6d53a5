<?php

declare(strict_types=1);

namespace App\Backups;

/**
 * Copies of the kitchen's data: made while the app runs, checked before they are trusted, put back in one piece.
 * Plain PHP, so that they work where nothing is installed.
 */
final readonly class Backups
{
    /** How many of each kind are kept, beside the first of today. */
    private const KEPT = [
        'daily' => 7,
        'by-hand' => 12,
        'before-restore' => 4,
        'before-upgrade' => 4,
        'set-aside' => 3,
    ];
    private const STALE_SECONDS = 3600;

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

        return new self(
            $kitchen,
            is_string($named) && $named !== ''
                ? dirname($kitchen) . '/' . pathinfo($kitchen, PATHINFO_FILENAME) . '-copies'
                : "{$root}/storage/copies",
            $root,
        );
    }

    /**
     * A consistent copy of the kitchen as it is now.
     *
     * @param string|null $file     where to; among the kept copies when null
     * @param bool        $replaces whether a file that is there may be written over; the kitchen itself never is
     *
     * @return string where it is
     *
     * @throws BackupFault
     */
    public function make(?string $file, string $why, \DateTimeImmutable $now, bool $replaces = false): string
    {
        if ($this->isMissing()) {
            throw BackupFault::noKitchen();
        }
        $file ??= $this->named($why, $now);
        $this->refuseTarget($file, $replaces);
        if (!is_dir(dirname($file)) && !@mkdir(dirname($file), 0o700, true)) {
            throw BackupFault::cannotWrite($file);
        }
        $unfinished = self::unfinished($file);
        try {
            $from = DatabaseFile::at($this->kitchen)->open(SQLITE3_OPEN_READWRITE);
            $from->exec('VACUUM INTO ' . "'" . \SQLite3::escapeString($unfinished) . "'");
            $from->close();
            // where a copy is laid in place of the kitchen by hand, this tells that it is another file
            DatabaseFile::at($unfinished)->mark(0);
            $this->check($unfinished);
            $handle = fopen($unfinished, 'r+');
            if ($handle === false || !fsync($handle) || !fclose($handle) || !@rename($unfinished, $file)) {
                throw BackupFault::cannotWrite($file);
            }
        } catch (BackupFault $fault) {
            throw $fault;
        } catch (\Exception) {
            throw BackupFault::cannotWrite($file);
        } finally {
            @unlink($unfinished);
        }
        chmod($file, 0o600);
        if (dirname($file) === $this->folder) {
            $this->prune($why, $file, $now);
        }

        return $file;
    }

    /**
     * Makes the copy the kitchen, under a new epoch. What was there before is kept as a copy itself, so that it can be
     * undone.
     *
     * @return string|null the copy of what was there before; null where there was nothing
     *
     * @throws BackupFault when it cannot be one; then nothing is changed
     */
    public function putBack(string $file, \DateTimeImmutable $now): ?string
    {
        if (!is_file($file)) {
            throw BackupFault::notThere($file);
        }
        if (!DatabaseFile::at($file)->hasHeader()) {
            throw BackupFault::noCopy($file);
        }
        $isItself = self::isSame($file, $this->kitchen);
        if ($isItself && !$this->wasReplaced()) {
            throw BackupFault::isTheKitchen($file);
        }
        $staged = $this->stage($file, !$isItself);
        try {
            $this->check($staged, $file);
            DatabaseFile::at($staged)->normalise(random_int(1, 0x7FFFFFFF));
            $before = match (true) {
                $this->isMissing() => null,
                !$isItself && $this->isSound() => $this->make(null, 'before-restore', $now),
                default => $this->setAside($now),
            };
            $this->overwriteWith($staged);
        } finally {
            array_map(
                static fn(string $left): bool => @unlink($left),
                [$staged, "{$staged}-wal", "{$staged}-shm", "{$staged}-journal"],
            );
        }
        $this->opened();

        return $before;
    }

    /**
     * Whether the kitchen can be served.
     *
     * @param bool $mayBegin a new kitchen may be begun though copies of an older one are there
     *
     * @throws BackupFault when there is a kitchen that cannot be used, or one is gone of which there are copies
     */
    public function checkKitchen(bool $mayBegin = false): void
    {
        clearstatcache();
        if (!file_exists($this->kitchen) || is_file($this->kitchen) && filesize($this->kitchen) === 0) {
            if (!$mayBegin && $this->all() !== []) {
                throw BackupFault::kitchenIsGone($this->kitchen, $this->newestSound());
            }

            return;
        }
        if (!is_file($this->kitchen) || !is_writable($this->kitchen) || !is_writable(dirname($this->kitchen))) {
            throw BackupFault::closed($this->kitchen);
        }
        if ($this->wasReplaced()) {
            throw BackupFault::replaced($this->kitchen);
        }
        try {
            $this->check($this->kitchen);
        } catch (BackupFault $fault) {
            throw $fault->isDamage ? BackupFault::damagedKitchen($this->kitchen, $this->newestSound()) : $fault;
        }
    }

    /** The kitchen is about to be served: from now on its file can be told from any other put in its place. */
    public function opened(): void
    {
        $mark = random_int(1, 0x7FFFFFFF);
        $kitchen = DatabaseFile::at($this->kitchen);
        if ($kitchen->epoch() === 0) {
            $kitchen->beginEpoch(random_int(1, 0x7FFFFFFF));
        }
        $kitchen->mark($mark);
        @file_put_contents($this->markFile(), (string) $mark);
    }

    /** A number that only a restore changes; 0 where there is no kitchen yet. */
    public function epoch(): int
    {
        try {
            return $this->isMissing() ? 0 : DatabaseFile::at($this->kitchen)->epoch();
        } catch (BackupFault) {
            return 0;
        }
    }

    /** Whether the kitchen is the demo, with its make-believe scale. */
    public function isDemo(): bool
    {
        try {
            return DatabaseFile::at($this->kitchen)->setting('demo') === 'yes';
        } catch (BackupFault) {
            return false;
        }
    }

    /** @throws BackupFault where that cannot be told just now: a busy kitchen is not set aside */
    private function isSound(): bool
    {
        try {
            $this->check($this->kitchen);

            return true;
        } catch (BackupFault $fault) {
            return $fault->isForNow ? throw $fault : false;
        }
    }

    /** Whether a file is a sound kitchen of this or an older Vinculum. */
    public function opens(string $file): bool
    {
        try {
            $this->check($file);

            return true;
        } catch (BackupFault) {
            return false;
        }
    }

    /**
     * @param string|null $named what the file is called where it is told about; itself when null
     *
     * @throws BackupFault when a file is no sound kitchen
     */
    public function check(string $file, ?string $named = null): void
    {
        $named ??= $file;
        if (!is_file($file)) {
            throw BackupFault::notThere($named);
        }
        if (!DatabaseFile::at($file)->hasHeader()) {
            throw BackupFault::noCopy($named);
        }
        $schema = DatabaseFile::at($file)->schema($named);
        $newest = $schema['newest'];
        if ($newest === null) {
            throw BackupFault::noCopy($named);
        }
        $ours = KitchenSchema::ofThisVersion($this->root);
        if ($newest > $ours->newest()) {
            throw BackupFault::newer($named);
        }
        $odd = $ours->difference($newest, $schema['sql']);
        if ($odd !== null) {
            throw BackupFault::foreign($named, $odd);
        }
    }

    /** A copy a day, a few of them kept; null where today's is there already. */
    public function daily(\DateTimeImmutable $now): ?string
    {
        if (glob("{$this->folder}/kitchen-daily-{$now->format('Ymd')}-*.sqlite") !== []) {
            return null;
        }

        return $this->make(null, 'daily', $now);
    }

    /** @return list<array{name: string, why: string, file: string, bytes: int, at: int}> the newest first */
    public function all(): array
    {
        $backups = array_map(
            static fn(string $file): array => [
                'name' => basename($file),
                'why' => (string) preg_replace('/^kitchen-([a-z-]+)-\d.*$/', '$1', basename($file)),
                'file' => $file,
                'bytes' => (int) filesize($file),
                'at' => (int) filemtime($file),
            ],
            glob("{$this->folder}/kitchen-*.sqlite") ?: [],
        );
        usort(
            $backups,
            static fn(array $one, array $other): int => [$other['at'], $other['name']] <=> [$one['at'], $one['name']],
        );

        return $backups;
    }

    /** Whether the kitchen waits for migrations that it has not seen. */
    public function isOutdated(): bool
    {
        $newest = $this->newestMigration();

        return $newest !== null && $newest < KitchenSchema::ofThisVersion($this->root)->newest();
    }

    /** Whether it has seen every migration there is. */
    public function isCurrent(): bool
    {
        return $this->newestMigration() === KitchenSchema::ofThisVersion($this->root)->newest();
    }

    /** Null where it is no kitchen, or cannot be asked. */
    private function newestMigration(): ?string
    {
        try {
            return DatabaseFile::at($this->kitchen)->schema($this->kitchen)['newest'];
        } catch (BackupFault) {
            return null;
        }
    }

    private function isMissing(): bool
    {
        clearstatcache();

        return !is_file($this->kitchen) || filesize($this->kitchen) === 0;
    }

    /**
     * Whether another file was laid in place of the kitchen while changes of the one before still lie beside it.
     * SQLite would lay those over the new one.
     */
    private function wasReplaced(): bool
    {
        $log = "{$this->kitchen}-wal";
        $mark = @file_get_contents($this->markFile());

        return is_file($log)
            && filesize($log) > 0
            && $mark !== false
            && (int) $mark !== DatabaseFile::at($this->kitchen)->markOnDisk();
    }

    private function markFile(): string
    {
        return "{$this->kitchen}.mark";
    }

    private function newestSound(): ?string
    {
        foreach ($this->all() as $copy) {
            if ($this->opens($copy['file'])) {
                return $copy['file'];
            }
        }

        return null;
    }

    /** @throws BackupFault where a copy may not go */
    private function refuseTarget(string $file, bool $replaces): void
    {
        clearstatcache();
        $isKitchen = array_filter(
            ['', '-wal', '-shm', '-journal', '.mark', '.serving'],
            fn(string $end): bool => self::isSame($file, $this->kitchen . $end),
        );
        if ($isKitchen !== []) {
            throw BackupFault::isTheKitchen($file);
        }
        if (is_link($file) || file_exists($file) && !is_file($file)) {
            throw BackupFault::noPlainFile($file);
        }
        if (!$replaces && file_exists($file)) {
            throw BackupFault::isThere($file);
        }
    }

    private static function isSame(string $one, string $other): bool
    {
        $place = static fn(string $file): string => (realpath(dirname($file)) ?: dirname($file))
            . '/'
            . basename($file);
        $number = static fn(string $file): array|false => ($stat = @stat($file)) === false
            ? false
            : [$stat['dev'], $stat['ino']];

        return $place($one) === $place($other)
            || realpath($one) !== false
            && realpath($one) === realpath($other)
            || $number($one) !== false
            && $number($one) === $number($other);
    }

    /**
     * A copy of the copy, with its log where it has one, in a folder of our own: it may lie where nothing can be
     * written.
     */
    private function stage(string $file, bool $withLog): string
    {
        $staged = self::unfinished("{$this->folder}/kitchen-restoring.sqlite");
        if (!is_dir($this->folder) && !@mkdir($this->folder, 0o700, true) || !@copy($file, $staged)) {
            @unlink($staged);
            throw BackupFault::cannotWrite($staged);
        }
        if ($withLog && is_file("{$file}-wal")) {
            @copy("{$file}-wal", "{$staged}-wal");
        }

        return $staged;
    }

    /** @throws BackupFault */
    private function overwriteWith(string $staged): void
    {
        try {
            $from = DatabaseFile::at($staged)->open(SQLITE3_OPEN_READONLY);
            $to = DatabaseFile::at($this->kitchen)->open(SQLITE3_OPEN_READWRITE | SQLITE3_OPEN_CREATE);
            // SQLite writes the pages in one transaction: all of it, or nothing
            $isDone = $from->backup($to);
            $to->close();
            $from->close();
        } catch (\Exception) {
            $isDone = false;
        }
        if (!$isDone) {
            throw BackupFault::notPutBack();
        }
    }

    /** A kitchen that cannot be used makes room, and is kept as it is: somebody may yet read something from it. */
    private function setAside(\DateTimeImmutable $now): string
    {
        $aside = $this->named('set-aside', $now);
        if (!is_dir($this->folder) && !@mkdir($this->folder, 0o700, true) || !@rename($this->kitchen, $aside)) {
            throw BackupFault::notPutBack();
        }
        if (is_file("{$this->kitchen}-wal")) {
            @rename("{$this->kitchen}-wal", "{$aside}-wal");
        }
        @unlink("{$this->kitchen}-shm");
        $this->prune('set-aside', $aside, $now);

        return $aside;
    }

    /**
     * Leaves of one kind the newest, the first of today and the one just made; the clock may have been set in between.
     */
    private function prune(string $why, string $made, \DateTimeImmutable $now): void
    {
        $all = glob("{$this->folder}/kitchen-{$why}-*.sqlite") ?: [];
        sort($all);
        $ofToday = array_values(
            array_filter(
                $all,
                static fn(string $file): bool => str_starts_with(
                    basename($file),
                    "kitchen-{$why}-{$now->format('Ymd')}-",
                ),
            ),
        );
        $spared = [$made, $ofToday[0] ?? $made];
        $others = array_values(array_filter($all, static fn(string $file): bool => !in_array($file, $spared, true)));
        $room = max(0, (self::KEPT[$why] ?? 4) - 1);
        foreach (array_slice($others, 0, max(0, count($others) - $room)) as $old) {
            @unlink($old);
            @unlink("{$old}-wal");
        }
        foreach (glob("{$this->folder}/*.unfinished") ?: [] as $left) {
            if ((int) @filemtime($left) < time() - self::STALE_SECONDS) {
                @unlink($left);
            }
        }
    }

    private static function unfinished(string $file): string
    {
        return "{$file}." . bin2hex(random_bytes(6)) . '.unfinished';
    }

    private function named(string $why, \DateTimeImmutable $now): string
    {
        $name = "{$this->folder}/kitchen-{$why}-{$now->format('Ymd-His')}-" . substr($now->format('u'), 0, 3);

        return file_exists("{$name}.sqlite") ? "{$name}-" . bin2hex(random_bytes(2)) . '.sqlite' : "{$name}.sqlite";
    }
}
