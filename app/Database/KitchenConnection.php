<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\SQLiteConnection;

/**
 * A connection whose transactions take the write lock when they begin, and wait for it. A transaction that reads
 * first and writes later is refused at once by SQLite when somebody else wrote in between, however long it would be
 * willing to wait; the framework's own setting for this works from PHP 8.4 on only.
 */
final class KitchenConnection extends SQLiteConnection
{
    protected function executeBeginTransactionStatement(): void
    {
        $this->getPdo()->beginTransaction();
        try {
            // a write that changes nothing takes the lock
            $this->getPdo()->exec('DELETE FROM sqlite_sequence WHERE 0');
        } catch (\PDOException $fault) {
            // before the first migration there is no such table
            if (!str_contains($fault->getMessage(), 'no such table')) {
                $this->getPdo()->rollBack();
                throw $fault;
            }
        }
    }

    /**
     * On a full disk SQLite takes a transaction back by itself; that there is none left to take back must not hide why.
     *
     * @param int $toLevel
     */
    protected function performRollBack($toLevel): void
    {
        try {
            parent::performRollBack($toLevel);
        } catch (\PDOException $fault) {
            if ($toLevel > 0 && str_contains($fault->getMessage(), 'no such savepoint')) {
                return;
            }
            if (!str_contains($fault->getMessage(), 'no transaction is active')) {
                throw $fault;
            }
            // PDO still counts one: it is given one that it can take back
            $this->getPdo()->exec('BEGIN');
            $this->getPdo()->rollBack();
        }
    }
}
