<?php

declare(strict_types=1);

namespace App\Backups;

use App\Exchange\KitchenFile;
use App\Exchange\RowSchema;
use App\Plain\Copies\BackupFault;
use App\Plain\Copies\CopiedRows;
use App\Plain\Copies\DatabaseFile;

/**
 * Whether the rows of a copy are such as a kitchen holds: one that was written by hand would break the pages. What is
 * worked out from them is not looked at, but worked out anew.
 */
final readonly class RowCheck implements CopiedRows
{
    /** @param string $root of the project */
    public function __construct(private string $root) {}

    public static function here(): self
    {
        return new self(dirname(__DIR__, 2));
    }

    public function check(string $file, string $named): void
    {
        $schema = new RowSchema($this->root);
        $database = DatabaseFile::at($file)->open(SQLITE3_OPEN_READWRITE);
        try {
            foreach (KitchenFile::TABLES as $table => $json) {
                $rows = $database->query("SELECT rowid AS row, * FROM {$table}");
                while ($rows instanceof \SQLite3Result && is_array($row = $rows->fetchArray(SQLITE3_ASSOC))) {
                    $odd = $schema->oddIn($table, self::read($row, $json));
                    if ($odd !== null) {
                        $number = is_int($row['row'] ?? null) ? $row['row'] : 0;
                        throw BackupFault::oddRow(
                            $named,
                            "row {$number} of {$table}, {$odd['where']}: {$odd['why']}",
                        );
                    }
                }
            }
            $database->exec("UPDATE sauces SET standing = '{}'");
            $database->exec('UPDATE versions SET standing = NULL');
        } finally {
            $database->close();
        }
    }

    /**
     * @param array<mixed> $row
     * @param list<string> $json columns that hold JSON
     */
    private static function read(array $row, array $json): object
    {
        unset($row['row']);
        foreach ($json as $column) {
            $text = $row[$column] ?? null;
            $row[$column] = is_string($text) ? json_decode($text, false) ?? $text : $text;
        }

        return (object) $row;
    }
}
