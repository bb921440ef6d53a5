<?php

declare(strict_types=1);

// ./vinculum backup [FILE] [--replace], restore FILE, and what start does by itself: check, check-anew, opened,
// daily, before-upgrade, is-demo. Needs nothing but PHP with SQLite.

use App\Plain\Copies\BackupFault;
use App\Plain\Copies\Backups;

require __DIR__ . '/autoload.php';

$command = $argv[1] ?? '';
$replaces = $command === 'backup' && in_array('--replace', $argv, true);
$named = array_values(
    array_filter(array_slice($argv, 2), static fn(string $one): bool => $one !== '--replace' || $command !== 'backup'),
);
$file = $named[0] ?? null;
// what looks at rows needs libraries: where there are none yet, nothing is served either
$libraries = dirname(__DIR__) . '/vendor/autoload.php';
$looks = $command === 'restore' && is_file($libraries);
if ($looks) {
    require $libraries;
}
$backups = Backups::ofThisKitchen($looks ? App\Backups\RowCheck::here() : null);
$now = new DateTimeImmutable();
try {
    if (count($named) > 1 || ($file !== null && str_starts_with($file, '-'))) {
        throw new BackupFault("{$command} takes one file at most.");
    }
    switch ($command) {
        case 'backup':
            $copy = $backups->make($file, 'by-hand', $now, $replaces);
            echo "The kitchen is copied to {$copy}\n";
            exit(0);
        case 'restore':
            $before = $backups->putBack(
                $file ?? throw new BackupFault('name the copy to put back: ./vinculum restore FILE'),
                $now,
            );
            echo 'The kitchen is as it was in ', $file, match (true) {
                $before === null => '',
                $backups->check->opens($before) => ". To undo that: ./vinculum restore {$before}",
                default => ". What was there before could not be used, and is kept as {$before}",
            }, "\n";
            exit(0);
        case 'check':
            $backups->checkKitchen();
            exit(0);
        case 'check-anew':
            $backups->checkKitchen(true);
            exit(0);
        case 'opened':
            $backups->opened();
            exit(0);
        case 'ready':
            // all that is due before it is served, in one go; a daily copy that fails holds nobody up
            $backups->opened();
            try {
                $backups->daily($now);
            } catch (BackupFault $fault) {
                fwrite(STDERR, "vinculum: {$fault->getMessage()}\n");
            }
            echo $backups->isDemo() ? 'demo' : 'own', "\n";
            exit(0);
        case 'before-upgrade':
            if ($backups->isOutdated()) {
                $backups->make(null, 'before-upgrade', $now);
            } elseif ($backups->isCurrent()) {
                echo "current\n";
            }
            exit(0);
        default:
            exit(2);
    }
} catch (BackupFault $fault) {
    fwrite(STDERR, "vinculum: {$fault->getMessage()}\n");
    exit(2);
}
