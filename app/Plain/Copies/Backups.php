<?php

declare(strict_types=1);

namespace App\Plain\Copies;

/**
 * Copies of the kitchen's data: made while the app runs, checked before they are trusted, put back in one piece.
 * Plain PHP, so that they work where nothing is installed.
 */
final readonly class Backups
{
    public BackupFolder $folder;
    public KitchenCheck $check;

    /**
     * @param string $kitchen the database in use
     * @param string $folder where copies are kept
     * @param string $root of the project, for its migrations
     * @param CopiedRows|null $rows what looks at a copy's rows; null where no libraries are installed, and nothing is served
     *     yet either: then they are taken as they are
     */
    public function __construct(
        private string $kitchen,
        string $folder,
        private string $root,
        private ?CopiedRows $rows = null,
    ) {
        $this->folder = new BackupFolder($folder);
        $this->check = new KitchenCheck($root);
    }

    public static function ofThisKitchen(?CopiedRows $rows = null): self
    {
        $root = dirname(__DIR__, 3);
        $named = getenv('VINCULUM_DATABASE');
        $kitchen = is_string($named) && $named !== '' ? $named : "{$root}/storage/kitchen.sqlite";

        return new self(
            $kitchen,
            is_string($named) && $named !== ''
                ? dirname($kitchen) . '/' . pathinfo($kitchen, PATHINFO_FILENAME) . '-copies'
                : "{$root}/storage/copies",
            $root,
            $rows,
        );
    }

    /**
     * A consistent copy of the kitchen as it is now.
     *
     * @param string|null $file where to; among the kept copies when null
     * @param bool $replaces whether a file that is there may be written over; the kitchen itself never is
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
        $file ??= $this->folder->named($why, $now);
        $this->refuseTarget($file, $replaces);
        if (!is_dir(dirname($file)) && !@mkdir(dirname($file), 0o700, true)) {
            throw BackupFault::cannotWrite($file);
        }
        $unfinished = BackupFolder::unfinished($file);
        try {
            $from = DatabaseFile::at($this->kitchen)->open(SQLITE3_OPEN_READWRITE);
            $from->exec('VACUUM INTO ' . "'" . \SQLite3::escapeString($unfinished) . "'");
            $from->close();
            // where a copy is laid in place of the kitchen by hand, this tells that it is another file
            DatabaseFile::at($unfinished)->mark(0);
            $this->check->check($unfinished);
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
        if (dirname($file) === $this->folder->path) {
            $this->folder->prune($why, $file, $now);
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
            $this->check->check($staged, $file);
            if (DatabaseFile::at($staged)->schema($file)['newest'] === KitchenSchema::ofThisVersion($this->root)->newest()) {
                $this->rows?->check($staged, $file);
            }
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
            if (!$mayBegin && $this->folder->all() !== []) {
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
            $this->check->check($this->kitchen);
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
            $this->check->check($this->kitchen);

            return true;
        } catch (BackupFault $fault) {
            return $fault->isForNow ? throw $fault : false;
        }
    }

    /** A copy a day, a few of them kept; null where today's is there already. */
    public function daily(\DateTimeImmutable $now): ?string
    {
        return $this->folder->hasDailyOf($now) ? null : $this->make(null, 'daily', $now);
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
        foreach ($this->folder->all() as $copy) {
            if ($this->check->opens($copy['file'])) {
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
        $staged = BackupFolder::unfinished("{$this->folder->path}/kitchen-restoring.sqlite");
        $this->folder->make();
        if (!@copy($file, $staged)) {
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
        $aside = $this->folder->named('set-aside', $now);
        $this->folder->make();
        if (!@rename($this->kitchen, $aside)) {
            throw BackupFault::notPutBack();
        }
        if (is_file("{$this->kitchen}-wal")) {
            @rename("{$this->kitchen}-wal", "{$aside}-wal");
        }
        @unlink("{$this->kitchen}-shm");
        $this->folder->prune('set-aside', $aside, $now);

        return $aside;
    }
}
