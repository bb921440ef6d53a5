<?php

declare(strict_types=1);

namespace App\Plain\Copies;

/** Where copies are kept: their names, and how many of each kind stay. Plain PHP. */
final readonly class BackupFolder
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

    public function __construct(public string $path) {}

    /** @throws BackupFault where it is not there and cannot be made */
    public function make(): void
    {
        if (!is_dir($this->path) && !@mkdir($this->path, 0o700, true)) {
            throw BackupFault::cannotWrite($this->path);
        }
    }

    public function hasDailyOf(\DateTimeImmutable $day): bool
    {
        return glob("{$this->path}/kitchen-daily-{$day->format('Ymd')}-*.sqlite") !== [];
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
            glob("{$this->path}/kitchen-*.sqlite") ?: [],
        );
        usort(
            $backups,
            static fn(array $one, array $other): int => [$other['at'], $other['name']] <=> [$one['at'], $one['name']],
        );

        return $backups;
    }

    /**
     * Leaves of one kind the newest, the first of today and the one just made; the clock may have been set in between.
     */
    public function prune(string $why, string $made, \DateTimeImmutable $now): void
    {
        $all = glob("{$this->path}/kitchen-{$why}-*.sqlite") ?: [];
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
        foreach (glob("{$this->path}/*.unfinished") ?: [] as $left) {
            if ((int) @filemtime($left) < time() - self::STALE_SECONDS) {
                @unlink($left);
            }
        }
    }

    public function named(string $why, \DateTimeImmutable $now): string
    {
        $name = "{$this->path}/kitchen-{$why}-{$now->format('Ymd-His')}-" . substr($now->format('u'), 0, 3);

        return file_exists("{$name}.sqlite") ? "{$name}-" . bin2hex(random_bytes(2)) . '.sqlite' : "{$name}.sqlite";
    }

    /** A name for what is not whole yet. */
    public static function unfinished(string $file): string
    {
        return "{$file}." . bin2hex(random_bytes(6)) . '.unfinished';
    }
}
